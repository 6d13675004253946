<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../lib/api';
    import { rowKeys } from '../lib/row-keys';
    import { hex, typed, typedHex } from '../lib/typed';
    import { change, remove, workspace } from '../lib/workspace.svelte';
    import CheckField from '../widgets/CheckField.svelte';
    import RemoveButton from '../widgets/RemoveButton.svelte';
    import SelectField from '../widgets/SelectField.svelte';
    import TextField from '../widgets/TextField.svelte';

    /** What an end of a bus sends under one identifier: edited field by field, signal by signal. */
    let { message, ends }: { message: Schemas['BusMessage']; ends: Schemas['CanEndFigures'][] } = $props();
    type Signal = Schemas['BusMessage']['signals'][number];
    const keysOf = rowKeys();
    const keys = $derived(keysOf(message.signals));

    function put(what: string, values: Partial<Schemas['BusMessage']>): void {
        void workspace.edit(`${what} of ${message.name}`, change('busMessage', message.id, values));
    }

    function set(at: number, values: Partial<Signal>): void {
        put(message.signals[at]?.name ?? 'Signal', {
            signals: message.signals.map((one, other) => (other === at ? { ...one, ...values } : one)),
        });
    }

    function addSignal(): void {
        const taken = new Set(message.signals.map((one) => one.name));
        let number = message.signals.length + 1;
        while (taken.has(`Signal ${number}`)) {
            number++;
        }
        put('Signals', { signals: [...message.signals, { name: `Signal ${number}`, start: 0, bits: 1 } as Signal] });
    }
</script>

{#snippet number(at: number, field: keyof Signal, label: string, spoken: string, width: string)}
    <TextField
        {label}
        spoken="{spoken} of {message.signals[at]?.name}"
        mono
        class={width}
        value={String(message.signals[at]?.[field] ?? '')}
        onsave={(text) => set(at, { [field]: field === 'equals' && text.trim() === '' ? null : typed(text) })}
    />
{/snippet}

<section class="sheet mt-3 p-3" aria-label="Message {message.name}">
    <div class="flex flex-wrap items-end gap-x-3 gap-y-2">
        <TextField
            label="Message"
            spoken="Name of the message"
            class="w-[190px]"
            value={message.name}
            onsave={(name) => put('Name', { name })}
        />
        <TextField
            label="Identifier"
            mono
            class="w-[96px]"
            value={hex(message.identifier, message.extended ? 8 : 3)}
            onsave={(text) => put('Identifier', { identifier: typedHex(text) as number })}
        />
        <CheckField
            label="29 bits"
            spoken="The identifier has 29 bits"
            checked={message.extended === true}
            onturn={(extended) => put('Length of the identifier', { extended })}
        />
        <TextField
            label="Bytes"
            mono
            class="w-[56px]"
            value={String(message.bytes ?? 8)}
            onsave={(text) => put('Bytes', { bytes: typed(text) as number })}
        />
        <TextField
            label="Every, ms"
            spoken="How often it comes, ms"
            mono
            class="w-[80px]"
            value={String(message.periodMs ?? 0)}
            onsave={(text) => put('Period', { periodMs: typed(text) as number })}
        />
        <SelectField
            label="Sent by"
            class="w-[170px]"
            value={message.endpointId}
            items={ends.map((one) => ({ value: one.endpointId, name: one.name }))}
            onsave={(endpointId) => put('Sender', { endpointId })}
        />
        <span class="pb-1.5"
            ><RemoveButton
                what="Remove {message.name}"
                onremove={() => workspace.edit(`Remove ${message.name}`, remove('busMessage', message.id))}
            /></span
        >
    </div>
    {#if message.evidence}<p class="text-soft mt-1">Found: {message.evidence}</p>{/if}
    {#each message.signals as signal, at (keys[at])}
        <div
            class="border-rule mt-2 flex flex-wrap items-end gap-x-2 gap-y-1 border-t pt-2"
            role="group"
            aria-label="Signal {signal.name}"
        >
            <TextField
                label="Signal"
                spoken="Name of signal {at + 1}"
                class="w-[130px]"
                value={signal.name}
                onsave={(name) => set(at, { name })}
            />
            {@render number(at, 'start', 'From bit', 'First bit', 'w-[66px]')}
            {@render number(at, 'bits', 'Bits', 'Bits', 'w-[54px]')}
            <SelectField
                label="First byte"
                spoken="Which byte of {signal.name} comes first"
                class="w-[92px]"
                value={signal.highFirst ? 'high' : 'low'}
                items={[
                    { value: 'low', name: 'low' },
                    { value: 'high', name: 'high' },
                ]}
                onsave={(first) => set(at, { highFirst: first === 'high' })}
            />
            <CheckField
                label="signed"
                spoken="{signal.name} may be less than nothing"
                checked={signal.signed === true}
                onturn={(signed) => set(at, { signed })}
            />
            {@render number(at, 'scale', '×', 'What one is worth', 'w-[72px]')}
            {@render number(at, 'offset', '+', 'What is added', 'w-[66px]')}
            <TextField
                label="Unit"
                spoken="Unit of {signal.name}"
                class="w-[58px]"
                value={signal.unit ?? ''}
                onsave={(unit) => set(at, { unit })}
            />
            {@render number(at, 'equals', 'Whether it is', 'The one figure that is asked', 'w-[86px]')}
            <TextField
                label="What figures mean"
                spoken="What figures of {signal.name} mean"
                class="w-[200px]"
                placeholder="0=off, 1=on"
                value={signal.names ?? ''}
                onsave={(names) => set(at, { names })}
            />
            <span class="pb-1.5"
                ><RemoveButton
                    what="Remove {signal.name}"
                    onremove={() => put('Signals', { signals: message.signals.filter((_, other) => other !== at) })}
                /></span
            >
        </div>
    {/each}
    <div class="mt-2"><Button color="alternative" size="xs" onclick={addSignal}>Add a signal</Button></div>
</section>
