<script lang="ts">
    import { at, type Path } from '../../../lib/described';
    import { typed } from '../../../lib/typed';
    import TextField from '../../../widgets/TextField.svelte';

    /** A row of figures of a class, each by the path at which its description has it. */
    interface Props {
        title: string;
        says: string;
        of: string;
        description: unknown;
        figures: { path: Path; label: string; unit?: string }[];
        onset: (label: string, path: Path, value: unknown) => void;
    }
    let { title, says, of, description, figures, onset }: Props = $props();
    const id = $props.id();
</script>

<section class="sheet mt-3 px-4 py-3" aria-labelledby={id}>
    <h2 {id}>{title}</h2>
    <p class="text-soft max-w-[760px] text-[14px]">{says}</p>
    <div class="mt-2 flex flex-wrap gap-x-3 gap-y-2">
        {#each figures as { path, label, unit } (label)}
            {@const held = at(description, path)}
            <TextField
                label={unit === undefined ? label : `${label}, ${unit}`}
                spoken="{title}: {label} of {of}"
                mono
                class="w-[114px]"
                value={held === undefined || held === null ? '' : String(held)}
                placeholder="–"
                onsave={(text) => onset(label, path, typed(text))}
            />
        {/each}
    </div>
</section>
