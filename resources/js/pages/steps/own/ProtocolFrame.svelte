<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../../../lib/api';
    import { rowKeys } from '../../../lib/row-keys';
    import { typed } from '../../../lib/typed';
    import CheckField from '../../../widgets/CheckField.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    /** What every frame of a device is made of. */
    interface Props {
        protocol: Schemas['Protocol'];
        onput: (label: string, values: Record<string, unknown>) => void;
    }
    let { protocol, onput }: Props = $props();
    type Part = Schemas['Protocol']['parts'][number];

    const words = $derived(protocol.form === 'words');
    const parts = $derived(protocol.parts);
    const keysOf = rowKeys();
    const keys = $derived(keysOf(parts));
    const kinds = [
        { value: 'fixed', name: 'always the same' },
        { value: 'id', name: 'the id of the device' },
        { value: 'function', name: 'the code of the function' },
        { value: 'length', name: 'bytes of values, plus' },
        { value: 'values', name: 'the values of the function' },
        { value: 'check', name: 'the check sum' },
    ];
    const checks = [
        'none',
        'sum-8',
        'xor-8',
        'crc-8',
        'crc-8/maxim-dow',
        'crc-16/arc',
        'crc-16/modbus',
        'crc-16/usb',
        'crc-16/xmodem',
        'crc-16/ccitt-false',
        'crc-16/kermit',
        'crc-16/x-25',
        'crc-16/dnp',
        'crc-32',
    ].map((value) => ({ value, name: value === 'none' ? 'no check sum' : value }));
    const text: { field: 'lead' | 'afterId' | 'between' | 'separator' | 'ending'; label: string }[] = [
        { field: 'lead', label: 'Begins with' },
        { field: 'afterId', label: 'Behind the id' },
        { field: 'between', label: 'Behind the word' },
        { field: 'separator', label: 'Between values' },
        { field: 'ending', label: 'Ends with' },
    ];

    function putPart(at: number, values: Partial<Part>): void {
        onput('Frame', { parts: parts.map((one, other) => (other === at ? { ...one, ...values } : one)) });
    }
    const flags: { field: 'lowFirst' | 'checkLowFirst' | 'bare'; label: string; when: boolean }[] = $derived([
        { field: 'lowFirst', label: 'low byte of a value first', when: !words && protocol.coding !== 'seven' },
        { field: 'checkLowFirst', label: 'low byte of the check first', when: !words && protocol.check !== 'none' },
        { field: 'bare', label: 'answers come without beginning and id', when: words },
    ]);
</script>

