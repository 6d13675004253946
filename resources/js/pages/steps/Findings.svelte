<script lang="ts">
    import type { Finding } from '../../lib/api';
    import { workspace } from '../../lib/workspace.svelte';
    import FindingCard from '../../widgets/FindingCard.svelte';
    import Sign from '../../widgets/Sign.svelte';
    import type { StepProps } from '../steps';

    let { data, planId }: StepProps = $props();
    const groups: { severity: Finding['severity']; title: string; says: string }[] = [
        { severity: 'danger', title: 'Dangers', says: 'Someone or something can be hurt.' },
        { severity: 'fault', title: 'Faults', says: 'It will not work.' },
        { severity: 'warning', title: 'Warnings', says: 'It will not always work.' },
        { severity: 'advice', title: 'Advice', says: 'It could be better.' },
    ];
    const open = (severity: Finding['severity']): Finding[] =>
        data.findings.filter((finding) => finding.severity === severity && !workspace.accepted.has(finding.id));
    const accepted = $derived(data.findings.filter((finding) => workspace.accepted.has(finding.id)));
</script>

<h1>Findings</h1>
<p class="text-soft mt-0.5">
    Every rule runs over the whole plan after every edit. Pick a title to go to the place; a button makes the change it
    names.
</p>
{#if data.findings.length === 0}<p class="sheet mt-4 p-4">
        {(workspace.data?.document.modules.length ?? 0) === 0
            ? 'Nothing found, for nothing is planned yet that could go wrong.'
            : 'Nothing found: as far as the plan goes, this will work.'}
    </p>{/if}
{#each groups as group (group.severity)}
    {@const list = open(group.severity)}
    {#if list.length > 0}
        <h2 class="mt-5 flex items-center gap-2">
            <Sign severity={group.severity} />
            {group.title} <span class="text-soft font-normal">{list.length} · {group.says}</span>
        </h2>
        <ul class="mt-2 grid gap-2 lg:grid-cols-2 xl:grid-cols-3">
            {#each list as finding (finding.id)}<li class="sheet px-3 py-2">
                    <FindingCard {finding} {planId} />
                </li>{/each}
        </ul>
    {/if}
{/each}
{#if accepted.length > 0}
    <h2 class="mt-5">Accepted <span class="text-soft font-normal">{accepted.length}</span></h2>
    <ul class="mt-2 grid gap-2 lg:grid-cols-2 xl:grid-cols-3">
        {#each accepted as finding (finding.id)}<li class="sheet px-3 py-2">
                <FindingCard {finding} {planId} />
            </li>{/each}
    </ul>
{/if}
