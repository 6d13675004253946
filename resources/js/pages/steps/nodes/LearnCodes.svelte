<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { api, type Operation, type Schemas } from '../../../lib/api';
    import { Latest } from '../../../lib/latest';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { ulid } from '../../../lib/ulid';
    import { add, workspace } from '../../../lib/workspace.svelte';
    import PulseStrip from '../../../panels/PulseStrip.svelte';

    /** A capture session: paste or choose a file, see press by press what each said, name the keys, keep them. */
    interface Props {
        node: Schemas['Node'];
        index: PlanIndex;
        medium: Schemas['Medium'];
    }
    let { node, index, medium }: Props = $props();

    interface Row {
        learned: Schemas['Learned']['rows'][number];
        name: string;
        keep: boolean;
    }
    let text = $state('');
    let rows = $state<Row[] | null>(null);
    let problem = $state<string | null>(null);
    const captures = new Latest();
    /** Bits whose order no protocol says: the first that is sent may be the highest or the lowest. */
    let lowFirst = $state(false);
    const turnable = $derived((rows ?? []).some((row) => row.learned.turned !== null));
    const kept = $derived((rows ?? []).filter((row) => row.keep && row.name.trim() !== ''));
    const id = $props.id();

    /** Until the answer is there nothing can be named: it would take the names back. */
    async function read(): Promise<void> {
        problem = null;
        rows = null;
        const answer = await captures.ask(() =>
            api.POST('/api/plans/{plan}/nodes/{node}/learn', {
                params: { path: { plan: workspace.planId, node: node.id } },
                body: { medium: medium.key, text },
            }),
        );
        if (answer === null) {
            return;
        }
        const { data, error } = answer;
        if (data !== undefined) {
            rows = data.rows.map((learned, at) => ({
                learned,
                name: learned.name ?? `Key ${index.keyCodesOf(node.id).length + at + 1}`,
                keep: learned.sameAs === null && learned.known === null,
            }));
        } else {
            rows = null;
            problem = 'problems' in error ? error.problems.map((one) => one.message).join('; ') : error.message;
        }
    }

    /** A row as it is read now: its bits from the one end or from the other. */
    function reading(row: Row): { says: string; code: Record<string, unknown> } {
        return lowFirst && row.learned.turned !== null ? row.learned.turned : row.learned;
    }

    async function choose(event: Event): Promise<void> {
        const file = (event.currentTarget as HTMLInputElement).files?.[0];
        if (file !== undefined) {
            text = await file.text();
            await read();
        }
    }

    /** A remote's codes get a key each, an appliance's are given a function afterwards. */
    async function keep(): Promise<void> {
        const operations: Operation[] = [];
        let codeOrder = index.nextOrder(index.keyCodesOf(node.id));
        let keyOrder = index.nextOrder(index.controlsOf(node.id));
        const keys = Object.fromEntries(index.controlsOf(node.id).map((control) => [control.name, control.id]));
        for (const row of kept) {
            const name = row.name.trim();
            let controlId = keys[name] ?? null;
            if (node.kind === 'remote' && controlId === null) {
                controlId = ulid();
                keys[name] = controlId;
                operations.push(add('control', controlId, { nodeId: node.id, name, kind: 'key', order: keyOrder++ }));
            }
            operations.push(
                add('keyCode', ulid(), { nodeId: node.id, name, controlId, order: codeOrder++, ...reading(row).code }),
            );
        }
        if (await workspace.edit(`Learn ${kept.length} codes of ${node.name}`, ...operations)) {
            rows = null;
            text = '';
        }
    }
</script>

