<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import Input from 'flowbite-svelte/Input.svelte';
    import { push } from 'svelte-spa-router';
    import { api, forgeryToken, inTurn, type Schemas } from '../lib/api';
    import { moment } from '../lib/moment';
    import { session } from '../lib/session.svelte';
    import SelectField from '../widgets/SelectField.svelte';
    import ThemeButton from '../widgets/ThemeButton.svelte';

    let plans = $state<Schemas['PlanList']['plans'] | null>(null);
    let regions = $state<Schemas['Region'][]>([]);
    let name = $state('');
    let region = $state('eu');
    let problem = $state<string | null>(null);
    let deleted = $state<{ id: string; name: string } | null>(null);

    void load();

    async function load(): Promise<void> {
        const [list, catalogue] = await Promise.all([api.GET('/api/plans'), api.GET('/api/catalogue')]);
        plans = list.data?.plans ?? [];
        regions = catalogue.data?.regions ?? [];
    }

    async function begin(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        problem = null;
        const { data, error } = await api.POST('/api/plans', { body: { name: name.trim(), region } });
        if (data !== undefined) {
            await push(`/plans/${data.id}/site`);
        } else {
            problem =
                'problems' in error
                    ? error.problems.map((one) => `${one.place.slice(1)} ${one.message}`).join('; ')
                    : error.message;
        }
    }

    async function duplicate(id: string): Promise<void> {
        await api.POST('/api/plans/{plan}/duplicate', { params: { path: { plan: id } } });
        await load();
    }

    async function discard(plan: { id: string; name: string }): Promise<void> {
        await api.DELETE('/api/plans/{plan}', { params: { path: { plan: plan.id } } });
        deleted = { id: plan.id, name: plan.name };
        await load();
    }

    async function restore(): Promise<void> {
        if (deleted !== null) {
            await api.POST('/api/plans/{plan}/restore', { params: { path: { plan: deleted.id } } });
            deleted = null;
            await load();
        }
    }

    /** The file goes as it is: the core reads it, and says what is wrong with it. */
    async function bringIn(event: Event): Promise<void> {
        const input = event.currentTarget as HTMLInputElement;
        const file = input.files?.[0];
        if (file === undefined) {
            return;
        }
        problem = null;
        const headers = {
            'Content-Type': 'application/json',
            Accept: 'application/json',
            'X-XSRF-TOKEN': forgeryToken(),
        };
        const address = new URL('/api/plans/import', window.location.origin);
        const request = new Request(address, { method: 'POST', headers, body: await file.text() });
        const response = await inTurn(request).catch(() => null);
        input.value = '';
        if (response?.ok === true) {
            await load();
            return;
        }
        const refusal: Partial<Schemas['PlanRefusal']> | undefined = await response?.json().catch(() => undefined);
        const places = (refusal?.problems ?? []).slice(0, 5).map((one) => `${one.place} ${one.message}`);
        const why = places.length > 0 ? places.join('; ') : (refusal?.message ?? 'The server did not answer.');
        problem = `${file.name} was not imported. ${why}`;
    }

    async function leave(): Promise<void> {
        await session.signOut();
        await push('/sign-in');
    }
</script>

<svelte:head><title>Plans · Rundfunk</title></svelte:head>
<header class="bg-sheet border-rule flex h-[46px] items-center gap-4 border-b px-4">
    <p class="text-[19px] font-semibold">Rund<span class="text-accent">funk</span></p>
    <span class="grow"></span>
    <a class="quiet-link" href="#/account">{session.user?.name}</a>
    <a class="quiet-link" href="#/calculators">Calculators</a>
    <ThemeButton />
    <Button color="alternative" onclick={leave}>Sign out</Button>
</header>
<main class="mx-auto max-w-[980px] p-6">
    <h1>Plans</h1>
    <p class="text-soft mt-1">A plan is one site: its boards, handsets and links.</p>
    {#if problem}<p role="alert" class="text-danger mt-3">{problem}</p>{/if}
    {#if deleted}
        <p role="status" class="sheet mt-3 flex items-center gap-3 px-3 py-2">
            {deleted.name} is deleted.
            <Button color="alternative" onclick={restore}>Undo</Button>
        </p>
    {/if}
    {#if plans !== null && plans.length === 0}
        <p class="sheet mt-4 p-4">
            Nothing planned yet. Give your site a name below, or import a plan file. A new plan leads from Site onward:
            what stands where, then the nodes, their links, and what each key does.
        </p>
    {:else if plans !== null}
        <div class="sheet mt-4">
            <table class="ledger">
                <thead
                    ><tr
                        ><th>Name</th><th>Nodes</th><th>Version</th><th>Changed</th><th
                            ><span class="sr-only">Actions</span></th
                        ></tr
                    ></thead
                >
                <tbody>
                    {#each plans as plan (plan.id)}
                        <tr>
                            <td class="max-w-[420px]">
                                <a class="quiet-link font-medium" href="#/plans/{plan.id}">{plan.name}</a>
                                {#if plan.access !== 'owner'}
                                    <span class="text-soft text-[14px]"
                                        >shared with you, to {plan.access === 'viewer' ? 'look at' : 'edit'}</span
                                    >
                                {/if}
                                <span class="text-soft block truncate">{plan.note}</span>
                            </td>
                            <td class="mono">{plan.nodes}</td>
                            <td class="mono">{plan.version}</td>
                            <td class="text-soft whitespace-nowrap">{moment(plan.changedAt)}</td>
                            <td class="text-right whitespace-nowrap">
                                <a
                                    class="quiet-link mr-3"
                                    href="/api/plans/{plan.id}/file"
                                    aria-label="Export {plan.name}">Export</a
                                >
                                <Button
                                    color="alternative"
                                    onclick={() => duplicate(plan.id)}
                                    aria-label="Duplicate {plan.name}">Duplicate</Button
                                >
                                {#if plan.access === 'owner'}
                                    <Button
                                        color="alternative"
                                        onclick={() => discard(plan)}
                                        aria-label="Delete {plan.name}">Delete</Button
                                    >
                                {/if}
                            </td>
                        </tr>
                    {/each}
                </tbody>
            </table>
        </div>
    {/if}
    <div class="mt-6 flex flex-wrap items-end gap-x-10 gap-y-4">
        <form class="flex items-end gap-3" onsubmit={begin}>
            <div>
                <label for="new-name" class="text-soft block text-[14px]">New plan</label>
                <Input id="new-name" size="sm" bind:value={name} placeholder="Name of the site" class="w-[230px]" />
            </div>
            <SelectField
                label="Radio rules of"
                value={region}
                items={regions.map((one) => ({ value: one.key, name: one.name }))}
                onsave={(key) => (region = key)}
            />
            <Button type="submit">Begin</Button>
        </form>
        <div>
            <label for="import" class="text-soft block text-[14px]">Import a plan file</label>
            <input
                id="import"
                type="file"
                accept="application/json,.json"
                onchange={bringIn}
                class="text-ink h-[31px] text-[14px] file:!bg-sheet file:!text-ink file:!border-rule file:!ms-0 file:mr-3 file:h-[31px] file:rounded-[4px] file:!border file:!px-3 file:!py-0.5 file:!font-medium"
            />
        </div>
    </div>
</main>
