<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { typed } from '../../../lib/typed';
    import { change, remove, workspace } from '../../../lib/workspace.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    interface Props {
        supply: Schemas['Supply'];
        index: PlanIndex;
        catalogue: Catalogue;
        inputs: Schemas['NodePower']['inputs'];
        onremove: () => void;
    }
    let { supply, index, catalogue, inputs, onremove }: Props = $props();
    const kind = $derived(catalogue.supplies.find((one) => one.key === supply.class));
    const isPin = $derived(kind?.sort === 'board-pin');
    /** Of this node by name; of others with the node's, for two nodes may live on one supply. */
    const parents = $derived(
        index.document.supplies
            .filter((one) => one.id !== supply.id)
            .sort((a, b) => Number(b.nodeId === supply.nodeId) - Number(a.nodeId === supply.nodeId))
            .map((one) => ({
                value: one.id,
                name: one.nodeId === supply.nodeId ? one.name : `${index.node(one.nodeId)?.name}: ${one.name}`,
            })),
    );
    const figures = $derived(
        (
            [
                ['volts', 'Gives, V', kind?.adjustable ? (kind.volts ?? null) : null, kind?.adjustable ?? false],
                ['limitMa', 'Good for, mA', kind?.limitMa ?? null, !isPin],
                ['sourceOhm', 'Source, Ω', null, !isPin],
                ['capacityMah', 'Holds, mAh', kind?.capacityMah ?? null, kind?.sort === 'battery'],
                ['fuseA', 'Fuse, A', null, !isPin],
                ['cableM', 'Cable, m', null, !isPin],
                ['cableMm2', 'Cores, mm²', null, !isPin],
            ] as const
        ).filter(([, , , shown]) => shown),
    );

    function set(label: string, values: Record<string, unknown>): void {
        void workspace.edit(`${label} of ${supply.name}`, change('supply', supply.id, values));
    }
</script>

<div class="bg-paper border-rule flex flex-wrap items-end gap-x-3 gap-y-2 border-t px-3 py-2.5" title={kind?.advice}>
    <TextField
        label="Name"
        spoken="Name of the supply"
        class="w-[150px]"
        value={supply.name}
        onsave={(name) => workspace.edit(`Rename ${supply.name} to ${name}`, change('supply', supply.id, { name }))}
    />
    {#if kind?.fed}
        <SelectField
            label="Lives on"
            class="w-[170px]"
            value={supply.parentId ?? ''}
            empty="nothing yet"
            items={parents}
            onsave={(parentId) => set('Parent', { parentId: parentId || null })}
        />
    {/if}
    {#if !isPin}
        <SelectField
            label="Feeds the board at"
            class="w-[190px]"
            value={supply.feedsAt ?? ''}
            empty="nowhere"
            items={inputs.map((one) => ({ value: one.at, name: one.name }))}
            onsave={(feedsAt) => set('Input', { feedsAt: feedsAt || null })}
        />
    {/if}
    {#each figures as [field, label, usual] (field)}
        <TextField
            {label}
            spoken="{label} of {supply.name}"
            mono
            class="w-[92px]"
            value={supply[field] === null ? '' : String(supply[field])}
            placeholder={usual === null ? '–' : String(usual)}
            onsave={(text) => set(label, { [field]: text === '' ? null : typed(text) })}
        />
    {/each}
    <p class="text-soft w-full text-[14px]">{kind?.advice}</p>
    {#if !isPin}
        <label class="flex items-center gap-1.5 pb-1"
            ><input
                type="checkbox"
                class="border-soft text-accent bg-sheet rounded-[3px]"
                checked={supply.owned}
                onchange={(event) => set('Owned', { owned: event.currentTarget.checked })}
            /> in the drawer already</label
        >
    {/if}
    <button
        type="button"
        class="quiet-link pb-1"
        onclick={() => {
            onremove();
            void workspace.edit(`Remove ${supply.name}`, remove('supply', supply.id));
        }}>Remove {supply.name}</button
    >
</div>
