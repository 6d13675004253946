<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { workspace } from '../lib/workspace.svelte';

    const waiting = $derived(workspace.unsent.length);
</script>

<span role="status" class="text-soft hidden text-[14px] whitespace-nowrap sm:inline">
    {#if workspace.saving === 'saving'}
        saving…
    {:else if workspace.conflict !== null}
        <span class="text-danger">not saved yet</span>
    {:else if workspace.saving === 'waiting'}
        <span class="text-danger">not saved yet: {waiting === 1 ? 'one change waits' : `${waiting} changes wait`}</span>
        <Button class="ml-2" color="alternative" onclick={() => workspace.retry()}>Try again</Button>
    {:else if workspace.data !== null}
        {workspace.data.access === 'viewer' ? 'to look at only' : 'saved'} · version {workspace.data.version}
    {/if}
</span>
