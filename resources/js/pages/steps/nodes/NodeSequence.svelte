<script lang="ts">
    import CoreDrawing from '../../../widgets/CoreDrawing.svelte';
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { Action } from '../../../lib/actions';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { view } from '../../../lib/shown.svelte';
    import { ulid } from '../../../lib/ulid';
    import { add, change, remove, workspace } from '../../../lib/workspace.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import SettingInput from '../../../widgets/SettingInput.svelte';
    import TextField from '../../../widgets/TextField.svelte';
    import StepRoute from './StepRoute.svelte';

    /** A sequence or a group of a node: its steps, what each does, and the sequence as a strip to scale. */
    interface Props {
        output: Schemas['Output'];
        index: PlanIndex;
        catalogue: Catalogue;
        planId: string;
    }
    let { output, index, catalogue, planId }: Props = $props();

    const isSequence = $derived(output.kind === 'sequence');
    const steps = $derived(
        output.stepIds.flatMap((id) => index.controlsOf(output.nodeId).filter((one) => one.id === id)),
    );
    const fields = $derived(catalogue.controlKinds.find((one) => one.key === 'step')?.settings ?? []);
    const strip = view('sequence-strip', () => (isSequence ? output.id : undefined));

    /** Every output that a step may work, with the node it is on. */
    const targets = $derived(
        index.document.outputs
            .filter((one) => one.id !== output.id)
            .map((one) => ({ value: one.id, name: `${index.node(one.nodeId)?.name} · ${one.name}` })),
    );
    const verbs = $derived(
        (catalogue.controlKinds.find((one) => one.key === 'step')?.actions ?? []).map((action) => ({
            value: action,
            name: action,
        })),
    );

    function routesOf(stepId: string): Schemas['Route'][] {
        return index.document.routes.filter((one) => one.controlId === stepId);
    }

    function addStep(): void {
        const id = ulid();
        const name = `Step ${output.stepIds.length + 1}`;
        void workspace.edit(
            `Add a step to ${output.name}`,
            add('control', id, {
                nodeId: output.nodeId,
                name: isSequence ? name : `${output.name}: each`,
                kind: 'step',
                order: index.nextOrder(index.controlsOf(output.nodeId)),
                settings: { afterMs: output.stepIds.length === 0 ? 0 : 1000 },
            }),
            change('output', output.id, { stepIds: [...output.stepIds, id] }),
        );
    }

    function move(at: number, by: number): void {
        const stepIds = [...output.stepIds];
        const [id] = stepIds.splice(at, 1);
        stepIds.splice(at + by, 0, id as string);
        void workspace.edit(`Order of ${output.name}`, change('output', output.id, { stepIds }));
    }

    function addRoute(step: Schemas['Control'], outputId: string): void {
        const target = index.document.outputs.find((one) => one.id === outputId);
        const action: Action = isSequence ? 'on' : 'follow';
        void workspace.edit(
            `${step.name}: ${action} ${target?.name}`,
            add('route', ulid(), {
                controlId: step.id,
                outputId,
                action,
                pulseMs: null,
                order: index.nextOrder(index.document.routes),
            }),
        );
    }
</script>

<section class="sheet mt-3" aria-label="{isSequence ? 'Steps' : 'Members'} of {output.name}">
    <div class="border-rule flex flex-wrap items-baseline gap-x-3 border-b px-3 py-2">
        <h2>{output.name}</h2>
        <span class="text-soft">
            {#if isSequence}on starts it, off stops it, at its end it is off again{:else}what it is told, these are told{/if}
        </span>
    </div>
    {#if isSequence && strip.now && steps.length > 0}
        <div class="overflow-x-auto px-3 pt-2">
            <CoreDrawing drawing={strip.now} label="{output.name}, to scale: {strip.now.words}" />
        </div>
    {/if}
    <table class="ledger">
        <thead
            ><tr
                >{#if isSequence}<th class="w-[36px]">No.</th>{/if}<th class="w-[208px]">Step</th><th>Does</th><th
                    class="w-[116px]"><span class="sr-only">Order, remove</span></th
                ></tr
            ></thead
        >
        <tbody>
            {#each steps as step, at (step.id)}
                {@const stopped = step.settings['when'] === 'stopped'}
                <tr>
                    {#if isSequence}<td class="mono align-top">{stopped ? '–' : at + 1}</td>{/if}
                    <td class="align-top"
                        ><TextField
                            label="Name of the step"
                            quiet
                            value={step.name}
                            onsave={(name) =>
                                workspace.edit(`Rename ${step.name} to ${name}`, change('control', step.id, { name }))}
                        />
                        {#if isSequence}<div class="mt-1 flex items-end gap-2">
                                {#each fields.filter((one) => one.name !== 'afterMs' || !stopped) as field (field.name)}
                                    <SettingInput
                                        {field}
                                        of={step.name}
                                        value={step.settings[field.name] ?? null}
                                        onsave={(value) =>
                                            workspace.edit(
                                                `${field.title} of ${step.name}`,
                                                change('control', step.id, { settings: { [field.name]: value } }),
                                            )}
                                    />
                                {/each}
                            </div>{/if}</td
                    >
                    <td class="align-top">
                        {#each routesOf(step.id) as route (route.id)}
                            <StepRoute {route} {step} {index} {planId} {verbs} />
                        {/each}
                        <SelectField
                            label="{step.name} also works"
                            quiet
                            adds
                            class="max-w-[210px]"
                            value=""
                            empty={routesOf(step.id).length === 0 ? 'Works…' : 'Also works…'}
                            items={targets.filter(
                                (one) => !routesOf(step.id).some((route) => route.outputId === one.value),
                            )}
                            onsave={(outputId) => addRoute(step, outputId)}
                        />
                    </td>
                    <td class="text-right align-top whitespace-nowrap">
                        {#if isSequence}<button
                                type="button"
                                class="quiet-link px-1 no-underline disabled:opacity-40"
                                disabled={at === 0}
                                aria-label="Move {step.name} up"
                                onclick={() => move(at, -1)}>↑</button
                            ><button
                                type="button"
                                class="quiet-link px-1 no-underline disabled:opacity-40"
                                disabled={at === steps.length - 1}
                                aria-label="Move {step.name} down"
                                onclick={() => move(at, 1)}>↓</button
                            >{/if}
                        <RemoveButton
                            what="Remove {step.name}"
                            onremove={() => workspace.edit(`Remove ${step.name}`, remove('control', step.id))}
                        />
                    </td>
                </tr>
            {/each}
        </tbody>
    </table>
    <div class="px-3 py-2 {steps.length > 0 ? 'border-rule border-t' : ''}">
        <Button color="alternative" onclick={addStep}>Add a step</Button>
    </div>
</section>
