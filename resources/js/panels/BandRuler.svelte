<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { placeLabels } from '../lib/ruler-labels';

    interface Props {
        figures: Schemas['PacketRadioPanel']['figures'];
        /** Whatever else the plan has on the band. */
        others: { name: string; channel: number }[];
    }

    let { figures, others }: Props = $props();
    let width = $state(780);
    const left = 14;
    const ROW = 15;
    const scale = $derived((width - 2 * left) / (figures.channels.to - figures.channels.from));
    const x = (channel: number): number => left + (channel - figures.channels.from) * scale;
    const ticks = $derived(
        Array.from({ length: figures.channels.to - figures.channels.from + 1 }, (_, at) => figures.channels.from + at),
    );
    const labels = $derived(
        placeLabels(
            [
                ...(figures.here === null
                    ? []
                    : [{ text: `here ${figures.here} · ${figures.freqMhz} MHz`, x: x(figures.here) }]),
                ...others.map((other) => ({ text: `${other.name} ${other.channel}`, x: x(other.channel) })),
            ],
            width,
        ),
    );
    const top = $derived((1 + Math.max(0, ...labels.map((label) => label.row))) * ROW + 6);
    const caption = $derived(
        `Channel ${figures.here ?? 'not chosen yet'}; legal ${figures.legal?.from} to ${figures.legal?.to}; Wi-Fi in use: ${figures.wifi.map((one) => one.channel).join(', ') || 'none'}`,
    );
</script>

<div bind:clientWidth={width}>
    <svg
        {width}
        height={top + 88}
        viewBox="0 0 {width} {top + 88}"
        role="img"
        aria-label={caption}
        class="block max-w-full"
    >
        <defs>
            <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
                ><path d="M0 0V7" stroke="var(--rule)" stroke-width="2" /></pattern
            >
        </defs>
        {#if figures.here === null}
            <text x={x(62)} y={ROW} text-anchor="middle" font-size="13" fill="var(--soft)"
                >no channel yet: Assign proposes one</text
            >
        {/if}
        {#each labels as label (label.text)}
            {@const here = figures.here !== null && label.x === x(figures.here)}
            <path
                d="M{label.x} {(label.row + 1) * ROW - 10}V{top + 58}"
                stroke={here ? 'var(--accent)' : 'var(--soft)'}
                stroke-width={here ? 3 : 1.5}
                stroke-dasharray={here ? undefined : '4 3'}
            />
        {/each}
        <g transform="translate(0 {top})">
            {#each figures.wifi as wifi (wifi.channel)}
                <rect
                    x={x(wifi.from)}
                    y="2"
                    width={(wifi.to - wifi.from) * scale}
                    height="18"
                    fill="none"
                    stroke="var(--soft)"
                />
                <text x={x(wifi.from) + 6} y="15" font-size="12.5" fill="var(--ink)">Wi-Fi {wifi.channel}</text>
            {/each}
            <rect x={x(0) - scale / 2} y="26" width={scale * 126} height="26" fill="url(#hatch)" />
            {#if figures.legal}
                <rect
                    x={x(figures.legal.from) - scale / 2}
                    y="26"
                    width={(figures.legal.to - figures.legal.from + 1) * scale}
                    height="26"
                    fill="var(--tint)"
                />
                {#if figures.here !== null}<path
                        d="M{x(figures.here)} 26v26"
                        stroke="var(--accent)"
                        stroke-width="3"
                    />{/if}
                <text
                    x={x(figures.legal.from) + 6}
                    y="43"
                    font-size="13"
                    fill="var(--ink)"
                    stroke="var(--tint)"
                    stroke-width="4"
                    paint-order="stroke"
                    >legal in {figures.legal.region}
                    {figures.legal.fromMhz}–{figures.legal.toMhz} MHz: channels {figures.legal.from}–{figures.legal
                        .to}</text
                >
                <text
                    x={x((figures.legal.to + 126) / 2)}
                    y="43"
                    text-anchor="middle"
                    font-size="13"
                    fill="var(--soft)"
                    stroke="var(--sheet)"
                    stroke-width="4"
                    paint-order="stroke">outside the band</text
                >
            {/if}
            {#each ticks as tick (tick)}<path d="M{x(tick)} 52v{tick % 10 === 0 ? 9 : 4}" stroke="var(--soft)" />{/each}
            {#each ticks.filter((tick) => tick % 10 === 0) as tick (tick)}<text
                    x={x(tick)}
                    y="76"
                    text-anchor="middle"
                    class="mono"
                    font-size="12"
                    fill="var(--soft)">{tick}</text
                >{/each}
        </g>
        {#each labels as label (label.text)}
            {@const here = figures.here !== null && label.x === x(figures.here)}
            <text
                x={label.x + (label.anchor === 'end' ? -5 : 5)}
                y={(label.row + 1) * ROW}
                text-anchor={label.anchor}
                font-size="13"
                stroke="var(--sheet)"
                stroke-width="4"
                paint-order="stroke"
                font-weight={here ? 600 : 400}
                fill={here ? 'var(--accent)' : 'var(--soft)'}>{label.text}</text
            >
        {/each}
    </svg>
</div>
