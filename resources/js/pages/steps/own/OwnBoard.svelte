<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Catalogue, Schemas } from '../../../lib/api';
    import { described, type Path } from '../../../lib/described';
    import { rowKeys } from '../../../lib/row-keys';
    import { typed } from '../../../lib/typed';
    import { change, workspace } from '../../../lib/workspace.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';
    import Figures from './Figures.svelte';
    import FigureTable from './FigureTable.svelte';

    let { own, catalogue }: { own: Schemas['OwnBoard']; catalogue: Catalogue } = $props();
    type Description = NonNullable<Schemas['OwnBoard']['description']>;
    const description = $derived(own.description as Description | null);
    const keysOf = rowKeys();
    const keys = $derived(keysOf(description?.pins ?? []));
    const copied = $derived(catalogue.boards.find((one) => one.key === own.copyOf));

    /** What plain pins can do. Lines of buses are typed, for there are as many as the board has buses. */
    const abilities = [
        { key: 'digital-in', name: 'In' },
        { key: 'digital-out', name: 'Out' },
        { key: 'pwm', name: 'PWM' },
        { key: 'analogue', name: 'Analogue' },
        { key: 'interrupt', name: 'Interrupt' },
    ];
    const inputs = { usb: 'USB socket', vin: 'VIN pin', '5v': '5V pin', '3v3': '3V3 pin', cell: 'battery pads' };
    /** To begin with, what such an input takes on most boards. */
    const takes = { usb: [4.75, 5.25], vin: [7, 12], '5v': [4.75, 5.5], '3v3': [3, 3.6], cell: [3, 4.25] } as const;
    const rails = { 'board-5v': '5V', 'board-3v3': '3V3' };

    function without<T extends string>(all: Record<T, string>, taken: T[]): { value: T; name: string }[] {
        return (Object.entries(all) as [T, string][])
            .filter(([value]) => !taken.includes(value))
            .map(([value, name]) => ({ value, name }));
    }

    function put(label: string, changed: Description): void {
        void workspace.edit(`${label} of ${own.name}`, change('ownBoard', own.id, { description: changed }));
    }

    function set(label: string, path: Path, value: unknown): void {
        if (description !== null) {
            put(label, described(description, path, value));
        }
    }

    /** Among plain abilities the lines of buses stay, and among lines the abilities. */
    function lines(can: string[]): string[] {
        return can.filter((one) => one.includes('.'));
    }

    function setLines(at: number, can: string[], text: string): void {
        const typedLines = text.split(/[\s,]+/).filter(Boolean);
        set('Bus lines', ['pins', at, 'can'], [...can.filter((one) => !one.includes('.')), ...typedLines]);
    }

    function turn(at: number, can: string[], ability: string): void {
        set(
            'Abilities',
            ['pins', at, 'can'],
            can.includes(ability) ? can.filter((one) => one !== ability) : [...can, ability],
        );
    }

    function addPin(of: Description): void {
        const taken = new Set(of.pins.map((pin) => pin.name));
        let number = of.pins.length;
        while (taken.has(`P${number}`)) {
            number++;
        }
        put('Pins', {
            ...of,
            pins: [...of.pins, { name: `P${number}`, can: ['digital-in', 'digital-out'], number }],
        });
    }
</script>

