<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { view } from '../../../lib/shown.svelte';
    import { workspace } from '../../../lib/workspace.svelte';
    import SafeOptions from './SafeOptions.svelte';

    /** One output: the chain from its pin to its load in one phase, and the cheapest way to make all phases safe. */
    interface Props {
        row: Schemas['SafeRow'];
        index: PlanIndex;
        catalogue: Catalogue;
        planId: string;
        phase: string | undefined;
    }
    let { row, index, catalogue, planId, phase }: Props = $props();
    const chains = view('safe-chain', () => row.outputId);
    const output = $derived(index.output(row.outputId));
    const node = $derived(index.node(row.nodeId));
    const shown = $derived(
        chains.now?.phases.find((one) => one.phase === phase) ??
            chains.now?.phases.find((one) => one.isUnsafe) ??
            chains.now?.phases.find((one) => one.phase === 'reset'),
    );
    const unsafe = $derived(chains.now?.phases.filter((one) => one.isUnsafe) ?? []);
    let others = $state(false);
</script>

{#if output !== undefined && node !== undefined}
    <section class="sheet mt-2.5 px-4 py-3" aria-label="Chain of {output.name}">
        <h2 class="text-[16px] font-semibold">
            {output.name} <span class="text-soft font-normal">{node.name}</span>
            {#if shown !== undefined}<span class="text-soft font-normal">· {shown.when}</span>{/if}
        </h2>
        {#if shown !== undefined}
            <ol class="mt-1.5 grid list-none grid-cols-2 gap-x-4 gap-y-2 md:flex">
                {#each shown.links as link, at (at)}
                    {@const last = link.what === 'Load'}
                    <li
                        class="min-w-0 border-l-[3px] pl-2.5 md:flex-1 {shown.isUnsafe &&
                        (last || link.is === 'ON' || link.is === 'unpowered' || link.is === 'either')
                            ? 'border-danger'
                            : 'border-rule'}"
                    >
                        <p class="text-soft text-[13.5px] leading-tight">{link.what}</p>
                        <p class="leading-snug font-medium">{link.is}</p>
                        <p class="text-[13.5px] leading-snug">
                            {last
                                ? index.document.loads
                                      .filter((one) => one.outputId === output.id)
                                      .map((one) => one.name)
                                      .join(', ') || output.load
                                : link.why}
                        </p>
                    </li>
                {/each}
            </ol>
        {:else}
            <p class="text-soft mt-1">{row.left}</p>
        {/if}
        {#if row.asked !== null && output.safe === null}
            <p class="mt-2">
                <span class="text-danger">{row.asked} Nobody has said what it must be.</span> Choose it above: must be off,
                must be on, or either is well.
            </p>
        {:else if chains.now && unsafe.length > 0}
            <div class="mt-2.5 flex flex-wrap items-center gap-2">
                {#if chains.now.ways[0] !== undefined}
                    {@const best = chains.now.ways[0]}
                    <span class="text-soft">Cheapest way to make it safe in every phase</span>
                    <Button onclick={() => workspace.editExactly(best.label, ...best.operations)}>{best.label}</Button>
                    {#if chains.now.ways.length > 1}
                        <Button color="alternative" aria-expanded={others} onclick={() => (others = !others)}
                            >Other ways ({chains.now.ways.length - 1})</Button
                        >
                    {/if}
                {:else}
                    <p>
                        No pull, contact, driver or watchdog makes it safe in every phase: put it on another
                        <a class="quiet-link" href="#/plans/{planId}/power/{node.id}.pins">pin</a> or
                        <a class="quiet-link" href="#/plans/{planId}/nodes/{node.id}">module</a>.
                    </p>
                {/if}
            </div>
            {#if others}
                <ul class="mt-1.5 flex list-none flex-col items-start gap-1.5">
                    {#each chains.now.ways.slice(1) as way (way.label)}
                        <li>
                            <Button
                                color="alternative"
                                onclick={() => workspace.editExactly(way.label, ...way.operations)}>{way.label}</Button
                            >
                            <span class="text-soft mono">cost {way.cost}</span>
                        </li>
                    {/each}
                </ul>
            {/if}
        {:else if chains.now && output.safe !== null}
            <p class="text-soft mt-2">
                {output.safe === 'any' ? 'Either is well, as its owner says.' : 'Proven safe in every phase.'}
            </p>
        {/if}
        <SafeOptions {output} {node} {index} {catalogue} hasChangeover={chains.now?.hasChangeover ?? false} />
    </section>
{/if}
