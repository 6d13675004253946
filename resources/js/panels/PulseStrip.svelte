<script lang="ts">
    import { marks, tickMs } from '../lib/pulse-strip';

    /** One signal as a strip chart: marks up, spaces down, to scale. */
    interface Props {
        lengthsUs: number[];
        label: string;
        height?: number;
        /** With a ruler in milliseconds below. */
        ruled?: boolean;
        hue?: string;
    }
    let { lengthsUs, label, height = 26, ruled = false, hue = 'var(--medium-infrared)' }: Props = $props();

    let width = $state(300);
    const totalUs = $derived(lengthsUs.reduce((sum, length) => sum + length, 0));
    const found = $derived(marks(lengthsUs, width - 2));
    const step = $derived(tickMs(totalUs / 1000));
    const ticks = $derived(
        ruled && totalUs > 0 ? Array.from({ length: Math.floor(totalUs / 1000 / step) + 1 }, (_, at) => at * step) : [],
    );
</script>

<div bind:clientWidth={width} class="min-w-0">
    <svg
        {width}
        height={height + (ruled ? 22 : 0)}
        viewBox="0 0 {width} {height + (ruled ? 22 : 0)}"
        class="block max-w-full"
        role="img"
        aria-label={label}
    >
        <path d="M0 {height - 1}H{width}" stroke="var(--soft)" />
        {#each found as mark, at (at)}<rect x={mark.x} y="2" width={mark.width} height={height - 3} fill={hue} />{/each}
        {#each ticks as tick (tick)}
            {@const x = (tick * 1000 * (width - 2)) / totalUs}
            <path d="M{x} {height}v5" stroke="var(--soft)" />
            <text
                {x}
                y={height + 18}
                text-anchor={tick === 0 ? 'start' : x > width - 30 ? 'end' : 'middle'}
                class="mono"
                font-size="12"
                fill="var(--soft)">{Number(tick.toFixed(2))}{tick === 0 ? ' ms' : ''}</text
            >
        {/each}
    </svg>
</div>
