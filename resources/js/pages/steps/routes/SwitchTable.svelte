<script lang="ts">
    import { tick } from 'svelte';
    import { cellText } from '../../../lib/actions';
    import type { Schemas } from '../../../lib/api';
    import { moveInGrid } from '../../../lib/grid';
    import { firstWhole, keyOf, lengthOf, piecesInView, startsOf } from '../../../lib/window';

    type Line = { node: Schemas['Node']; control: Schemas['Control']; first: boolean };
    type Column = { node: Schemas['Node']; output: Schemas['Output']; first: boolean };

    interface Props {
        rows: Line[];
        columns: Column[];
        row: number;
        column: number;
        /** By "control output". */
        routes: Map<string, Schemas['Route']>;
        /** By route. */
        troubled: Record<string, Schemas['Finding'][]>;
        /** A key that moves nowhere; says whether it meant anything. */
        onkey: (event: KeyboardEvent) => boolean;
    }

    let { rows, columns, row = $bindable(), column = $bindable(), routes, troubled, onkey }: Props = $props();

    /** A table of so many cells is drawn whole; of a larger one only what is in view. */
    const WHOLE = 6_000;
    const ROW = 31;
    let table = $state<HTMLTableElement | null>(null);
    /** Before the page is laid out, as much as could be in view. */
    let view = $state({ width: window.innerWidth, height: window.innerHeight, left: 0, top: 0 });

    // Letters are narrower than this, so that no heading and no action is cut that fits at all.
    const wide = (text: string, letter = 7.6): number => Math.ceil(text.length * letter) + 18;
    const named = $derived(
        132 +
            Math.min(
                200,
                rows.reduce((most, line) => Math.max(most, wide(line.control.name, 6.8)), 60),
            ),
    );
    const said = $derived.by(() => {
        const most: Record<string, number> = {};
        for (const route of routes.values()) {
            const width = wide(`${cellText(route)}${troubled[route.id] ? ' !' : ''}`, 8);
            most[route.outputId] = Math.max(most[route.outputId] ?? 62, width);
        }
        return most;
    });
    const widths = $derived(
        columns.map((one, at) => {
            const alone = one.first && columns[at + 1]?.first !== false;
            const headings = [one.output.name, ...(alone ? [one.node.name] : [])];
            return Math.max(said[one.output.id] ?? 62, ...headings.map((heading) => wide(heading)));
        }),
    );
    const lefts = $derived(startsOf(widths));
    const tops = $derived(startsOf(rows.map(() => ROW)));
    const whole = $derived(rows.length * columns.length <= WHOLE);
    const down = $derived(piecesInView(tops, view.top, whole ? null : view.height, row));
    const across = $derived(piecesInView(lefts, view.left, whole ? null : view.width, column));
    /** The topmost row says whose it is, also where its node began above. */
    const topmost = $derived(firstWhole(tops, view.top));
    /** Columns beside each other that belong to one node, as far as they are drawn. */
    const groups = $derived.by(() => {
        const found: { key: string; name: string; span: number }[] = [];
        for (const piece of across) {
            const one = 'at' in piece ? columns[piece.at] : undefined;
            const last = found.at(-1);
            if (one !== undefined && last?.key === one.node.id) {
                last.span++;
            } else {
                found.push({ key: one?.node.id ?? `gap ${found.length}`, name: one?.node.name ?? '', span: 1 });
            }
        }
        return found;
    });

    async function focusCell(nextRow: number, nextColumn: number): Promise<void> {
        [row, column] = [nextRow, nextColumn];
        await tick();
        table?.querySelector<HTMLElement>(`[data-cell="${row}-${column}"]`)?.focus();
    }

    function key(event: KeyboardEvent): void {
        const next = moveInGrid(event, { row, column }, { rows: rows.length, columns: columns.length });
        if (next !== null) {
            void focusCell(next.row, next.column);
        } else if (event.ctrlKey || event.metaKey || event.altKey || !onkey(event)) {
            return;
        }
        event.preventDefault();
    }
</script>

<div
    class="sheet mt-3 max-w-full overflow-auto"
    style="max-height: calc(100vh - 400px)"
    bind:clientWidth={view.width}
    bind:clientHeight={view.height}
    onscroll={(event) => ([view.left, view.top] = [event.currentTarget.scrollLeft, event.currentTarget.scrollTop])}
