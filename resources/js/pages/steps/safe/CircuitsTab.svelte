<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { typed } from '../../../lib/typed';
    import { ulid } from '../../../lib/ulid';
    import { add, change, remove, workspace } from '../../../lib/workspace.svelte';
    import CheckField from '../../../widgets/CheckField.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import Sign from '../../../widgets/Sign.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    /** Circuits with what protects them, and how much of that is taken. */
    let { index, shown }: { index: PlanIndex; shown: Schemas['CircuitsShown'] } = $props();
    const circuits = $derived([...index.document.circuits].sort((a, b) => a.order - b.order));
    const found = $derived(
        (workspace.data?.findings ?? []).filter((one) => one.at.kind === 'circuit' && !workspace.accepted.has(one.id)),
    );
    const flags = [
        ['timeLag', 'time-lag'],
        ['residual', '30 mA device'],
        ['outdoors', 'outdoors'],
        ['direct', 'DC'],
        ['inNeutral', 'fuse in neutral'],
    ] as const;

    function set(circuit: Schemas['Circuit'], label: string, values: Record<string, unknown>): void {
        void workspace.edit(`${label} of ${circuit.name}`, change('circuit', circuit.id, values));
    }

    function addCircuit(): void {
        const name = `Circuit ${circuits.length + 1}`;
        void workspace.edit(
            `Add ${name}`,
            add('circuit', ulid(), { name, order: index.nextOrder(index.document.circuits) }),
        );
    }
</script>

<section class="sheet mt-2 overflow-x-auto" aria-label="Circuits">
    <table class="ledger tight w-full">
        <thead>
            <tr>
                <th class="min-w-[150px]">Circuit</th>
                <th class="w-[150px]">Branches off</th>
                <th class="w-[130px]">Begins at</th>
                <th class="w-[58px]">V</th>
                <th class="w-[64px]">Fuse, A</th>
                <th class="w-[64px]">mm²</th>
                <th class="w-[280px]">Is</th>
                <th class="min-w-[190px]">With everything on</th>
                <th class="w-[60px]"><span class="sr-only">Remove</span></th>
            </tr>
        </thead>
        <tbody>
            {#each circuits as circuit (circuit.id)}
                {@const figures = shown.circuits.find((one) => one.circuitId === circuit.id)}
                {@const loads = index.document.loads.filter((one) => one.circuitId === circuit.id)}
                <tr>
                    <td
                        ><TextField
                            label="Name of the circuit"
                            spoken="Name of circuit {circuit.name}"
                            quiet
                            value={circuit.name}
                            onsave={(name) => set(circuit, 'Name', { name })}
                        /></td
                    >
                    <td
                        ><SelectField
                            label="What {circuit.name} branches off"
                            quiet
                            value={circuit.parentId ?? ''}
                            empty="–"
                            items={circuits
                                .filter((one) => one.id !== circuit.id)
                                .map((one) => ({ value: one.id, name: one.name }))}
                            onsave={(parentId) => set(circuit, 'Parent', { parentId: parentId || null })}
                        /></td
                    >
                    <td
                        ><SelectField
                            label="Where {circuit.name} begins"
                            quiet
                            value={circuit.placeId ?? ''}
                            empty="not said"
                            items={index.document.places.map((one) => ({ value: one.id, name: one.name }))}
                            onsave={(placeId) => set(circuit, 'Place', { placeId: placeId || null })}
                        /></td
                    >
                    {#each [['volts', 'Volts', '?'], ['fuseA', 'Fuse', 'none'], ['mm2', 'Copper', '?']] as const as [field, label, empty] (field)}
                        <td
                            ><TextField
                                label="{label} of {circuit.name}"
                                quiet
                                mono
                                placeholder={empty}
                                value={circuit[field] === null ? '' : String(circuit[field])}
                                onsave={(text) => set(circuit, label, { [field]: text === '' ? null : typed(text) })}
                            /></td
                        >
                    {/each}
                    <td
                        ><div class="flex flex-wrap gap-x-3">
                            {#each flags as [field, label] (field)}
                                {#if field !== 'inNeutral' || circuit.inNeutral}<CheckField
                                        {label}
                                        spoken="{circuit.name}: {label}"
                                        checked={circuit[field]}
                                        onturn={(turned) => set(circuit, label, { [field]: turned })}
                                    />{/if}
                            {/each}
                        </div></td
                    >
                    <td>
                        {#if figures !== undefined}
                            <svg
                                viewBox="0 0 100 8"
                                class="block h-[9px] w-full max-w-[220px]"
                                preserveAspectRatio="none"
                                aria-hidden="true"
                            >
                                <rect x="0" y="1" width="100" height="6" fill="var(--paper)" stroke="var(--rule)" />
                                <rect
                                    x="0"
                                    y="1"
                                    width={Math.min(100, 100 * (figures.share ?? 0))}
                                    height="6"
                                    fill={(figures.share ?? 0) > 0.8 ? 'var(--danger)' : 'var(--accent)'}
                                />
                                <rect x="80" y="0" width="0.8" height="8" fill="var(--ink)" />
                            </svg>
                            <p class="mono mt-0.5">{figures.says}</p>
                            <p class="text-soft text-[13.5px] leading-snug">
                                {loads.map((one) => one.name).join(', ') || 'nothing hangs on it'}
                            </p>
                        {/if}
                        {#each found.filter((one) => one.at.id === circuit.id) as one (one.id)}
                            <div class="text-{one.severity} mt-0.5 flex items-start gap-1.5 text-[14px] leading-snug">
                                <span class="pt-0.5"><Sign severity={one.severity} size={13} /></span>
                                <p>
                                    {one.title}
                                    {#if one.fix !== null}
                                        {@const fix = one.fix}
                                        <button
                                            type="button"
                                            class="quiet-link"
                                            onclick={() => workspace.editExactly(fix.label, ...fix.operations)}
                                            >{fix.label}</button
                                        >
                                    {/if}
                                </p>
                            </div>
                        {/each}
                    </td>
                    <td class="text-right"
                        ><RemoveButton
                            what="Remove {circuit.name}"
                            onremove={() => workspace.edit(`Remove ${circuit.name}`, remove('circuit', circuit.id))}
                        /></td
                    >
                </tr>
            {:else}
                <tr
                    ><td colspan="9" class="text-soft"
                        >No circuit yet. Write down what the fuse box or the supply of the lights says: its fuse, its
                        copper, and whether a 30 mA device is before it.</td
                    ></tr
                >
            {/each}
        </tbody>
    </table>
    <div class="border-rule border-t px-3 py-2">
        <Button color="alternative" onclick={addCircuit}>Add a circuit</Button>
    </div>
</section>
