<script lang="ts">
    import type { Finding } from '../lib/api';
    import { workspace } from '../lib/workspace.svelte';
    import FindingCard from './FindingCard.svelte';
    import Sign from './Sign.svelte';

    let { findings, planId, step = '' }: { findings: Finding[]; planId: string; step?: string } = $props();
    const severities = ['danger', 'fault', 'warning', 'advice'] as const;
    const open = $derived(findings.filter((finding) => !workspace.accepted.has(finding.id)));
    const count = (severity: Finding['severity']): number =>
        open.filter((finding) => finding.severity === severity).length;
    /** Those that are mended on the step beside them come first, of two the graver. */
    const inTurn = $derived([...open.filter((one) => one.step === step), ...open.filter((one) => one.step !== step)]);
    const SHOWN = 40;
</script>

<aside
    class="bg-sheet border-rule no-print shrink-0 border-t md:sticky md:top-[46px] md:h-[calc(100vh-46px)] md:w-[284px] md:overflow-y-auto md:border-t-0 md:border-l"
    aria-label="Findings"
    tabindex="-1"
>
    <h2 class="border-rule flex items-center gap-3 border-b px-4 py-2.5">
        <a href="#/plans/{planId}/findings" class="grow">Findings</a>
        {#each severities as severity (severity)}
            <span class="flex items-center gap-1 font-normal" title={severity}
                ><Sign {severity} size={15} /> {count(severity)}</span
            >
        {/each}
    </h2>
    {#if workspace.unsent.length > 0}
        <p class="text-soft px-4 py-3">What waits to be saved is not judged yet.</p>
    {/if}
    {#if open.length === 0 && workspace.unsent.length === 0}
        <p class="text-soft px-4 py-3">
            {(workspace.data?.document.modules.length ?? 0) === 0
                ? 'Nothing found, for nothing is planned yet that could go wrong.'
                : 'Nothing found: as far as the plan goes, this will work.'}
        </p>
    {/if}
    <ul>
        {#each inTurn.slice(0, SHOWN) as finding (finding.id)}
            <li class="border-rule border-b px-4 py-2.5"><FindingCard {finding} {planId} /></li>
        {/each}
    </ul>
    {#if open.length > SHOWN}
        <p class="px-4 py-3"><a class="quiet-link" href="#/plans/{planId}/findings">All {open.length} findings</a></p>
    {/if}
</aside>
