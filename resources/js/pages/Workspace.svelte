<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { untrack } from 'svelte';
    import { push } from 'svelte-spa-router';
    import { isTyping } from '../lib/keyboard';
    import { view } from '../lib/shown.svelte';
    import { workspace } from '../lib/workspace.svelte';
    import ConflictNotice from '../widgets/ConflictNotice.svelte';
    import FindingsDrawer from '../widgets/FindingsDrawer.svelte';
    import KeysHelp from '../widgets/KeysHelp.svelte';
    import SavedState from '../widgets/SavedState.svelte';
    import SearchBox from '../widgets/SearchBox.svelte';
    import ThemeButton from '../widgets/ThemeButton.svelte';
    import { steps } from './steps';

    let { params }: { params?: { id: string; step?: string; item?: string } } = $props();
    const planId = $derived(params?.id ?? '');
    const step = $derived(steps.find((one) => one.key === (params?.step ?? 'map')) ?? steps[0]);
    const name = $derived(workspace.data?.document.plan.name ?? '');
    /** Beside what the catalogue offers, what the plan itself describes. */
    const describes = $derived(
        (workspace.data?.document.ownBoards.length ?? 0) + (workspace.data?.document.ownModules.length ?? 0) > 0,
    );
    const own = view('own-classes', () => (describes ? '' : undefined));
    const catalogue = $derived(
        workspace.catalogue === null || own.now === undefined || own.now === null
            ? workspace.catalogue
            : {
                  ...workspace.catalogue,
                  boards: [...workspace.catalogue.boards, ...own.now.boards],
                  modules: [...workspace.catalogue.modules, ...own.now.modules],
              },
    );
    let keysShown = $state(false);
    let searching = $state<{ focus: () => void } | null>(null);

    $effect(() => {
        const id = planId;
        untrack(() => void workspace.open(id));
        return () => workspace.close();
    });

    /** How many open findings, advice aside, are mended at each step. */
    const troubles = $derived.by(() => {
        const counts: Record<string, number> = {};
        for (const finding of workspace.data?.findings ?? []) {
            if (finding.severity !== 'advice' && !workspace.accepted.has(finding.id)) {
                counts[finding.step] = (counts[finding.step] ?? 0) + 1;
            }
        }
        return counts;
    });

    function shortcut(event: KeyboardEvent): void {
        const command = event.ctrlKey || event.metaKey;
        if (command && event.key.toLowerCase() === 'z' && !isTyping(event)) {
            event.preventDefault();
            void (event.shiftKey ? workspace.redo() : workspace.undo());
        } else if (command && event.key.toLowerCase() === 'y' && !isTyping(event)) {
            event.preventDefault();
            void workspace.redo();
        } else if (command || event.altKey || isTyping(event) || document.querySelector('dialog[open]') !== null) {
            return;
        } else if (event.key === '/') {
            event.preventDefault();
            searching?.focus();
        } else if (event.key === '?') {
            event.preventDefault();
            keysShown = true;
        } else if (event.key.toLowerCase() === 'a' && step?.key !== 'routes') {
            event.preventDefault();
            void push(`/plans/${planId}/assign`);
        }
    }
</script>

<svelte:window onkeydown={shortcut} />
<svelte:head><title>{name === '' ? 'Plan' : `${step?.title} · ${name}`} · Rundfunk</title></svelte:head>

<header class="bg-sheet border-rule no-print sticky top-0 z-20 flex h-[46px] items-center gap-3 border-b px-4">
    <a href="#/" class="text-[19px] font-semibold" aria-label="Rundfunk, all plans"
        >Rund<span class="text-accent">funk</span></a
    >
    <span class="hidden truncate font-medium sm:block">{name}</span>
    <SavedState />
    <span class="grow"></span>
    <SearchBox bind:this={searching} {planId} />
    <Button
        color="alternative"
        disabled={!workspace.data?.history.undo}
        onclick={() => workspace.undo()}
        title={workspace.data?.history.undo ?? 'Nothing to undo'}>Undo</Button
    >
    <Button
        color="alternative"
        class="hidden sm:inline-flex"
        disabled={!workspace.data?.history.redo}
        onclick={() => workspace.redo()}
        title={workspace.data?.history.redo ?? 'Nothing to redo'}>Redo</Button
    >
    <span class="hidden sm:block"><ThemeButton /></span>
    <Button href="#/plans/{planId}/assign">Assign</Button>
</header>

{#if workspace.missing}
    <main class="p-8">
        <h1>No such plan</h1>
        <p class="mt-2">
            It may have been deleted, or it is somebody else's. <a class="quiet-link" href="#/">All plans</a>
        </p>
    </main>
{:else if workspace.unreachable}
    <main class="p-8">
        <h1>The plan cannot be had just now</h1>
        <p class="mt-2">
            The server does not answer, or cannot read it. That says nothing of the plan: it is where it was.
        </p>
        <Button class="mt-3" onclick={() => workspace.open(planId)}>Try again</Button>
    </main>
{:else}
    <div class="md:flex">
        <nav
            class="border-rule no-print flex shrink-0 overflow-x-auto border-b md:sticky md:top-[46px] md:h-[calc(100vh-46px)] md:w-[150px] md:flex-col md:border-r md:border-b-0 md:pt-3"
            aria-label="Steps"
        >
            {#each steps as one (one.key)}
                {#if one.ruled}<hr class="border-rule mx-3 my-2 hidden md:block" />{/if}
                <a
                    href="#/plans/{planId}/{one.key}"
                    aria-current={one === step ? 'page' : undefined}
                    class="flex items-center gap-2 border-l-4 px-3 py-1.5 whitespace-nowrap {one === step
                        ? 'bg-tint border-accent font-medium'
                        : 'border-transparent'}"
                >
                    <span class="mono text-soft w-3 text-right">{one.number ?? ''}</span>
                    <span class="grow">{one.title}</span>
                    {#if troubles[one.key]}<span class="mono text-fault" title="findings here">{troubles[one.key]}</span
                        >{/if}
                </a>
            {/each}
            <hr class="border-rule mx-3 my-2 hidden md:block" />
            <a
                href="#/calculators?plan={planId}"
                class="flex items-center gap-2 border-l-4 border-transparent px-3 py-1.5 whitespace-nowrap"
                ><span class="w-3"></span>Calculators</a
            >
        </nav>
        <main class="min-w-0 grow p-4 md:px-5">
            {#if workspace.signedOut}
                <p role="alert" class="sheet text-danger mb-3 px-3 py-2">
                    You have been signed out. <a class="quiet-link" href="#/sign-in" target="_blank">Sign in again</a> in
                    another tab: what you changed is kept here, and sent then.
                </p>
            {/if}
            {#if workspace.refusal}
                <p role="alert" class="sheet text-danger mb-3 flex items-center gap-3 px-3 py-2">
                    <span class="grow">Not changed: {workspace.refusal}</span>
                    <Button color="alternative" onclick={() => (workspace.refusal = null)}>Close</Button>
                </p>
            {/if}
            {#if workspace.data !== null && workspace.index !== null && catalogue !== null && step !== undefined}
                <step.page
                    data={workspace.data}
                    index={workspace.index}
                    {catalogue}
                    {planId}
                    item={params?.item ?? ''}
                />
            {:else}
                <p class="text-soft" role="status">Opening the plan…</p>
            {/if}
        </main>
        {#if workspace.data !== null && !step?.wide}
            <FindingsDrawer {planId} findings={workspace.data.findings} step={step?.key ?? ''} />
        {/if}
    </div>
{/if}
<KeysHelp bind:open={keysShown} />
<ConflictNotice />