<h1>{own.name}</h1>
<p class="text-soft mt-0.5">A board, copied from: {copied?.name ?? own.copyOf}.</p>
{#if description === null}
    <p class="text-soft mt-4" role="status">Writing the copy…</p>
{:else}
    <section class="sheet mt-3 flex flex-wrap items-end gap-x-3 gap-y-2 px-4 py-3" aria-label="The board">
        <TextField
            label="Name"
            spoken="Name of the board"
            class="w-[260px]"
            value={own.name}
            onsave={(name) => workspace.edit(`Rename ${own.name} to ${name}`, change('ownBoard', own.id, { name }))}
        />
        {#each [['logicV', 'Logic, V'], ['clockMhz', 'Clock, MHz'], ['memoryKb', 'Memory, kB']] as const as [field, label] (field)}
            <TextField
                {label}
                spoken="{label} of {own.name}"
                mono
                class="w-[92px]"
                value={String(description[field])}
                onsave={(text) => set(label, [field], typed(text))}
            />
        {/each}
        <label class="flex items-center gap-1.5 pb-1.5"
            ><input
                type="checkbox"
                class="border-soft text-accent bg-sheet rounded-[3px]"
                checked={description.fiveVoltTolerant}
                onchange={(event) =>
                    put('Five volts', { ...description, fiveVoltTolerant: event.currentTarget.checked })}
            /> its pins stand 5 V</label
        >
        <label class="flex items-center gap-1.5 pb-1.5"
            ><input
                type="checkbox"
                class="border-soft text-accent bg-sheet rounded-[3px]"
                checked={description.media?.includes('ip') === true}
                onchange={(event) => put('Wi-Fi', { ...description, media: event.currentTarget.checked ? ['ip'] : [] })}
            /> Wi-Fi or Ethernet on the board</label
        >
    </section>
    <div class="grid gap-x-3 xl:grid-cols-2">
        <Figures
            title="What it takes"
            says="Of its own, with nothing wired: from its sheet, or measured in its supply lead."
            of={own.name}
            {description}
            figures={[
                { path: ['own', 'typicalMa'], label: 'Awake', unit: 'mA' },
                { path: ['own', 'peakMa'], label: 'At its peak', unit: 'mA' },
                { path: ['own', 'sleepMa'], label: 'Asleep', unit: 'mA' },
                { path: ['own', 'brownOutV'], label: 'Resets below', unit: 'V' },
                ...description.inputs.flatMap((input, at) =>
                    input.at === 'cell'
                        ? [{ path: ['inputs', at, 'chargeMa'], label: 'Charges with', unit: 'mA' }]
                        : [],
                ),
            ]}
            onset={set}
        />
        <Figures
            title="What a pin gives"
            says="The current that it should give for long, and the most that it stands."
            of={own.name}
            {description}
            figures={[
                { path: ['pinCurrent', 'advisedMa'], label: 'Advised', unit: 'mA' },
                { path: ['pinCurrent', 'absoluteMa'], label: 'At most', unit: 'mA' },
            ]}
            onset={set}
        />
    </div>
    <Figures
        title="Levels"
        says="Volts, worst case. V_IH and V_IL: from where on an input reads high, up to where low. V_OH and V_OL: what an output gives with nothing to drive, and at its rated current."
        of={own.name}
        {description}
        figures={[
            { path: ['levels', 'highInV'], label: 'V_IH', unit: 'V' },
            { path: ['levels', 'lowInV'], label: 'V_IL', unit: 'V' },
            { path: ['levels', 'mostInV'], label: 'Input stands', unit: 'V' },
            { path: ['levels', 'highOutV'], label: 'V_OH', unit: 'V' },
            { path: ['levels', 'lowOutV'], label: 'V_OL', unit: 'V' },
            { path: ['levels', 'ratedHighV'], label: 'V_OH rated', unit: 'V' },
            { path: ['levels', 'ratedLowV'], label: 'V_OL rated', unit: 'V' },
        ]}
        onset={set}
    />
    <div class="grid gap-3 xl:grid-cols-2">
        <FigureTable
            title="Where it is fed"
            one="an input"
            rows={description.inputs}
            columns={[
                { field: 'minV', label: 'From, V', spoken: 'Least volts' },
                { field: 'maxV', label: 'to, V', spoken: 'Most volts' },
            ]}
            more={without(
                inputs,
                description.inputs.map((one) => one.at),
            )}
            onset={(at, field, value) => set('Inputs', ['inputs', at, field], value)}
            onadd={(at) =>
                put('Inputs', {
                    ...description,
                    inputs: [...description.inputs, { at, name: inputs[at], minV: takes[at][0], maxV: takes[at][1] }],
                })}
            onremove={(at) =>
                put('Inputs', { ...description, inputs: description.inputs.filter((_, other) => other !== at) })}
        />
        <FigureTable
            title="Supply pins"
            one="a supply pin"
            rows={description.rails}
            columns={[
                { field: 'volts', label: 'Gives, V', spoken: 'Volts' },
                { field: 'limitMa', label: 'Good for, mA', spoken: 'Milliamperes' },
            ]}
            more={without(
                rails,
                description.rails.map((one) => one.supply),
            )}
            onset={(at, field, value) => set('Supply pins', ['rails', at, field], value)}
            onadd={(supply) =>
                put('Supply pins', {
                    ...description,
                    rails: [
                        ...description.rails,
                        { supply, name: rails[supply], volts: supply === 'board-5v' ? 5 : 3.3, limitMa: 100 },
                    ],
                })}
            onremove={(at) =>
                put('Supply pins', { ...description, rails: description.rails.filter((_, other) => other !== at) })}
        />
    </div>
    <section class="sheet mt-3" aria-label="Pins">
        <table class="ledger">
            <thead
                ><tr
                    ><th class="w-[84px]"><span class="text-ink font-semibold">Pins</span></th><th class="w-[72px]"
                        >Number</th
                    >{#each abilities as ability (ability.key)}<th class="w-[66px] text-center">{ability.name}</th
                        >{/each}<th>Bus lines, as spi0.sck</th><th class="w-[104px]">At power-up</th><th
                        class="w-[66px] text-center">Console</th
                    ><th class="w-[66px] text-center">Pull-up</th><th class="w-[76px]"
                        ><span class="sr-only">Remove</span></th
                    ></tr
                ></thead
            >
            <tbody>
                {#each description.pins as pin, at (keys[at])}
                    <tr>
                        <td
                            ><TextField
                                quiet
                                mono
                                label="Name of pin {at + 1}"
                                value={pin.name}
                                onsave={(text) => set('Pins', ['pins', at, 'name'], text)}
                            /></td
                        >
                        <td
                            ><TextField
                                quiet
                                mono
                                label="Number of {pin.name} in programs"
                                value={pin.number === undefined ? '' : String(pin.number)}
                                placeholder={pin.name.replace(/\D/g, '') || '0'}
                                onsave={(text) => set('Pins', ['pins', at, 'number'], typed(text))}
                            /></td
                        >
                        {#each abilities as ability (ability.key)}
                            <td class="text-center"
                                ><input
                                    type="checkbox"
                                    class="border-soft text-accent bg-sheet rounded-[3px]"
                                    aria-label="{pin.name}: {ability.name}"
                                    checked={pin.can.includes(ability.key)}
                                    onchange={() => turn(at, pin.can, ability.key)}
                                /></td
                            >
                        {/each}
                        <td
                            ><TextField
                                quiet
                                mono
                                label="Bus lines of {pin.name}"
                                value={lines(pin.can).join(' ')}
                                placeholder="–"
                                onsave={(text) => setLines(at, pin.can, text)}
                            /></td
                        >
                        <td
                            ><SelectField
                                quiet
                                label="{pin.name} at power-up"
                                value={pin.strap ?? ''}
                                empty="any"
                                items={[
                                    { value: 'high', name: 'must be high' },
                                    { value: 'low', name: 'must be low' },
                                ]}
                                onsave={(level) => set('Pins', ['pins', at, 'strap'], level || null)}
                            /></td
                        >
                        <td class="text-center"
                            ><input
                                type="checkbox"
                                class="border-soft text-accent bg-sheet rounded-[3px]"
                                aria-label="{pin.name}: console"
                                checked={pin.console === true}
                                onchange={(event) => set('Pins', ['pins', at, 'console'], event.currentTarget.checked)}
                            /></td
                        >
                        <td class="text-center"
                            ><input
                                type="checkbox"
                                class="border-soft text-accent bg-sheet rounded-[3px]"
                                aria-label="{pin.name}: can hold itself high"
                                checked={pin.noPullUp !== true}
                                onchange={(event) =>
                                    set('Pins', ['pins', at, 'noPullUp'], !event.currentTarget.checked)}
                            /></td
                        >
                        <td class="text-right"
                            ><RemoveButton
                                what="Remove {pin.name}"
                                onremove={() =>
                                    put('Pins', {
                                        ...description,
                                        pins: description.pins.filter((_, other) => other !== at),
                                    })}
                            /></td
                        >
                    </tr>
                {/each}
            </tbody>
        </table>
        <div class="border-rule border-t px-3 py-2">
            <Button color="alternative" onclick={() => addPin(description)}>Add a pin</Button>
        </div>
    </section>
{/if}
