<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { replace, router } from 'svelte-spa-router';
    import { api, type Schemas } from '../lib/api';
    import { address, byTopic, given } from '../lib/calculation';
    import CalculatorCurve from '../widgets/CalculatorCurve.svelte';
    import CalculatorForm from '../widgets/CalculatorForm.svelte';
    import CalculatorAnswer from '../widgets/CalculatorAnswer.svelte';
    import ThemeButton from '../widgets/ThemeButton.svelte';
    import UseInPlan from '../widgets/UseInPlan.svelte';

    let { params }: { params?: { name?: string } | undefined } = $props();

    let calculators = $state.raw<Schemas['Calculator'][]>([]);
    let worked = $state.raw<Schemas['Worked'] | null>(null);
    let problem = $state<string | null>(null);

    const chosen = $derived(calculators.find((one) => one.name === params?.name) ?? calculators[0]);
    const query = $derived(router.querystring ?? '');
    const planId = $derived(new URLSearchParams(query).get('plan') ?? '');
    const values = $derived(chosen === undefined ? {} : given(chosen, query));

    void load();

    async function load(): Promise<void> {
        const { data } = await api.GET('/api/calculators');
        calculators = data?.calculators ?? [];
    }

    let asked = 0;
    $effect(() => {
        if (chosen !== undefined) {
            void work(chosen.name, values);
        }
    });

    /** The last question's answer is the one that counts. */
    async function work(name: string, inputs: Record<string, string>): Promise<void> {
        const mine = ++asked;
        const { data, error } = await api.POST('/api/calculators/{name}', {
            params: { path: { name } },
            body: { inputs },
        });
        if (mine !== asked) {
            return;
        }
        worked = data ?? null;
        problem =
            error === undefined
                ? null
                : 'problems' in error
                  ? error.problems.map((one) => one.message).join('; ')
                  : error.message;
    }

    function set(name: string, value: string): void {
        if (chosen !== undefined) {
            void replace(address(chosen.name, { ...values, [name]: value }, planId));
        }
    }
</script>

<svelte:head><title>{chosen?.title ?? 'Calculators'} · Rundfunk</title></svelte:head>
<header class="bg-sheet border-rule flex h-[46px] items-center gap-4 border-b px-4">
    <a href="#/" class="text-[19px] font-semibold" aria-label="Rundfunk, all plans"
        >Rund<span class="text-accent">funk</span></a
    >
    <span class="font-medium">Calculators</span>
    <span class="grow"></span>
    <ThemeButton />
    <Button color="alternative" href={planId === '' ? '#/' : `#/plans/${planId}`}
        >{planId === '' ? 'All plans' : 'Back to the plan'}</Button
    >
</header>
<div class="md:flex">
    <nav
        class="border-rule shrink-0 border-b p-3 md:sticky md:top-0 md:h-screen md:w-[290px] md:overflow-y-auto md:border-r md:border-b-0"
        aria-label="Calculators"
    >
        {#each byTopic(calculators) as group (group.topic)}
            <h2 class="text-soft px-2 pt-2 pb-0.5 text-[14px] font-normal">{group.topic}</h2>
            {#each group.calculators as one (one.name)}
                <a
                    href="#{address(one.name, {}, planId)}"
                    aria-current={one === chosen ? 'page' : undefined}
                    class="block border-l-4 px-2 py-1 leading-snug {one === chosen
                        ? 'bg-tint border-accent font-medium'
                        : 'border-transparent'}">{one.title}</a
                >
            {/each}
        {/each}
    </nav>
    <main class="min-w-0 grow p-5">
        {#if chosen !== undefined}
            <h1>{chosen.title}</h1>
            <p class="text-soft mt-0.5">{chosen.plainly}</p>
            <p class="mono bg-sheet border-rule mt-2 inline-block border-l-4 px-3 py-1.5">{chosen.formula}</p>
            <p class="text-soft mt-1 text-[14px]">{chosen.source}</p>
            <div class="mt-4 grid max-w-[1000px] gap-5 lg:grid-cols-2">
                <section class="sheet p-4" aria-label="Given">
                    <h2>Given</h2>
                    {#key chosen.name}<CalculatorForm calculator={chosen} {values} onset={set} />{/key}
                    {#if worked !== null}<CalculatorCurve calculator={chosen} {values} {worked} />{/if}
                </section>
                <section class="sheet p-4" aria-label="Found" aria-live="polite">
                    <h2>Found</h2>
                    {#if problem}
                        <p role="alert" class="text-fault mt-2">{problem}</p>
                    {:else if worked !== null}
                        <CalculatorAnswer calculator={chosen} {values} {worked} />
                        {#if chosen.destination}
                            <UseInPlan calculator={chosen} {values} outputs={worked.outputs} {planId} />
                        {/if}
                    {/if}
                </section>
            </div>
            <p class="text-soft mt-3 text-[14px]">
                The address of this page holds these figures: keep it or send it on. On the command line:
                <code class="mono"
                    >bin/rundfunk calc {chosen.name}
                    {Object.entries(values)
                        .map(([name, value]) => `${name}=${/[^\w.,:+-]/.test(value) ? `'${value}'` : value}`)
                        .join(' ')}</code
                >
            </p>
        {/if}
    </main>
</div>
