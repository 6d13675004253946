<script lang="ts">
    import Select from 'flowbite-svelte/Select.svelte';
    import { tick } from 'svelte';
    import { workspace } from '../lib/workspace.svelte';

    interface Props {
        label: string;
        /** What a reader of the page says instead, where the label alone is not unique. */
        spoken?: string;
        value: string;
        items: { value: string; name: string }[];
        onsave: (value: string) => void;
        quiet?: boolean;
        /** Shown while nothing is chosen; with it the choice can be empty. */
        empty?: string;
        disabled?: boolean;
        /** Each choice adds something, and the field is empty again after it. */
        adds?: boolean;
        class?: string;
    }
    let {
        label,
        spoken,
        value,
        items,
        onsave,
        quiet = false,
        empty,
        disabled = false,
        adds = false,
        class: className = '',
    }: Props = $props();
    const id = $props.id();

    /** A browser measures every choice whenever it lays the page out; of more than these, only the chosen one is there until someone comes to choose. */
    const FEW = 200;
    let visited = $state(false);
    const offered = $derived(
        visited || items.length <= FEW ? items : items.filter((item) => item.value === (draft ?? value)),
    );

    /** Arrow keys and letters go through the choices one by one: what they pass is looked at, and not chosen. */
    let leafing = false;
    let keyedAt = -Infinity;
    /** A key that changes what is shown does so at once; a list that it opened takes a person longer. */
    const AT_ONCE = 100;

    /** What is shown and not kept yet, for it is looked at or on its way: it stays when the answer to another edit of the same thing comes. */
    let draft = $state<string | null>(null);

    function takeBack(select: HTMLSelectElement): void {
        leafing = false;
        draft = null;
        select.value = value;
    }

    async function commit(select: HTMLSelectElement): Promise<void> {
        const chosen = select.value;
        if (adds || chosen === value) {
            takeBack(select);
        } else {
            leafing = false;
            draft = chosen;
        }
        if (chosen === value) {
            return;
        }
        onsave(chosen);
        await workspace.settled();
        await tick();
        if (draft === chosen && !leafing) {
            draft = null;
        }
    }

    function pressed(event: KeyboardEvent): void {
        const select = event.currentTarget as HTMLSelectElement;
        if (event.key === 'Enter' && leafing) {
            event.preventDefault();
            void commit(select);
        } else if (event.key === 'Escape' && leafing) {
            takeBack(select);
        } else if (event.key !== 'Tab' && event.key !== 'Enter') {
            keyedAt = event.timeStamp;
        }
    }

    function picked(event: Event): void {
        const select = event.currentTarget as HTMLSelectElement;
        leafing = event.timeStamp - keyedAt < AT_ONCE;
        if (leafing) {
            draft = select.value;
        } else {
            void commit(select);
        }
    }

    /** Leaving a field takes what it shows; leaving one that adds something adds nothing. */
    function left(event: FocusEvent): void {
        const select = event.currentTarget as HTMLSelectElement;
        keyedAt = -Infinity;
        if (leafing && adds) {
            takeBack(select);
        } else if (leafing) {
            void commit(select);
        }
    }
</script>

<div class={className}>
    <label for={id} class={quiet ? 'sr-only' : 'text-soft block text-[14px]'}>{label}</label>
    <Select
        {id}
        value={draft ?? value}
        aria-label={spoken}
        size="sm"
        {disabled}
        placeholder=""
        onchange={picked}
        onkeydown={pressed}
        onblur={left}
        onfocus={() => (visited = true)}
    >
        {#if empty !== undefined}<option value="">{empty}</option>{/if}
        {#each offered as item (item.value)}<option value={item.value} selected={item.value === (draft ?? value)}
                >{item.name}</option
            >{/each}
    </Select>
</div>
