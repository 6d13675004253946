<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { ulid } from '../../../lib/ulid';
    import { add, workspace } from '../../../lib/workspace.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import CableSheet from './CableSheet.svelte';

    interface Props {
        node: Schemas['Node'];
        index: PlanIndex;
        shown: Schemas['CablesShown'];
    }
    let { node, index, shown }: Props = $props();

    let far = $state('');
    const others = $derived(index.nodes.filter((one) => one.id !== node.id));

    async function lay(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        const to = others.find((one) => one.id === far);
        if (to === undefined) {
            return;
        }
        const name = `${node.name} – ${to.name}`.slice(0, 80);
        if (
            await workspace.edit(
                `Lay ${name}`,
                add('cable', ulid(), {
                    fromId: node.id,
                    toId: to.id,
                    name,
                    order: index.nextOrder(index.cables),
                }),
            )
        ) {
            far = '';
        }
    }
</script>

{#each shown.cables as cable (cable.cableId)}
    {@const thing = index.cable(cable.cableId)}
    {#if thing !== undefined}<CableSheet {thing} {cable} />{/if}
{:else}
    <p class="sheet mt-3 max-w-[620px] p-4">
        No cable ends at {node.name}. One that is laid says what each of its cores is for, at both ends, and how many
        are left.
    </p>
{/each}

<form class="mt-4 flex items-end gap-2" onsubmit={lay}>
    <SelectField
        label="New cable to"
        class="w-[210px]"
        value={far}
        empty="choose a node"
        items={others.map((one) => ({ value: one.id, name: one.name }))}
        onsave={(id) => (far = id)}
    />
    <Button type="submit" color="alternative" disabled={far === ''}>Lay the cable</Button>
</form>
