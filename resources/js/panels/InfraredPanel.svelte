<script lang="ts">
    import SelectField from '../widgets/SelectField.svelte';
    import EndsTable from './EndsTable.svelte';
    import type { PanelProps } from './panels';
    import PulseStrip from './PulseStrip.svelte';

    let { figures, link, index, medium }: PanelProps<'infrared'> = $props();

    let picked = $state('');
    const code = $derived(figures.codes.find((one) => one.codeId === picked) ?? figures.codes[0]);
    const end = (id: string) => figures.ends.find((one) => one.endpointId === id);
    const emitter = ['supplyV', 'forwardV', 'currentMa', 'leds', 'intensityMwSr', 'distanceM', 'intervalMs'];
    const receiver = ['carrierKhz', 'thresholdUwM2'];

    /** Bought things have no settings of ours; a board's depend on what it does. */
    function settings(one: { id: string; role: string }): string[] {
        if (end(one.id)?.board !== true) {
            return [];
        }
        return [...(one.role === 'receives' ? [] : emitter), ...(one.role === 'sends' ? [] : receiver)];
    }
</script>

<section class="sheet mt-3 p-3" aria-label="Pulse strip">
    {#if code === undefined}
        <h2>Pulse strip</h2>
        <p class="text-soft mt-1">
            No code has been learned yet. Put a remote or an appliance on this link, then learn its keys on its own page
            under Nodes: from a capture, or from a keymap.
        </p>
    {:else}
        <div class="flex flex-wrap items-end gap-x-4 gap-y-1">
            <SelectField
                label="Code"
                class="w-[250px]"
                value={code.codeId}
                items={figures.codes.map((one) => ({ value: one.codeId, name: `${one.node} · ${one.name}` }))}
                onsave={(value) => (picked = value)}
            />
            <p class="mono pb-1.5">{code.says}</p>
            <p class="text-soft pb-1">
                at <span class="mono">{code.carrierKhz} kHz</span>{#if code.durationMs !== null},
                    <span class="mono">{code.durationMs} ms</span>, every
                    <span class="mono">{code.periodMs} ms</span>{code.sends > 1
                        ? `, ${code.sends} times at least`
                        : ''}; held: {code.holding}{/if}
            </p>
        </div>
        <div class="mt-2">
            {#if code.lengthsUs.length > 0}
                <PulseStrip lengthsUs={code.lengthsUs} label="Marks and spaces of {code.name}" height={34} ruled />
            {:else}<p class="text-soft">
                    Nothing tells how it is put into marks and spaces: capture the key itself.
                </p>{/if}
        </div>
    {/if}
</section>

<EndsTable {link} {index} {medium} {settings} says="What follows">
    {#snippet more(one)}
        {@const own = end(one.id)}
        {#if own?.led}
            <p>
                <span class="mono">{own.led.chosenOhm} Ω</span> ({own.led.exactOhm} by arithmetic), rated
                <span class="mono"
                    >{own.led.ratingMw >= 1000 ? `${own.led.ratingMw / 1000} W` : `${own.led.ratingMw} mW`}</span
                >:
                <span class="mono">{own.led.actualMa} mA</span> on a {own.led.driven},
                {own.led.powerMw} mW while lit, about {own.led.averageMw} on average
            </p>
        {/if}
        {#if own?.reachM}<p>
                reaches <span class="mono">{own.reachM} m</span> on its axis{figures.sunlit ? ', in the sun' : ''}
            </p>{/if}
        {#if own && own.sends.length > 0}<p class="text-soft">sends {own.sends.join(', ')}</p>{/if}
        {#if own && own.hears.length > 0}<p class="text-soft">hears {own.hears.join(', ')}</p>{/if}
    {/snippet}
</EndsTable>
<p class="text-soft mt-2 max-w-[60em] text-[14px]">
    Infrared works in sight only: aim the emitter, or let it light a pale ceiling. Whatever heats keeps its own
    thermostat; a code that was missed is never known.
</p>
