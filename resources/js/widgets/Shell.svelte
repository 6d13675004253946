<script lang="ts">
    import type { Snippet } from 'svelte';

    /** The page of those who are not signed in. */
    let { title, children }: { title: string; children: Snippet } = $props();
</script>

<svelte:head><title>{title} · Rundfunk</title></svelte:head>
<div class="grid min-h-screen lg:grid-cols-[1fr_480px]">
    <aside class="border-rule hidden border-r p-14 lg:flex lg:flex-col lg:justify-center" aria-label="What this is">
        <p class="text-[34px] leading-tight font-semibold">Rund<span class="text-accent">funk</span></p>
        <p class="mt-3 max-w-[34em] text-[17px]">
            Plan a home network of boards and handsets: who listens on what channel, which pin drives which relay, and
            what will go wrong, before you solder.
        </p>
        <svg viewBox="0 0 520 210" class="mt-10 w-full max-w-[520px]" aria-hidden="true">
            <g fill="none" stroke="var(--medium-packet-radio)" stroke-width="4">
                <path d="M40 60H330" stroke-dasharray="12 7" />
                <path d="M250 140H480" stroke-dasharray="12 7" />
            </g>
            <rect
                x="240"
                y="50"
                width="20"
                height="100"
                rx="5"
                fill="var(--paper)"
                stroke="var(--ink)"
                stroke-width="3"
            />
            {#each [[40, 60], [120, 60], [250, 60], [330, 60], [250, 140], [400, 140], [480, 140]] as [x, y] (`${x} ${y}`)}
                <rect
                    x={(x ?? 0) - 6}
                    y={(y ?? 0) - 6}
                    width="12"
                    height="12"
                    rx="2"
                    fill="var(--paper)"
                    stroke="var(--medium-packet-radio)"
                    stroke-width="3"
                />
            {/each}
            <g fill="var(--soft)" font-size="14">
                <text x="40" y="36" text-anchor="middle">handset</text>
                <text x="120" y="36" text-anchor="middle">bench</text>
                <text x="250" y="36" text-anchor="middle">gateway</text>
                <text x="330" y="36" text-anchor="middle">shed</text>
                <text x="400" y="172" text-anchor="middle">pump</text>
                <text x="480" y="172" text-anchor="middle">hens</text>
            </g>
        </svg>
    </aside>
    <main class="bg-sheet flex flex-col justify-center p-8 lg:p-14">
        <p class="mb-6 text-[26px] font-semibold lg:hidden">Rund<span class="text-accent">funk</span></p>
        <h1 class="mb-5 text-[24px]">{title}</h1>
        {@render children()}
    </main>
</div>
