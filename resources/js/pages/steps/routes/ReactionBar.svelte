<script lang="ts">
    import type { Schemas } from '../../../lib/api';

    /** From press to click: each stretch to scale at its worst, and the sums. */
    let { time }: { time: NonNullable<Schemas['RouteWay']['time']> } = $props();
</script>

<div class="mt-2 flex items-center gap-3">
    <div class="flex h-[22px] grow overflow-hidden rounded-[3px] text-[13px] text-white" aria-hidden="true">
        {#each time.segments.filter((segment) => segment.share > 0.004) as segment, at (at)}
            <span
                class="truncate px-1.5 leading-[22px] {segment.kind === 'airtime' || segment.kind === 'retries'
                    ? 'bg-[#1f6fb5]'
                    : segment.kind === 'waiting'
                      ? 'bg-[#0b6b6b]'
                      : 'bg-[#5a6a6b]'} border-sheet border-r"
                style="flex: {Math.max(segment.share, 0.03)} 0 0"
                title="{segment.label}: {segment.best} to {segment.worst}">{segment.label}</span
            >
        {/each}
    </div>
    <p class="shrink-0">
        press to click <b class="mono">{time.typical}</b>,
        <span class="mono">{time.worst}</span> at worst
    </p>
</div>
