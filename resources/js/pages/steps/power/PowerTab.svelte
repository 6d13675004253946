<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { ulid } from '../../../lib/ulid';
    import { add, change, workspace } from '../../../lib/workspace.svelte';
    import Button from 'flowbite-svelte/Button.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import Sign from '../../../widgets/Sign.svelte';
    import FedModules from './FedModules.svelte';
    import RailBar from './RailBar.svelte';
    import SupplyEditor from './SupplyEditor.svelte';

    interface Props {
        node: Schemas['Node'];
        index: PlanIndex;
        catalogue: Catalogue;
        planId: string;
        shown: Schemas['NodePower'];
    }
    let { node, index, catalogue, planId, shown }: Props = $props();
    let opened = $state('');

    const board = $derived(catalogue.boards.find((one) => one.key === node.board));
    const classes = $derived(catalogue.supplies.filter((one) => one.sort !== 'board-pin'));
    /** What cells can do to people is said where they are, asked for or not. */
    const cautions = $derived(
        Object.fromEntries(
            catalogue.supplies.filter((one) => one.sort === 'battery').map((one) => [one.key, one.advice]),
        ),
    );
    /** What is said of a supply, or of what hangs on it, where it is mended. */
    const found = $derived(
        (workspace.data?.findings ?? []).filter(
            (one) => one.step === 'power' && !workspace.accepted.has(one.id) && one.at.kind !== 'pinUse',
        ),
    );
    const about = (rail: Schemas['RailRow']): typeof found =>
        found.filter((one) => one.at.id === rail.id || one.about.includes(rail.id));
    const ofNode = $derived(
        found.filter((one) => {
            const at = index.whereabouts(one.at.kind, one.at.id, one.step).item;
            return at === node.id && one.fix !== null;
        }),
    );

    function addSupply(key: string): void {
        const kind = catalogue.supplies.find((one) => one.key === key);
        if (kind === undefined) {
            return;
        }
        const taken = new Set(index.suppliesOf(node.id).map((one) => one.name));
        const base = (kind.name.split(',')[0] ?? kind.name).slice(0, 60);
        let name = base.charAt(0).toUpperCase() + base.slice(1);
        for (let next = 2; taken.has(name); next++) {
            name = `${base} ${next}`;
        }
        const id = ulid();
        opened = id;
        void workspace.edit(
            `Add ${kind.name} to ${node.name}`,
            add('supply', id, {
                nodeId: node.id,
                class: key,
                name,
                order: index.nextOrder(index.suppliesOf(node.id)),
            }),
        );
    }
</script>

<section class="sheet mt-2" aria-label="Supplies of {node.name}">
    {#each shown.rails as rail (rail.id)}
        {@const elsewhere = rail.nodeId !== node.id}
        {@const supply = index.supply(rail.id)}
        <div class="border-rule border-b last:border-b-0">
            <div
                class="grid grid-cols-[minmax(0,1fr)] items-center gap-x-4 px-3 py-2 md:grid-cols-[minmax(180px,1.1fr)_minmax(120px,1fr)_minmax(150px,0.9fr)]"
            >
                <div class="rail-indent-{Math.min(rail.depth, 4)}">
                    {#if elsewhere}
                        <a class="quiet-link font-medium" href="#/plans/{planId}/power/{rail.nodeId}">{rail.name}</a>
                        <span class="text-soft">at {index.node(rail.nodeId)?.name}</span>
                    {:else}
                        <button
                            type="button"
                            class="text-left font-medium hover:underline"
                            aria-expanded={opened === rail.id}
                            onclick={() => (opened = opened === rail.id ? '' : rail.id)}>{rail.name}</button
                        >
                    {/if}
                    <span class="mono ml-1">{rail.volts ?? 'voltage not said'}</span>
                    <p class="text-soft text-[14px] leading-snug">{rail.what}</p>
                    {#if cautions[supply?.class ?? ''] && opened !== rail.id}<p
                            class="text-soft text-[13px] leading-snug"
                        >
                            {cautions[supply?.class ?? '']}
                        </p>{/if}
                </div>
                <RailBar {rail} />
                <div class="text-[14px] leading-snug">
                    <p>{rail.says}</p>
                    {#each about(rail) as one (one.id)}
                        <p class="text-{one.severity} flex items-start gap-1">
                            <span class="pt-0.5"><Sign severity={one.severity} size={13} /></span>{one.title}
                        </p>
                    {/each}
                    {#if rail.takes.length > 0}
                        <p class="text-soft">{rail.takes.map((take) => `${take.name} ${take.peakMa}`).join(', ')}</p>
                    {/if}
                </div>
            </div>
            {#if opened === rail.id && supply !== undefined && !elsewhere}
                <SupplyEditor {supply} {index} {catalogue} inputs={shown.inputs} onremove={() => (opened = '')} />
            {/if}
        </div>
    {:else}
        <p class="text-soft px-3 py-3">
            Nothing feeds {node.name} yet. Add what its board lives on, or take what is proposed below.
        </p>
    {/each}
    <div class="border-rule flex flex-wrap items-center gap-3 border-t px-3 py-2">
        <SelectField
            label="Add a supply"
            quiet
            adds
            class="w-[250px]"
            value=""
            empty="Add a supply…"
            items={classes.map((one) => ({ value: one.key, name: one.name }))}
            onsave={addSupply}
        />
        {#if board !== undefined}<SelectField
                label="Sleep of {node.name}"
                quiet
                class="w-[210px]"
                value={node.sleep}
                items={catalogue.sleeps.map((one) => ({ value: one.key, name: one.name }))}
                onsave={(sleep) => workspace.edit(`Sleep of ${node.name}`, change('node', node.id, { sleep }))}
            />{/if}
    </div>
</section>
{#if ofNode.length > 0}
    <div class="mt-3 flex flex-wrap items-center gap-2">
        {#each ofNode.slice(0, 3) as one (one.id)}
            {#if one.fix !== null}
                {@const fix = one.fix}
                <Button
                    color={one === ofNode[0] && one.severity !== 'advice' ? 'primary' : 'alternative'}
                    title={one.title}
                    onclick={() => workspace.editExactly(fix.label, ...fix.operations)}>{fix.label}</Button
                >
            {/if}
        {/each}
        <span class="text-soft text-[14px]"
            >{ofNode[0]?.title}{ofNode.length > 1 ? `, and ${ofNode.length - 1} more` : ''}</span
        >
    </div>
{/if}
<FedModules {node} {index} {catalogue} fed={shown.modules} />
