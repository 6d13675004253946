<script lang="ts">
    let { pinned, what, onturn }: { pinned: boolean; what: string; onturn: () => void } = $props();
</script>

<button
    type="button"
    aria-pressed={pinned}
    aria-label="Pin {what}"
    title={pinned ? 'Pinned: Assign leaves it alone' : 'Pin: Assign shall leave it alone'}
    onclick={onturn}
    class="mb-1 grid h-[26px] w-[24px] place-items-center rounded-[4px] {pinned ? 'text-accent bg-tint' : 'text-soft'}"
>
    <svg width="13" height="16" viewBox="0 0 13 16" aria-hidden="true"
        ><path
            d="M3.5 1h6l-.7 5 2.2 3H2l2.2-3Z"
            fill={pinned ? 'currentColor' : 'none'}
            stroke="currentColor"
            stroke-width="1.4"
            stroke-linejoin="round"
        /><path d="M6.5 9v6" stroke="currentColor" stroke-width="1.4" /></svg
    >
</button>
