<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../../../lib/api';
    import { rowKeys } from '../../../lib/row-keys';
    import { typed } from '../../../lib/typed';
    import { change, workspace } from '../../../lib/workspace.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    /** A lamp, written down from its manual: its modes, and slot by slot what it is told. */
    let { type }: { type: Schemas['FixtureType'] } = $props();
    type Mode = Schemas['FixtureType']['modes'][number];
    type Slot = Mode['slots'][number];

    const modeKeysOf = rowKeys();
    const modeKeys = $derived(modeKeysOf(type.modes));
    /** Which is open, by its key, for others may come and go before it: the first, until one is chosen. */
    let chosen = $state<number | 'first' | 'last'>('first');
    const at = $derived(chosen === 'last' ? type.modes.length - 1 : Math.max(0, modeKeys.indexOf(Number(chosen))));
    const mode = $derived(type.modes[at]);
    const slotKeysOf = rowKeys();
    const slotKeys = $derived(slotKeysOf(mode?.slots ?? []));
    const kinds = [
        { value: 'dimmer', name: 'brightness' },
        { value: 'shutter', name: 'shutter, strobe' },
        { value: 'colour', name: 'colour' },
        { value: 'position', name: 'where it points' },
        { value: 'other', name: 'something else' },
    ];

    function put(label: string, values: Record<string, unknown>): void {
        void workspace.edit(`${label} of ${type.name}`, change('fixtureType', type.id, values));
    }

    function putMode(values: Partial<Mode>): void {
        put(mode?.name ?? 'Mode', {
            modes: type.modes.map((one, other) => (other === at ? { ...one, ...values } : one)),
        });
    }

    function putSlot(index: number, values: Record<string, unknown>): void {
        putMode({ slots: (mode?.slots ?? []).map((one, other) => (other === index ? { ...one, ...values } : one)) });
    }

    function addSlot(): void {
        const slots = mode?.slots ?? [];
        const next = 1 + Math.max(0, ...slots.map((one) => Math.max(one.at, one.fineAt ?? 0)));
        putMode({ slots: [...slots, { name: `Slot ${next}`, at: next, is: 'other' } as Slot] });
    }

    function addMode(): void {
        put('Modes', { modes: [...type.modes, { name: `Mode ${type.modes.length + 1}`, slots: [] }] });
        chosen = 'last';
    }
    const figure = (value: number | null | undefined): string =>
        value === null || value === undefined ? '' : String(value);
</script>

<h1>{type.name}</h1>
<p class="text-soft mt-0.5 max-w-[760px]">
    A fixture from a shop that takes slots. Write down what its manual says; then choose it at each node that is one.
</p>
<section class="sheet mt-3 flex flex-wrap items-end gap-x-3 gap-y-2 px-4 py-3" aria-label="The fixture">
    <TextField
        label="Name"
        spoken="Name of the fixture"
        class="w-[240px]"
        value={type.name}
        onsave={(name) => put('Name', { name })}
    />
    <SelectField
        label="Address by"
        class="w-[210px]"
        value={type.addressBy ?? 'menu'}
        items={[
            { value: 'menu', name: 'a menu' },
            { value: 'switches', name: 'switches: 1 is the first on' },
            { value: 'switches-plus-one', name: 'switches: 1 is all off' },
        ]}
        onsave={(addressBy) => put('Address', { addressBy })}
    />
    <SelectField
        label="Without data"
        class="w-[210px]"
        value={type.onLoss ?? 'unknown'}
        items={[
            { value: 'unknown', name: 'nobody looked it up' },
            { value: 'holds', name: 'holds what it was told' },
            { value: 'dark', name: 'goes dark' },
            { value: 'own', name: 'runs a show of its own' },
        ]}
        onsave={(onLoss) => put('Without data', { onLoss })}
    />
    <TextField
        label="Unit loads"
        mono
        class="w-[90px]"
        value={String(type.unitLoads ?? 1)}
        onsave={(given) => put('Unit loads', { unitLoads: typed(given) })}
    />
    <TextField
        label="Remember"
        spoken="Note on the fixture"
        class="min-w-[220px] grow"
        value={type.note ?? ''}
        placeholder="the manual, its edition, the page"
        onsave={(note) => put('Note', { note })}
    />
</section>
<div class="mt-3 flex flex-wrap items-center gap-2" role="group" aria-label="Modes">
    {#each type.modes as one, index (modeKeys[index])}
        <button
            type="button"
            aria-pressed={index === at}
            class="rounded-[4px] border px-2.5 py-0.5 {index === at
                ? 'bg-tint border-accent font-medium'
                : 'border-rule'}"
            onclick={() => (chosen = modeKeys[index] ?? 'first')}>{one.name}</button
        >
    {/each}
    <Button color="alternative" onclick={addMode}>Add a mode</Button>
