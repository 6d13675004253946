<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { changeEnd } from '../lib/ends';
    import EndsTable from './EndsTable.svelte';
    import PollLadder from './PollLadder.svelte';
    import type { PanelProps } from './panels';

    let { figures, link, index, medium }: PanelProps<'serial'> = $props();

    const end = (id: string) => figures.ends.find((one) => one.endpointId === id);
    const polled = $derived(link.settings['topology'] === 'polled');
    const protocols = $derived(index.document.protocols.filter((one) => figures.protocolIds.includes(one.id)));
    const planId = $derived(index.document.plan.id);
    const isBought = (nodeId: string): boolean => typeof index.node(nodeId)?.protocolId === 'string';
    const pair485 = $derived(link.settings['levels'] === 'rs-485');
    /** As many boxes as a screen shows; the others are alike. */
    const SHOWN = 6;
    const shown = $derived(figures.strokes.filter((one) => one.from <= SHOWN && one.to <= SHOWN));
    const settings = $derived((): string[] => [
        'station',
        ...(polled ? ['asks'] : []),
        ...(pair485 ? ['terminated', 'biased'] : []),
        'restMs',
        'idBy',
    ]);
    /** Several that are marked so hear one message at once, by the id that all hear. */
    const isTogether = (one: Schemas['Endpoint']): boolean => one.deliberate.includes('broadcast');
    function turnTogether(one: Schemas['Endpoint']): void {
        const rest = one.deliberate.filter((meant) => meant !== 'broadcast');
        changeEnd(index, link, one, 'Told together', { deliberate: isTogether(one) ? rest : [...rest, 'broadcast'] });
    }
    const ownSettings = (one: { id: string; nodeId: string; settings: Record<string, unknown> }): string[] => [
        ...settings().filter(
            (name) =>
                !(name === 'restMs' && (one.settings['asks'] === true || protocols.length > 0)) &&
                !(['station', 'idBy'].includes(name) && protocols.length > 0 && !isBought(one.nodeId)) &&
                !(name === 'asks' && isBought(one.nodeId)),
        ),
        ...(one.settings['idBy'] === 'switches' ? ['switches'] : []),
        ...(end(one.id)?.disagrees.length ? ['baud', 'parity', 'stopBits', 'check'] : []),
    ];
</script>

<section class="sheet mt-3 p-3" aria-label="Who speaks when">
    <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2>Who speaks when</h2>
        <p class="text-soft grow">
            <span class="mono">{figures.format}</span>, a bit of <span class="mono">{figures.bitUs} µs</span>; {protocols.length >
            0
                ? 'the longest command'
                : 'a frame'}
            of {figures.frameBytes} bytes takes <span class="mono">{figures.frameMs} ms</span>
        </p>
        {#if figures.cycleMs !== null}
            <p>
                {polled || protocols.length > 0
                    ? 'a round of questions'
                    : link.settings['topology'] === 'ring'
                      ? 'once around'
                      : 'an exchange'}
                <span class="mono">{figures.cycleMs} ms</span>{#if figures.deadCycleMs !== null}, with one that is dead
                    <span class="mono">{figures.deadCycleMs} ms</span>{/if}
            </p>
        {/if}
    </div>
    {#if figures.strokes.length > 0}
        <div class="mt-2">
            <PollLadder columns={figures.columns.slice(0, SHOWN + 1)} strokes={shown} frameMs={figures.frameMs} />
        </div>
        {#if figures.columns.length > SHOWN + 1}<p class="text-soft">
                … and {figures.columns.length - SHOWN - 1} more, each as long.
            </p>{/if}
    {:else}
        <p class="text-soft mt-2">
            {polled && figures.ends.length > 1 ? 'Say who asks, or let Assign choose.' : 'It wants two ends at least.'}
        </p>
    {/if}
    <p class="mt-2">
        {#if protocols.length > 0}It is spoken in the words of {#each protocols as one, at (one.id)}{at > 0
                    ? ', '
                    : ''}<a class="quiet-link" href="#/plans/{planId}/own/{one.id}">{one.name}</a>{/each}, {figures.check ===
            'none'
                ? 'unchecked'
                : `checked by ${figures.check}`}; the check above is for frames of ours.{:else}A frame:
            {#each figures.fields as field, at (field.name)}{at > 0 ? ', ' : ''}<span class="mono" title={field.says}
                    >{field.name}{field.bytes > 1 ? ` ${field.bytes}` : ''}</span
                >{/each}<span class="text-soft"
                >; bytes, {figures.check === 'none' ? 'unchecked' : `check by ${figures.check}`}.</span
            >{/if}
        At this rate it reaches <span class="mono">{figures.reachM}&nbsp;m</span>{#if figures.lengthM !== null}, and is <span
                class="mono">{figures.lengthM}&nbsp;m</span
            > long{/if}.
    </p>
</section>

<EndsTable {link} {index} {medium} settings={ownSettings} says="What follows">
    {#snippet more(one)}
        {@const own = end(one.id)}
        {#if own}
            <p>
                {#if pair485}{own.isOuter ? 'an end of the cable' : `place ${own.place} on the cable`}{:else}place {own.place}{/if}{#if own.errorPercent !== null && own.errorPercent !== 0},
                    its rate
                    <span class="mono">{own.errorPercent > 0 ? '+' : ''}{own.errorPercent} %</span> off{/if}
            </p>
            {#if link.settings['topology'] !== 'pair' && one.settings['asks'] !== true && protocols.length === 0}<p>
                    <button
                        type="button"
                        class="quiet-link text-[14px]"
                        aria-pressed={isTogether(one)}
                        aria-label="Told together with others: {index.node(one.nodeId)?.name}"
                        onclick={() => turnTogether(one)}
                        >{isTogether(one) ? 'told together, by id 0: nobody answers' : 'told by its own id'}</button
                    >
                </p>{/if}
            {#if own.owns.length > 0}<p class="text-soft">
                    owns {own.owns.join(', ')}
                </p>{/if}
            {#if own.disagrees.length > 0}<p class="text-fault">! set to {own.disagrees.join(', ')}</p>{/if}
        {/if}
    {/snippet}
</EndsTable>
