<script lang="ts">
    import { view } from '../../lib/shown.svelte';
    import TabLinks from '../../widgets/TabLinks.svelte';
    import type { StepProps } from '../steps';
    import CircuitsTab from './safe/CircuitsTab.svelte';
    import Cautions from './safe/Cautions.svelte';
    import LoadsTab from './safe/LoadsTab.svelte';
    import OutputChains from './safe/OutputChains.svelte';
    import PhaseMatrix from './safe/PhaseMatrix.svelte';

    let { index, catalogue, planId, item }: StepProps = $props();
    const tabs = { phases: 'Phases', loads: 'Loads', circuits: 'Circuits' } as const;
    type Tab = keyof typeof tabs;

    const tab = $derived((item in tabs ? item : 'phases') as Tab);
    const matrix = view('safe-states', () => '');
    const circuits = view('circuits', () => (tab === 'phases' ? undefined : ''));
    /** The output whose chain is open: the one that is named, else the worst. */
    const row = $derived.by(() => {
        const rows = matrix.now?.rows ?? [];
        const [id = ''] = item.split('.');
        return (
            rows.find((one) => one.outputId === id) ??
            rows.reduce((worst, one) => (one.unsafe > (worst?.unsafe ?? 0) ? one : worst), rows[0])
        );
    });
    const says: Record<Tab, string> = {
        phases: 'What every load does in every phase, worked out from pin, pull, driver, coil and contact.',
        loads: 'What hangs on each output: with watts and kind its contact, fuse and circuit are judged.',
        circuits: 'What loads hang on besides the supplies of the nodes, what protects it, and how full it is.',
    };
</script>

<div class="flex flex-wrap items-center gap-2">
    <h1 class="mr-1">Safe states</h1>
    <TabLinks {tabs} current={tab} href={(key) => `#/plans/${planId}/safe${key === 'phases' ? '' : `/${key}`}`} />
</div>
<p class="text-soft mt-1.5 text-[14px]">{says[tab]}</p>
{#if matrix.now}
    {#if tab !== 'phases'}<Cautions cautions={matrix.now.cautions} />{/if}
    {#if tab === 'loads'}
        {#if circuits.now}<LoadsTab {index} {catalogue} {planId} shown={circuits.now} />{/if}
    {:else if tab === 'circuits'}
        {#if circuits.now}<CircuitsTab {index} shown={circuits.now} />{/if}
    {:else if row === undefined}
        <p class="sheet mt-4 max-w-[620px] p-4">
            Here you see what each load does while something does not work: at reset, without power, with its link lost.
            There is no output in the plan yet: <a class="quiet-link" href="#/plans/{planId}/nodes">add one at a node</a
            >.
        </p>
    {:else}
        <PhaseMatrix
            matrix={matrix.now}
            {index}
            {catalogue}
            {planId}
            opened={row.outputId}
            phase={item.split('.')[1]}
        />
        {#key row.outputId}
            <OutputChains {row} {index} {catalogue} {planId} phase={item.split('.')[1]} />
        {/key}
    {/if}
    {#if tab === 'phases'}<Cautions cautions={matrix.now.cautions} />{/if}
{/if}
