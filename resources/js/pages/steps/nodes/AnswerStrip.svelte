<script lang="ts">
    import type { Schemas } from '../../../lib/api';
    import { view } from '../../../lib/shown.svelte';

    /** What becomes of a state when nothing gets through any more, played by the core. */
    let { state: of }: { state: Schemas['Control'] } = $props();
    const strip = view('answer-strip', () => of.id);
</script>

{#if strip.now}
    <div class="border-rule overflow-x-auto border-t px-3 pt-2">
        <p class="text-soft">{of.name}, when nothing gets through any more</p>
        <svg
            class="max-w-full"
            width={strip.now.width}
            height={strip.now.height}
            viewBox="0 0 {strip.now.width} {strip.now.height}"
            role="img"
            aria-label={strip.now.words}
        >
            <!-- Drawn in the core, whose gate lets no name be more than text. -->
            <!-- eslint-disable-next-line svelte/no-at-html-tags -->
            {@html strip.now.svg}
        </svg>
    </div>
{/if}
