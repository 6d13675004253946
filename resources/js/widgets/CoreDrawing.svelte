<script lang="ts">
    interface Props {
        drawing: { width: number; height: number; svg: string };
        /** The same in words, for who does not see it. */
        label: string;
        class?: string;
    }
    let { drawing, label, class: className = 'max-w-full' }: Props = $props();
</script>

<svg
    class={className}
    width={drawing.width}
    height={drawing.height}
    viewBox="0 0 {drawing.width} {drawing.height}"
    role="img"
    aria-label={label}
>
    <!-- Drawn in the core, whose gate lets no name be more than text. -->
    <!-- eslint-disable-next-line svelte/no-at-html-tags -->
    {@html drawing.svg}
</svg>
