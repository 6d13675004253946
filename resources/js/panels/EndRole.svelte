<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { changeEnd, roles } from '../lib/ends';
    import type { PlanIndex } from '../lib/plan-index';
    import SelectField from '../widgets/SelectField.svelte';

    /** Whether an end sends, receives or does both. */
    let { link, index, end }: { link: Schemas['Link']; index: PlanIndex; end: Schemas['Endpoint'] } = $props();
</script>

<SelectField
    label="Role of {index.node(end.nodeId)?.name}"
    quiet
    class="w-[98px]"
    value={end.role}
    items={roles}
    onsave={(role) => changeEnd(index, link, end, 'Role', { role })}
/>
