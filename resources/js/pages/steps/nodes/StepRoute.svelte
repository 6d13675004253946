<script lang="ts">
    import type { Schemas } from '../../../lib/api';
    import { takesValue } from '../../../lib/actions';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { typed } from '../../../lib/typed';
    import { change, remove, workspace } from '../../../lib/workspace.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    /** One thing that a step does, or what shows a state: to which output, what, how long or how much. */
    interface Props {
        route: Schemas['Route'];
        step: Schemas['Control'];
        index: PlanIndex;
        planId: string;
        verbs: { value: string; name: string }[];
        /** It says the value itself. */
        saysValue?: boolean;
    }
    let { route, step, index, planId, verbs, saysValue = false }: Props = $props();
    const target = $derived(index.document.outputs.find((one) => one.id === route.outputId));
    const name = $derived(
        target?.nodeId === step.nodeId ? target.name : `${index.node(target?.nodeId ?? '')?.name} · ${target?.name}`,
    );

    function setAction(action: string): void {
        void workspace.edit(
            `${name}: ${action}`,
            change('route', route.id, {
                action,
                pulseMs: action === 'pulse' ? (route.pulseMs ?? 1000) : null,
                value: takesValue(action) && !saysValue ? (route.value ?? (action === 'step' ? 1 : 0)) : null,
            }),
        );
    }
</script>

<div class="mb-1 flex flex-wrap items-center gap-x-1.5 gap-y-1">
    <button
        type="button"
        class="text-soft hover:text-ink px-1"
        aria-label="Leave {name} out of {step.name}"
        onclick={() => workspace.edit(`${step.name} leaves ${name} alone`, remove('route', route.id))}
        ><span aria-hidden="true">×</span></button
    >
    <a class="quiet-link" href="#/plans/{planId}/routes/{route.id}">{name}</a>
    <SelectField
        label="What {step.name} does to {name}"
        quiet
        class="w-[92px]"
        value={route.action}
        items={verbs}
        onsave={setAction}
    />
    {#if route.action === 'pulse'}<TextField
            label="Length of the pulse of {name}, seconds"
            quiet
            mono
            class="w-[52px]"
            value={String((route.pulseMs ?? 1000) / 1000)}
            onsave={(text) =>
                workspace.edit(
                    `Pulse of ${name}`,
                    change('route', route.id, { pulseMs: Math.round(Number(text.replace(',', '.')) * 1000) }),
                )}
        /><span>s</span>{/if}
    {#if takesValue(route.action) && !saysValue}<TextField
            label="Value of {name}"
            quiet
            mono
            class="w-[52px]"
            value={String(route.value ?? '')}
            onsave={(text) => workspace.edit(`Value of ${name}`, change('route', route.id, { value: typed(text) }))}
        />{/if}
</div>
