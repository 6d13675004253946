<script lang="ts">
    /** The usual care, by what the plan holds: short, and where the work is. */
    let { cautions }: { cautions: string[] } = $props();
</script>

{#if cautions.length > 0}
    <ul class="text-soft mt-2 grid list-none gap-x-6 text-[13.5px] leading-snug md:grid-cols-2" aria-label="Cautions">
        {#each cautions as caution (caution)}
            <li class="border-rule border-l-2 py-0.5 pl-2.5">{caution}</li>
        {/each}
    </ul>
{/if}
