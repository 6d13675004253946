<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { joinLink } from '../lib/ends';
    import type { PlanIndex } from '../lib/plan-index';
    import SelectField from '../widgets/SelectField.svelte';

    /** Puts one of the nodes that are not on a link yet on it. */
    let { link, index }: { link: Schemas['Link']; index: PlanIndex } = $props();

    const absent = $derived(
        index.nodes.filter((node) => !index.endpointsOn(link.id).some((end) => end.nodeId === node.id)),
    );
</script>

{#if absent.length > 0}
    <div class="border-rule flex items-center gap-2 border-t px-3 py-2">
        <SelectField
            label="Put a node on {link.name}"
            quiet
            adds
            class="w-[230px]"
            value=""
            empty="Put a node on this link…"
            items={absent.map((node) => ({ value: node.id, name: node.name }))}
            onsave={(nodeId) => joinLink(index, link, nodeId)}
        />
    </div>
{/if}