<section class="sheet mt-3 {words ? '' : 'lg:flex'}" aria-label="Every frame">
    {#if !words}
        <div class="border-rule grow lg:border-r">
            <table class="ledger">
                <thead
                    ><tr
                        ><th class="w-[260px]"
                            ><span class="text-ink font-semibold">Every frame</span>, field by field</th
                        ><th class="w-[100px]">Bits</th><th class="w-[140px]">Is</th><th
                            ><span class="sr-only">Remove</span></th
                        ></tr
                    ></thead
                >
                <tbody>
                    {#each parts as part, at (keys[at])}
                        <tr>
                            <td
                                ><SelectField
                                    quiet
                                    label="What field {at + 1} is"
                                    value={part.is}
                                    items={kinds}
                                    onsave={(is) => putPart(at, { is: is as Part['is'] })}
                                /></td
                            >
                            <td
                                >{#if part.is !== 'values' && part.is !== 'check'}<TextField
                                        quiet
                                        mono
                                        label="Bits of field {at + 1}"
                                        value={String(part.bits ?? 8)}
                                        onsave={(given) => putPart(at, { bits: typed(given) as number })}
                                    />{/if}</td
                            >
                            <td
                                >{#if part.is === 'fixed' || part.is === 'length'}<TextField
                                        quiet
                                        mono
                                        label={part.is === 'fixed'
                                            ? `What field ${at + 1} always is`
                                            : `Added to the length in field ${at + 1}`}
                                        value={part.is === 'fixed'
                                            ? `0x${(part.value ?? 0).toString(16).toUpperCase().padStart(2, '0')}`
                                            : String(part.value ?? 0)}
                                        onsave={(given) => putPart(at, { value: Number(given) })}
                                    />{/if}</td
                            >
                            <td class="text-right"
                                ><RemoveButton
                                    what="Remove field {at + 1}"
                                    onremove={() => onput('Frame', { parts: parts.filter((_, other) => other !== at) })}
                                /></td
                            >
                        </tr>
                    {:else}
                        <tr
                            ><td colspan="4" class="text-soft"
                                >No fields yet: most begin with one that is always the same.</td
                            ></tr
                        >
                    {/each}
                </tbody>
            </table>
            <div class="border-rule border-t px-3 py-2">
                <Button
                    color="alternative"
                    onclick={() => onput('Frame', { parts: [...parts, { is: 'fixed', bits: 8, value: 0 }] })}
                    >Add a field</Button
                >
            </div>
        </div>
    {/if}
    <div
        class="flex flex-wrap content-start items-end gap-x-3 gap-y-2 px-4 py-3 {words
            ? ''
            : 'border-rule border-t lg:w-[350px] lg:shrink-0 lg:border-t-0'}"
    >
        {#if words}
            <h2 class="w-full">Every line</h2>
            <SelectField
                label="Id"
                spoken="How the id is written"
                class="w-[190px]"
                value={protocol.idAs ?? 'none'}
                items={[
                    { value: 'none', name: 'none: there is but one' },
                    { value: 'number', name: 'a number' },
                    { value: 'letter', name: 'a letter, A for 1' },
                    { value: 'hex', name: 'two hexadecimal digits' },
                ]}
                onsave={(idAs) => onput('Id', { idAs })}
            />
            {#each text as { field, label } (field)}
                {#if field !== 'afterId' || protocol.idAs !== 'none'}<TextField
                        {label}
                        mono
                        class="w-[112px]"
                        value={protocol[field] ?? ''}
                        placeholder="nothing"
                        onsave={(given) => onput(label, { [field]: given })}
                    />{/if}
            {/each}
        {:else}
            <SelectField
                label="Bytes"
                spoken="How bits become bytes"
                class="w-full"
                value={protocol.coding ?? 'bytes'}
                items={[
                    { value: 'bytes', name: 'eight bits each' },
                    { value: 'seven', name: 'seven bits, the first byte marked' },
                    { value: 'slip', name: 'stuffed, ended by 0xC0 (RFC 1055)' },
                    { value: 'hdlc', name: 'stuffed, between 0x7E (RFC 1662)' },
                ]}
                onsave={(coding) => onput('Bytes', { coding })}
            />
        {/if}
        <SelectField
            label="Check"
            spoken="Check sum"
            class="w-[180px]"
            value={protocol.check ?? 'none'}
            items={checks}
            onsave={(check) => onput('Check', { check })}
        />
        {#if protocol.check !== 'none'}<TextField
                label="From byte"
                spoken="First byte that the check covers, from 0"
                mono
                class="w-[84px]"
                value={String(protocol.checkFrom ?? 0)}
                onsave={(given) => onput('Check', { checkFrom: typed(given) })}
            />{/if}
        {#each flags.filter((one) => one.when) as { field, label } (field)}
            <CheckField
                {label}
                checked={protocol[field] === true}
                onturn={(checked) => onput('Frame', { [field]: checked })}
            />
        {/each}
        {#if words}<p class="text-soft w-full text-[14px]">
                Signs that cannot be typed: <span class="mono">\r</span> carriage return, <span class="mono">\n</span>
                line feed, <span class="mono">\t</span> tab, <span class="mono">\e</span> escape,
                <span class="mono">\x02</span> any byte; <span class="mono">\x20</span> a space at an edge.
            </p>{/if}
    </div>
</section>
