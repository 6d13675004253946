<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import Modal from 'flowbite-svelte/Modal.svelte';
    import { workspace } from '../lib/workspace.svelte';

    async function newest(): Promise<void> {
        await workspace.open(workspace.planId);
    }
</script>

{#if workspace.conflict !== null}
    <Modal open title="The plan has moved on" permanent size="sm">
        <p>Your edit was made against an older version and was not kept. Nothing is lost but that edit.</p>
        <p><span class="text-soft">Yours:</span> {workspace.conflict.mine}</p>
        <p class="text-soft">Since then:</p>
        <ul class="list-disc pl-5">
            {#each workspace.conflict.since as edit (edit.version)}<li>{edit.label}, by {edit.by}</li>{/each}
        </ul>
        <Button onclick={newest}>Load the newest version</Button>
    </Modal>
{/if}
