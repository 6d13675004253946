<script lang="ts">
    import { push } from 'svelte-spa-router';
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { change, workspace } from '../../../lib/workspace.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';

    /** Outputs down, phases across: what each load does then, with the chain behind each cell a click away. */
    interface Props {
        matrix: Schemas['SafeMatrix'];
        index: PlanIndex;
        catalogue: Catalogue;
        planId: string;
        opened: string;
        phase: string | undefined;
    }
    let { matrix, index, catalogue, planId, opened, phase }: Props = $props();

    /** Those that somebody said something about, or should, come first; the rest when it is asked for. */
    const judged = $derived(
        matrix.rows
            .filter((row) => {
                const output = index.output(row.outputId);
                return row.asked !== null || output?.safe !== null || output.hazards.length > 0;
            })
            // What nothing is known of comes after what is.
            .sort((a, b) => Number(a.cells.length === 0) - Number(b.cells.length === 0)),
    );
    const rest = $derived(matrix.rows.filter((row) => !judged.includes(row)));
    let all = $state(false);
    const rows = $derived(
        judged.length === 0 || all
            ? [...judged, ...rest]
            : [...judged, ...rest.filter((row) => row.outputId === opened)],
    );

    let box = $state<HTMLElement>();
    $effect(() => {
        const row = box?.querySelector<HTMLElement>(`[data-output="${opened}"]`);
        if (box !== undefined && row !== null && row !== undefined) {
            const head = 34;
            const above = row.offsetTop - head < box.scrollTop;
            const below = row.offsetTop + row.offsetHeight > box.scrollTop + box.clientHeight;
            if (above || below) {
                box.scrollTop = row.offsetTop - head;
            }
        }
    });

    /** What was said, until somebody has: only where somebody should. */
    function declare(output: Schemas['Output'], safe: string): void {
        void workspace.edit(`Safe state of ${output.name}`, change('output', output.id, { safe: safe || null }));
    }
</script>

<section
    class="sheet relative mt-2 max-h-[48vh] min-h-[180px] overflow-auto"
    aria-label="Matrix of safe states"
    bind:this={box}
>
    <table class="ledger tight w-full">
        <thead class="bg-sheet sticky top-0 z-10">
            <tr>
                <th class="min-w-[170px]">Output</th>
                <th class="w-[124px]">Must be</th>
                {#each matrix.phases as one (one.key)}<th class="px-1.5 whitespace-nowrap">{one.words}</th>{/each}
            </tr>
        </thead>
        <tbody>
            {#each rows as row (row.outputId)}
                {@const output = index.output(row.outputId)}
                {#if output !== undefined}
                    <tr data-output={row.outputId} class={row.outputId === opened ? 'bg-tint' : ''}>
                        <td>
                            <a class="font-medium hover:underline" href="#/plans/{planId}/safe/{row.outputId}"
                                >{output.name}</a
                            >
                            <span class="text-soft">{index.node(row.nodeId)?.name}</span>
                        </td>
                        <td>
                            {#if row.asked === null && row.left !== null}
                                <span class="text-soft pl-2">its owner says</span>
                            {:else if row.outputId === opened || (row.asked !== null && output.safe === null)}
                                <SelectField
                                    label="What {output.name} of {index.node(row.nodeId)?.name} must be"
                                    quiet
                                    class="w-[118px]"
                                    value={output.safe ?? ''}
                                    empty={row.asked === null ? 'not said' : 'say it'}
                                    items={catalogue.safeStates.map((one) => ({ value: one.key, name: one.name }))}
                                    onsave={(safe) => declare(output, safe)}
                                />
                            {:else}
                                <span class="text-soft pl-2"
                                    >{catalogue.safeStates.find((one) => one.key === output.safe)?.name ??
                                        'not said'}</span
                                >
                            {/if}
                        </td>
                        {#each row.cells as cell (cell.phase)}
                            <td class="p-0">
                                {#if cell.word !== ''}
                                    <button
                                        type="button"
                                        class="mono h-full w-full border-l-[3px] px-1.5 py-1.5 text-left text-[12.5px] {cell.isUnsafe
                                            ? 'border-danger bg-unsafe text-danger font-medium'
                                            : 'border-transparent'} {row.outputId === opened && cell.phase === phase
                                            ? 'outline-accent outline-2 -outline-offset-2'
                                            : ''}"
                                        aria-label="{output.name}, {matrix.phases.find((one) => one.key === cell.phase)
                                            ?.words}: {cell.word}{cell.isUnsafe ? ', not safe' : ''}"
                                        onclick={() => push(`/plans/${planId}/safe/${row.outputId}.${cell.phase}`)}
                                        >{cell.isUnsafe ? cell.word.toUpperCase() : cell.word.toLowerCase()}</button
                                    >
                                {/if}
                            </td>
                        {:else}
                            <td colspan={matrix.phases.length} class="text-soft text-[13.5px]">{row.left}</td>
                        {/each}
                    </tr>
                {/if}
            {/each}
            {#if rest.length > 0 && judged.length > 0}
                <tr
                    ><td colspan={matrix.phases.length + 2}
                        ><button type="button" class="quiet-link" aria-expanded={all} onclick={() => (all = !all)}
                            >{all ? 'Only those that must say it' : `${rest.length} more that need not say it`}</button
                        ></td
                    ></tr
                >
            {/if}
        </tbody>
    </table>
</section>
