<script lang="ts">
    import Input from 'flowbite-svelte/Input.svelte';
    import { tick } from 'svelte';
    import { workspace } from '../lib/workspace.svelte';

    interface Props {
        label: string;
        /** What a reader of the page says instead, where the label alone is not unique. */
        spoken?: string;
        value: string;
        onsave: (value: string) => void;
        /** The label is for readers of the page, not to be seen. */
        quiet?: boolean;
        mono?: boolean;
        placeholder?: string;
        list?: string;
        class?: string;
    }
    let {
        label,
        spoken,
        value,
        onsave,
        quiet = false,
        mono = false,
        placeholder = '',
        class: className = '',
    }: Props = $props();
    const id = $props.id();

    let refused = $state(false);

    async function save(event: Event): Promise<void> {
        const input = event.currentTarget as HTMLInputElement;
        const given = input.value.trim();
        refused = false;
        if (given === value) {
            return;
        }
        onsave(given);
        await workspace.settled();
        await tick();
        // What is there now is what was there before: it was not taken, or means the same.
        if (given !== value && input.isConnected && input.value.trim() === given) {
            refused = workspace.refusal !== null;
            input.value = refused ? given : value;
        }
    }

    function putBack(): void {
        const input = document.getElementById(id) as HTMLInputElement;
        input.value = value;
        refused = false;
        input.focus();
    }
</script>

<div class={className}>
    <label for={id} class={quiet ? 'sr-only' : 'text-soft block text-[14px]'}>{label}</label>
    <Input
        {id}
        {value}
        aria-label={spoken}
        {placeholder}
        size="sm"
        class="{mono ? 'mono !text-[12.5px]' : ''} {refused ? '!border-danger' : ''}"
        aria-invalid={refused ? 'true' : undefined}
        aria-describedby={refused ? `${id}-refused` : undefined}
        onchange={save}
    />
    {#if refused}
        <p id="{id}-refused" class="text-danger text-[13px] whitespace-nowrap">
            not taken
            <button type="button" class="quiet-link" onclick={putBack}
                >{value === '' ? 'empty it' : `back to ${value}`}</button
            >
        </p>
    {/if}
</div>
