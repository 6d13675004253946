<script lang="ts">
    import { push } from 'svelte-spa-router';
    import { view } from '../../lib/shown.svelte';
    import SelectField from '../../widgets/SelectField.svelte';
    import TabLinks from '../../widgets/TabLinks.svelte';
    import type { StepProps } from '../steps';
    import CablesTab from './power/CablesTab.svelte';
    import LevelsTab from './power/LevelsTab.svelte';
    import PartsTab from './power/PartsTab.svelte';
    import PinsTab from './power/PinsTab.svelte';
    import PowerTab from './power/PowerTab.svelte';

    let { index, catalogue, planId, item }: StepProps = $props();
    const tabs = { power: 'Power', levels: 'Levels', pins: 'Pins', cables: 'Cables', parts: 'Parts' } as const;
    type Tab = keyof typeof tabs;

    const own = $derived(
        index.nodes.filter((one) => !(catalogue.nodeKinds.find((kind) => kind.key === one.kind)?.bought ?? false)),
    );
    const node = $derived(own.find((one) => one.id === item.split('.')[0]) ?? own[0]);
    const tab = $derived(((item.split('.')[1] ?? '') in tabs ? item.split('.')[1] : 'power') as Tab);
    const power = view('node-power', () => (tab === 'power' ? node?.id : undefined));
    const levels = view('node-levels', () => (tab === 'levels' ? node?.id : undefined));
    const pins = view('pin-table', () => (tab === 'pins' ? node?.id : undefined));
    const cables = view('cables', () => (tab === 'cables' ? node?.id : undefined));
    const parts = view('parts-list', () => (tab === 'parts' ? (node?.id ?? '') : undefined));
    const says: Record<Tab, string> = {
        power: 'Each supply with what hangs on it. Filled: typical; outlined: all peaks at once; upright line: what it is good for.',
        levels: 'The two ends of each wire: what one gives for high, what the other takes for high and stands.',
        pins: 'Where each terminal goes, and what is on each pin of the board.',
        cables: 'Every wire once, at both ends; where it crosses; and how many cores are left.',
        parts: 'What to have on the table before the soldering begins.',
    };
</script>

{#if node === undefined}
    <h1>Pins & power</h1>
    <p class="sheet mt-4 max-w-[620px] p-4">
        Here every board gets what feeds it, every wire its pin, and every level is compared. There is no board of yours
        in the plan: <a class="quiet-link" href="#/plans/{planId}/nodes">add the first node</a>.
    </p>
{:else}
    <div class="flex flex-wrap items-center gap-2">
        <h1 class="mr-1">Pins & power</h1>
        <SelectField
            label="Node"
            quiet
            class="w-[150px]"
            value={node.id}
            items={own.map((one) => ({ value: one.id, name: one.name }))}
            onsave={(id) => push(`/plans/${planId}/power/${id}${tab === 'power' ? '' : `.${tab}`}`)}
        />
        <TabLinks
            {tabs}
            current={tab}
            href={(key) => `#/plans/${planId}/power/${node.id}${key === 'power' ? '' : `.${key}`}`}
        />
    </div>
    <p class="text-soft mt-2 text-[14px]">{says[tab]}</p>
    {#key node.id}
        {#if tab === 'power'}
            {#if power.now}<PowerTab {node} {index} {catalogue} {planId} shown={power.now} />{/if}
        {:else if tab === 'levels'}
            {#if levels.now}<LevelsTab {node} {index} shown={levels.now} />{/if}
        {:else if tab === 'pins'}
            <PinsTab {node} {index} {catalogue} table={pins.now ?? undefined} />
        {:else if tab === 'cables'}
            {#if cables.now}<CablesTab {node} {index} shown={cables.now} />{/if}
        {:else if parts.now}
            <PartsTab {node} {index} {planId} shown={parts.now} />
        {/if}
    {/key}
    {#if node.board === null && tab !== 'parts' && tab !== 'cables'}
        <p class="sheet mt-3 max-w-[620px] p-4">
            {node.name} has no board yet: <a class="quiet-link" href="#/plans/{planId}/nodes/{node.id}">choose one</a>.
        </p>
    {/if}
{/if}
