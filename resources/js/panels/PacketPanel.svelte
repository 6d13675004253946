<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { changeEnd } from '../lib/ends';
    import { change, workspace } from '../lib/workspace.svelte';
    import EndRemove from './EndRemove.svelte';
    import EndRole from './EndRole.svelte';
    import JoinLink from './JoinLink.svelte';
    import PinButton from '../widgets/PinButton.svelte';
    import TextField from '../widgets/TextField.svelte';
    import BandRuler from './BandRuler.svelte';
    import type { PanelProps } from './panels';

    let { figures, link, index, medium }: PanelProps<'packet-radio'> = $props();
    const ends = $derived(index.endpointsOn(link.id));
    const shared = $derived(
        medium.endpointSettings.filter((field) => medium.linkSettings.some((other) => other.name === field.name)),
    );
    const others = $derived(
        index.links.flatMap((other) =>
            other.medium === link.medium && other.id !== link.id && typeof other.settings.channel === 'number'
                ? [{ name: other.name, channel: other.settings.channel }]
                : [],
        ),
    );
    const figure = (us: number): string =>
        us >= 1000 ? `${(us / 1000).toFixed(2)} ms` : `${Number(us.toFixed(1))} µs`;
    const colours = { turn: 'bg-[#5a6a6b]', frame: 'bg-[#1f6fb5]', acknowledge: 'bg-[#0b6b6b]' };

    function name(end: Schemas['Endpoint']): string {
        return index.node(end.nodeId)?.name ?? '';
    }

    function set(end: Schemas['Endpoint'], label: string, values: Record<string, unknown>): void {
        changeEnd(index, link, end, label, values);
    }

    function number(text: string): number | string | null {
        return text === '' ? null : /^\d+$/.test(text) ? Number(text) : text;
    }

    function setAddress(address: Schemas['Address'], text: string): void {
        const value = text.replace(/\s/g, '').toUpperCase();
        void workspace.edit(
            `Address ${value || 'cleared'}`,
            change('address', address.id, { value: value === '' ? null : value }),
        );
    }
</script>

<section class="sheet mt-3 px-3 pt-2 pb-1" aria-label="Band ruler"><BandRuler {figures} {others} /></section>

