<script lang="ts">
    import CoreDrawing from '../../../widgets/CoreDrawing.svelte';
    import type { Schemas } from '../../../lib/api';
    import { view } from '../../../lib/shown.svelte';

    /** What becomes of a state when nothing gets through any more, played by the core. */
    let { state: of }: { state: Schemas['Control'] } = $props();
    const strip = view('answer-strip', () => of.id);
</script>

{#if strip.now}
    <div class="border-rule overflow-x-auto border-t px-3 pt-2">
        <p class="text-soft">{of.name}, when nothing gets through any more</p>
        <CoreDrawing drawing={strip.now} label={strip.now.words} />
    </div>
{/if}
