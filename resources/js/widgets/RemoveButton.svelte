<script lang="ts">
    import { rest } from '../lib/focus';

    /** A quiet button: what it does can be undone. */
    let { what, onremove }: { what: string; onremove: () => void } = $props();

    function remove(event: MouseEvent): void {
        const button = event.currentTarget as HTMLElement;
        onremove();
        rest(button);
    }
</script>

<button
    type="button"
    class="text-soft hover:text-ink rounded-[4px] px-1.5 py-0.5 text-[14px] hover:underline"
    aria-label={what}
    onclick={remove}>Remove</button
>
