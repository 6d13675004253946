<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Catalogue, Schemas } from '../../../lib/api';
    import { described, type Path } from '../../../lib/described';
    import { rowKeys } from '../../../lib/row-keys';
    import { change, workspace } from '../../../lib/workspace.svelte';
    import CheckField from '../../../widgets/CheckField.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';
    import Figures from './Figures.svelte';
    import ReportForm from './ReportForm.svelte';

    let { own, catalogue }: { own: Schemas['OwnModule']; catalogue: Catalogue } = $props();
    type Description = NonNullable<Schemas['OwnModule']['description']>;
    type Terminal = Description['terminals'][number];
    const description = $derived(own.description as Description | null);
    const keysOf = rowKeys();
    const keys = $derived(keysOf(description?.terminals ?? []));
    const copied = $derived(catalogue.modules.find((one) => one.key === own.copyOf));
    const fed = $derived(description?.supplyTerminals.some((one) => one.goes === 'supply') === true);

    const needs = [
        { value: 'digital-in', name: 'digital input' },
        { value: 'digital-out', name: 'digital output' },
        { value: 'pwm', name: 'PWM' },
        { value: 'analogue', name: 'analogue input' },
        { value: 'interrupt', name: 'input with interrupt' },
        ...['spi.sck', 'spi.mosi', 'spi.miso', 'i2c.sda', 'i2c.scl', 'uart.rx', 'uart.tx', 'can.rx', 'can.tx'].map(
            (line) => ({
                value: line,
                name: line.replace('.', ' ').toUpperCase(),
            }),
        ),
    ];

    function put(label: string, changed: Description): void {
        void workspace.edit(`${label} of ${own.name}`, change('ownModule', own.id, { description: changed }));
    }

    function set(label: string, path: Path, value: unknown): void {
        if (description !== null) {
            put(label, described(description, path, value));
        }
    }

    function addTerminal(of: Description): void {
        const taken = new Set(of.terminals.map((terminal) => terminal.name));
        let number = of.terminals.length + 1;
        while (taken.has(`T${number}`)) {
            number++;
        }
        const last = of.terminals.at(-1);
        const like: Terminal = {
            name: `T${number}`,
            needs: last?.needs ?? 'digital-out',
            doc: 'Described by the builder.',
        };
        put('Terminals', {
            ...of,
            terminals: [...of.terminals, last?.carries === undefined ? like : { ...like, carries: last.carries }],
        });
    }
</script>

<h1>{own.name}</h1>
<p class="text-soft mt-0.5">
    A module, copied from: {copied?.name ?? own.copyOf}.{copied?.medium
        ? ' What it is for, and the terminals by which its medium speaks, stay as they are there.'
        : ''}
