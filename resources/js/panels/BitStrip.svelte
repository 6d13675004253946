<script lang="ts">
    import { cells, GAP, type Bits } from '../lib/bit-strip';

    /** The bits of a frame, byte by byte as they are written: bit 7 first. Each signal has its own bits, those that are acted on are full. */
    interface Props {
        bytes: number;
        signals: Bits[];
        label: string;
        /** How often each bit turns, 0 to 1, from byte 0 bit 0 on: drawn instead of signals. */
        restless?: number[];
        /** A bit that is pointed at. */
        place?: number | null;
        onpick?: (place: number) => void;
    }
    let { bytes, signals, label, restless, place = null, onpick }: Props = $props();
    /** Every strip is as wide as one of eight bytes, so that bits stand below each other. */
    const CELL = 5;
    const WIDTH = 8 * (8 * CELL + GAP);
    const drawn = $derived(cells(bytes, signals, CELL));
    const tint = (at: number): number => {
        const share = restless?.[at] ?? 0;
        return share === 0 ? 0 : 0.15 + 0.85 * Math.sqrt(share);
    };
    function pick(event: MouseEvent): void {
        const box = (event.currentTarget as SVGElement).getBoundingClientRect();
        const x = ((event.clientX - box.left) / box.width) * WIDTH;
        const hit = drawn.find((one) => x >= one.x && x <= one.x + CELL);
        if (hit !== undefined) {
            onpick?.(hit.place);
        }
    }
</script>

<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
<svg
    viewBox="0 0 {WIDTH} 28"
    style:width="{WIDTH}px"
    class="block max-w-full {onpick ? 'cursor-pointer' : ''}"
    role="img"
    aria-label={label}
    onclick={onpick ? pick : undefined}
>
    {#each drawn as one (one.place)}
        <rect
            x={one.x}
            y="1"
            width={CELL - 0.8}
            height="14"
            fill="var(--medium-can)"
            fill-opacity={restless ? tint(one.place) : one.at === null ? 0.06 : one.isRead ? 0.9 : 0.35}
            stroke={place === one.place ? 'var(--ink)' : 'none'}
            stroke-width="1.5"
        ></rect>
        {#if one.begins && !restless}<rect x={one.x - 0.5} y="1" width="1.5" height="14" fill="var(--ink)"></rect>{/if}
    {/each}
    {#each { length: bytes } as _, byte (byte)}
        <text
            x={byte * (8 * CELL + GAP) + 4 * CELL}
            y="26.5"
            text-anchor="middle"
            class="mono"
            font-size="9"
            fill="var(--soft)">{byte}</text
        >
    {/each}
</svg>
