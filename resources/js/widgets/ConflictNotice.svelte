<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import Modal from 'flowbite-svelte/Modal.svelte';
    import { workspace } from '../lib/workspace.svelte';
</script>

{#if workspace.conflict !== null}
    <Modal open title="The plan has moved on" aria-label="The plan has moved on" permanent size="sm">
        <p>{workspace.conflict.message}</p>
        <p><span class="text-soft">Yours:</span> {workspace.conflict.mine}</p>
        <p class="text-soft">Since then:</p>
        <ul class="list-disc pl-5">
            {#each workspace.conflict.since as edit (edit.version)}<li>{edit.label}, by {edit.by}</li>{/each}
        </ul>
        <div class="flex flex-wrap gap-2">
            <Button onclick={() => workspace.giveUp()}>Take what is there</Button>
            <Button color="alternative" onclick={() => workspace.insist()}>Make mine all the same</Button>
        </div>
    </Modal>
{/if}
