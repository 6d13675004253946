<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../lib/api';
    import { changeEnd } from '../lib/ends';
    import { ulid } from '../lib/ulid';
    import { add, workspace } from '../lib/workspace.svelte';
    import SelectField from '../widgets/SelectField.svelte';
    import DmxFixtureFile from './DmxFixtureFile.svelte';
    import DmxRehearsal from './DmxRehearsal.svelte';
    import DmxTriggers from './DmxTriggers.svelte';
    import EndsTable from './EndsTable.svelte';
    import type { PanelProps } from './panels';

    let { figures, link, index, medium }: PanelProps<'dmx'> = $props();

    let reading = $state(false);
    let wide = $state(false);
    const fixture = (id: string) => figures.fixtures.find((one) => one.endpointId === id);
    const settings = (one: Schemas['Endpoint']): string[] => {
        const sends = one.role !== 'receives';
        const bridges = one.settings['bridges'] === true;
        return [
            ...(one.role === 'sends' ? [] : ['start']),
            ...(figures.isNetwork ? (sends ? ['priority'] : []) : ['terminated']),
            ...(sends && bridges && !figures.isNetwork ? ['template', 'baud'] : []),
            ...(wide ? ['together', ...(figures.isNetwork ? [] : ['segment', 'outputs'])] : []),
            ...(wide && sends && !figures.isNetwork && !bridges ? ['bridges'] : []),
        ];
    };

    /** Its slots become functions: what controls can be let work. */
    function use(of: Schemas['DmxFixture'], slots: Schemas['DmxSlot'][]): void {
        let order = index.nextOrder(index.document.outputs);
        void workspace.edit(
            slots.length === 1 ? `Use ${slots[0]?.name ?? ''} of ${of.name}` : `Use all slots of ${of.name}`,
            ...slots.map((slot) =>
                add('output', ulid(), {
                    nodeId: of.nodeId,
                    name: slot.name,
                    kind: 'function',
                    channel: slot.name,
                    settings: { lowest: 0, highest: 255 },
                    order: order++,
                }),
            ),
        );
    }

    function setMode(of: Schemas['DmxFixture'], mode: string): void {
        const end = index.endpoint(of.endpointId);
        if (end !== undefined) {
            changeEnd(index, link, end, `Mode of ${of.name}`, { settings: { mode } });
        }
    }
</script>

