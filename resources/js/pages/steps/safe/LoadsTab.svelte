<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { ulid } from '../../../lib/ulid';
    import { add, workspace } from '../../../lib/workspace.svelte';
    import LoadRow from './LoadRow.svelte';

    /** Every load with what it takes and where it is plugged in. */
    interface Props {
        index: PlanIndex;
        catalogue: Catalogue;
        planId: string;
        shown: Schemas['CircuitsShown'];
    }
    let { index, catalogue, planId, shown }: Props = $props();
    const loads = $derived([...index.document.loads].sort((a, b) => a.order - b.order || a.name.localeCompare(b.name)));
    const bare = $derived(
        index.document.outputs.filter(
            (one) =>
                one.moduleId !== null &&
                one.kind !== 'lamp' &&
                one.kind !== 'tone' &&
                !index.document.loads.some((load) => load.outputId === one.id),
        ),
    );
    let opened = $state('');

    function addLoad(output: Schemas['Output'] | undefined): void {
        const id = ulid();
        opened = id;
        const name = output === undefined ? `Load ${loads.length + 1}` : output.name;
        void workspace.edit(
            `Add ${name}`,
            add('load', id, {
                name,
                outputId: output?.id ?? null,
                use: output === undefined ? 'spare' : 'switched',
                order: index.nextOrder(index.document.loads),
            }),
        );
    }
</script>

<section class="sheet mt-2 overflow-x-auto" aria-label="Loads">
    <table class="ledger tight w-full">
        <thead>
            <tr>
                <th class="min-w-[150px]">Load</th>
                <th class="w-[184px]">Switched by</th>
                <th class="w-[170px]">Hangs on</th>
                <th class="w-[172px]">Kind</th>
                <th class="w-[64px]">W each</th>
                <th class="w-[48px]">×</th>
                <th class="w-[64px] text-right">A</th>
                <th class="w-[120px]">Contact bears</th>
                <th class="w-[62px]">Outlet</th>
                <th class="w-[110px]"><span class="sr-only">More</span></th>
            </tr>
        </thead>
        <tbody>
            {#each loads as load (load.id)}
                <LoadRow
                    {load}
                    {index}
                    {catalogue}
                    {planId}
                    figures={shown.loads.find((one) => one.loadId === load.id)}
                    opened={opened === load.id}
                    onopen={() => (opened = opened === load.id ? '' : load.id)}
                />
            {:else}
                <tr
                    ><td colspan="10" class="text-soft"
                        >Nothing hangs on any output yet. Begin with what can hurt: what is on the mains, what heats,
                        what moves.</td
                    ></tr
                >
            {/each}
        </tbody>
    </table>
    <div class="border-rule flex flex-wrap items-center gap-2 border-t px-3 py-2">
        <Button color="alternative" onclick={() => addLoad(undefined)}>Add a load</Button>
        {#each bare.slice(0, 4) as output (output.id)}
            <Button color="alternative" onclick={() => addLoad(output)}
                >Add what {output.name} of {index.node(output.nodeId)?.name} switches</Button
            >
        {/each}
        {#if bare.length > 4}<span class="text-soft text-[14px]"
                >and {bare.length - 4} outputs more on which nothing hangs</span
            >{/if}
    </div>
</section>
