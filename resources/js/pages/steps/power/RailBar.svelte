<script lang="ts">
    import type { Schemas } from '../../../lib/api';

    let { rail }: { rail: Schemas['RailRow'] } = $props();
    const WIDE = 300;
    /** Where the line of what it is good for stands, on every row. */
    const LIMIT = 250;

    const full = $derived(rail.limitMa ?? Math.max(rail.peakMa, 1));
    const along = (ma: number): number => Math.min(WIDE - 1, (ma / full) * (rail.limitMa === null ? 180 : LIMIT));
    const peak = $derived(along(rail.peakMa));
    const typical = $derived(along(rail.typicalMa));
    const over = $derived(rail.limitMa !== null && rail.peakMa > rail.limitMa);
    const colour = $derived(rail.sound ? 'var(--accent)' : over ? 'var(--danger)' : 'var(--fault)');
</script>

<svg viewBox="0 0 {WIDE} 28" class="block h-[28px] w-full" preserveAspectRatio="none" role="img" aria-label={rail.says}>
    <rect x="0.75" y="8" width={Math.max(peak, 2)} height="12" fill="none" stroke={colour} stroke-width="1.5" />
    <rect x="0.75" y="8" width={Math.max(typical, 1)} height="12" fill={colour} />
    {#if rail.limitMa !== null}<rect x={LIMIT} y="2" width="2" height="24" fill="var(--ink)" />{/if}
</svg>
