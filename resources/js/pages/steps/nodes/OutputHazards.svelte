<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import { change, workspace } from '../../../lib/workspace.svelte';

    /** What an output can do to somebody: harmless, or named, each with its caution. */
    let { output, catalogue }: { output: Schemas['Output']; catalogue: Catalogue } = $props();

    function turnHazard(key: string): void {
        const hazards = output.hazards.includes(key as never)
            ? output.hazards.filter((one) => one !== key)
            : [...output.hazards, key];
        void workspace.edit(`Hazards of ${output.name}`, change('output', output.id, { hazards }));
    }
</script>

<details class="text-[14px]">
    <summary
        class="cursor-pointer list-none pb-1.5 underline decoration-dotted underline-offset-2 {output.hazards.length > 0
            ? 'text-danger'
            : 'text-soft'}"
        aria-label="Hazards of {output.name}"
        >{output.hazards.length > 0
            ? catalogue.hazards
                  .filter((one) => output.hazards.includes(one.key as never))
                  .map((one) => one.name)
                  .join(', ')
            : 'harmless'}</summary
    >
    {#each catalogue.hazards as hazard (hazard.key)}
        <label class="flex items-center gap-2 py-0.5" title={hazard.caution}
            ><input
                type="checkbox"
                class="text-accent border-soft bg-sheet rounded-[2px]"
                checked={output.hazards.includes(hazard.key as never)}
                onchange={() => turnHazard(hazard.key)}
            />{hazard.name}</label
        >
    {/each}
</details>
