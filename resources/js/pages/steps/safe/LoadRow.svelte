<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { typed } from '../../../lib/typed';
    import { change, remove, workspace } from '../../../lib/workspace.svelte';
    import CheckField from '../../../widgets/CheckField.svelte';
    import PinButton from '../../../widgets/PinButton.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import Sign from '../../../widgets/Sign.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    interface Props {
        load: Schemas['Load'];
        index: PlanIndex;
        catalogue: Catalogue;
        planId: string;
        figures: Schemas['LoadShown'] | undefined;
        opened: boolean;
        onopen: () => void;
    }
    let { load, index, catalogue, planId, figures, opened, onopen }: Props = $props();
    const named = (list: { key: string; name: string }[]): { value: string; name: string }[] =>
        list.map((one) => ({ value: one.key, name: one.name }));
    const outputs = $derived(
        index.document.outputs
            .filter((one) => one.moduleId !== null || one.id === load.outputId)
            .map((one) => ({ value: one.id, name: `${index.node(one.nodeId)?.name}: ${one.name}` })),
    );
    /** A circuit of the house, or a supply of a node. */
    const feeds = $derived([
        ...index.document.circuits.map((one) => ({ value: `circuit ${one.id}`, name: one.name })),
        ...index.document.supplies.map((one) => ({
            value: `supply ${one.id}`,
            name: `${index.node(one.nodeId)?.name}: ${one.name}`,
        })),
    ]);
    const fed = $derived(
        load.circuitId !== null ? `circuit ${load.circuitId}` : load.supplyId !== null ? `supply ${load.supplyId}` : '',
    );
    /** What is said of it is said beside it. */
    const found = $derived(
        (workspace.data?.findings ?? []).filter(
            (one) => one.at.kind === 'load' && one.at.id === load.id && !workspace.accepted.has(one.id),
        ),
    );
    const full = $derived(
        typeof figures?.amperes === 'number' && typeof figures.mostA === 'number'
            ? figures.amperes / figures.mostA
            : undefined,
    );

    function set(label: string, values: Record<string, unknown>): void {
        void workspace.edit(`${label} of ${load.name}`, change('load', load.id, values));
    }

    function hang(value: string): void {
        const [kind, id] = value.split(' ');
        set('Circuit', {
            circuitId: kind === 'circuit' ? id : null,
            supplyId: kind === 'supply' ? id : null,
            pinned: value !== '',
        });
    }
</script>

<tr class={load.use === 'unplugged' || load.use === 'spare' ? 'text-soft' : ''}>
    <td
        ><TextField
            label="Name of the load"
            spoken="Name of load {load.name}"
            quiet
            value={load.name}
            onsave={(name) => set('Name', { name })}
        /></td
    >
    <td
        ><SelectField
            label="What switches {load.name}"
            quiet
            value={load.outputId ?? ''}
            empty={load.use === 'switched'
                ? 'nothing yet'
                : catalogue.loadUses.find((one) => one.key === load.use)?.name}
            items={outputs}
            onsave={(outputId) => set('Output', { outputId: outputId || null })}
        /></td
    >
    <td
        ><div class="flex items-end">
            <SelectField
                label="What feeds {load.name}"
                quiet
                class="grow"
                value={fed}
                empty="not said"
                items={feeds}
                onsave={hang}
            /><PinButton
                pinned={load.pinned}
                what="circuit of {load.name}"
                onturn={() => set(load.pinned ? 'Unpin' : 'Pin', { pinned: !load.pinned })}
            />
        </div></td
    >
    <td
        ><SelectField
            label="Kind of {load.name}"
            quiet
            value={load.sort}
            items={named(catalogue.loadKinds)}
            onsave={(sort) => set('Kind', { sort })}
        /></td
    >
    <td
        ><TextField
            label="Watts of {load.name}"
            quiet
            mono
            value={load.watts === null ? '' : String(load.watts)}
            placeholder="?"
            onsave={(text) => set('Watts', { watts: text === '' ? null : typed(text) })}
        /></td
    >
    <td
        ><TextField
            label="How many of {load.name}"
            quiet
            mono
            value={String(load.count)}
            onsave={(text) => set('Count', { count: typed(text) })}
        /></td
    >
    <td class="mono text-right">{figures?.amperes ?? '–'}</td>
    <td class="mono {full !== undefined && full > 1 ? 'text-danger' : ''}"
        >{typeof figures?.mostA !== 'number' ? '–' : `${figures.mostA} A`}{full === undefined
            ? ''
            : ` · ${Math.round(full * 100)} %`}</td
    >
    <td
        ><TextField
            label="Outlet of {load.name}"
            quiet
            mono
            value={load.outlet}
            placeholder="–"
            onsave={(outlet) => set('Outlet', { outlet })}
        /></td
    >
    <td class="text-right whitespace-nowrap"
        ><button
            type="button"
            class="quiet-link text-[14px]"
            aria-expanded={opened}
            aria-label="More of {load.name}"
            onclick={onopen}>{opened ? 'less' : 'more…'}</button
        >
        <RemoveButton
            what="Remove {load.name}"
            onremove={() => workspace.edit(`Remove ${load.name}`, remove('load', load.id))}
        /></td
    >
