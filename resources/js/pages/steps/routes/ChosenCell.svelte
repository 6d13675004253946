<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Catalogue, Schemas } from '../../../lib/api';
    import { actions, takesValue, type Action } from '../../../lib/actions';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { typed } from '../../../lib/typed';
    import { ulid } from '../../../lib/ulid';
    import { add, change, workspace } from '../../../lib/workspace.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import Sign from '../../../widgets/Sign.svelte';
    import TextField from '../../../widgets/TextField.svelte';
    import OutputMasters from './OutputMasters.svelte';
    import TwoSchools from '../../../widgets/TwoSchools.svelte';
    import ReactionBar from './ReactionBar.svelte';
    import StickTarget from './StickTarget.svelte';

    /** What one control does to one output: the action with its figures, the way there, the masters, the findings. */
    interface Props {
        control: Schemas['Control'];
        output: Schemas['Output'];
        route: Schemas['Route'] | undefined;
        view: Schemas['RouteWay'] | undefined;
        masters: Schemas['OutputMasters']['masters'];
        findings: Schemas['Finding'][];
        /** Ids of what "all off" reaches. */
        allOffIds: string[];
        index: PlanIndex;
        catalogue: Catalogue;
        planId: string;
        onchoose: (action: Action | null) => void;
    }
    let { control, output, route, view, masters, findings, allOffIds, index, catalogue, planId, onchoose }: Props =
        $props();

    const fitting = $derived(catalogue.controlKinds.find((one) => one.key === control.kind)?.actions ?? []);
    const controlName = $derived(`${index.node(control.nodeId)?.name} ${control.name}`);
    const name = $derived(`${controlName} → ${index.node(output.nodeId)?.name} ${output.name}`);
    const routed = $derived(
        new Set(index.document.routes.filter((one) => one.controlId === control.id).map((one) => one.outputId)),
    );
    /** What "all off" means and the control does not do yet. */
    const offMissing = $derived(allOffIds.filter((id) => !routed.has(id)));

    function allOff(): void {
        const first = index.nextOrder(index.document.routes);
        void workspace.edit(
            `${controlName}: all off`,
            ...offMissing.map((outputId, at) =>
                add('route', ulid(), {
                    controlId: control.id,
                    outputId,
                    action: 'off',
                    pulseMs: null,
                    order: first + at,
                }),
            ),
        );
    }

    function setPulse(existing: Schemas['Route'], text: string): void {
        const milliseconds = Math.round(Number(text.replace(',', '.')) * 1000);
        void workspace.edit(
            `Pulse of ${text} s`,
            change('route', existing.id, { pulseMs: Number.isFinite(milliseconds) ? milliseconds : text }),
        );
    }

    function setFade(existing: Schemas['Route'], text: string): void {
        const milliseconds = text.trim() === '' ? 0 : Math.round(Number(text.replace(',', '.')) * 1000);
        void workspace.edit(
            `Fade of ${text || '0'} s`,
            change('route', existing.id, { fadeMs: Number.isFinite(milliseconds) ? milliseconds : text }),
        );
    }

    function setValue(existing: Schemas['Route'], text: string): void {
        void workspace.edit(`${existing.action} ${text}`, change('route', existing.id, { value: typed(text) }));
    }
</script>

<section class="sheet mt-3 p-3" aria-label="The chosen cell">
    <div class="flex flex-wrap items-end gap-4">
        <h2 class="pb-1">{name}</h2>
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
            onsave={(value) => onchoose(value === '' ? null : (value as Action))}
        />
        {#if fitting.includes('off') && offMissing.length > 0}
            <Button
                color="alternative"
                title="Routes it with off to every output that is switched on from somewhere"
                onclick={allOff}>All off</Button
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
        {#if route !== undefined && (output.kind === 'function' || route.fadeMs > 0)}
            <div class="flex items-end gap-1">
                <TextField
                    label="Fade, seconds"
                    quiet
                    mono
                    class="w-[80px]"
                    placeholder="at once"
                    value={route.fadeMs === 0 ? '' : String(route.fadeMs / 1000)}
                    onsave={(text) => setFade(route, text)}
                /><span class="pb-1">s fade</span>
            </div>
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
    {#if route?.action === 'set' && route.value === null && control.kind === 'axis'}<StickTarget
            {route}
            {control}
            {index}
        />{/if}
    {#if view?.time}<ReactionBar time={view.time} />{/if}
    {#if view?.answer}<TwoSchools answer={view.answer} />{/if}
    <OutputMasters {output} {masters} {index} {catalogue} />
    {#each findings as finding (finding.id)}
        <p class="mt-2 flex items-center gap-2">
            <Sign severity={finding.severity} size={16} /> <b class="font-medium">{finding.title}.</b>
            <span class="text-soft">{finding.remedy}</span>
            {#if finding.fix}<Button
                    color="alternative"
                    onclick={() => finding.fix && workspace.editExactly(finding.fix.label, ...finding.fix.operations)}
                    >{finding.fix.label}</Button
                >{/if}
        </p>
    {/each}
</section>
