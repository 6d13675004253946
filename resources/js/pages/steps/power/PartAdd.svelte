<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { typed } from '../../../lib/typed';
    import { ulid } from '../../../lib/ulid';
    import { add, workspace } from '../../../lib/workspace.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';

    let { node, index }: { node: Schemas['Node']; index: PlanIndex } = $props();
    const catalogue = $derived(workspace.catalogue);
    const places = $derived(
        index.modulesOf(node.id).flatMap((module) => {
            const kind = catalogue?.modules.find((one) => one.key === module.class);
            const terminals = [...(kind?.terminals ?? []).map((one) => one.name), ...(kind?.supplyTerminals ?? [])];
            return terminals.map((terminal) => ({
                value: `${module.id} ${terminal}`,
                name: `${module.name} ${terminal}`,
            }));
        }),
    );
    let kind = $state('divider');
    let place = $state('');
    let values = $state<Record<string, string>>({});
    const chosen = $derived(catalogue?.partKinds.find((one) => one.key === kind));

    function put(event: SubmitEvent): void {
        event.preventDefault();
        const at = places.find((one) => one.value === place) ?? places[0];
        if (at === undefined || chosen === undefined) {
            return;
        }
        const [moduleId = '', ...terminal] = at.value.split(' ');
        const figures = Object.fromEntries(
            chosen.figures
                .filter(({ field }) => (values[field] ?? '') !== '')
                .map(({ field }) => [field, typed(values[field] ?? '')]),
        );
        void workspace.edit(
            `Put ${chosen.name} at ${at.name}`,
            add('part', ulid(), { moduleId, terminal: terminal.join(' '), kind, ...figures }),
        );
        values = {};
    }
</script>

<form class="border-rule flex flex-wrap items-end gap-2 border-t px-3 py-2" onsubmit={put}>
    <SelectField
        label="Part"
        class="w-[160px]"
        value={kind}
        items={(catalogue?.partKinds ?? []).map(({ key, name }) => ({ value: key, name }))}
        onsave={(value) => (kind = value)}
    />
    <SelectField
        label="At"
        class="w-[190px]"
        value={place === '' ? (places[0]?.value ?? '') : place}
        items={places}
        onsave={(value) => (place = value)}
    />
    {#each chosen?.figures ?? [] as { field, name } (field)}
        <label class="text-[14px]"
            ><span class="text-soft block">{name}</span><input
                class="bg-sheet border-rule text-ink mono w-[80px] rounded-[4px] border px-2 py-1.5 !text-[12.5px]"
                bind:value={values[field]}
            /></label
        >
    {/each}
    <Button type="submit" color="alternative" disabled={places.length === 0}>Put it there</Button>
</form>
