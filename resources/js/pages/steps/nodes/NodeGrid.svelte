<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../../../lib/api';
    import { moveInGrid } from '../../../lib/grid';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { change, workspace } from '../../../lib/workspace.svelte';
    import PulseStrip from '../../../panels/PulseStrip.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';

    /** What an appliance or toy can be told: a row a function, a column an action or value, its code in the cell. */
    interface Props {
        node: Schemas['Node'];
        index: PlanIndex;
        grid: Schemas['CodeGrid'];
        said: Map<string, { says: string; lengthsUs: number[] }>;
    }
    let { node, index, grid, said }: Props = $props();

    let row = $state(0);
    let column = $state(0);
    let table = $state<HTMLTableElement | null>(null);

    const withChannel = $derived(grid.rows.some((one) => one.channel !== null));
    const chosen = $derived(grid.rows[row]);
    const cell = $derived(chosen?.cells[column]);
    const head = $derived(grid.columns[column]);
    const code = $derived(index.keyCodesOf(node.id).find((one) => one.id === cell?.codeId));
    const spare = $derived(index.keyCodesOf(node.id).filter((one) => one.outputId === null));
    const missing = $derived(grid.rows.flatMap((one) => one.cells).filter((one) => one.wanted && one.codeId === null));

    function words(name: string, label: string, one: Schemas['CodeGrid']['rows'][number]['cells'][number]): string {
        const has = one.says ?? (one.codeId === null ? (one.wanted ? 'no code' : 'not used') : 'a code');
        return `${name} ${label}: ${has}${one.asked ? ', routed' : ''}`;
    }

    function focusCell(nextRow: number, nextColumn: number): void {
        [row, column] = [nextRow, nextColumn];
        table?.querySelector<HTMLElement>(`[data-cell="${nextRow}-${nextColumn}"]`)?.focus();
    }

    function key(event: KeyboardEvent): void {
        const next = moveInGrid(event, { row, column }, { rows: grid.rows.length, columns: grid.columns.length });
        if (next !== null) {
            focusCell(next.row, next.column);
            event.preventDefault();
        }
    }

    function give(codeId: string): void {
        if (chosen !== undefined && head !== undefined && codeId !== '') {
            const values = { outputId: chosen.outputId, action: head.action, value: head.value };
            void workspace.edit(`Code of ${chosen.name} ${head.label}`, change('keyCode', codeId, values));
        }
    }
</script>

<section class="sheet mt-3" aria-label="What it can be told">
    <div class="flex flex-wrap items-baseline gap-x-4 px-3 pt-2">
        <h2>What it can be told</h2>
        <p class="text-soft text-[14px]">
            {missing.length === 0
                ? 'A code in every cell that needs one.'
                : missing.length === 1
                  ? 'One cell still needs a code.'
                  : `${missing.length} cells still need a code.`}
            <span class="border-accent ml-2 border-b-2">underlined</span>: something is routed to it
        </p>
    </div>
    <div class="mt-1 max-w-full overflow-auto">
        <table bind:this={table} role="grid" aria-label="Codes of {node.name}" class="border-collapse" onkeydown={key}>
            <thead>
                <tr class="border-rule border-b">
                    {#if withChannel}<th scope="col" class="text-soft px-3 pb-1 text-left font-normal">Channel</th>{/if}
                    <th scope="col" class="text-soft px-3 pb-1 text-left font-normal">Function</th>
                    {#each grid.columns as one (one.label)}<th
                            scope="col"
                            class="mono text-soft px-2 pb-1 text-center font-normal whitespace-nowrap">{one.label}</th
                        >{/each}
                </tr>
            </thead>
            <tbody>
                {#each grid.rows as line, at (line.outputId)}
                    <tr class="border-rule border-b last:border-b-0">
                        {#if withChannel}<td class="mono px-3">{line.channel ?? ''}</td>{/if}
                        <th scope="row" class="px-3 py-1 text-left font-medium whitespace-nowrap">{line.name}</th>
                        {#each line.cells as one, across (grid.columns[across]?.label)}
                            {@const here = at === row && across === column}
                            <td
                                role="gridcell"
                                data-cell="{at}-{across}"
                                tabindex={here ? 0 : -1}
                                aria-selected={here}
                                aria-label={words(line.name, grid.columns[across]?.label ?? '', one)}
                                onfocus={() => ([row, column] = [at, across])}
                                onclick={() => focusCell(at, across)}
                                class="mono h-[31px] min-w-[44px] cursor-default px-2 text-center whitespace-nowrap {here
                                    ? 'bg-tint outline-accent outline-2 -outline-offset-2'
                                    : ''}"
                                >{#if one.codeId !== null}<span class={one.asked ? 'border-accent border-b-2' : ''}
                                        >{one.says ?? 'code'}</span
                                    >{:else if one.wanted}<span
                                        class={one.asked
                                            ? 'text-fault border-fault border-b-2 font-semibold'
                                            : 'text-soft'}>?</span
                                    >{:else}<span class="text-soft" aria-hidden="true">·</span>{/if}</td
                            >
                        {/each}
                    </tr>
                {/each}
            </tbody>
        </table>
    </div>
    {#if chosen !== undefined && head !== undefined && cell !== undefined}
        <div class="border-rule flex min-h-[47px] flex-wrap items-center gap-x-4 gap-y-1 border-t px-3 py-2">
            <p><b class="font-medium">{chosen.name}</b> <span class="mono">{head.label}</span></p>
            {#if code !== undefined}
                {@const more = said.get(code.id)}
                <p class="mono">{more?.says ?? code.protocol}</p>
                {#if more !== undefined && more.lengthsUs.length > 0}<div class="w-[220px]">
                        <PulseStrip lengthsUs={more.lengthsUs} label="Marks and spaces of {code.name}" height={16} />
                    </div>{/if}
                <p class="text-soft">learned as {code.name}</p>
                <Button
                    color="alternative"
                    onclick={() =>
                        workspace.edit(
                            `Take ${code.name} off ${chosen.name} ${head.label}`,
                            change('keyCode', code.id, { outputId: null, action: null, value: null }),
                        )}>Take the code off</Button
                >
            {:else if spare.length > 0}
                <SelectField
                    label="Code that makes it do that"
                    class="w-[220px]"
                    quiet
                    value=""
                    empty="give it a learned code"
                    items={spare.map((one) => ({ value: one.id, name: one.name }))}
                    onsave={give}
                />
            {:else}
                <p class="text-soft">No code. Learn it below, or lay the set out.</p>
            {/if}
        </div>
    {/if}
</section>
