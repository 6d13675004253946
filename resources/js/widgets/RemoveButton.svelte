<script lang="ts">
    /** A quiet button: what it does can be undone. */
    let { what, onremove }: { what: string; onremove: () => void } = $props();
</script>

<button
    type="button"
    class="text-soft hover:text-ink rounded-[4px] px-1.5 py-0.5 text-[14px] hover:underline"
    aria-label={what}
    onclick={onremove}>Remove</button
>
