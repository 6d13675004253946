<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { ulid } from '../../../lib/ulid';
    import { add, change, workspace } from '../../../lib/workspace.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';

    interface Props {
        module: Schemas['Module'];
        node: Schemas['Node'];
        index: PlanIndex;
        catalogue: Catalogue;
        class?: string;
    }
    let { module, node, index, catalogue, class: className = '' }: Props = $props();
    const NEW = 'new ';
    const supplies = $derived(index.suppliesOf(node.id));
    /** Pins of the board that nothing hangs on yet: they come into the plan with the first thing that does. */
    const pins = $derived(
        (catalogue.boards.find((one) => one.key === node.board)?.rails ?? []).filter(
            (rail) => !supplies.some((one) => one.class === rail.supply),
        ),
    );
    const items = $derived([
        ...supplies.map((one) => ({ value: one.id, name: one.name })),
        ...pins.map((rail) => ({ value: NEW + rail.supply, name: `${rail.name} pin` })),
    ]);

    function feed(choice: string): void {
        const pin = pins.find((rail) => NEW + rail.supply === choice);
        if (pin === undefined) {
            void workspace.edit(`Supply of ${module.name}`, change('module', module.id, { supplyId: choice || null }));
            return;
        }
        const id = ulid();
        void workspace.edit(
            `Supply of ${module.name}`,
            add('supply', id, { nodeId: node.id, class: pin.supply, name: `${pin.name} pin` }),
            change('module', module.id, { supplyId: id }),
        );
    }
</script>

<SelectField
    label="Supply of {module.name}"
    quiet
    class={className}
    value={module.supplyId ?? ''}
    empty="none yet"
    {items}
    onsave={feed}
/>
