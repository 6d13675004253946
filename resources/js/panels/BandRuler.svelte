<script lang="ts">
    import type { Schemas } from '../lib/api';

    let { figures }: { figures: Schemas['PacketPanel'] } = $props();
    let width = $state(780);
    const left = 14;
    const scale = $derived((width - 2 * left) / (figures.channels.to - figures.channels.from));
    const x = (channel: number): number => left + (channel - figures.channels.from) * scale;
    const ticks = $derived(
        Array.from({ length: figures.channels.to - figures.channels.from + 1 }, (_, at) => figures.channels.from + at),
    );
    const caption = $derived(
        `Channel ${figures.here ?? 'not chosen yet'}; legal ${figures.legal?.from} to ${figures.legal?.to}; Wi-Fi in use: ${figures.wifi.map((one) => one.channel).join(', ') || 'none'}`,
    );
</script>

<div bind:clientWidth={width}>
    <svg {width} height="122" viewBox="0 0 {width} 122" role="img" aria-label={caption} class="block max-w-full">
        <defs
            ><pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
                ><path d="M0 0V7" stroke="var(--rule)" stroke-width="2" /></pattern
            ></defs
        >
        <rect x={x(0) - scale / 2} y="62" width={scale * 126} height="26" fill="url(#hatch)" />
        {#if figures.legal}
            <rect
                x={x(figures.legal.from) - scale / 2}
                y="62"
                width={(figures.legal.to - figures.legal.from + 1) * scale}
                height="26"
                fill="var(--tint)"
            />
            <text
                x={x((figures.legal.from + figures.legal.to) / 2)}
                y="79"
                text-anchor="middle"
                font-size="13"
                fill="var(--ink)"
                >legal in {figures.legal.region}
                {figures.legal.fromMhz}–{figures.legal.toMhz} MHz: channels {figures.legal.from}–{figures.legal
                    .to}</text
            >
            <text x={x((figures.legal.to + 126) / 2)} y="79" text-anchor="middle" font-size="13" fill="var(--soft)"
                >outside the band</text
            >
        {/if}
        {#each figures.wifi as wifi (wifi.channel)}
            <rect
                x={x(wifi.from)}
                y="38"
                width={(wifi.to - wifi.from) * scale}
                height="18"
                fill="var(--sheet)"
                stroke="var(--soft)"
            />
            <text x={x((wifi.from + wifi.to) / 2)} y="51" text-anchor="middle" font-size="12.5" fill="var(--ink)"
                >Wi-Fi {wifi.channel}</text
            >
        {/each}
        {#each ticks as tick (tick)}<path d="M{x(tick)} 88v{tick % 10 === 0 ? 9 : 4}" stroke="var(--soft)" />{/each}
        {#each ticks.filter((tick) => tick % 10 === 0) as tick (tick)}<text
                x={x(tick)}
                y="112"
                text-anchor="middle"
                class="mono"
                font-size="12"
                fill="var(--soft)">{tick}</text
            >{/each}
        {#each figures.others as other (other.name)}
            <path d="M{x(other.channel)} 30V92" stroke="var(--soft)" stroke-width="2" stroke-dasharray="4 3" />
            <text
                x={x(other.channel)}
                y={figures.here !== null && Math.abs(other.channel - figures.here) < 14 ? 12 : 25}
                text-anchor={figures.here !== null && other.channel > figures.here ? 'start' : 'middle'}
                font-size="13"
                fill="var(--soft)">{other.name} {other.channel}</text
            >
        {/each}
        {#if figures.here !== null}
            <path d="M{x(figures.here)} 28V94" stroke="var(--accent)" stroke-width="3" />
            <text x={x(figures.here)} y="24" text-anchor="end" font-size="14" font-weight="600" fill="var(--accent)"
                >here {figures.here} · {figures.freqMhz} MHz</text
            >
        {:else}
            <text x={x(62)} y="24" text-anchor="middle" font-size="13" fill="var(--soft)"
                >no channel yet: Assign proposes one</text
            >
        {/if}
    </svg>
</div>
