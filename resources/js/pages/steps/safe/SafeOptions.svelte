<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { change, workspace } from '../../../lib/workspace.svelte';
    import CheckField from '../../../widgets/CheckField.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import OutputHazards from '../nodes/OutputHazards.svelte';

    /** What decides how safe an output is, besides its pin and its parts. */
    interface Props {
        output: Schemas['Output'];
        node: Schemas['Node'];
        index: PlanIndex;
        catalogue: Catalogue;
        hasChangeover: boolean;
    }
    let { output, node, index, catalogue, hasChangeover }: Props = $props();
    const named = (list: { key: string; name: string }[]): { value: string; name: string }[] =>
        list.map((one) => ({ value: one.key, name: one.name }));
    /** Said by either of the two. */
    const never = $derived(
        index.document.outputs.filter(
            (one) => output.neverWithIds.includes(one.id) || one.neverWithIds.includes(output.id),
        ),
    );
    const others = $derived(
        index.document.outputs.filter(
            (one) => one.id !== output.id && one.kind === output.kind && !never.includes(one),
        ),
    );

    function set(label: string, values: Record<string, unknown>): void {
        void workspace.edit(`${label} of ${output.name}`, change('output', output.id, values));
    }

    function part(other: Schemas['Output']): void {
        const mine = output.neverWithIds.includes(other.id);
        const [thing, gone] = mine ? [output, other.id] : [other, output.id];
        void workspace.edit(
            `${output.name} may be on with ${other.name}`,
            change('output', thing.id, { neverWithIds: thing.neverWithIds.filter((id) => id !== gone) }),
        );
    }
</script>

<div class="border-rule mt-3 flex flex-wrap items-end gap-x-4 gap-y-2 border-t pt-2.5">
    <div class="pb-0.5"><OutputHazards {output} {catalogue} /></div>
    {#if hasChangeover}
        <SelectField
            label="Load on the contact"
            class="w-[150px]"
            value={output.contact}
            items={named(catalogue.contactForms)}
            onsave={(contact) => set('Contact', { contact })}
        />
    {/if}
    <SelectField
        label="At start"
        class="w-[140px]"
        value={output.atStart}
        items={named(catalogue.atStarts)}
        onsave={(atStart) => set('Start', { atStart })}
    />
    <SelectField
        label="Second break"
        class="w-[230px]"
        value={output.secondBreak}
        items={named(catalogue.secondBreaks)}
        onsave={(secondBreak) => set('Second break', { secondBreak })}
    />
    <CheckField
        label="level before direction"
        checked={output.levelFirst}
        onturn={(levelFirst) => set('First write', { levelFirst })}
    />
    <CheckField
        label="watchdog of {node.name}"
        checked={node.watchdog}
        onturn={(watchdog) => workspace.edit(`Watchdog of ${node.name}`, change('node', node.id, { watchdog }))}
    />
    <div class="flex flex-wrap items-center gap-2">
        {#each never as other (other.id)}
            <span
                >never with <span class="font-medium">{other.name}</span><RemoveButton
                    what="May be on with {other.name}"
                    onremove={() => part(other)}
                /></span
            >
        {/each}
        <SelectField
            label="Never on together with"
            quiet
            adds
            class="w-[190px]"
            value=""
            empty="Never on with…"
            items={others.map((one) => ({ value: one.id, name: `${index.node(one.nodeId)?.name}: ${one.name}` }))}
            onsave={(id) => set('Interlock', { neverWithIds: [...output.neverWithIds, id] })}
        />
        {#if never.length > 0}<CheckField
                label="contacts in series"
                spoken="Contacts of {output.name} and the others in series"
                checked={output.interlocked}
                onturn={(interlocked) => set('Interlock', { interlocked })}
            />{/if}
    </div>
</div>