</tr>
{#if opened || found.length > 0}
    <tr>
        <td colspan="10" class="bg-paper">
            {#each found as one (one.id)}
                <p class="text-{one.severity} flex items-start gap-1.5 text-[14px] leading-snug">
                    <span class="pt-0.5"><Sign severity={one.severity} size={13} /></span>
                    <a class="hover:underline" href="#/plans/{planId}/findings">{one.title}</a>
                    {#if one.fix !== null}
                        {@const fix = one.fix}
                        <button
                            type="button"
                            class="quiet-link"
                            onclick={() => workspace.editExactly(fix.label, ...fix.operations)}>{fix.label}</button
                        >
                    {/if}
                </p>
            {/each}
            {#if opened}
                <div class="flex flex-wrap items-end gap-x-3 gap-y-2 py-1">
                    <SelectField
                        label="This season"
                        class="w-[180px]"
                        value={load.use}
                        items={named(catalogue.loadUses)}
                        onsave={(use) => set('Use', { use })}
                    />
                    <TextField
                        label="Leaks, mA each"
                        spoken="Leakage of {load.name}"
                        mono
                        class="w-[110px]"
                        value={String(load.leakageMa)}
                        onsave={(text) => set('Leakage', { leakageMa: text === '' ? 0 : typed(text) })}
                    />
                    <TextField
                        label="Cord, mm²"
                        spoken="Cord of {load.name}"
                        mono
                        class="w-[84px]"
                        placeholder="?"
                        value={load.mm2 === null ? '' : String(load.mm2)}
                        onsave={(text) => set('Cord', { mm2: text === '' ? null : typed(text) })}
                    />
                    <TextField
                        label="Own fuse, A"
                        spoken="Fuse of {load.name}"
                        mono
                        class="w-[90px]"
                        placeholder={figures?.fuse ?? 'none'}
                        value={load.fuseA === null ? '' : String(load.fuseA)}
                        onsave={(text) => set('Fuse', { fuseA: text === '' ? null : typed(text) })}
                    />
                    {#if load.fuseA !== null}<SelectField
                            label="That fuse is"
                            class="w-[230px]"
                            value={load.fuseAt}
                            items={named(catalogue.fusePlaces)}
                            onsave={(fuseAt) => set('Fuse', { fuseAt })}
                        />{/if}
                    <TextField
                        label="Connector"
                        spoken="Connector of {load.name}"
                        class="w-[140px]"
                        value={load.connector}
                        onsave={(connector) => set('Connector', { connector })}
                    />
                    <TextField
                        label="Colour"
                        spoken="Colour of {load.name}"
                        class="w-[110px]"
                        value={load.colour}
                        onsave={(colour) => set('Colour', { colour })}
                    />
                    <TextField
                        label="Note"
                        spoken="Note on {load.name}"
                        class="w-[260px]"
                        value={load.note}
                        onsave={(note) => set('Note', { note })}
                    />
                    <CheckField
                        label="its contact breaks the neutral"
                        checked={load.breaksNeutral}
                        onturn={(breaksNeutral) => set('Conductor', { breaksNeutral })}
                    />
                    {#if typeof figures?.inrushA === 'number'}<span class="text-soft pb-1.5"
                            >up to <span class="mono">{figures.inrushA} A</span> at the first moment</span
                        >{/if}
                </div>
            {/if}
        </td>
    </tr>
{/if}
