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
    /** What was typed and is not kept yet: it stays as it is when the answer to another edit of the same thing comes. */
    let draft = $state<string | null>(null);

    async function save(event: Event): Promise<void> {
        const typed = (event.currentTarget as HTMLInputElement).value;
        const given = typed.trim();
        refused = false;
        if (given === value) {
            draft = null;
            return;
        }
        draft = typed;
        onsave(given);
        await workspace.settled();
        await tick();
        if (draft !== typed) {
            return;
        }
        // What is there now is what was there before: it was not taken, or means the same.
        refused = given !== value && workspace.refusal !== null;
        draft = refused ? typed : null;
    }

    function type(event: Event): void {
        draft = (event.currentTarget as HTMLInputElement).value;
    }

    /** Typed, and typed back again: no browser calls that a change. */
    function left(): void {
        if (draft?.trim() === value) {
            draft = null;
        }
    }

    function putBack(): void {
        draft = null;
        refused = false;
        document.getElementById(id)?.focus();
    }
</script>

<div class={className}>
    <label for={id} class={quiet ? 'sr-only' : 'text-soft block text-[14px]'}>{label}</label>
    <Input
        {id}
        value={draft ?? value}
        aria-label={spoken}
        {placeholder}
        size="sm"
        class="{mono ? 'mono !text-[12.5px]' : ''} {refused ? '!border-danger' : ''}"
        aria-invalid={refused ? 'true' : undefined}
        aria-describedby={refused ? `${id}-refused` : undefined}
        oninput={type}
        onchange={save}
        onblur={left}
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
