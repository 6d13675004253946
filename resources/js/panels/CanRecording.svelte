<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { api, type Operation, type Schemas } from '../lib/api';
    import { Latest } from '../lib/latest';
    import type { PlanIndex } from '../lib/plan-index';
    import { ulid } from '../lib/ulid';
    import { add, change, workspace } from '../lib/workspace.svelte';
    import TextField from '../widgets/TextField.svelte';
    import BitStrip from './BitStrip.svelte';
    import TimeCurve from './TimeCurve.svelte';

    /** A recording of a bus, or two: what is in it, which bit turned when somebody did something, and that bit as a signal of the plan. Nothing else of it is kept. */
    interface Props {
        link: Schemas['Link'];
        index: PlanIndex;
        ends: Schemas['CanEndFigures'][];
    }
    let { link, index, ends }: Props = $props();
    let text = $state('');
    let after = $state('');
    let times = $state('');
    let shown = $state<Schemas['RecordingShown'] | null>(null);
    let problem = $state<string | null>(null);
    let busy = $state(false);
    let drawn = $state<{ id: string; start: number } | null>(null);
    let name = $state('');
    const asked = new Latest();
    const id = $props.id();
    const LISTED = 60;
    const bought = $derived(
        ends.filter((one) =>
            ['fixture', 'remote'].includes(index.node(index.endpoint(one.endpointId)?.nodeId ?? '')?.kind ?? ''),
        ),
    );

    async function read(signal: { id: string; start: number } | null): Promise<void> {
        busy = true;
        const answer = await asked.ask(() =>
            api.POST('/api/plans/{plan}/links/{link}/heard', {
                params: { path: { plan: workspace.planId, link: link.id } },
                body: {
                    text,
                    after: after.trim() === '' ? null : after,
                    times: /^\d+$/.test(times.trim()) ? Number(times) : null,
                    signal: signal === null ? null : { ...signal, bits: 1, highFirst: false, signed: false },
                },
            }),
        );
        busy = false;
        if (answer === null) {
            return;
        }
        const { data, error } = answer;
        shown = data ?? null;
        drawn = data === undefined ? null : signal;
        problem =
            error === undefined
                ? null
                : 'problems' in error
                  ? error.problems.map((one) => one.message).join('; ')
                  : error.message;
    }

    async function choose(event: Event, second: boolean): Promise<void> {
        const file = (event.currentTarget as HTMLInputElement).files?.[0];
        if (file !== undefined) {
            const read = await file.text();
            if (second) {
                after = read;
            } else {
                text = read;
            }
        }
    }

    const bit = (place: number): string => `byte ${Math.floor(place / 8)} bit ${place % 8}`;

    /** A signal of the message with that identifier, and a reading that means it; the message is made where there is none yet. */
    async function take(found: Schemas['FoundBit'], of: string): Promise<void> {
        const identifier = parseInt(found.identifier, 16);
        const extended = found.identifier.length > 3;
        const known = index.document.busMessages.find(
            (one) =>
                one.identifier === identifier &&
                (one.extended === true) === extended &&
                ends.some((end) => end.endpointId === one.endpointId),
        );
        const taken = new Set(index.document.busMessages.flatMap((one) => one.signals.map((signal) => signal.name)));
        const wanted = name.trim().slice(0, 24) || `Bit ${found.place} of ${found.identifier}`;
        let signal = wanted;
        for (let again = 2; taken.has(signal); again++) {
            signal = `${wanted.slice(0, 20)} ${again}`;
        }
        const bits = { name: signal, start: found.place, bits: 1 };
        const endpointId = known?.endpointId ?? of;
        const node = index.node(index.endpoint(endpointId)?.nodeId ?? '');
        const operations: Operation[] = [
            known === undefined
                ? add('busMessage', ulid(), {
                      endpointId,
                      name: `Message ${found.identifier}`,
                      identifier,
                      extended,
                      bytes: found.bytes,
                      periodMs: Math.min(3_600_000, Math.round(found.periodMs ?? 0)),
                      signals: [bits],
                      evidence: `${signal}: ${found.evidence}`.slice(0, 200),
                      order: index.nextOrder(index.document.busMessages),
                  })
                : change('busMessage', known.id, {
                      signals: [...known.signals, bits],
                      evidence: `${signal}: ${found.evidence}`.slice(0, 200),
                  }),
        ];
        if (node?.kind === 'fixture') {
            operations.push(
                add('control', ulid(), {
                    nodeId: node.id,
                    name: signal,
                    kind: 'reading',
                    terminal: signal,
                    settings: { threshold: 0.5, hysteresis: 0.2, beyond: found.value ? 'above' : 'below' },
                    order: index.nextOrder(index.controlsOf(node.id)),
                }),
            );
        }
        if (await workspace.edit(`${signal} of ${node?.name ?? link.name}`, ...operations)) {
            name = '';
        }
    }
