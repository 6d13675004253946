<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { ulid } from '../../../lib/ulid';
    import { add, change, remove, workspace } from '../../../lib/workspace.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import SettingInput from '../../../widgets/SettingInput.svelte';
    import TextField from '../../../widgets/TextField.svelte';
    import AnswerStrip from './AnswerStrip.svelte';
    import StepRoute from './StepRoute.svelte';

    /** How a node's outputs stand, told to others: of which, by what it is sensed, how often it is told, and what shows it. */
    interface Props {
        node: Schemas['Node'];
        index: PlanIndex;
        catalogue: Catalogue;
        planId: string;
    }
    let { node, index, catalogue, planId }: Props = $props();

    const kind = $derived(catalogue.controlKinds.find((one) => one.key === 'state'));
    const outputs = $derived(index.outputsOf(node.id));
    const states = $derived(index.controlsOf(node.id).filter((one) => one.kind === 'state'));
    const of = (state: Schemas['Control']): Schemas['Output'] | undefined =>
        outputs.find((one) => one.stateIds.includes(state.id));
    const untold = $derived(outputs.filter((one) => one.stateIds.length === 0));
    const sensors = $derived(
        index.controlsOf(node.id).filter((one) => ['button', 'switch', 'reading'].includes(one.kind)),
    );
    const verbs = $derived((kind?.actions ?? []).map((action) => ({ value: action, name: action })));

    /** What can show a state, first where somebody asks for the output. */
    function showing(state: Schemas['Control']): { value: string; name: string }[] {
        const asking = new Set(
            index.document.routes
                .filter((route) => route.outputId === of(state)?.id)
                .map((route) => index.document.controls.find((one) => one.id === route.controlId)?.nodeId),
        );
        const shown = new Set(routesOf(state).map((route) => route.outputId));
        return index.document.outputs
            .filter((one) => ['lamp', 'display', 'message', 'strip', 'tone'].includes(one.kind) && !shown.has(one.id))
            .map((one) => ({
                value: one.id,
                near: asking.has(one.nodeId),
                name: `${index.node(one.nodeId)?.name} · ${one.name}`,
            }))
            .sort((a, b) => Number(b.near) - Number(a.near));
    }

    function routesOf(state: Schemas['Control']): Schemas['Route'][] {
        return index.document.routes.filter((one) => one.controlId === state.id);
    }

    function addState(outputId: string): void {
        const output = outputs.find((one) => one.id === outputId);
        if (output === undefined) {
            return;
        }
        const id = ulid();
        void workspace.edit(
            `${node.name} tells how ${output.name} stands`,
            add('control', id, {
                nodeId: node.id,
                name: `${output.name} is`,
                kind: 'state',
                order: index.nextOrder(index.controlsOf(node.id)),
            }),
            change('output', output.id, { stateIds: [...output.stateIds, id] }),
        );
    }

    function addRoute(state: Schemas['Control'], outputId: string): void {
        const target = index.document.outputs.find((one) => one.id === outputId);
        void workspace.edit(
            `${target?.name} shows ${state.name}`,
            add('route', ulid(), {
                controlId: state.id,
                outputId,
                action: 'follow',
                pulseMs: null,
                order: index.nextOrder(index.document.routes),
            }),
        );
    }
</script>

<section class="sheet mt-3" aria-label="States">
    <table class="ledger">
        <thead
            ><tr
                ><th class="w-[27%]"><span class="text-ink font-semibold">States</span> how outputs stand</th><th
                    class="w-[30%]">Told</th
                ><th>Shown by</th><th class="w-[76px]"><span class="sr-only">Remove</span></th></tr
            ></thead
        >
        <tbody>
            {#each states as state (state.id)}
                <tr>
                    <td class="align-top"
                        ><TextField
                            label="Name of the state of {of(state)?.name ?? 'nothing'}"
                            quiet
                            value={state.name}
                            onsave={(name) =>
                                workspace.edit(
                                    `Rename ${state.name} to ${name}`,
                                    change('control', state.id, { name }),
                                )}
                        />
                        <div class="text-soft px-1">{of(state) ? `of ${of(state)?.name}` : 'of nothing'}</div></td
                    >
                    <td class="align-top"
                        ><SelectField
                            label="Sensed by"
                            spoken="What senses {state.name}"
                            class="w-full"
                            value={state.measuredId ?? ''}
                            empty="nothing: as it was told"
                            items={sensors.map((one) => ({ value: one.id, name: one.name }))}
                            onsave={(id) =>
                                workspace.edit(
                                    `What senses ${state.name}`,
                                    change('control', state.id, { measuredId: id === '' ? null : id }),
                                )}
                        />
                        <div class="mt-1 flex flex-wrap items-end gap-x-3 gap-y-1">
                            {#each kind?.settings ?? [] as field (field.name)}
                                <SettingInput
                                    {field}
                                    of={state.name}
                                    value={state.settings[field.name] ?? null}
                                    onsave={(value) =>
                                        workspace.edit(
                                            `${field.title} of ${state.name}`,
                                            change('control', state.id, { settings: { [field.name]: value } }),
                                        )}
                                />
                            {/each}
                        </div></td
                    >
                    <td class="align-top">
                        {#each routesOf(state) as route (route.id)}
                            <StepRoute {route} step={state} {index} {planId} {verbs} saysValue />
                        {/each}
                        <SelectField
                            label="{state.name} is shown by"
                            quiet
                            adds
                            class="max-w-[210px]"
                            value=""
                            empty={routesOf(state).length === 0 ? 'Shown by…' : 'And by…'}
                            items={showing(state)}
                            onsave={(outputId) => addRoute(state, outputId)}
                        />
                    </td>
                    <td class="text-right align-top"
                        ><RemoveButton
                            what="Remove {state.name}"
                            onremove={() => workspace.edit(`Remove ${state.name}`, remove('control', state.id))}
                        /></td
                    >
                </tr>
            {/each}
        </tbody>
    </table>
    {#each states as state (state.id)}
        <AnswerStrip {state} />
    {/each}
    <div class="px-3 py-2 {states.length > 0 ? 'border-rule border-t' : ''}">
        <SelectField
            label="Tell others how an output stands"
            quiet
            adds
            class="max-w-[260px]"
            value=""
            empty="Tell how an output stands…"
            items={untold.map((one) => ({ value: one.id, name: one.name }))}
            onsave={addState}
        />
    </div>
</section>
