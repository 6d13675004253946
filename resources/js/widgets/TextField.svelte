<script lang="ts">
    import Input from 'flowbite-svelte/Input.svelte';

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

    function save(event: Event): void {
        const input = event.currentTarget as HTMLInputElement;
        if (input.value.trim() !== value) {
            onsave(input.value.trim());
        }
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
        class={mono ? 'mono !text-[12.5px]' : ''}
        onchange={save}
    />
</div>
