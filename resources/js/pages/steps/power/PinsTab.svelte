<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { ulid } from '../../../lib/ulid';
    import { add, change, remove, workspace } from '../../../lib/workspace.svelte';
    import PinButton from '../../../widgets/PinButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import BoardStrip from './BoardStrip.svelte';

    interface Props {
        node: Schemas['Node'];
        index: PlanIndex;
        catalogue: Catalogue;
        table: Schemas['PinTable'] | undefined;
    }
    let { node, index, catalogue, table }: Props = $props();

    const wires = $derived(
        index.modulesOf(node.id).flatMap((module) =>
            (catalogue.modules.find((one) => one.key === module.class)?.terminals ?? []).flatMap((terminal) => {
                const use = index.document.pinUses.find(
                    (one) => one.moduleId === module.id && one.terminal === terminal.name,
                );
                const wanted =
                    table?.unwired.some((one) => one.moduleId === module.id && one.terminal === terminal.name) ?? false;
                return use !== undefined || wanted ? [{ module, terminal, use }] : [];
            }),
        ),
    );
    /** Every pin of the board, with a word where something else is on it. */
    function pinNames(wire: (typeof wires)[number]): { value: string; name: string }[] {
        return (table?.pins ?? []).map((pin) => ({
            value: pin.name,
            name: pin.uses.some((use) => use.useId !== wire.use?.id) ? `${pin.name} (taken)` : pin.name,
        }));
    }

    function place(moduleId: string, terminal: string, pin: string): void {
        const wire = wires.find((one) => one.module.id === moduleId && one.terminal.name === terminal);
        if (wire !== undefined) {
            rewire(wire, pin);
        }
    }

    function rewire(wire: (typeof wires)[number], pin: string): void {
        const what = `${wire.module.name} ${wire.terminal.name}`;
        if (wire.use === undefined) {
            void workspace.edit(
                `${what} on ${pin}`,
                add('pinUse', ulid(), { moduleId: wire.module.id, terminal: wire.terminal.name, pin, pinned: true }),
            );
        } else if (pin === '') {
            void workspace.edit(`Take ${what} off ${wire.use.pin}`, remove('pinUse', wire.use.id));
        } else {
            void workspace.edit(`${what} on ${pin}`, change('pinUse', wire.use.id, { pin, pinned: true }));
        }
    }
</script>

{#if table !== undefined}
    <BoardStrip name={node.name} {table} onplace={place} />
    <div class="mt-3">
        <section class="sheet" aria-label="Wires">
            <table class="ledger">
                <thead><tr><th><span class="text-ink font-semibold">Wires</span></th><th>Pin</th></tr></thead>
                <tbody>
                    {#each wires as wire (`${wire.module.id} ${wire.terminal.name}`)}
                        <tr>
                            <td title={wire.terminal.doc}
                                >{wire.module.name} <span class="mono">{wire.terminal.name}</span></td
                            >
                            <td>
                                <div class="flex items-end">
                                    <SelectField
                                        label="Pin of {wire.module.name} {wire.terminal.name}"
                                        quiet
                                        class="w-[118px]"
                                        value={wire.use?.pin ?? ''}
                                        empty="none yet"
                                        items={pinNames(wire)}
                                        onsave={(pin) => rewire(wire, pin)}
                                    />
                                    {#if wire.use}<PinButton
                                            pinned={wire.use.pinned}
                                            what="{wire.module.name} {wire.terminal.name}"
                                            onturn={() =>
                                                wire.use &&
                                                workspace.edit(
                                                    `${wire.use.pinned ? 'Unpin' : 'Pin'} ${wire.module.name} ${wire.terminal.name}`,
                                                    change('pinUse', wire.use.id, { pinned: !wire.use.pinned }),
                                                )}
                                        />{/if}
                                    {#if wire.use && wire.terminal.canBeSoftware}<label
                                            class="text-soft ml-2 flex items-center gap-1.5 pb-1 text-[14px]"
                                            title="On any plain pin, as slow as a program is: one line at a time, 38,400 baud at most."
                                            ><input
                                                type="checkbox"
                                                class="border-soft text-accent bg-sheet rounded-[3px]"
                                                aria-label="{wire.module.name} {wire.terminal.name} by software"
                                                checked={wire.use.bySoftware}
                                                onchange={(event) =>
                                                    wire.use &&
                                                    workspace.edit(
                                                        `${wire.module.name} ${wire.terminal.name} by ${event.currentTarget.checked ? 'software' : 'hardware'}`,
                                                        change('pinUse', wire.use.id, {
                                                            bySoftware: event.currentTarget.checked,
                                                        }),
                                                    )}
                                            /> by software</label
                                        >{/if}
                                </div>
                            </td>
                        </tr>
                    {:else}
                        <tr><td colspan="2" class="text-soft">Nothing to wire yet.</td></tr>
                    {/each}
                </tbody>
            </table>
        </section>
    </div>
{/if}
