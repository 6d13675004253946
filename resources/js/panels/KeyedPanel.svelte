<script lang="ts">
    import SelectField from '../widgets/SelectField.svelte';
    import EndsTable from './EndsTable.svelte';
    import type { PanelProps } from './panels';
    import PulseStrip from './PulseStrip.svelte';

    let { figures, link, index, medium }: PanelProps<'keyed-radio'> = $props();

    let picked = $state('');
    const code = $derived(figures.codes.find((one) => one.codeId === picked) ?? figures.codes[0]);
    const band = $derived(figures.bands.find((one) => one.here));
    const pair = $derived(link.settings['coding'] === 'pair');
    const end = (id: string) => figures.ends.find((one) => one.endpointId === id);
    const settings = (one: { id: string }): string[] =>
        end(one.id)?.board === true ? ['antenna', 'antennaMm', 'freqKhz'] : ['freqKhz'];
</script>

<section class="sheet mt-3 p-3" aria-label="One press">
    <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2>One press</h2>
        {#if pair}
            <p class="text-soft grow">
                A pair: what is on the air is the maker's own business; each button works one pin.
            </p>
        {:else}
            <p class="text-soft grow">
                a frame of <span class="mono">{figures.frameMs} ms</span>, sent {link.settings['repeats']} times
            </p>
            <p class="mono">{figures.pressMs} ms</p>
        {/if}
    </div>
    {#if !pair}
        <div class="mt-2 flex h-[20px] gap-px overflow-hidden rounded-[3px]" aria-hidden="true">
            {#each Array.from({ length: Number(link.settings['repeats']) }, (_, at) => at) as at (at)}
                <span class="bg-tint border-rule grow border text-center text-[12px] leading-[18px]">{at + 1}</span>
            {/each}
        </div>
        {#if code !== undefined && code.lengthsUs.length > 0}
            <div class="mt-3 flex flex-wrap items-end gap-x-4 gap-y-1">
                <SelectField
                    label="Code"
                    class="w-[230px]"
                    value={code.codeId}
                    items={figures.codes.map((one) => ({ value: one.codeId, name: `${one.node} · ${one.name}` }))}
                    onsave={(value) => (picked = value)}
                />
                <p class="mono pb-1.5">{code.says}{code.trits && code.trits !== code.says ? ` · ${code.trits}` : ''}</p>
            </div>
            <div class="mt-2">
                <PulseStrip
                    lengthsUs={code.lengthsUs}
                    label="Marks and spaces of {code.name}"
                    height={30}
                    hue="var(--medium-keyed-radio)"
                    ruled
                />
            </div>
        {/if}
    {/if}
    <p class="mt-2">
        <span class="mono">{figures.freqMhz} MHz</span>:
        {#if band}
            inside {band.fromMhz}–{band.toMhz} MHz, about {band.maxEirpDbm} dBm e.i.r.p. in {figures.region}
            <span class="text-soft">({band.rule}; {figures.asOf})</span>
        {:else}<span class="text-fault">free to use nowhere in {figures.region}</span>{/if}. A quarter-wave wire is
        <span class="mono">{figures.quarterWaveMm} mm</span> long.
    </p>
</section>

<EndsTable {link} {index} {medium} {settings} says="What follows">
    {#snippet more(one)}
        {@const own = end(one.id)}
        {#if own?.sender}<p>signs as <span class="mono">{own.sender}</span></p>{/if}
        {#if own?.answers}<p>
                its pins answer {own.answers === 'momentary' ? 'while the key is held' : own.answers}
            </p>{/if}
        {#if own && own.sends.length > 0}<p class="text-soft">
                sends <span class="mono">{own.sends.join(', ')}</span>
            </p>{/if}
        {#if own && own.hears.length > 0}<p class="text-soft">
                hears <span class="mono">{own.hears.join(', ')}</span>
            </p>{/if}
    {/snippet}
</EndsTable>
<p class="text-soft mt-2 max-w-[60em] text-[14px]">
    Fixed codes can be recorded from the street and played back: never a lock, a gate or a heater by these alone. Fit
    the antenna before power. Check your own country's rules.
</p>
