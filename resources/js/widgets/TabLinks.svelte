<script lang="ts">
    /** The pages within a step, as links. */
    interface Props {
        tabs: Record<string, string>;
        current: string;
        href: (key: string) => string;
    }
    let { tabs, current, href }: Props = $props();
</script>

<nav class="flex gap-1.5" aria-label="What of it">
    {#each Object.entries(tabs) as [key, title] (key)}
        <a
            href={href(key)}
            aria-current={key === current ? 'page' : undefined}
            class="rounded-[4px] border px-3 py-1 {key === current
                ? 'bg-tint border-accent font-medium'
                : 'border-rule bg-sheet'}">{title}</a
        >
    {/each}
</nav>
