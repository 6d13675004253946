<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { workspace } from '../lib/workspace.svelte';
</script>

<span role="status" class="text-soft hidden text-[14px] whitespace-nowrap sm:inline">
    {#if workspace.saving === 'saving'}
        saving…
    {:else if workspace.saving === 'failed'}
        <span class="text-danger">not saved: no answer</span>
        <Button color="alternative" onclick={() => workspace.retry()}>Try again</Button>
    {:else if workspace.data !== null}
        saved · version {workspace.data.version}
    {/if}
</span>
