<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { ladder } from '../lib/ladder';

    /** Who speaks when, to scale: a column a node, time downwards. */
    interface Props {
        columns: string[];
        strokes: Schemas['SerialStroke'][];
        frameMs: number;
    }
    let { columns, strokes, frameMs }: Props = $props();

    const drawn = $derived(ladder(columns.length, strokes, frameMs));
    const short = (name: string): string => (name.length > 16 ? `${name.slice(0, 15)}…` : name);
</script>

<div class="overflow-x-auto">
    <svg
        width={drawn.width}
        height={drawn.height}
        role="img"
        aria-label="Who speaks when: {strokes
            .filter((one) => one.from !== one.to)
            .map((one) => `${columns[one.from]} to ${columns[one.to]} from ${one.fromMs} to ${one.toMs} ms`)
            .join(', ')}"
    >
        {#each columns as column, at (at)}
            <text x={drawn.x(at)} y="14" text-anchor="middle" class="fill-ink text-[13px] font-medium"
                >{short(column)}</text
            >
            <line x1={drawn.x(at)} x2={drawn.x(at)} y1="22" y2={drawn.height - 6} class="stroke-rule" />
        {/each}
        {#each drawn.ticks as tick (tick.ms)}
            <text x="52" y={tick.y + 4} text-anchor="end" class="fill-soft mono text-[12px]">{tick.ms}</text>
            <line x1="56" x2="62" y1={tick.y} y2={tick.y} class="stroke-soft" />
        {/each}
        <text x="52" y="14" text-anchor="end" class="fill-soft text-[12px]">ms</text>
        {#each drawn.strokes as stroke, at (at)}
            {#if stroke.kind === 'rest'}
                <rect x={stroke.left - 3} y={stroke.top} width="6" height={stroke.height} class="fill-rule" />
            {:else}
                <rect
                    x={stroke.left}
                    y={stroke.top}
                    width={stroke.width}
                    height={Math.max(1, stroke.height - 1)}
                    fill="var(--medium-serial)"
                    fill-opacity={stroke.kind === 'answer' ? 0.14 : 0.3}
                    stroke="var(--medium-serial)"
                />
                <path
                    d={stroke.arrow}
                    fill="none"
                    stroke="var(--medium-serial)"
                    stroke-width="1.6"
                    stroke-linecap="round"
                />
                <text
                    x={stroke.left + stroke.width / 2}
                    y={stroke.top + stroke.height / 2 + 4}
                    text-anchor="middle"
                    class="fill-ink text-[12px]">{stroke.label}</text
                >
            {/if}
        {/each}
    </svg>
</div>
