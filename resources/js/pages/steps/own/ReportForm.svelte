<script lang="ts">
    import type { Schemas } from '../../../lib/api';
    import { described, type Path } from '../../../lib/described';
    import { view } from '../../../lib/shown.svelte';
    import { typed } from '../../../lib/typed';
    import CheckField from '../../../widgets/CheckField.svelte';
    import TextField from '../../../widgets/TextField.svelte';
    import Figures from './Figures.svelte';
    import RecordTable from './RecordTable.svelte';

    type Description = NonNullable<Schemas['OwnModule']['description']>;
    type Report = NonNullable<Description['report']>;
    /** What a pad says when it is polled, byte by byte, and a place to see whether that is so. */
    interface Props {
        own: Schemas['OwnModule'];
        description: Description;
        report: Report;
        onset: (label: string, path: Path, value: unknown) => void;
    }
    let { own, description, report, onset }: Props = $props();

    let came = $state('');
    const trial = view('report-trial', () => new URLSearchParams({ module: own.id, came }).toString());

    const hex = (bytes: number[]): string =>
        bytes.map((one) => one.toString(16).toUpperCase().padStart(2, '0')).join(' ');
    /** What is no byte is sent as it was typed: the description's own schema says what is wrong with it. */
    const bytes = (text: string): unknown[] =>
        text
            .split(/[\s,]+/)
            .filter((one) => one !== '')
            .map((one) => (/^(0x)?[0-9a-f]{1,2}$/i.test(one) ? parseInt(one, 16) : one));

    function put(label: string, changed: Report): void {
        onset(label, ['report'], changed);
    }

    function unused(like: string, taken: { name: string }[]): string {
        let number = taken.length + 1;
        while (taken.some((one) => one.name === `${like} ${number}`)) {
            number++;
        }
        return `${like} ${number}`;
    }

    function addKey(): void {
        const last = report.keys.at(-1) ?? { byte: 0, bit: -1 };
        const next = last.bit < 7 ? { byte: last.byte, bit: last.bit + 1 } : { byte: last.byte + 1, bit: 0 };
        put('Keys', { ...report, keys: [...report.keys, { name: unused('Key', report.keys), ...next }] });
    }

    function addAxis(): void {
        const byte = Math.max(-1, ...report.axes.map((one) => one.byte)) + 1;
        put('Axes', { ...report, axes: [...report.axes, { name: unused('Axis', report.axes), byte }] });
    }

    function addProof(): void {
        const byte = Math.max(-1, ...report.proofs.map((one) => one.byte)) + 1;
        put('Proofs', { ...report, proofs: [...report.proofs, { byte, is: [0] }] });
    }
    const figure = { width: 'w-[84px]', mono: true, typed };
    const field = 'bg-sheet border-rule text-ink rounded-[4px] border px-2 py-1';
</script>

<Figures
    title="How it is polled"
    says="How long a report is, asking and answer together; how often it is asked for; and the fastest clock that it follows. Bytes and bits are counted from 0."
    of={own.name}
    {description}
    figures={[
        { path: ['report', 'bytes'], label: 'Bytes' },
        { path: ['report', 'pollMs'], label: 'Every', unit: 'ms' },
        { path: ['report', 'clockKhz'], label: 'Clock', unit: 'kHz' },
    ]}
    {onset}
/>
<section class="sheet mt-3 flex flex-wrap items-end gap-x-4 gap-y-2 px-4 py-3" aria-label="What it is asked with">
    <TextField
        label="Asked with, hexadecimal"
        spoken="What {own.name} is asked with"
        mono
        class="min-w-[260px] grow"
        value={hex(report.ask)}
        onsave={(text) => onset('Asked with', ['report', 'ask'], bytes(text))}
    />
    <CheckField
        label="least significant bit first"
        checked={report.leastFirst === true}
        onturn={(checked) => put('Order of bits', described(report, ['leastFirst'], checked))}
    />
    <CheckField
        label="a pressed key reads 0"
        checked={report.keysLow === true}
        onturn={(checked) => put('Keys', described(report, ['keysLow'], checked))}
    />
</section>
<div class="grid items-start gap-x-3 xl:grid-cols-2">
    <RecordTable
        title="Keys"
        region="Keys of the report"
        rows={report.keys}
        columns={[
            { field: 'name', label: '', spoken: (_, at) => `Name of key ${at + 1}` },
            { field: 'byte', label: 'Byte', spoken: (key) => `Byte of ${key.name}`, ...figure },
            { field: 'bit', label: 'Bit', spoken: (key) => `Bit of ${key.name}`, ...figure },
        ]}
        named={(key) => key.name}
        add="Add a key"
        onset={(at, field, value) => onset('Keys', ['report', 'keys', at, field], value)}
        onadd={addKey}
        onremove={(keys) => put('Keys', { ...report, keys })}
    />
    <div>
        <RecordTable
            title="Sticks and pressures"
            region="Axes of the report"
            rows={report.axes}
            columns={[
                { field: 'name', label: '', spoken: (_, at) => `Name of axis ${at + 1}` },
                { field: 'byte', label: 'Byte', spoken: (axis) => `Byte of ${axis.name}`, ...figure },
            ]}
            named={(axis) => axis.name}
            add="Add an axis"
            onset={(at, field, value) => onset('Axes', ['report', 'axes', at, field], value)}
            onadd={addAxis}
            onremove={(axes) => put('Axes', { ...report, axes })}
        />
        <RecordTable
            title="Counts where"
            region="What proves a report"
            rows={report.proofs}
            columns={[
                {
                    field: 'byte',
                    label: 'byte',
                    spoken: (_, at) => `Byte of proof ${at + 1}`,
                    ...figure,
                    width: 'w-[150px]',
                },
                {
                    field: 'is',
                    label: 'is one of, hexadecimal',
                    mono: true,
                    spoken: ({ byte }) => `What byte ${byte} may be`,
                    shown: ({ is }) => hex(is),
                    typed: bytes,
                },
            ]}
            least={1}
            named={(_, at) => `proof ${at + 1}`}
            add="Add a proof"
            onset={(at, field, value) => onset('Proofs', ['report', 'proofs', at, field], value)}
            onadd={addProof}
            onremove={(proofs) => put('Proofs', { ...report, proofs })}
        />
        <section class="sheet mt-3 px-4 py-3" aria-label="Try a report">
            <h2>Try a report</h2>
            <p class="text-soft max-w-[760px] text-[14px]">
                What came on the data line while a key was held, as hexadecimal bytes: it is read here as the header
                reads it.
            </p>
            <input
                class="{field} mono mt-2 w-full max-w-[520px]"
                aria-label="What came"
                placeholder="FF 73 5A FF FF 80 80 80 80"
                bind:value={came}
            />
            <p class="mt-2" aria-live="polite" aria-label="What it means">
                {#if trial.now?.lost}{trial.now
                        .lost}{:else if trial.now && trial.now.channels.length > 0}{@const worked =
                        trial.now.channels.filter((one) => one.worked)}{worked.length === 0
                        ? 'It counts, and nothing is worked.'
                        : worked.map((one) => `${one.name}: ${one.says}`).join(' · ')}{/if}
            </p>
        </section>
    </div>
</div>