<section class="sheet mt-3 p-3" aria-label="Learn {medium.name} codes">
    <h2>Learn from a capture or a keymap</h2>
    <p class="text-soft">
        Press the keys one after another while a receiver's tool records, then paste what it printed: lines of
        <code>pulse 560</code> and <code>space 1690</code>, in microseconds. Or choose a file: a capture, or a TOML
        keymap.
    </p>
    <div class="mt-2 flex flex-wrap items-start gap-3">
        <div class="min-w-[260px] grow">
            <label for="{id}-text" class="text-soft block text-[14px]">Capture</label>
            <textarea
                id="{id}-text"
                bind:value={text}
                rows="4"
                spellcheck="false"
                class="mono bg-sheet border-rule text-ink w-full rounded-[4px] border px-2 py-1"></textarea>
        </div>
        <div class="space-y-2">
            <div>
                <label for="{id}-file" class="text-soft block text-[14px]">Or a file</label>
                <input
                    id="{id}-file"
                    type="file"
                    accept=".txt,.toml,.ir,text/plain"
                    onchange={choose}
                    class="text-ink file:!bg-sheet file:!text-ink file:!border-rule h-[31px] w-[230px] text-[14px] file:!ms-0 file:mr-3 file:h-[31px] file:rounded-[4px] file:!border file:!px-3 file:!py-0.5 file:!font-medium"
                />
            </div>
            <Button color="alternative" disabled={text.trim() === ''} onclick={read}>Read it</Button>
        </div>
    </div>
    {#if problem}<p role="alert" class="text-danger mt-2">The capture {problem}</p>{/if}
    {#if rows !== null}
        {#if turnable}
            <fieldset class="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1">
                <legend class="sr-only">Order of the bits</legend>
                <span class="text-soft"
                    >No known protocol says in which order these bits come. Read the first as the</span
                >
                {#each [false, true] as low (low)}
                    <label class="flex items-center gap-2"
                        ><input
                            type="radio"
                            name="{id}-order"
                            checked={lowFirst === low}
                            onchange={() => (lowFirst = low)}
                            class="text-accent border-soft bg-sheet"
                        />{low ? 'lowest (LSB first)' : 'highest (MSB first)'}</label
                    >
                {/each}
            </fieldset>
        {/if}
        <table class="ledger mt-3" aria-label="Presses">
            <thead
                ><tr
                    ><th class="w-[36px]"><span class="sr-only">Keep</span></th><th class="w-[24%]">Key</th><th>Says</th
                    ><th class="w-[26%]"><span class="sr-only">Marks and spaces</span></th><th>Sends</th><th>Remarks</th
                    ></tr
                ></thead
            >
            <tbody>
                {#each rows as row (row.learned.press)}
                    <tr class={row.keep ? '' : 'text-soft'}>
                        <td
                            ><input
                                type="checkbox"
                                bind:checked={row.keep}
                                aria-label="Keep press {row.learned.press}"
                                class="text-accent border-soft bg-sheet rounded-[2px]"
                            /></td
                        >
                        <td
                            ><input
                                bind:value={row.name}
                                aria-label="Name of press {row.learned.press}"
                                class="bg-sheet border-rule text-ink h-[29px] w-full rounded-[4px] border px-2"
                            /></td
                        >
                        <td class="mono">{reading(row).says}</td>
                        <td
                            >{#if row.learned.lengthsUs.length > 0}<PulseStrip
                                    lengthsUs={row.learned.lengthsUs}
                                    label="Marks and spaces of press {row.learned.press}"
                                    height={16}
                                />{/if}</td
                        >
                        <td class="mono whitespace-nowrap"
                            >{row.learned.sends}{row.learned.periodMs === null
                                ? ''
                                : ` · ${row.learned.periodMs} ms`}</td
                        >
                        <td class="text-[14px]"
                            >{row.learned.sameAs === null ? '' : `same as press ${row.learned.sameAs}`}
                            {row.learned.known === null ? '' : `known as ${row.learned.known}`}
                            {row.learned.toggle === null ? '' : `toggle bit ${row.learned.toggle ? 1 : 0}`}</td
                        >
                    </tr>
                {/each}
            </tbody>
        </table>
        <div class="mt-2">
            <Button disabled={kept.length === 0} onclick={keep}
                >{kept.length === 1 ? 'Keep one code' : `Keep ${kept.length} codes`}</Button
            >
        </div>
    {/if}
</section>
