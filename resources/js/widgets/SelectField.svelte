<script lang="ts">
    import Select from 'flowbite-svelte/Select.svelte';

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
        class: className = '',
    }: Props = $props();
    const id = $props.id();

    /** A browser measures every choice whenever it lays the page out; of more than these, only the chosen one is there until someone comes to choose. */
    const FEW = 200;
    let visited = $state(false);
    const offered = $derived(visited || items.length <= FEW ? items : items.filter((item) => item.value === value));

    function save(event: Event): void {
        const chosen = (event.currentTarget as HTMLSelectElement).value;
        if (chosen !== value) {
            onsave(chosen);
        }
    }
</script>

<div class={className}>
    <label for={id} class={quiet ? 'sr-only' : 'text-soft block text-[14px]'}>{label}</label>
    <Select
        {id}
        {value}
        aria-label={spoken}
        size="sm"
        {disabled}
        placeholder=""
        onchange={save}
        onfocus={() => (visited = true)}
    >
        {#if empty !== undefined}<option value="">{empty}</option>{/if}
        {#each offered as item (item.value)}<option value={item.value} selected={item.value === value}
                >{item.name}</option
            >{/each}
    </Select>
</div>
