<script lang="ts">
    import type { Schemas } from '../../lib/api';
    import { actions, cellText, takesValue, type Action } from '../../lib/actions';
    import { moveInGrid } from '../../lib/grid';
    import { ulid } from '../../lib/ulid';
    import { add, change, remove, workspace } from '../../lib/workspace.svelte';
    import ChosenCell from './routes/ChosenCell.svelte';
    import type { StepProps } from '../steps';

    let { data, index, catalogue, planId, item }: StepProps = $props();

    type Control = Schemas['Control'];
    type Output = Schemas['Output'];

    const rows = $derived(
        index.nodes.flatMap((node) =>
            index.controlsOf(node.id).map((control, at) => ({ node, control, first: at === 0 })),
        ),
    );
    const groups = $derived(
        index.nodes
            .map((node) => ({ node, outputs: index.outputsOf(node.id) }))
            .filter((group) => group.outputs.length > 0),
    );
    const columns = $derived(
        groups.flatMap((group) => group.outputs.map((output, at) => ({ node: group.node, output, first: at === 0 }))),
    );
    const routes = $derived(
        new Map(data.document.routes.map((route) => [`${route.controlId} ${route.outputId}`, route])),
    );
    /** What is still to be said of each route, of the route itself and of its hops, the gravest first as the core lists them. */
    const troubled = $derived.by(() => {
        const routeOf = new Map(data.document.hops.map((hop) => [hop.id, hop.routeId]));
        const found: Record<string, Schemas['Finding'][]> = {};
        for (const finding of data.findings.filter((one) => !workspace.accepted.has(one.id))) {
            const id =
                finding.at.kind === 'route'
                    ? finding.at.id
                    : finding.at.kind === 'hop'
                      ? routeOf.get(finding.at.id)
                      : undefined;
            if (id !== undefined) {
                (found[id] ??= []).push(finding);
            }
        }
        return found;
    });

    let row = $state(0);
    let column = $state(0);
    let table = $state<HTMLTableElement | null>(null);

    const control = $derived(rows[row]?.control);
    const output = $derived(columns[column]?.output);
    const route = $derived(
        control === undefined || output === undefined ? undefined : routes.get(`${control.id} ${output.id}`),
    );
    const view = $derived(data.routes.find((one) => one.routeId === route?.id));
    const findings = $derived(route === undefined ? [] : (troubled[route.id] ?? []));

    $effect(() => {
        const named = index.route(item);
        if (named !== undefined) {
            row = Math.max(
                0,
                rows.findIndex((one) => one.control.id === named.controlId),
            );
            column = Math.max(
                0,
                columns.findIndex((one) => one.output.id === named.outputId),
            );
        }
    });

    function name(one: Control, other: Output): string {
        return `${index.node(one.nodeId)?.name} ${one.name} → ${index.node(other.nodeId)?.name} ${other.name}`;
    }

    function choose(one: Control, other: Output, action: Action | null): void {
        const existing = routes.get(`${one.id} ${other.id}`);
        if (action === null) {
            if (existing !== undefined) {
                void workspace.edit(`${name(one, other)}: nothing`, remove('route', existing.id));
            }
        } else if (existing === undefined) {
            const values = {
                controlId: one.id,
                outputId: other.id,
                action,
                pulseMs: action === 'pulse' ? 1000 : null,
                order: index.nextOrder(data.document.routes),
            };
            void workspace.edit(`${name(one, other)}: ${action}`, add('route', ulid(), values));
        } else if (existing.action !== action) {
            void workspace.edit(
                `${name(one, other)}: ${action}`,
                change('route', existing.id, {
                    action,
                    pulseMs: action === 'pulse' ? (existing.pulseMs ?? 1000) : null,
                    value: takesValue(action) ? existing.value : null,
                }),
            );
        }
    }

    const masters = $derived(data.masters.find((one) => one.outputId === output?.id)?.masters ?? []);

    function focusCell(nextRow: number, nextColumn: number): void {
        [row, column] = [nextRow, nextColumn];
        table?.querySelector<HTMLElement>(`[data-cell="${row}-${column}"]`)?.focus();
    }

    function key(event: KeyboardEvent): void {
        if (event.ctrlKey || event.metaKey || event.altKey) {
            return;
        }
        const next = moveInGrid(event, { row, column }, { rows: rows.length, columns: columns.length });
        const action = actions.find((one) => one.key === event.key.toLowerCase())?.action;
        if (next !== null) {
            focusCell(next.row, next.column);
        } else if (action !== undefined && control !== undefined && output !== undefined) {
            choose(control, output, action);
        } else if (
            (event.key === 'Backspace' || event.key === 'Delete') &&
            control !== undefined &&
            output !== undefined
        ) {
            choose(control, output, null);
        } else {
            return;
        }
        event.preventDefault();
    }
