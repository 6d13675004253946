<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Catalogue, Operation, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { ulid } from '../../../lib/ulid';
    import { add, change, remove, workspace } from '../../../lib/workspace.svelte';
    import PinButton from '../../../widgets/PinButton.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SettingInput from '../../../widgets/SettingInput.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    let { node, index, catalogue }: { node: Schemas['Node']; index: PlanIndex; catalogue: Catalogue } = $props();

    interface Row {
        kind: 'control' | 'output';
        thing: Schemas['Control'] | Schemas['Output'];
        channel: string | null;
        field: 'terminal' | 'channel';
    }
    const lists = $derived([
        {
            kind: 'output' as const,
            title: 'Outputs',
            says: 'what it switches',
            button: 'Add an output',
            kinds: catalogue.outputKinds.filter((kind) => kind.homes.includes(node.kind)),
            rows: index
                .outputsOf(node.id)
                .map((thing): Row => ({ kind: 'output', thing, channel: thing.channel, field: 'channel' })),
        },
        {
            kind: 'control' as const,
            title: 'Controls',
            says: 'what works it',
            button: 'Add a control',
            kinds: catalogue.controlKinds.filter((kind) => kind.homes.includes(node.kind)),
            rows: index
                .controlsOf(node.id)
                .map((thing): Row => ({ kind: 'control', thing, channel: thing.terminal, field: 'terminal' })),
        },
    ]);

    /** Every channel of the node's modules that could carry such a thing. */
    function channels(kind: 'control' | 'output'): { value: string; name: string }[] {
        return index.modulesOf(node.id).flatMap((module) =>
            (catalogue.modules.find((one) => one.key === module.class)?.terminals ?? [])
                .filter((terminal) => terminal.carries === kind)
                .map((terminal) => ({
                    value: `${module.id} ${terminal.name}`,
                    name: `${module.name} ${terminal.name}`,
                })),
        );
    }

    function sit(row: Row, value: string): void {
        const [moduleId, channel] = value === '' ? [null, null] : value.split(' ');
        const operation: Operation = change(row.kind, row.thing.id, {
            moduleId,
            [row.field]: channel,
            pinned: value !== '',
        });
        void workspace.edit(`Channel of ${row.thing.name}`, operation);
    }

    /** What the core says of a kind of control or output. */
    function kindOf(row: Row): { wired: boolean; settings: Schemas['SettingField'][] } | undefined {
        const kinds = row.kind === 'output' ? catalogue.outputKinds : catalogue.controlKinds;
        return kinds.find((one) => one.key === row.thing.kind);
    }
    function turnHazard(output: Schemas['Output'], key: string): void {
        const hazards = output.hazards.includes(key as never)
            ? output.hazards.filter((one) => one !== key)
            : [...output.hazards, key];
        void workspace.edit(`Hazards of ${output.name}`, change('output', output.id, { hazards }));
    }
    function addThing(kind: 'control' | 'output', count: number): void {
        const type =
            lists.find((list) => list.kind === kind)?.kinds[0]?.key ?? (kind === 'output' ? 'relay' : 'button');
        const names: Record<string, string> = { call: 'Call', text: 'Text', function: 'Function', message: 'Message' };
        const name = `${names[type] ?? (kind === 'output' ? 'Output' : 'Key')} ${count + 1}`;
        const list = kind === 'output' ? index.outputsOf(node.id) : index.controlsOf(node.id);
        void workspace.edit(
            `Add ${name} to ${node.name}`,
            add(kind, ulid(), { nodeId: node.id, name, kind: type, order: index.nextOrder(list) }),
        );
    }
</script>