<section class="sheet mt-3 overflow-x-auto" aria-label="Ends">
    <table class="ledger tight">
        <thead
            ><tr
                ><th>Node</th><th>Role</th><th>Listens on</th><th>Retry delay, µs</th><th>Retries</th><th>Sends to</th
                ><th>As built</th><th><span class="sr-only">Remove</span></th></tr
            ></thead
        >
        <tbody>
            {#each ends as end (end.id)}
                {@const more = figures.ends.find((one) => one.endpointId === end.id)}
                <tr class="align-top">
                    <td class="pt-2 font-medium whitespace-nowrap">{name(end)}</td>
                    <td><EndRole {link} {index} {end} /></td>
                    <td>
                        {#each index.addressesOf(end.id) as address (address.id)}
                            <div class="my-0.5 flex items-end gap-0.5">
                                <TextField
                                    label="Address of {name(end)}, pipe {address.pipe}"
                                    quiet
                                    mono
                                    class="w-[108px]"
                                    value={address.value ?? ''}
                                    placeholder="none yet"
                                    onsave={(text) => setAddress(address, text)}
                                />
                                <PinButton
                                    pinned={address.pinned}
                                    what="address of {name(end)}"
                                    onturn={() =>
                                        workspace.edit(
                                            `${address.pinned ? 'Unpin' : 'Pin'} the address of ${name(end)}`,
                                            change('address', address.id, { pinned: !address.pinned }),
                                        )}
                                />
                                <span class="text-soft pb-1.5 text-[13px] whitespace-nowrap">pipe {address.pipe}</span>
                            </div>
                        {:else}<span class="text-soft">{end.role === 'sends' ? '–' : 'none yet'}</span>{/each}
                    </td>
                    <td
                        >{#if end.role !== 'receives'}<TextField
                                label="Retry delay of {name(end)}"
                                quiet
                                mono
                                class="w-[64px]"
                                value={String(end.settings['retryDelayUs'] ?? '')}
                                placeholder="none"
                                onsave={(text) => set(end, 'Retry delay', { settings: { retryDelayUs: number(text) } })}
                            />{:else}–{/if}</td
                    >
                    <td
                        >{#if end.role !== 'receives'}<TextField
                                label="Retries of {name(end)}"
                                quiet
                                mono
                                class="w-[46px]"
                                value={String(end.settings['retries'] ?? '')}
                                onsave={(text) => set(end, 'Retries', { settings: { retries: number(text) } })}
                            />{:else}–{/if}</td
                    >
                    <td class="pt-2">
                        {#each more?.sendsTo ?? [] as target (target.node)}<span class="block whitespace-nowrap"
                                >{target.node}
                                <span class="mono text-soft">{target.address?.slice(-5) ?? ''}</span></span
                            >{/each}
                    </td>
                    <td class="pt-2">
                        <details class="text-[14px]">
                            <summary
                                class="cursor-pointer list-none whitespace-nowrap underline decoration-dotted underline-offset-2 {(more
                                    ?.disagrees.length ?? 0) > 0
                                    ? 'text-fault'
                                    : 'text-soft'}"
                                aria-label="What {name(end)} has set otherwise"
                            >
                                {#if (more?.disagrees.length ?? 0) > 0}! {more?.disagrees.join(', ')}{:else}as the link{/if}
                            </summary>
                            <div class="space-y-1 py-1">
                                {#each shared as field (field.name)}
                                    <label class="flex items-center gap-2"
                                        ><span class="w-[86px]">{field.title}</span>
                                        <input
                                            class="mono bg-sheet border-rule text-ink w-[70px] rounded-[4px] border px-1 py-0.5"
                                            value={String(end.settings[field.name] ?? '')}
                                            placeholder="as link"
                                            onchange={(event) => {
                                                const text = event.currentTarget.value.trim();
                                                set(end, field.title, {
                                                    settings: {
                                                        [field.name]:
                                                            field.kind === 'flag' && text !== ''
                                                                ? text === 'true' || text === 'on'
                                                                : number(text),
                                                    },
                                                });
                                            }}
                                        />
                                    </label>
                                {/each}
                            </div>
                        </details>
                    </td>
                    <td class="text-right"><EndRemove {link} {index} {end} /></td>
                </tr>
            {:else}
                <tr><td colspan="8" class="text-soft">Nobody is on this link yet.</td></tr>
            {/each}
        </tbody>
    </table>
    <JoinLink {link} {index} />
</section>

<section class="sheet mt-3 p-3" aria-label="One exchange">
    <div class="flex items-baseline gap-3">
        <h2>One exchange</h2>
        <p class="text-soft grow">
            {link.settings['payloadBytes']} bytes{link.settings['acknowledge'] ? ', acknowledged' : ''}; a retry delay
            of at least <span class="mono">{figures.exchange.leastRetryDelayUs} µs</span>
        </p>
        <p class="mono">{figure(figures.exchange.totalUs)}</p>
    </div>
    <div class="mt-2 flex h-[24px] overflow-hidden rounded-[3px] text-[13px] text-white">
        {#each figures.exchange.parts as part, at (at)}
            <span
                class="border-sheet truncate border-r px-1.5 leading-[24px] {colours[part.kind]}"
                style="flex: {part.us} 0 0">{part.label} {figure(part.us)}</span
            >
        {/each}
    </div>
</section>

<section class="sheet mt-3 overflow-x-auto" aria-label="What a frame says">
    <div class="flex items-baseline gap-3 px-3 pt-3">
        <h2>What a frame says</h2>
        <p class="text-soft grow">
            {link.settings['wholeState']
                ? 'how all of its sender stands, so that the next one makes up for what was lost'
                : 'one command; a setting lets each say the whole state of its sender'}
        </p>
        <p class="mono">{figures.frames[0]?.bytes} of {link.settings['payloadBytes']} bytes</p>
    </div>
    <table class="ledger tight mt-1">
        <thead
            ><tr
                ><th>Where</th><th>Name in the header</th><th>What</th>{#if link.settings['wholeState']}<th>Said now</th
                    >{/if}</tr
            ></thead
        >
        {#each figures.frames as frame (frame.sender)}
            <tbody>
                {#if frame.sender !== null}
                    <tr><th colspan="4" scope="rowgroup" class="text-left">From {frame.sender}</th></tr>
                {/if}
                {#each frame.rows as row (row.name)}
                    <tr class="align-top">
                        <td class="mono whitespace-nowrap">{row.where}</td>
                        <td class="mono">{row.name}</td>
                        <td>{row.says}</td>
                        {#if link.settings['wholeState']}
                            <td class="mono whitespace-nowrap">{row.saidBit ?? 'always'}</td>
                        {/if}
                    </tr>
                {/each}
            </tbody>
        {/each}
    </table>
</section>