</script>

{#snippet recording(second: boolean)}
    <div class="min-w-[260px] flex-1">
        <label for="{id}-{second ? 'after' : 'text'}" class="text-soft block text-[14px]"
            >{second ? 'A second one, made after it was done (may be left out)' : 'Recording'}</label
        >
        {#if second}<textarea
                id="{id}-after"
                bind:value={after}
                rows="4"
                spellcheck="false"
                class="mono bg-sheet border-rule text-ink w-full rounded-[4px] border px-2 py-1"
            ></textarea>{:else}<textarea
                id="{id}-text"
                bind:value={text}
                rows="4"
                spellcheck="false"
                class="mono bg-sheet border-rule text-ink w-full rounded-[4px] border px-2 py-1"></textarea>{/if}
        <input
            type="file"
            aria-label={second ? 'File of the second recording' : 'File of the recording'}
            accept=".log,.asc,.txt,text/plain"
            class="text-[14px]"
            onchange={(event) => choose(event, second)}
        />
    </div>
{/snippet}

<section class="sheet mt-3 p-3" aria-label="Find the bit">
    <h2>Find the bit in a recording</h2>
    <p class="text-soft max-w-[860px]">
        Record the bus for some seconds, do the one thing and nothing else, and record again: paste both. Or record once
        and write a line <code>now</code> wherever you did it, or say how often. Lines are those of candump, or of an ASCII
        log. Only listen: on a vehicle nothing may be sent, and replaying is sending.
    </p>
    <div class="mt-2 flex flex-wrap items-start gap-3">{@render recording(false)}{@render recording(true)}</div>
    <div class="mt-2 flex flex-wrap items-end gap-3">
        <div>
            <label for="{id}-times" class="text-soft block text-[14px]">Done so often</label>
            <input
                id="{id}-times"
                bind:value={times}
                inputmode="numeric"
                class="mono bg-sheet border-rule text-ink w-[80px] rounded-[4px] border px-2 py-1"
            />
        </div>
        <Button onclick={() => read(null)} disabled={busy || text.trim() === ''}>{busy ? 'Reading …' : 'Look'}</Button>
        {#if shown !== null}<p class="text-soft pb-1">
                {shown.frames} frames in {shown.seconds} s, {shown.rows.length} identifiers{shown.way
                    ? `; looked ${shown.way}`
                    : ''}
            </p>{/if}
    </div>
    {#if problem !== null}<p class="text-fault mt-2" role="alert">! {problem}</p>{/if}
    {#if shown !== null && shown.way !== null}
        {#if shown.found.length === 0}<p class="mt-3">
                No bit did that and nothing else. Record for longer, and do only the one thing.
            </p>{:else}
            <div class="mt-3 flex flex-wrap items-end gap-3">
                <TextField
                    label="What it is"
                    spoken="Name of what was found"
                    class="w-[200px]"
                    placeholder="Lamp"
                    value={name}
                    onsave={(value) => (name = value)}
                />
            </div>
            <table class="ledger mt-2" aria-label="Bits that may be it">
                <thead
                    ><tr
                        ><th>Bit</th><th>How sure</th><th>Why</th><th
                            ><span class="sr-only">What to do with it</span></th
                        ></tr
                    ></thead
                >
                <tbody>
                    {#each shown.found.slice(0, 8) as one (`${one.identifier} ${one.place}`)}
                        <tr>
                            <td class="whitespace-nowrap"
                                ><span class="mono">{one.identifier}</span>
                                {bit(one.place)}<span class="text-soft block"
                                    >{one.value ? '1' : '0'} when it is on</span
                                ></td
                            >
                            <td class="mono">{Math.round(100 * one.score)} %</td>
                            <td>{one.evidence}</td>
                            <td class="space-x-2 text-right whitespace-nowrap"
                                ><button
                                    type="button"
                                    class="quiet-link text-[14px]"
                                    onclick={() => read({ id: one.identifier, start: one.place })}
                                    aria-label="Draw {one.identifier} {bit(one.place)} against time">draw it</button
                                >{#each bought.slice(0, 3) as end (end.endpointId)}<Button
                                        color="alternative"
                                        size="xs"
                                        aria-label="Make {one.identifier} {bit(one.place)} a reading of {end.name}"
                                        onclick={() => take(one, end.endpointId)}>reading of {end.name}</Button
                                    >{/each}</td
                            >
                        </tr>
                    {/each}
                </tbody>
            </table>
        {/if}
    {/if}
    {#if shown !== null && drawn !== null && shown.drawn.length > 0}
        <div class="mt-3">
            <TimeCurve
                seconds={shown.drawnS}
                figures={shown.drawn}
                marks={shown.marksS}
                label="{drawn.id} {bit(drawn.start)} against time"
            />
        </div>
    {/if}
    {#if shown !== null}
        <table class="ledger mt-3" aria-label="What is in it">
            <thead
                ><tr
                    ><th>Identifier</th><th>Frames</th><th>Every</th><th>How often each bit turns</th
                    >{#if shown.after.length > 0}<th>In the second</th>{/if}</tr
                ></thead
            >
            <tbody>
                {#each shown.rows.slice(0, LISTED) as row (row.identifier)}
                    {@const second = shown.after.find((one) => one.identifier === row.identifier)}
                    <tr>
                        <td class="mono">{row.identifier}</td>
                        <td class="mono">{row.frames}</td>
                        <td class="mono whitespace-nowrap"
                            >{row.periodMs === null ? '–' : `${row.periodMs} ms`}{#if row.jitterMs > 0}<span
                                    class="text-soft block">± {Math.round(50 * row.jitterMs) / 100}</span
                                >{/if}</td
                        >
                        <td
                            ><BitStrip
                                bytes={row.bytes}
                                signals={[]}
                                restless={row.restless}
                                place={drawn?.id === row.identifier ? drawn.start : null}
                                label="{row.identifier}: {row.restless.filter((one) => one > 0).length} bits turn{row
                                    .checks.length > 0
                                    ? `, byte ${row.checks.join(', ')} checks the others`
                                    : ''}"
                                onpick={(place) => read({ id: row.identifier, start: place })}
                            />{#if row.checks.length > 0}<span class="text-soft text-[13px]"
                                    >byte {row.checks.join(', ')} checks the others</span
                                >{/if}</td
                        >
                        {#if shown.after.length > 0}<td
                                >{#if second}<BitStrip
                                        bytes={second.bytes}
                                        signals={[]}
                                        restless={second.restless}
                                        label="{row.identifier} in the second: {second.restless.filter((one) => one > 0)
                                            .length} bits turn"
                                    />{:else}–{/if}</td
                            >{/if}
                    </tr>
                {/each}
            </tbody>
        </table>
        {#if shown.rows.length > LISTED}<p class="text-soft">… and {shown.rows.length - LISTED} more.</p>{/if}
    {/if}
</section>