<div class="mt-3 grid gap-3 2xl:grid-cols-2">
    {#each lists.filter((one) => one.kinds.length > 0 || one.rows.length > 0) as list (list.kind)}
        <section class="sheet" aria-label={list.title}>
            <table class="ledger">
                <thead
                    ><tr
                        ><th class="w-[27%]"><span class="text-ink font-semibold">{list.title}</span> {list.says}</th
                        ><th class={list.kinds.length === 1 ? 'w-[11%]' : 'w-[17%]'}>Kind</th><th
                            >{list.rows.some((row) => kindOf(row)?.wired) ? 'On' : 'Details'}</th
                        ><th class="w-[76px]"><span class="sr-only">Remove</span></th></tr
                    ></thead
                >
                <tbody>
                    {#each list.rows as row (row.thing.id)}
                        <tr>
                            <td
                                ><TextField
                                    label="Name of the {row.kind}"
                                    quiet
                                    value={row.thing.name}
                                    onsave={(name) =>
                                        workspace.edit(
                                            `Rename ${row.thing.name} to ${name}`,
                                            change(row.kind, row.thing.id, { name }),
                                        )}
                                /></td
                            >
                            <td
                                >{#if list.kinds.length === 1 && list.kinds[0]?.key === row.thing.kind}{list.kinds[0]
                                        .name}{:else}<SelectField
                                        label="Kind of {row.thing.name}"
                                        quiet
                                        value={row.thing.kind}
                                        items={list.kinds.map((kind) => ({ value: kind.key, name: kind.name }))}
                                        onsave={(kind) =>
                                            workspace.edit(
                                                `${row.thing.name}: ${kind}`,
                                                change(row.kind, row.thing.id, { kind }),
                                            )}
                                    />{/if}</td
                            >
                            <td>
                                <div class="flex flex-wrap items-end gap-x-2 gap-y-1">
                                    {#if kindOf(row)?.wired}<div class="flex grow items-end">
                                            <SelectField
                                                label="Channel of {row.thing.name}"
                                                quiet
                                                class="min-w-[120px] grow"
                                                value={row.thing.moduleId === null
                                                    ? ''
                                                    : `${row.thing.moduleId} ${row.channel}`}
                                                empty="Assign chooses"
                                                items={channels(row.kind)}
                                                onsave={(value) => sit(row, value)}
                                            />
                                            <PinButton
                                                pinned={row.thing.pinned}
                                                what="channel of {row.thing.name}"
                                                onturn={() =>
                                                    workspace.edit(
                                                        `${row.thing.pinned ? 'Unpin' : 'Pin'} the channel of ${row.thing.name}`,
                                                        change(row.kind, row.thing.id, { pinned: !row.thing.pinned }),
                                                    )}
                                            />
                                        </div>{/if}
                                    {#if row.thing.kind === 'function'}<TextField
                                            label="Channel"
                                            spoken="Channel of {row.thing.name}"
                                            mono
                                            class="w-[52px]"
                                            placeholder="any"
                                            value={row.channel ?? ''}
                                            onsave={(text) =>
                                                workspace.edit(
                                                    `Channel of ${row.thing.name}`,
                                                    change('output', row.thing.id, { channel: text || null }),
                                                )}
                                        />{/if}
                                    {#each kindOf(row)?.settings ?? [] as field (field.name)}
                                        <SettingInput
                                            {field}
                                            of={row.thing.name}
                                            value={row.thing.settings[field.name] ?? null}
                                            onsave={(value) =>
                                                workspace.edit(
                                                    `${field.title} of ${row.thing.name}`,
                                                    change(row.kind, row.thing.id, {
                                                        settings: { [field.name]: value },
                                                    }),
                                                )}
                                        />
                                    {/each}
                                    {#if 'hazards' in row.thing}
                                        {@const output = row.thing}
                                        <details class="text-[14px]">
                                            <summary
                                                class="cursor-pointer list-none pb-1.5 underline decoration-dotted underline-offset-2 {output
                                                    .hazards.length > 0
                                                    ? 'text-danger'
                                                    : 'text-soft'}"
                                                aria-label="Hazards of {output.name}"
                                                >{output.hazards.length > 0
                                                    ? catalogue.hazards
                                                          .filter((one) => output.hazards.includes(one.key as never))
                                                          .map((one) => one.name)
                                                          .join(', ')
                                                    : 'harmless'}</summary
                                            >
                                            {#each catalogue.hazards as hazard (hazard.key)}
                                                <label class="flex items-center gap-2 py-0.5" title={hazard.caution}
                                                    ><input
                                                        type="checkbox"
                                                        class="text-accent border-soft bg-sheet rounded-[2px]"
                                                        checked={output.hazards.includes(hazard.key as never)}
                                                        onchange={() => turnHazard(output, hazard.key)}
                                                    />{hazard.name}</label
                                                >
                                            {/each}
                                        </details>
                                    {/if}
                                </div>
                            </td>
                            <td class="text-right"
                                ><RemoveButton
                                    what="Remove {row.thing.name}"
                                    onremove={() =>
                                        workspace.edit(`Remove ${row.thing.name}`, remove(row.kind, row.thing.id))}
                                /></td
                            >
                        </tr>
                    {/each}
                </tbody>
            </table>
            <div class="px-3 py-2 {list.rows.length > 0 ? 'border-rule border-t' : ''}">
                <Button color="alternative" onclick={() => addThing(list.kind, list.rows.length)}>{list.button}</Button>
            </div>
        </section>
    {/each}
</div>
