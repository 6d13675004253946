<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { theme } from '../lib/theme.svelte';
</script>

<Button
    color="alternative"
    onclick={() => theme.turn()}
    aria-label={theme.dark ? 'Light theme' : 'Dark theme'}
    title={theme.dark ? 'Light theme' : 'Dark theme'}
>
    <svg width="16" height="18" viewBox="0 0 18 18" aria-hidden="true">
        <circle cx="9" cy="9" r="7" fill="none" stroke="currentColor" stroke-width="1.6" />
        <path d="M9 2a7 7 0 0 1 0 14Z" fill="currentColor" />
    </svg>
</Button>
