<script lang="ts">
    import { plot } from '../lib/curve';

    /** How an answer changes with one of the figures given, and where on it one stands. */
    interface Props {
        points: [number, number][];
        here: [number, number] | null;
        x: string;
        y: string;
    }
    let { points, here, x, y }: Props = $props();

    const width = 440;
    const height = 170;
    const drawn = $derived(plot(points, width, height));
    const spot = $derived(here === null ? null : drawn.place(...here));
</script>

<svg
    viewBox="-64 -12 {width + 84} {height + 58}"
    class="mt-3 w-full max-w-[560px]"
    role="img"
    aria-label="{y} over {x}, from {points[0]?.join(' to ')} up to {points.at(-1)?.join(' to ')}"
>
    <g stroke="var(--rule)">
        {#each drawn.x as tick (tick.at)}<line x1={tick.at} x2={tick.at} y1="0" y2={height} />{/each}
        {#each drawn.y as tick (tick.at)}<line x1="0" x2={width} y1={tick.at} y2={tick.at} />{/each}
    </g>
    <path d={drawn.path} fill="none" stroke="var(--accent)" stroke-width="2.5" />
    {#if spot}<circle
            cx={spot.x}
            cy={spot.y}
            r="5"
            fill="var(--sheet)"
            stroke="var(--accent)"
            stroke-width="2.5"
        />{/if}
    <g fill="var(--soft)" font-size="13" class="mono">
        {#each drawn.x as tick (tick.at)}<text x={tick.at} y={height + 17} text-anchor="middle">{tick.text}</text
            >{/each}
        {#each drawn.y as tick (tick.at)}<text x="-6" y={tick.at + 4} text-anchor="end">{tick.text}</text>{/each}
    </g>
    <text x={width} y={height + 38} text-anchor="end" fill="var(--soft)" font-size="14">{x}</text>
    <text x="-60" y={height + 38} fill="var(--soft)" font-size="14">↑ {y}</text>
</svg>
