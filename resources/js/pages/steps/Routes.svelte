<script lang="ts">
    import type { Schemas } from '../../lib/api';
    import { actions, takesValue, type Action } from '../../lib/actions';
    import { view } from '../../lib/shown.svelte';
    import { ulid } from '../../lib/ulid';
    import { add, change, remove, workspace } from '../../lib/workspace.svelte';
    import ChosenCell from './routes/ChosenCell.svelte';
    import SwitchTable from './routes/SwitchTable.svelte';
    import type { StepProps } from '../steps';

    let { data, index, catalogue, planId, item }: StepProps = $props();

    type Control = Schemas['Control'];
    type Output = Schemas['Output'];

    const rows = $derived(
        index.nodes.flatMap((node) =>
            index.controlsOf(node.id).map((control, at) => ({ node, control, first: at === 0 })),
        ),
    );
    const columns = $derived(
        index.nodes.flatMap((node) =>
            index.outputsOf(node.id).map((output, at) => ({ node, output, first: at === 0 })),
        ),
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

    const control = $derived(rows[row]?.control);
    const output = $derived(columns[column]?.output);
    const route = $derived(
        control === undefined || output === undefined ? undefined : routes.get(`${control.id} ${output.id}`),
    );
    const way = view('route-way', () => route?.id);
    const driven = view('output-masters', () => output?.id);
    const allOff = view('all-off');
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

    const masters = $derived(driven.now?.masters ?? []);

    function key(event: KeyboardEvent): boolean {
        if (control === undefined || output === undefined) {
            return false;
        }
        const action = actions.find((one) => one.key === event.key.toLowerCase())?.action;
        if (action !== undefined) {
            choose(control, output, action);
        } else if (event.key === 'Backspace' || event.key === 'Delete') {
            choose(control, output, null);
        } else {
            return false;
        }
        return true;
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
    <SwitchTable {rows} {columns} bind:row bind:column {routes} {troubled} onkey={key} />
    {#if control !== undefined && output !== undefined}
        {#key `${control.id} ${output.id}`}
            <ChosenCell
                {control}
                {output}
                {route}
                view={way.now ?? undefined}
                {masters}
                {findings}
                allOffIds={allOff.now?.outputIds ?? []}
                {index}
                {catalogue}
                {planId}
                onchoose={(action) => choose(control, output, action)}
            />
        {/key}
    {/if}
{/if}
