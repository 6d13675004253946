<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../../../lib/api';
    import { rowKeys } from '../../../lib/row-keys';
    import { view } from '../../../lib/shown.svelte';
    import { typed } from '../../../lib/typed';
    import { change, workspace } from '../../../lib/workspace.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';
    import ProtocolFrame from './ProtocolFrame.svelte';
    import ProtocolItem from './ProtocolItem.svelte';
    import ProtocolTrial from './ProtocolTrial.svelte';

    /** What a bought device speaks, written down from its manual: its frames, its functions, its readings. */
    let { protocol }: { protocol: Schemas['Protocol'] } = $props();
    type Item = Schemas['Protocol']['items'][number];

    const shown = view('protocol', () => protocol.id);
    const words = $derived(protocol.form === 'words');
    const keysOf = rowKeys();
    const keys = $derived(keysOf(protocol.items));
    /** Which is open, by its key, for others may come and go before it: the first, until one is chosen. */
    let chosen = $state<number | 'first' | 'last'>('first');
    const at = $derived(chosen === 'last' ? protocol.items.length - 1 : Math.max(0, keys.indexOf(Number(chosen))));
    const item = $derived(protocol.items[at]);
    const kinds = [
        { value: 'does', name: 'function: it is told' },
        { value: 'answers', name: 'reading: it is asked' },
        { value: 'says', name: 'says it unasked' },
    ];

    function put(label: string, values: Record<string, unknown>): void {
        void workspace.edit(`${label} of ${protocol.name}`, change('protocol', protocol.id, values));
    }

    function putItem(index: number, values: Partial<Item>): void {
        const items = protocol.items.map((one, other) => (other === index ? { ...one, ...values } : one));
        put(protocol.items[index]?.name ?? 'Functions', { items });
    }

    function addItem(): void {
        const taken = new Set(protocol.items.map((one) => one.name));
        let number = protocol.items.length + 1;
        while (taken.has(`Function ${number}`)) {
            number++;
        }
        const code = Math.max(0, ...protocol.items.map((one) => one.code ?? 0)) + 1;
        put('Functions', {
            items: [
                ...protocol.items,
                { name: `Function ${number}`, kind: 'does', code, word: words ? `F${number}` : '' },
            ],
        });
        chosen = 'last';
    }

    const frames = (index: number): Schemas['ProtocolItemShown'] | undefined => shown.now?.items[index];
    const sample = (one: Schemas['ProtocolSample'] | undefined): string => one?.text ?? one?.hex ?? '';
</script>

<h1>{protocol.name}</h1>
<p class="text-soft mt-0.5 max-w-[760px]">
    A device from a shop on a serial line. Write down what its manual says of its frames; then its functions are outputs
    of the nodes that speak this, and its readings are controls.
</p>
{#if shown.now && shown.now.faults.length > 0}
    <ul class="sheet text-fault mt-3 px-4 py-2" aria-label="What does not hold together">
        {#each shown.now.faults as fault (fault)}<li>! {fault}</li>{/each}
    </ul>
{/if}
<section class="sheet mt-3 flex flex-wrap items-end gap-x-3 gap-y-2 px-4 py-3" aria-label="The device">
    <TextField
        label="Name"
        spoken="Name of the device"
        class="w-[280px]"
        value={protocol.name}
        onsave={(name) => put('Name', { name })}
    />
    <SelectField
        label="It speaks in"
        class="w-[200px]"
        value={protocol.form ?? 'packet'}
        items={[
            { value: 'packet', name: 'packets of bits' },
            { value: 'words', name: 'words and figures' },
        ]}
        onsave={(form) => put('Form', { form })}
    />
    <TextField
        label="Pins, V"
        spoken="Volts of its pins"
        mono
        class="w-[112px]"
        value={protocol.logicV === null || protocol.logicV === undefined ? '' : String(protocol.logicV)}
        placeholder="3.3 or 5"
        onsave={(given) => put('Pins', { logicV: typed(given) })}
    />
    <TextField
        label="Remember"
        spoken="Note on the device"
        class="min-w-[260px] grow"
        value={protocol.note ?? ''}
        placeholder="the manual, its edition, the page"
        onsave={(note) => put('Note', { note })}
    />
</section>
<ProtocolFrame {protocol} onput={put} />
<section class="sheet mt-3" aria-label="Functions and readings">
    <table class="ledger">
        <thead
            ><tr
                ><th class="w-[176px]"><span class="text-ink font-semibold">Functions and readings</span></th><th
                    class="w-[180px]">What it is</th
                ><th class="w-[96px]">{words ? 'Word' : 'Code'}</th><th class="w-[140px]">Can</th><th
                    >On the line{shown.now?.hasIds ? ', for device 1' : ''}</th
                ><th class="w-[132px]"><span class="sr-only">Open or remove</span></th></tr
            ></thead
        >
        <tbody>
            {#each protocol.items as one, index (keys[index])}
                {@const frame = frames(index)}
                <tr class={index === at ? 'bg-tint' : ''}>
                    <td
                        ><TextField
                            quiet
                            label="Name of entry {index + 1}"
                            value={one.name}
                            onsave={(name) => putItem(index, { name })}
                        /></td
                    >
                    <td
                        ><SelectField
                            quiet
                            label="What {one.name} is"
                            value={one.kind}
                            items={kinds}
                            onsave={(kind) => putItem(index, { kind: kind as Item['kind'] })}
                        /></td
                    >
                    <td
                        >{#if words}<TextField
                                quiet
                                mono
                                label="Word of {one.name}"
                                value={one.word ?? ''}
                                onsave={(word) => putItem(index, { word })}
                            />{:else}<TextField
                                quiet
                                mono
                                label="Code of {one.name}"
                                value={String(one.code ?? 0)}
                                onsave={(text) => putItem(index, { code: typed(text) as number })}
                            />{/if}</td
                    >
                    <td class="text-soft">{frame?.can ?? ''}</td>
                    <td class="mono text-[12.5px] break-words"
                        >{sample(frame?.sent[0])}{#if frame?.answers.length}<span class="text-soft">
                                &nbsp;→ {sample(frame.answers[0])}</span
                            >{/if}</td
                    >
                    <td class="text-right whitespace-nowrap"
                        ><button
                            type="button"
                            class="quiet-link text-[14px]"
                            aria-pressed={index === at}
                            aria-label="Values of {one.name}"
                            onclick={() => (chosen = keys[index] ?? 'first')}>Values</button
                        >
                        <RemoveButton
                            what="Remove {one.name}"
                            onremove={() =>
                                put('Functions', { items: protocol.items.filter((_, other) => other !== index) })}
                        /></td
                    >
                </tr>
            {:else}
                <tr><td colspan="6" class="text-soft">Nothing yet: begin with what you want it to do.</td></tr>
            {/each}
        </tbody>
    </table>
    <div class="border-rule border-t px-3 py-2">
        <Button color="alternative" onclick={addItem}>Add a function or reading</Button>
    </div>
</section>
{#if item !== undefined}
    {#key keys[at]}<ProtocolItem {protocol} {item} shown={frames(at)} onput={(values) => putItem(at, values)} />{/key}
{/if}
<ProtocolTrial {protocol} hasIds={shown.now?.hasIds === true} />
