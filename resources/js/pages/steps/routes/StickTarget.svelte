<script lang="ts">
    import type { Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { typed } from '../../../lib/typed';
    import { change, workspace } from '../../../lib/workspace.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    /** How a stick works this one output: which way, from where, how far, and what is mixed in. */
    let { route, control, index }: { route: Schemas['Route']; control: Schemas['Control']; index: PlanIndex } =
        $props();

    const figures = [
        { field: 'trim', label: 'Trim, %' },
        { field: 'endLow', label: 'Down to, %' },
        { field: 'endHigh', label: 'Up to, %' },
    ] as const;
    const others = $derived(
        index
            .controlsOf(control.nodeId)
            .filter((one) => one.kind === 'axis' && one.id !== control.id)
            .map((one) => ({ value: one.id, name: one.name })),
    );

    function save(label: string, values: Record<string, unknown>): void {
        void workspace.edit(`${label} of ${control.name}`, change('route', route.id, values));
    }
</script>

<div class="mt-2 flex flex-wrap items-end gap-3">
    <SelectField
        label="Direction"
        class="w-[140px]"
        value={String(route.reverse)}
        items={[
            { value: 'false', name: 'as it is pushed' },
            { value: 'true', name: 'the other way' },
        ]}
        onsave={(value) => save('Direction', { reverse: value === 'true' })}
    />
    {#each figures as { field, label } (field)}
        <TextField
            {label}
            mono
            class="w-[84px]"
            value={String(route[field])}
            onsave={(text) => save(label, { [field]: typed(text) })}
        />
    {/each}
    {#if others.length > 0}
        <SelectField
            label="Mixed with"
            class="w-[160px]"
            value={route.mixedId ?? ''}
            empty="nothing"
            items={others}
            onsave={(id) => save('What is mixed with it', { mixedId: id === '' ? null : id })}
        />
        {#if route.mixedId !== null}<SelectField
                label="which is"
                class="w-[140px]"
                value={String(route.mixSubtracts)}
                items={[
                    { value: 'false', name: 'added' },
                    { value: 'true', name: 'taken away' },
                ]}
                onsave={(value) => save('How it is mixed', { mixSubtracts: value === 'true' })}
            />{/if}
    {/if}
</div>