>
    <table
        bind:this={table}
        role="grid"
        aria-label="Switch table"
        aria-rowcount={rows.length + 2}
        aria-colcount={columns.length + 1}
        class="table-fixed border-collapse"
        style="width: {named + (lefts.at(-1) ?? 0)}px"
        onkeydown={key}
    >
        <colgroup>
            <col style="width: {named}px" />
            {#each across as piece (keyOf(piece))}<col style="width: {lengthOf(piece, lefts)}px" />{/each}
        </colgroup>
        <thead class="bg-sheet sticky top-0 z-10 shadow-[0_1px_0_var(--rule)]">
            <tr aria-rowindex={1}>
                <td class="bg-sheet sticky left-0 z-[6] shadow-[inset_-1px_0_0_var(--rule)]"></td>
                {#each groups as group, at (`${group.key} ${at}`)}{#if group.name === ''}<td></td>{:else}<th
                            scope="colgroup"
                            colspan={group.span}
                            title={group.name}
                            class="border-rule truncate border-l px-2 pt-2 pb-1 text-left font-medium">{group.name}</th
                        >{/if}{/each}
            </tr>
            <tr class="border-rule border-b" aria-rowindex={2}>
                <td class="bg-sheet sticky left-0 z-[6] shadow-[inset_-1px_0_0_var(--rule)]"></td>
                {#each across as piece (keyOf(piece))}
                    {@const one = 'at' in piece ? columns[piece.at] : undefined}
                    {#if 'at' in piece && one !== undefined}<th
                            scope="col"
                            aria-colindex={piece.at + 2}
                            title={one.output.name}
                            class="text-soft truncate px-2 pb-1.5 text-left font-normal {one.first
                                ? 'border-rule border-l'
                                : ''}">{one.output.name}</th
                        >{:else}<td></td>{/if}
                {/each}
            </tr>
        </thead>
        <tbody>
            {#each down as strip (keyOf(strip))}
                {@const line = 'at' in strip ? rows[strip.at] : undefined}
                {#if !('at' in strip) || line === undefined}
                    <tr aria-hidden="true" style="height: {lengthOf(strip, tops)}px"></tr>
                {:else}
                    {@const at = strip.at}
                    <tr class="border-rule border-b" aria-rowindex={at + 3}>
                        <th
                            scope="row"
                            class="bg-sheet sticky left-0 z-[5] px-3 shadow-[inset_-1px_0_0_var(--rule)] text-left font-medium"
                            ><span class="flex gap-3"
                                ><span class="w-[104px] shrink-0 truncate"
                                    >{#if line.first || at === topmost}{line.node.name}{:else}<span class="sr-only"
                                            >{line.node.name}</span
                                        >{/if}</span
                                ><span class="text-soft truncate font-normal" title={line.control.name}
                                    >{line.control.name}</span
                                ></span
                            ></th
                        >
                        {#each across as piece (keyOf(piece))}
                            {@const one = 'at' in piece ? columns[piece.at] : undefined}
                            {#if 'at' in piece && one !== undefined}
                                {@const cell = routes.get(`${line.control.id} ${one.output.id}`)}
                                {@const chosen = at === row && piece.at === column}
                                <td
                                    role="gridcell"
                                    data-cell="{at}-{piece.at}"
                                    tabindex={chosen ? 0 : -1}
                                    aria-selected={chosen}
                                    aria-colindex={piece.at + 2}
                                    aria-label="{line.node.name} {line.control.name}, {one.node.name} {one.output
                                        .name}: {cell ? cellText(cell) : 'none'}"
                                    onfocus={() => ([row, column] = [at, piece.at])}
                                    onclick={() => focusCell(at, piece.at)}
                                    class="mono h-[31px] scroll-mt-[90px] scroll-ml-[330px] cursor-default truncate px-2 {one.first
                                        ? 'border-rule border-l'
                                        : ''} {chosen
                                        ? 'bg-tint outline-accent outline-2 -outline-offset-2'
                                        : ''} {cell && troubled[cell.id] ? 'border-b-fault border-b-2' : ''}"
                                    >{cell ? cellText(cell) : ''}{#if cell && troubled[cell.id]}<span
                                            class="text-fault"
                                            title={troubled[cell.id]?.[0]?.title}
                                        >
                                            !</span
                                        >{/if}</td
                                >
                            {:else}<td aria-hidden="true"></td>{/if}
                        {/each}
                    </tr>
                {/if}
            {/each}
        </tbody>
    </table>
</div>
