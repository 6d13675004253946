<script lang="ts">
    /** Figures against time as steps: each holds until the next comes. Marks stand as dashed lines. */
    interface Props {
        seconds: number[];
        figures: number[];
        marks: number[];
        label: string;
    }
    let { seconds, figures, marks, label }: Props = $props();
    const WIDTH = 1000;
    const HEIGHT = 90;
    const last = $derived(Math.max(seconds[seconds.length - 1] ?? 0, ...marks, 0.001));
    const least = $derived(Math.min(...figures));
    const most = $derived(Math.max(...figures, least + 1));
    const x = (at: number): number => 36 + (at / last) * (WIDTH - 46);
    const y = (figure: number): number => HEIGHT - 22 - ((figure - least) / (most - least)) * (HEIGHT - 36);
    const path = $derived(
        figures
            .map((figure, at) => `${at === 0 ? 'M' : 'H'}${x(seconds[at] ?? 0)}${at === 0 ? ',' : ' V'}${y(figure)}`)
            .join(' ') + ` H${x(last)}`,
    );
</script>

<svg viewBox="0 0 {WIDTH} {HEIGHT}" class="w-full" role="img" aria-label={label}>
    <line x1="36" y1={HEIGHT - 20} x2={WIDTH - 10} y2={HEIGHT - 20} stroke="var(--rule)"></line>
    {#each marks as mark, at (at)}<line
            x1={x(mark)}
            y1="6"
            x2={x(mark)}
            y2={HEIGHT - 20}
            stroke="var(--soft)"
            stroke-dasharray="3 3"
        ></line>{/each}
    <path d={path} fill="none" stroke="var(--medium-can)" stroke-width="1.6"></path>
    <text x="30" y={y(least) + 4} text-anchor="end" class="mono" font-size="11" fill="var(--soft)">{least}</text>
    <text x="30" y={y(most) + 4} text-anchor="end" class="mono" font-size="11" fill="var(--soft)">{most}</text>
    <text x="36" y={HEIGHT - 6} class="mono" font-size="11" fill="var(--soft)">0 s</text>
    <text x={WIDTH - 10} y={HEIGHT - 6} text-anchor="end" class="mono" font-size="11" fill="var(--soft)"
        >{Math.round(10 * last) / 10} s</text
    >
</svg>
