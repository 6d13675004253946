<script lang="ts">
    import type { Schemas } from '../../../lib/api';
    import { typed } from '../../../lib/typed';
    import { change, workspace } from '../../../lib/workspace.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    let { part, at }: { part: Schemas['Part']; at: string } = $props();
    const values = $derived(part as unknown as Record<string, number | null>);
    const figures = $derived(workspace.catalogue?.partKinds.find((one) => one.key === part.kind)?.figures ?? []);
</script>

<div class="flex flex-wrap items-center gap-x-3 gap-y-1">
    {#each figures as { field, name } (field)}
        <div class="flex items-center gap-1.5">
            <TextField
                label={name}
                spoken="{name} of the {at}"
                quiet
                mono
                class="w-[88px]"
                value={values[field] === null ? '' : String(values[field])}
                placeholder="–"
                onsave={(text) =>
                    workspace.edit(`${name} of the ${at}`, change('part', part.id, { [field]: typed(text) }))}
            />
            <span class="text-soft whitespace-nowrap" aria-hidden="true">{name}</span>
        </div>
    {:else}
        <span class="text-soft">–</span>
    {/each}
</div>
