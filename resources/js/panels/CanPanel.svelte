<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../lib/api';
    import { ulid } from '../lib/ulid';
    import { add, workspace } from '../lib/workspace.svelte';
    import BitStrip from './BitStrip.svelte';
    import CanDescription from './CanDescription.svelte';
    import CanMessage from './CanMessage.svelte';
    import CanRecording from './CanRecording.svelte';
    import EndsTable from './EndsTable.svelte';
    import type { PanelProps } from './panels';

    let { figures, link, index, medium }: PanelProps<'can'> = $props();

    const end = (id: string) => figures.ends.find((one) => one.endpointId === id);
    const messages = $derived(
        index.document.busMessages.filter((one) => figures.ends.some((at) => at.endpointId === one.endpointId)),
    );
    let chosen = $state('');
    const message = $derived(messages.find((one) => one.id === chosen));
    let doing = $state<'' | 'description' | 'recording'>('');
    const percent = $derived(Math.round(1000 * figures.load) / 10);
    const isBought = (nodeId: string): boolean =>
        ['fixture', 'remote', 'phone'].includes(index.node(nodeId)?.kind ?? '');
    const settings = (one: Schemas['Endpoint']): string[] => [
        ...(isBought(one.nodeId) ? [] : ['listenOnly', ...(figures.foreign ? [] : ['identifier']), 'clockMHz']),
        'terminated',
        'stubM',
        ...(one.settings['terminated'] === true ? ['terminatorOhm'] : []),
    ];

    function addMessage(): void {
        const of =
            figures.ends.find((one) => isBought(index.endpoint(one.endpointId)?.nodeId ?? '')) ?? figures.ends[0];
        if (of === undefined) {
            return;
        }
        const id = ulid();
        const taken = new Set(messages.map((one) => one.identifier));
        let identifier = 0x100;
        while (taken.has(identifier)) {
            identifier++;
        }
        void workspace.edit(
            `Add a message of ${of.name}`,
            add('busMessage', id, {
                endpointId: of.endpointId,
                name: `Message ${messages.length + 1}`,
                identifier,
                periodMs: 100,
                order: index.nextOrder(messages),
            }),
        );
        chosen = id;
    }
    const ms = (value: number): string => (value >= 1000 ? `${value / 1000} s` : `${Math.round(100 * value) / 100} ms`);
</script>

<section class="sheet mt-3 p-3" aria-label="What comes over it">
    <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2>What comes over it</h2>
        <p class="text-soft grow">
            {figures.foreign
                ? 'The bus of a vehicle or machine: boards of yours listen and never speak.'
                : 'Everybody hears everything; the lowest identifier goes first.'}
        </p>
        <p>
            taken <span class="mono">{percent} %</span> of the time at worst, reaches
            <span class="mono">{figures.reachM} m</span>, {figures.totalOhm === null
                ? 'no resistor on it'
                : `${figures.totalOhm} Ω between its wires`}
        </p>
    </div>
    <div class="bg-paper mt-2 h-[6px] w-full rounded-[2px]" role="img" aria-label="Taken {percent} % of the time">
        <div class="h-full rounded-[2px]" style="width: {Math.min(100, percent)}%; background: var(--medium-can)"></div>
    </div>
    {#if figures.rows.length === 0}
        <p class="text-soft mt-3 max-w-[640px]">
            Nothing is known to come over it yet. Describe what is sent: from a DBC file of its maker, by hand, or by
            finding the bit in a recording. Then its signals are readings of the node that sends them.
        </p>
    {:else}
        <div class="mt-3 overflow-x-auto">
            <table class="ledger">
                <thead
                    ><tr
                        ><th>Identifier</th><th>Message</th><th>Bytes 0 to 7, bit 7 first</th><th>Every</th><th
                            >At worst</th
                        ><th>Acted on by</th></tr
                    ></thead
                >
                <tbody>
                    {#each figures.rows as row (`${row.endpointId} ${row.identifier} ${row.name}`)}
                        <tr>
                            <td class="mono whitespace-nowrap">{row.identifier}</td>
                            <td class="min-w-[110px]"
                                >{#if row.messageId}<button
                                        type="button"
                                        class="text-left font-medium hover:underline"
                                        aria-pressed={chosen === row.messageId}
                                        onclick={() => (chosen = chosen === row.messageId ? '' : (row.messageId ?? ''))}
                                        >{row.name}</button
                                    >{:else}{row.name}{/if}
                                <span class="text-soft block text-[14px]">{row.sender}</span></td
                            >
                            <td
                                ><BitStrip
                                    bytes={row.bytes}
                                    signals={row.signals}
                                    label="{row.name}: {row.signals.length === 0
                                        ? 'no signal described'
                                        : row.signals
                                              .map((one) => `${one.name} in ${one.places.length} bits`)
                                              .join(', ')}"
                                />
                                <p class="text-soft max-w-[560px] text-[13.5px]">
                                    {#each row.signals as one, at (at)}{at > 0 ? ', ' : ''}<span
                                            class={one.isRead ? 'text-ink font-medium' : ''}
                                            title={one.says}>{one.name}</span
                                        >{/each}
                                </p></td
                            >
                            <td class="mono whitespace-nowrap"
                                >{row.periodMs === null ? 'on change' : ms(row.periodMs)}</td
                            >
                            <td
                                class="mono whitespace-nowrap {(row.responseMs ?? Infinity) > row.deadlineMs
                                    ? 'text-fault'
                                    : ''}">{row.responseMs === null ? '! late' : ms(row.responseMs)}</td
                            >
                            <td class="text-[14px]">{row.readers.join(', ') || '–'}</td>
                        </tr>
                    {/each}
                </tbody>
            </table>
        </div>
    {/if}
    <div class="mt-3 flex flex-wrap gap-2">
        <Button color="alternative" onclick={addMessage} disabled={figures.ends.length === 0}>Add a message</Button>
        <Button
            color="alternative"
            aria-expanded={doing === 'description'}
            onclick={() => (doing = doing === 'description' ? '' : 'description')}>From a DBC file</Button
        >
        <Button
            color="alternative"
            aria-expanded={doing === 'recording'}
            onclick={() => (doing = doing === 'recording' ? '' : 'recording')}>Find the bit in a recording</Button
        >
    </div>
</section>

{#if doing === 'description'}<CanDescription {link} {index} ends={figures.ends} ondone={() => (doing = '')} />{/if}
{#if doing === 'recording'}<CanRecording {link} {index} ends={figures.ends} />{/if}
{#if message}{#key message.id}<CanMessage {message} ends={figures.ends} />{/key}{/if}

<EndsTable {link} {index} {medium} {settings} says="What follows">
    {#snippet more(one)}
        {@const own = end(one.id)}
        {#if own}
            {#if own.timing}<p>{own.timing}</p>{/if}
            {#if own.filters.length > 0}<p class="text-soft">
                    <span class="mono">{own.filters.join(' · ')}</span>{#if own.strangers.length > 0}
                        – lets {own.strangers.join(', ')} in too{/if}
                </p>{/if}
            {#if isBought(one.nodeId)}<p class="text-soft">
                    sends {messages.filter((sent) => sent.endpointId === one.id).length || 'nothing that is described'}
                    {messages.some((sent) => sent.endpointId === one.id) ? 'of the above' : ''}
                </p>{/if}
        {/if}
    {/snippet}
</EndsTable>
