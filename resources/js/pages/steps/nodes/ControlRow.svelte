<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import { change, remove, workspace } from '../../../lib/workspace.svelte';
    import PinButton from '../../../widgets/PinButton.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SettingInput from '../../../widgets/SettingInput.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';
    import AxisCalibration from './AxisCalibration.svelte';
    import OutputHazards from './OutputHazards.svelte';

    /** A control or an output of a node: its name, its kind, the channel it is on, and what its kind asks besides. */
    interface Props {
        kind: 'control' | 'output';
        thing: Schemas['Control'] | Schemas['Output'];
        kinds: { key: string; name: string; wired: boolean; settings: Schemas['SettingField'][] }[];
        ofKind: { wired: boolean; settings: Schemas['SettingField'][] } | undefined;
        channels: { value: string; name: string; carries: string | null }[];
        catalogue: Catalogue;
        /** What a bought device does or says by name, where that was written down. */
        entries: string[] | undefined;
    }
    let { kind, thing, kinds, ofKind, channels, catalogue, entries }: Props = $props();
    const field = $derived(kind === 'output' ? 'channel' : 'terminal');
    const channel = $derived('terminal' in thing ? thing.terminal : thing.channel);

    /** What most leave as it is comes when it is asked for, or is otherwise. */
    let more = $state(false);
    const settings = $derived(ofKind?.settings ?? []);
    const shown = $derived(
        settings.filter((one) => more || !one.seldom || (thing.settings[one.name] ?? one.default) !== one.default),
    );
    const hidden = $derived(settings.length - shown.length);

    const current = $derived(thing.moduleId === null ? '' : `${thing.moduleId} ${channel}`);
    /** A servo goes to no relay's channel. */
    const fitting = $derived(
        channels.filter((one) => kind === 'control' || one.carries === thing.kind || one.value === current),
    );

    function sit(value: string): void {
        const [moduleId, place] = value === '' ? [null, null] : value.split(' ');
        void workspace.edit(
            `Channel of ${thing.name}`,
            change(kind, thing.id, { moduleId, [field]: place, pinned: value !== '' }),
        );
    }
</script>

<tr>
    <td
        ><TextField
            label="Name of the {kind}"
            quiet
            value={thing.name}
            onsave={(name) => workspace.edit(`Rename ${thing.name} to ${name}`, change(kind, thing.id, { name }))}
        /></td
    >
    <td
        >{#if kinds.length === 1 && kinds[0]?.key === thing.kind}{kinds[0].name}{:else}<SelectField
                label="Kind of {thing.name}"
                quiet
                value={thing.kind}
                items={kinds.map((one) => ({ value: one.key, name: one.name }))}
                onsave={(key) => workspace.edit(`${thing.name}: ${key}`, change(kind, thing.id, { kind: key }))}
            />{/if}</td
    >
    <td>
        <div class="flex flex-wrap items-end gap-x-2 gap-y-1">
            {#if entries !== undefined}<SelectField
                    label={kind === 'output' ? `Function of ${thing.name}` : `What ${thing.name} is`}
                    quiet
                    class="min-w-[130px]"
                    value={channel ?? ''}
                    empty={kind === 'output' ? 'which function?' : 'what of it?'}
                    items={entries.map((name) => ({ value: name, name }))}
                    onsave={(name) =>
                        workspace.edit(
                            `${kind === 'output' ? 'Function' : 'Reading'} of ${thing.name}`,
                            change(kind, thing.id, { [field]: name || null, pinned: name !== '' }),
                        )}
                />{:else if ofKind?.wired}<div class="flex grow items-end">
                    <SelectField
                        label="Channel of {thing.name}"
                        quiet
                        class="min-w-[120px] grow"
                        value={current}
                        empty="Assign chooses"
                        items={fitting}
                        onsave={(value) => sit(value)}
                    />
                    <PinButton
                        pinned={thing.pinned}
                        what="channel of {thing.name}"
                        onturn={() =>
                            workspace.edit(
                                `${thing.pinned ? 'Unpin' : 'Pin'} the channel of ${thing.name}`,
                                change(kind, thing.id, { pinned: !thing.pinned }),
                            )}
                    />
                </div>{/if}
            {#if thing.kind === 'function' && entries === undefined}<TextField
                    label="Channel"
                    spoken="Channel of {thing.name}"
                    mono
                    class="w-[52px]"
                    placeholder="any"
                    value={channel ?? ''}
                    onsave={(text) =>
                        workspace.edit(
                            `Channel of ${thing.name}`,
                            change('output', thing.id, { channel: text || null }),
                        )}
                />{/if}
            {#each shown as field (field.name)}
                <SettingInput
                    {field}
                    of={thing.name}
                    value={thing.settings[field.name] ?? null}
                    onsave={(value) =>
                        workspace.edit(
                            `${field.title} of ${thing.name}`,
                            change(kind, thing.id, {
                                settings: { [field.name]: value },
                            }),
                        )}
                />
            {/each}
            {#if hidden > 0}<button
                    type="button"
                    class="quiet-link pb-1.5 text-[14px]"
                    aria-label="More of {thing.name}"
                    onclick={() => (more = true)}>more…</button
                >{/if}
            {#if 'hazards' in thing}<OutputHazards output={thing} {catalogue} />{/if}
        </div>
    </td>
    <td class="text-right"
        ><RemoveButton
            what="Remove {thing.name}"
            onremove={() => workspace.edit(`Remove ${thing.name}`, remove(kind, thing.id))}
        /></td
    >
</tr>
{#if kind === 'control' && thing.kind === 'axis' && more}
    <tr><td colspan="4"><AxisCalibration control={thing as Schemas['Control']} /></td></tr>
{/if}
