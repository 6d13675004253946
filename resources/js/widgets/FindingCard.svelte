<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Finding } from '../lib/api';
    import { ulid } from '../lib/ulid';
    import { add, remove, workspace } from '../lib/workspace.svelte';
    import Sign from './Sign.svelte';

    let { finding, planId }: { finding: Finding; planId: string } = $props();
    let asking = $state(false);
    let reason = $state('');
    const fixes = $derived(finding.fix === null ? finding.otherFixes : [finding.fix, ...finding.otherFixes]);
    const at = $derived(workspace.index?.whereabouts(finding.at.kind, finding.at.id, finding.step));
    const acceptance = $derived(workspace.data?.document.acceptances.find((one) => one.findingId === finding.id));

    function accept(event: SubmitEvent): void {
        event.preventDefault();
        if (reason.trim() !== '') {
            void workspace.edit(
                `Accept: ${finding.title}`,
                add('acceptance', ulid(), { findingId: finding.id, reason: reason.trim() }),
            );
            asking = false;
        }
    }
</script>

<article>
    <h3 class="flex items-start gap-2 leading-snug font-medium">
        <span class="pt-px"><Sign severity={finding.severity} size={16} /></span>
        <a
            class="hover:underline"
            href="#/plans/{planId}/{at?.step ?? 'map'}{at?.item === undefined ? '' : `/${at.item}`}">{finding.title}</a
        >
    </h3>
    <p class="text-soft mt-0.5 text-[14px]">{finding.at.where}</p>
    <p class="mt-1 text-[14px] leading-snug">{finding.detail}</p>
    <p class="mt-1 text-[14px] leading-snug">{finding.remedy}</p>
    {#if acceptance !== undefined}
        <p class="text-soft mt-1 text-[14px]">Accepted: {acceptance.reason}</p>
        <Button
            color="alternative"
            class="mt-1"
            onclick={() => workspace.edit(`No longer accept: ${finding.title}`, remove('acceptance', acceptance.id))}
            >No longer accept</Button
        >
    {:else if asking}
        <form class="mt-1.5 flex gap-2" onsubmit={accept}>
            <input
                bind:value={reason}
                aria-label="Why you accept this"
                placeholder="Why?"
                class="bg-paper border-rule text-ink min-w-0 grow rounded-[4px] border px-2 py-1 text-[14px]"
            />
            <Button type="submit" color="alternative">Accept</Button>
        </form>
    {:else}
        <p class="mt-1.5 flex flex-wrap gap-2">
            {#each fixes as fix (fix.label)}
                <Button color="alternative" onclick={() => workspace.editExactly(fix.label, ...fix.operations)}
                    >{fix.label}</Button
                >
            {/each}
            <button
                type="button"
                class="quiet-link text-[14px]"
                onclick={() => (asking = true)}
                aria-label="Accept: {finding.title}">Accept…</button
            >
        </p>
    {/if}
</article>