</div>
{#if mode}{#key modeKeys[at]}
        <section class="sheet mt-2" aria-label="Slots of {mode.name}">
            <div class="flex flex-wrap items-end gap-3 px-3 py-2">
                <TextField
                    label="Mode"
                    spoken="Name of the mode"
                    class="w-[200px]"
                    value={mode.name}
                    onsave={(name) => putMode({ name })}
                />
                <p class="text-soft grow pb-1">
                    Slots are counted from 1 at the start address; figures go from 0 to 255, of two bytes the high one.
                </p>
                {#if type.modes.length > 1}<RemoveButton
                        what="Remove mode {mode.name}"
                        onremove={() => put('Modes', { modes: type.modes.filter((_, other) => other !== at) })}
                    />{/if}
            </div>
            <div class="overflow-x-auto">
                <table class="ledger">
                    <thead
                        ><tr
                            ><th class="min-w-[120px]">Told</th><th class="w-[64px]">Slot</th><th class="w-[72px]"
                                >Low byte</th
                            ><th class="w-[150px]">What for</th><th class="w-[64px]">At rest</th><th class="w-[64px]"
                                >On is</th
                            ><th class="w-[130px]">Nothing shows unless</th><th class="min-w-[220px]">Figures mean</th
                            ><th><span class="sr-only">Remove</span></th></tr
                        ></thead
                    >
                    <tbody>
                        {#each mode.slots as slot, index (slotKeys[index])}
                            <tr>
                                <td
                                    ><TextField
                                        quiet
                                        label="Name of slot {index + 1}"
                                        value={slot.name}
                                        onsave={(name) => putSlot(index, { name })}
                                    /></td
                                >
                                <td
                                    ><TextField
                                        quiet
                                        mono
                                        label="Place of {slot.name}"
                                        value={String(slot.at)}
                                        onsave={(text) => putSlot(index, { at: typed(text) })}
                                    /></td
                                >
                                <td
                                    ><TextField
                                        quiet
                                        mono
                                        label="Low byte of {slot.name}"
                                        placeholder="–"
                                        value={figure(slot.fineAt)}
                                        onsave={(text) => putSlot(index, { fineAt: typed(text) })}
                                    /></td
                                >
                                <td
                                    ><SelectField
                                        quiet
                                        label="What {slot.name} is for"
                                        value={slot.is ?? 'other'}
                                        items={kinds}
                                        onsave={(is) => putSlot(index, { is })}
                                    /></td
                                >
                                <td
                                    ><TextField
                                        quiet
                                        mono
                                        label="{slot.name} at rest"
                                        value={String(slot.rest ?? 0)}
                                        onsave={(text) => putSlot(index, { rest: typed(text) })}
                                    /></td
                                >
                                <td
                                    ><TextField
                                        quiet
                                        mono
                                        label="On of {slot.name}"
                                        placeholder="255"
                                        value={figure(slot.on)}
                                        onsave={(text) => putSlot(index, { on: typed(text) })}
                                    /></td
                                >
                                <td
                                    ><div class="flex items-center gap-1">
                                        <TextField
                                            quiet
                                            mono
                                            label="{slot.name} opens from"
                                            placeholder="–"
                                            class="w-[54px]"
                                            value={figure(slot.opensFrom)}
                                            onsave={(text) => putSlot(index, { opensFrom: typed(text) })}
                                        /><span class="text-soft">to</span><TextField
                                            quiet
                                            mono
                                            label="{slot.name} opens to"
                                            placeholder="–"
                                            class="w-[54px]"
                                            value={figure(slot.opensTo)}
                                            onsave={(text) => putSlot(index, { opensTo: typed(text) })}
                                        />
                                    </div></td
                                >
                                <td
                                    ><TextField
                                        quiet
                                        label="What figures of {slot.name} mean"
                                        placeholder={slot.is === 'shutter' ? '0-9=closed, 10-255=open' : ''}
                                        value={slot.ranges ?? ''}
                                        onsave={(ranges) => putSlot(index, { ranges })}
                                    /></td
                                >
                                <td class="text-right"
                                    ><RemoveButton
                                        what="Remove {slot.name}"
                                        onremove={() =>
                                            putMode({ slots: mode.slots.filter((_, other) => other !== index) })}
                                    /></td
                                >
                            </tr>
                        {:else}
                            <tr><td colspan="9" class="text-soft">Nothing yet: begin with its first slot.</td></tr>
                        {/each}
                    </tbody>
                </table>
            </div>
            <div class="border-rule border-t px-3 py-2">
                <Button color="alternative" onclick={addSlot}>Add a slot</Button>
            </div>
        </section>
    {/key}{/if}