</p>
{#if description === null}
    <p class="text-soft mt-4" role="status">Writing the copy…</p>
{:else}
    <section class="sheet mt-3 flex flex-wrap items-end gap-x-3 gap-y-2 px-4 py-3" aria-label="The module">
        <TextField
            label="Name"
            spoken="Name of the module"
            class="w-[260px]"
            value={own.name}
            onsave={(name) => workspace.edit(`Rename ${own.name} to ${name}`, change('ownModule', own.id, { name }))}
        />
        {#if copied?.group === 'output'}
            <CheckField
                label="low switches it on"
                checked={description.activeLow === true}
                onturn={(checked) => put('Active low', { ...description, activeLow: checked })}
            />
        {/if}
        <TextField
            label="Advice for who builds it"
            class="min-w-[300px] grow"
            value={description.advice}
            onsave={(text) => set('Advice', ['advice'], text)}
        />
    </section>
    <div class="grid gap-x-3 xl:grid-cols-2">
        {#if fed}
            <Figures
                title="What it wants"
                says="The volts that it works from, and those that it stands."
                of={own.name}
                {description}
                figures={[
                    { path: ['supply', 'minV'], label: 'From', unit: 'V' },
                    { path: ['supply', 'maxV'], label: 'to', unit: 'V' },
                ]}
                onset={set}
            />
            <Figures
                title="What it draws"
                says="As a rule; for hours with all in it that can be on (left empty, what stays on draws its peak); and at its peak."
                of={own.name}
                {description}
                figures={[
                    { path: ['supply', 'typicalMa'], label: 'As a rule', unit: 'mA' },
                    { path: ['supply', 'heldMa'], label: 'For hours', unit: 'mA' },
                    { path: ['supply', 'peakMa'], label: 'At its peak', unit: 'mA' },
                ]}
                onset={set}
            />
        {/if}
        {#if description.thermistor}
            <Figures
                title="How it follows the temperature"
                says="Its resistance at 25 °C and its B value, as its data sheet says, and the resistor from the supply to it; where it is made for, and how well."
                of={own.name}
                {description}
                figures={[
                    { path: ['thermistor', 'r25Ohm'], label: 'At 25 °C', unit: 'Ω' },
                    { path: ['thermistor', 'betaK'], label: 'B value', unit: 'K' },
                    { path: ['thermistor', 'fixedOhm'], label: 'To the supply', unit: 'Ω' },
                    { path: ['thermistor', 'fromC'], label: 'From', unit: '°C' },
                    { path: ['thermistor', 'toC'], label: 'to', unit: '°C' },
                    { path: ['thermistor', 'withinC'], label: 'Within', unit: '°C' },
                ]}
                onset={set}
            />
        {/if}
        {#if description.levels?.in}
            <Figures
                title="What its inputs take"
                says="High from so many volts on, or from a share of its supply; low up to so many; and the most that they stand."
                of={own.name}
                {description}
                figures={[
                    { path: ['levels', 'in', 'highV'], label: 'V_IH', unit: 'V' },
                    { path: ['levels', 'in', 'highShare'], label: 'or of supply' },
                    { path: ['levels', 'in', 'lowV'], label: 'V_IL', unit: 'V' },
                    { path: ['levels', 'in', 'mostV'], label: 'Stand', unit: 'V' },
                ]}
                onset={set}
            />
        {/if}
        {#if description.levels?.out}
            <Figures
                title="What its outputs give"
                says="A high of so many volts, or of a share of its supply; the lowest that it calls high, and the highest that it calls low. And the resistor, where nothing else makes its high."
                of={own.name}
                {description}
                figures={[
                    { path: ['levels', 'out', 'highV'], label: 'V_OH', unit: 'V' },
                    { path: ['levels', 'out', 'highShare'], label: 'or of supply' },
                    { path: ['levels', 'out', 'leastHighV'], label: 'At the least', unit: 'V' },
                    { path: ['levels', 'out', 'mostLowV'], label: 'V_OL', unit: 'V' },
                    { path: ['levels', 'out', 'highOhm'], label: 'Pulled up by', unit: 'Ω' },
                ]}
                onset={set}
            />
        {/if}
        {#if description.timing}
            <Figures
                title="How fast it is"
                says="From the level at its terminal to what it switches."
                of={own.name}
                {description}
                figures={[
                    { path: ['timing', 'typicalMs'], label: 'As a rule', unit: 'ms' },
                    { path: ['timing', 'worstMs'], label: 'At the worst', unit: 'ms' },
                ]}
                onset={set}
            />
        {/if}
    </div>
    <section class="sheet mt-3" aria-label="Terminals">
        <table class="ledger">
            <thead
                ><tr
                    ><th class="w-[110px]"><span class="text-ink font-semibold">Terminals</span></th><th
                        class="w-[170px]">Wants</th
                    ><th class="w-[120px]">Carries</th><th class="w-[130px]">At power-up</th><th>Says</th><th
                        class="w-[76px]"><span class="sr-only">Remove</span></th
                    ></tr
                ></thead
            >
            <tbody>
                {#each description.terminals as terminal, at (keys[at])}
                    <tr>
                        <td
                            ><TextField
                                quiet
                                mono
                                label="Name of terminal {at + 1}"
                                value={terminal.name}
                                onsave={(text) => set('Terminals', ['terminals', at, 'name'], text)}
                            /></td
                        >
                        <td
                            ><SelectField
                                quiet
                                label="What {terminal.name} wants"
                                value={terminal.needs}
                                items={needs}
                                onsave={(value) => set('Terminals', ['terminals', at, 'needs'], value)}
                            /></td
                        >
                        <td
                            ><SelectField
                                quiet
                                label="What {terminal.name} carries"
                                value={terminal.carries ?? ''}
                                empty="itself"
                                items={[
                                    { value: 'control', name: 'a control' },
                                    { value: 'output', name: 'an output' },
                                ]}
                                onsave={(value) => set('Terminals', ['terminals', at, 'carries'], value || null)}
                            /></td
                        >
                        <td
                            ><SelectField
                                quiet
                                label="{terminal.name} at power-up"
                                value={terminal.pulls ?? ''}
                                empty="floats"
                                items={[
                                    { value: 'up', name: 'pulls up' },
                                    { value: 'down', name: 'pulls down' },
                                ]}
                                onsave={(value) => set('Terminals', ['terminals', at, 'pulls'], value || null)}
                            /></td
                        >
                        <td
                            ><TextField
                                quiet
                                label="What {terminal.name} does"
                                value={terminal.doc}
                                onsave={(text) => set('Terminals', ['terminals', at, 'doc'], text)}
                            /></td
                        >
                        <td class="text-right"
                            ><RemoveButton
                                what="Remove {terminal.name}"
                                onremove={() =>
                                    put('Terminals', {
                                        ...description,
                                        terminals: description.terminals.filter((_, other) => other !== at),
                                    })}
                            /></td
                        >
                    </tr>
                {/each}
            </tbody>
        </table>
        <div class="border-rule border-t px-3 py-2">
            <Button color="alternative" onclick={() => addTerminal(description)}>Add a terminal</Button>
        </div>
    </section>
    {#if description.report}<ReportForm {own} {description} report={description.report} onset={set} />{/if}
{/if}
