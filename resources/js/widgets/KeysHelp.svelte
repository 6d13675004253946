<script lang="ts">
    import Modal from 'flowbite-svelte/Modal.svelte';

    let { open = $bindable(false) }: { open: boolean } = $props();

    // The dialog says a little after it was shown that it is open. Whoever has shut it by then does not want it back.
    $effect(() => {
        const late = (event: Event): void => {
            if (!open) {
                event.stopImmediatePropagation();
            }
        };
        window.addEventListener('toggle', late, true);
        return () => window.removeEventListener('toggle', late, true);
    });

    const keys = [
        { keys: ['/'], does: 'Find anything in the plan' },
        { keys: ['a'], does: 'See what Assign proposes' },
        { keys: ['Ctrl', 'Z'], does: 'Undo' },
        { keys: ['Ctrl', 'Shift', 'Z'], does: 'Redo' },
        { keys: ['?'], does: 'These keys' },
        { keys: ['↑', '↓', '←', '→'], does: 'In the switch table: move' },
        { keys: ['Page ↑', 'Page ↓'], does: 'In the switch table: move ten rows' },
        { keys: ['Ctrl', 'Home', 'End'], does: 'In the switch table: to the first and the last cell' },
        {
            keys: ['t', '1', '0', 'p', 'f', 'm', 's', '+'],
            does: 'In the switch table: toggle, on, off, pulse, follow, momentary, set, step',
        },
        { keys: ['⌫'], does: 'In the switch table: no action' },
    ];
</script>

<Modal bind:open title="Keys" aria-label="Keys" size="sm">
    <table class="ledger">
        <tbody>
            {#each keys as row (row.does)}
                <tr>
                    <td class="whitespace-nowrap"
                        >{#each row.keys as key (key)}<kbd class="mr-1">{key}</kbd>{/each}</td
                    >
                    <td>{row.does}</td>
                </tr>
            {/each}
        </tbody>
    </table>
</Modal>