<section class="sheet mt-3 p-3" aria-label="Slots">
    <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2>Slots</h2>
        <p class="text-soft grow">
            One tells, all others take what stands in their slots. Filled at the foot is what some control works.
        </p>
        <p>
            <span class="mono">{figures.slotsSent}</span> slots every
            <span class="mono">{figures.periodMs} ms</span>, {Math.round(figures.refreshHz)} times a second{#if figures.group},
                to
                <span class="mono">{figures.group}</span>{/if}
        </p>
    </div>
    {#if figures.bridge}<p class="text-soft">The bridge is told <span class="mono">{figures.bridge}</span>.</p>{/if}
    <div class="mt-2">
        <svg
            class="h-auto w-full"
            style="max-width: {figures.rulerWidth}px"
            viewBox="0 0 {figures.rulerWidth} {figures.rulerHeight}"
            role="img"
            aria-label="Slot ruler: {figures.rulerWords}"
            ><!-- eslint-disable-next-line svelte/no-at-html-tags -- drawn by the core, which lets no name be more than text -->
            {@html figures.ruler}</svg
        >
    </div>
    {#if figures.fixtures.length === 0}
        <p class="text-soft mt-1 max-w-[680px]">
            Nobody listens yet. Describe a lamp from its manual under
            <a class="quiet-link" href="#/plans/{workspace.planId}/own">own parts</a>, or read its file below; then add
            a node for each, say what it is, and let it join here.
        </p>
    {:else}
        <table class="ledger mt-2">
            <thead
                ><tr
                    ><th class="w-[70px]">Start</th><th class="w-[190px]">Fixture</th><th class="w-[150px]">Switches</th
                    ><th>Slots</th></tr
                ></thead
            >
            <tbody>
                {#each figures.fixtures as one (one.endpointId)}
                    {@const idle = one.slots.filter((slot) => slot.outputId === null)}
                    <tr>
                        <td class="mono align-top text-[20px] leading-tight">{one.start ?? '–'}</td>
                        <td class="align-top"
                            ><a class="font-medium hover:underline" href="#/plans/{workspace.planId}/nodes/{one.nodeId}"
                                >{one.name}</a
                            >
                            <span class="text-soft block text-[14px]"
                                >{one.type ?? (one.isBought ? 'not described yet' : 'a board of yours')}</span
                            >
                            {#if one.modes.length > 1}<SelectField
                                    label="Mode of {one.name}"
                                    quiet
                                    class="mt-1 w-[130px]"
                                    value={one.mode}
                                    items={one.modes.map((mode) => ({ value: mode, name: mode }))}
                                    onsave={(mode) => setMode(one, mode)}
                                />{/if}</td
                        >
                        <td class="align-top"
                            >{#if one.switchesDrawn}<svg
                                    width="138"
                                    height="34"
                                    viewBox="0 0 138 34"
                                    role="img"
                                    aria-label="Switches of {one.name}: {one.switches}"
                                    ><!-- eslint-disable-next-line svelte/no-at-html-tags -- drawn by the core -->
                                    {@html one.switchesDrawn}</svg
                                ><span class="text-soft block text-[13px]">{one.switches}</span>{:else}<span
                                    class="text-soft text-[14px]">{one.isBought ? 'by its menu' : 'in its header'}</span
                                >{/if}</td
                        >
                        <td class="align-top">
                            <ul class="flex flex-wrap gap-x-4 gap-y-1 text-[14px]">
                                {#each one.slots as slot (slot.name)}
                                    <li title={slot.ranges}>
                                        <span class="mono text-soft">{slot.place}</span>
                                        <span class={slot.outputId === null ? 'text-soft' : 'font-medium'}
                                            >{slot.name}</span
                                        >{#if slot.rest > 0}<span class="text-soft ml-1">rests at {slot.rest}</span
                                            >{/if}{#if slot.outputId === null}&nbsp;<button
                                                type="button"
                                                class="quiet-link"
                                                aria-label="Use {slot.name} of {one.name}"
                                                onclick={() => use(one, [slot])}>use</button
                                            >{/if}
                                    </li>
                                {/each}
                            </ul>
                            {#if idle.length > 1 && one.isBought}<button
                                    type="button"
                                    class="quiet-link mt-1 text-[14px]"
                                    aria-label="Use all slots of {one.name}"
                                    onclick={() => use(one, idle)}>use all</button
                                >{/if}
                        </td>
                    </tr>
                {/each}
            </tbody>
        </table>
    {/if}
    {#if figures.segments.length > 1}
        <p class="text-soft mt-2 text-[14px]">
            {#each figures.segments as one, at (one.number)}{at > 0 ? '; ' : ''}segment {one.number}: {one.fedBy ??
                    'nothing feeds it'} to {one.endsAt ?? 'nobody'}, {one.unitLoads} of 32 unit loads{/each}.
        </p>
    {/if}
    <div class="mt-3 flex flex-wrap gap-2">
        <Button color="alternative" aria-expanded={reading} onclick={() => (reading = !reading)}
            >Read a fixture's file</Button
        >
    </div>
</section>

{#if reading}<DmxFixtureFile {link} {index} ondone={() => (reading = false)} />{/if}
<DmxTriggers {figures} {link} {index} />
<DmxRehearsal {figures} {link} {index} />

<EndsTable {link} {index} {medium} {settings} says="What follows">
    {#snippet more(one)}
        {@const own = fixture(one.id)}
        {#if one.role !== 'receives'}<p>tells all others</p>{/if}
        {#if own}<p>
                {own.last === null
                    ? own.footprint === 0
                        ? 'takes nobody knows how many slots'
                        : `takes ${own.footprint} slots`
                    : `slots ${own.start} to ${own.last}`}
            </p>{/if}
    {/snippet}
</EndsTable>
<button type="button" class="quiet-link mt-1 text-[14px]" aria-expanded={wide} onclick={() => (wide = !wide)}
    >{wide ? 'fewer settings of ends' : 'splitters, blocks and bridges…'}</button
>
