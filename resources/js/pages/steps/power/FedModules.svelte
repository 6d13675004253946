<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { change, workspace } from '../../../lib/workspace.svelte';
    import PinButton from '../../../widgets/PinButton.svelte';
    import FedFrom from './FedFrom.svelte';

    interface Props {
        node: Schemas['Node'];
        index: PlanIndex;
        catalogue: Catalogue;
        fed: Schemas['FedModule'][];
    }
    let { node, index, catalogue, fed }: Props = $props();
</script>

{#if fed.length > 0}
    <section class="sheet mt-3" aria-label="What feeds what">
        <table class="ledger">
            <thead
                ><tr
                    ><th><span class="text-ink font-semibold">Modules</span></th><th>Wants</th><th>Takes, mA</th><th
                        >Gets</th
                    ><th class="w-[30%]">Fed from</th></tr
                ></thead
            >
            <tbody>
                {#each fed as one (one.moduleId)}
                    {@const module = index.module(one.moduleId)}
                    {#if module !== undefined}
                        <tr>
                            <td>{module.name}</td>
                            <td class="mono whitespace-nowrap">{one.wants}</td>
                            <td class="mono whitespace-nowrap">{one.typicalMa}, {one.peakMa} peak</td>
                            <td class="mono whitespace-nowrap {one.gets !== null && !one.suits ? 'text-danger' : ''}"
                                >{one.gets ?? '–'}</td
                            >
                            <td
                                ><div class="flex items-end">
                                    <FedFrom {module} {node} {index} {catalogue} class="grow" />
                                    {#if module.supplyId !== null}<PinButton
                                            pinned={module.pinned}
                                            what="supply of {module.name}"
                                            onturn={() =>
                                                workspace.edit(
                                                    `${module.pinned ? 'No longer keep' : 'Keep'} the supply of ${module.name}`,
                                                    change('module', module.id, { pinned: !module.pinned }),
                                                )}
                                        />{/if}
                                </div></td
                            >
                        </tr>
                    {/if}
                {/each}
            </tbody>
        </table>
    </section>
{/if}
