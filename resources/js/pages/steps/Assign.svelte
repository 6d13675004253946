<script lang="ts" module>
    import { Latest } from '../../lib/latest';

    /** Of all times that the page is opened: what was left before it was answered is still being worked out. */
    const asking = new Latest();
</script>

<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { SvelteSet } from 'svelte/reactivity';
    import { api, type Proposal } from '../../lib/api';
    import { workspace } from '../../lib/workspace.svelte';
    import type { StepProps } from '../steps';

    let { data, planId }: StepProps = $props();
    let proposals = $state<Proposal[] | null>(null);
    let problem = $state<string | null>(null);
    const left = new SvelteSet<string>();

    const stages: Record<Proposal['stage'], string> = {
        expander: 'More pins',
        channel: 'Relay channels and keys',
        supply: 'Supplies',
        board: 'What the boards live on',
        attachment: 'Radios',
        link: 'Channels of the air',
        path: 'Paths',
        address: 'Addresses',
        code: 'Command codes',
        frame: 'Frames',
        end: 'Retry delays',
        pin: 'Pins',
        part: 'Resistors, capacitors and shifters',
    };
    const groups = $derived(
        Object.entries(stages)
            .map(([stage, title]) => ({
                stage,
                title,
                list: (proposals ?? []).filter((proposal) => proposal.stage === stage),
            }))
            .filter((group) => group.list.length > 0),
    );
    const chosen = $derived((proposals ?? []).filter((proposal) => !left.has(proposal.id)));

    $effect(() => {
        void data.version;
        void workOut();
    });

    async function workOut(): Promise<void> {
        const path = { plan: planId };
        const answer = await asking
            .ask(() => api.GET('/api/plans/{plan}/assignment', { params: { path } }))
            .catch(() => ({ data: undefined, error: undefined }));
        if (answer !== null) {
            // No answer is not the answer that nothing is missing.
            proposals = answer.data?.proposals ?? null;
            problem = answer.data === undefined ? (answer.error?.message ?? 'The server does not answer.') : null;
        }
    }

    function turn(ids: string[], take: boolean): void {
        for (const id of ids) {
            if (take) {
                left.delete(id);
            } else {
                left.add(id);
            }
        }
    }

    async function apply(): Promise<void> {
        const count = chosen.length;
        const kept = await workspace.editExactly(
            count === 1 ? `Assign: ${chosen[0]?.what}` : `Assign ${count} values`,
            ...chosen.flatMap((proposal) => proposal.operations),
        );
        if (kept) {
            left.clear();
        }
    }
</script>

<div class="flex items-start gap-4">
    <div class="grow">
        <h1>Assign</h1>
        <p class="text-soft mt-0.5">
            Every value that is missing or cannot stay. Pinned values are left alone; untick what you do not want.
        </p>
    </div>
    {#if chosen.length > 0}<Button onclick={apply}
            >{chosen.length === 1 ? 'Apply one change' : `Apply ${chosen.length} changes`}</Button
        >{/if}
</div>
{#if problem !== null}
    <p role="alert" class="sheet text-danger mt-4 flex max-w-[620px] items-center gap-3 px-3 py-2">
        <span class="grow">What there is to assign could not be worked out. {problem}</span>
        <Button
            size="sm"
            color="alternative"
            onclick={() => {
                problem = null;
                void workOut();
            }}>Try again</Button
        >
    </p>
{:else if proposals === null}
    <p class="text-soft mt-4" role="status">Working it out…</p>
{:else if proposals.length === 0}
    <div class="sheet mt-4 max-w-[620px] p-4">
        <p class="font-medium">Nothing to assign: every value is there and can stay.</p>
        <p class="mt-1">
            Next: <a class="quiet-link" href="#/plans/{planId}/findings">read the findings</a>, then
            <a class="quiet-link" href="#/plans/{planId}/build">build the nodes</a>.
        </p>
    </div>
{:else}
    {#each groups as group (group.stage)}
        {@const ids = group.list.map((proposal) => proposal.id)}
        {@const all = ids.every((id) => !left.has(id))}
        <section class="sheet mt-3" aria-labelledby="stage-{group.stage}">
            <table class="ledger table-fixed">
                <thead>
                    <tr>
                        <th class="w-[36px]"
                            ><input
                                type="checkbox"
                                class="text-accent border-soft rounded-[2px] bg-sheet"
                                checked={all}
                                onchange={() => turn(ids, !all)}
                                aria-label="All of {group.title}"
                            /></th
                        >
                        <th class="w-[34%] !text-ink font-semibold" id="stage-{group.stage}"
                            >{group.title} <span class="text-soft font-normal">{group.list.length}</span></th
                        >
                        <th class="w-[11%]">Now</th><th class="w-[17%]">Proposed</th><th>Why</th>
                    </tr>
                </thead>
                <tbody>
                    {#each group.list as proposal (proposal.id)}
                        <tr class={left.has(proposal.id) ? 'text-soft' : ''}>
                            <td
                                ><input
                                    type="checkbox"
                                    class="text-accent border-soft rounded-[2px] bg-sheet"
                                    checked={!left.has(proposal.id)}
                                    onchange={() => turn([proposal.id], left.has(proposal.id))}
                                    aria-label={proposal.what}
                                /></td
                            >
                            <td>{proposal.what}</td>
                            <td class="mono text-soft">{proposal.before ?? '–'}</td>
                            <td class="mono">{proposal.after}</td>
                            <td class="text-soft text-[14px]">{proposal.reason}</td>
                        </tr>
                    {/each}
                </tbody>
            </table>
        </section>
    {/each}
{/if}
