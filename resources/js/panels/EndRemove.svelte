<script lang="ts">
    import type { Schemas } from '../lib/api';
    import type { PlanIndex } from '../lib/plan-index';
    import { remove, workspace } from '../lib/workspace.svelte';
    import RemoveButton from '../widgets/RemoveButton.svelte';

    /** Takes a node off a link. */
    let { link, index, end }: { link: Schemas['Link']; index: PlanIndex; end: Schemas['Endpoint'] } = $props();

    const what = $derived(`Take ${index.node(end.nodeId)?.name} off ${link.name}`);
</script>

<RemoveButton {what} onremove={() => workspace.edit(what, remove('endpoint', end.id))} />
