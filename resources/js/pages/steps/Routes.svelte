<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../../lib/api';
    import { actions, cellText, takesValue, type Action } from '../../lib/actions';
    import { moveInGrid } from '../../lib/grid';
    import { ulid } from '../../lib/ulid';
    import { add, change, remove, workspace } from '../../lib/workspace.svelte';
    import Sign from '../../widgets/Sign.svelte';
    import SelectField from '../../widgets/SelectField.svelte';
    import TextField from '../../widgets/TextField.svelte';
    import OutputMasters from './routes/OutputMasters.svelte';
    import type { StepProps } from '../steps';

    let { data, index, catalogue, planId, item }: StepProps = $props();

    type Control = Schemas['Control'];
    type Output = Schemas['Output'];
    type Route = Schemas['Route'];

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
    const fitting = $derived(catalogue.controlKinds.find((one) => one.key === control?.kind)?.actions ?? []);

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

    /** What "all off" means and the chosen control does not do yet. */
    const offMissing = $derived(data.allOff.filter((id) => !routes.has(`${control?.id} ${id}`)));

    function allOff(one: Control): void {
        const first = index.nextOrder(data.document.routes);
        void workspace.edit(
            `${index.node(one.nodeId)?.name} ${one.name}: all off`,
            ...offMissing.map((outputId, at) =>
                add('route', ulid(), { controlId: one.id, outputId, action: 'off', pulseMs: null, order: first + at }),
            ),
        );
    }

    function setPulse(existing: Route, text: string): void {
        const milliseconds = Math.round(Number(text.replace(',', '.')) * 1000);
        void workspace.edit(
            `Pulse of ${text} s`,
            change('route', existing.id, { pulseMs: Number.isFinite(milliseconds) ? milliseconds : text }),
        );
    }

    /** What was typed goes to the core as a number when it is one, and as it stands when not: the core says what is wrong. */
    function setValue(existing: Route, text: string): void {
        const value = text === '' ? null : /^[-+]?\d+$/.test(text) ? Number(text) : text;
        void workspace.edit(`${existing.action} ${text}`, change('route', existing.id, { value }));
    }

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
        <section class="sheet mt-3 p-3" aria-label="The chosen cell">
            <div class="flex flex-wrap items-end gap-4">
                <h2 class="pb-1">{name(control, output)}</h2>
                <SelectField
                    label="Action"
                    quiet
                    value={route?.action ?? ''}
                    empty="none"
                    class="w-[150px]"
                    items={actions.map((one) => ({
                        value: one.action,
                        name: fitting.includes(one.action) ? one.action : `${one.action} (unfit)`,
                    }))}
                    onsave={(value) => choose(control, output, value === '' ? null : (value as Action))}
                />
                {#if fitting.includes('off') && offMissing.length > 0}
                    <Button
                        color="alternative"
                        title="Routes it with off to every output that is switched on from somewhere"
                        onclick={() => allOff(control)}>All off</Button
                    >
                {/if}
                {#if route?.action === 'pulse'}
                    <div class="flex items-end gap-1">
                        <TextField
                            label="Pulse, seconds"
                            quiet
                            mono
                            class="w-[80px]"
                            value={String((route.pulseMs ?? 0) / 1000)}
                            onsave={(text) => setPulse(route, text)}
                        /><span class="pb-1">s</span>
                    </div>
                {/if}
                {#if route !== undefined && takesValue(route.action)}
                    <TextField
                        label={route.action === 'step' ? 'Step by' : 'Value'}
                        quiet
                        mono
                        class="w-[160px]"
                        placeholder={route.action === 'set' ? 'from the control' : '+1 or -1'}
                        value={String(route.value ?? '')}
                        onsave={(text) => setValue(route, text)}
                    />
                {/if}
                {#if view !== undefined && route !== undefined}
                    <p class="text-soft pb-1">
                        {#if view.hops.length === 0}{view.time ? 'inside the node' : 'no way leads there'}{/if}
                        {#each view.hops as hop, at (at)}{at > 0 ? ', then ' : 'over '}{index.link(hop.linkId)?.name}
                            <span class="mono">{hop.address ?? ''} {hop.code ?? 'no code yet'}</span>{/each}
                    </p>
                    <a class="quiet-link pb-1" href="#/plans/{planId}/map/{route.id}">Trace on the line map</a>
                {/if}
            </div>
            {#if view?.time}
                <div class="mt-2 flex items-center gap-3">
                    <div
                        class="flex h-[22px] grow overflow-hidden rounded-[3px] text-[13px] text-white"
                        aria-hidden="true"
                    >
                        {#each view.time.segments.filter((segment) => segment.share > 0.004) as segment, at (at)}
                            <span
                                class="truncate px-1.5 leading-[22px] {segment.kind === 'airtime' ||
                                segment.kind === 'retries'
                                    ? 'bg-[#1f6fb5]'
                                    : segment.kind === 'waiting'
                                      ? 'bg-[#0b6b6b]'
                                      : 'bg-[#5a6a6b]'} border-sheet border-r"
                                style="flex: {Math.max(segment.share, 0.03)} 0 0"
                                title="{segment.label}: {segment.best} to {segment.worst}">{segment.label}</span
                            >
                        {/each}
                    </div>
                    <p class="shrink-0">
                        press to click <b class="mono">{view.time.typical}</b>,
                        <span class="mono">{view.time.worst}</span> at worst
                    </p>
                </div>
            {/if}
            <OutputMasters {output} {masters} {index} {catalogue} />
            {#each findings as finding (finding.id)}
                <p class="mt-2 flex items-center gap-2">
                    <Sign severity={finding.severity} size={16} /> <b class="font-medium">{finding.title}.</b>
                    <span class="text-soft">{finding.remedy}</span>
                    {#if finding.fix}<Button
                            color="alternative"
                            onclick={() => finding.fix && workspace.edit(finding.fix.label, ...finding.fix.operations)}
                            >{finding.fix.label}</Button
                        >{/if}
                </p>
            {/each}
        </section>
    {/if}
{/if}
