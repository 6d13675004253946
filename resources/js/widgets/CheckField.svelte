<script lang="ts">
    /** Something that is so or not so. */
    interface Props {
        label: string;
        /** What a reader of the page says instead, where the label alone is not unique. */
        spoken?: string;
        checked: boolean;
        onturn: (checked: boolean) => void;
    }
    let { label, spoken, checked, onturn }: Props = $props();
</script>

<label class="flex items-center gap-1.5 pb-1.5"
    ><input
        type="checkbox"
        class="border-soft text-accent bg-sheet rounded-[3px]"
        aria-label={spoken}
        {checked}
        onchange={(event) => onturn(event.currentTarget.checked)}
    />
    {label}</label
>