</script>

<h1>Routes</h1>
<p class="text-soft mt-0.5">
    What each control does to each output. Arrows move;
    {#each actions as one (one.action)}<kbd class="ml-1.5">{one.key}</kbd> {one.action}{/each}
    <kbd class="ml-1.5">⌫</kbd> none
</p>

{#if rows.length === 0 || columns.length === 0}
    <p class="sheet mt-4 max-w-[620px] p-4">
        Controls go down the side, outputs across the top. There are {rows.length} controls and {columns.length} outputs yet:
        <a class="quiet-link" href="#/plans/{planId}/nodes">add keys and relays to the nodes</a> first.
    </p>
{:else}
    <div class="sheet mt-3 max-w-full overflow-auto" style="max-height: calc(100vh - 400px)">
        <table bind:this={table} role="grid" aria-label="Switch table" class="border-collapse" onkeydown={key}>
            <thead class="bg-sheet sticky top-0 z-10">
                <tr>
                    <td class="bg-sheet border-rule sticky left-0 border-r"></td>
                    {#each groups as group (group.node.id)}<th
                            scope="colgroup"
                            colspan={group.outputs.length}
                            class="border-rule border-l px-2 pt-2 pb-1 text-left font-medium">{group.node.name}</th
                        >{/each}
                </tr>
                <tr class="border-rule border-b">
                    <td class="bg-sheet border-rule sticky left-0 border-r"></td>
                    {#each columns as one, at (one.output.id)}<th
                            scope="col"
                            id="c{at}"
                            class="text-soft px-2 pb-1.5 text-left font-normal whitespace-nowrap {one.first
                                ? 'border-rule border-l'
                                : ''}">{one.output.name}</th
                        >{/each}
                </tr>
            </thead>
            <tbody>
                {#each rows as line, at (line.control.id)}
                    <tr class="border-rule border-b">
                        <th
                            scope="row"
                            class="bg-sheet border-rule sticky left-0 z-[5] border-r px-3 py-1 text-left font-medium whitespace-nowrap"
                            ><span class="flex gap-3"
                                ><span class="w-[104px] truncate"
                                    >{#if line.first}{line.node.name}{:else}<span class="sr-only">{line.node.name}</span
                                        >{/if}</span
                                ><span class="text-soft font-normal">{line.control.name}</span></span
                            ></th
                        >
                        {#each columns as one, across (one.output.id)}
                            {@const cell = routes.get(`${line.control.id} ${one.output.id}`)}
                            {@const chosen = at === row && across === column}
                            <td
                                role="gridcell"
                                data-cell="{at}-{across}"
                                tabindex={chosen ? 0 : -1}
                                aria-selected={chosen}
                                aria-label="{line.node.name} {line.control.name}, {one.node.name} {one.output
                                    .name}: {cell ? cellText(cell) : 'none'}"
                                onfocus={() => ([row, column] = [at, across])}
                                onclick={() => focusCell(at, across)}
                                class="mono h-[31px] min-w-[58px] scroll-mt-[90px] scroll-ml-[290px] cursor-default px-2 whitespace-nowrap {one.first
                                    ? 'border-rule border-l'
                                    : ''} {chosen ? 'bg-tint outline-accent outline-2 -outline-offset-2' : ''} {cell &&
                                troubled[cell.id]
                                    ? 'border-b-fault border-b-2'
                                    : ''}"
                                >{cell ? cellText(cell) : ''}{#if cell && troubled[cell.id]}<span
                                        class="text-fault"
                                        title={troubled[cell.id]?.[0]?.title}
                                    >
                                        !</span
                                    >{/if}</td
                            >
                        {/each}
                    </tr>
                {/each}
            </tbody>
        </table>
    </div>
    {#if control !== undefined && output !== undefined}
        <ChosenCell
            {control}
            {output}
            {route}
            {view}
            {masters}
            {findings}
            allOffIds={data.allOff}
            {index}
            {catalogue}
            {planId}
            onchoose={(action) => choose(control, output, action)}
        />
    {/if}
{/if}
