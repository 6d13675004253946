<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { view } from '../../../lib/shown.svelte';

    interface Props {
        node: Schemas['Node'];
        index: PlanIndex;
        planId: string;
        shown: Schemas['PartsShown'];
    }
    let { node, index, planId, shown }: Props = $props();
    let whole = $state(false);
    const all = view('parts-list', () => (whole ? '' : undefined));
    const lines = $derived(whole ? (all.now?.lines ?? []) : shown.lines);
</script>

<div class="mt-2 flex flex-wrap items-center gap-3">
    <label class="flex items-center gap-1.5"
        ><input type="checkbox" class="border-soft text-accent bg-sheet rounded-[3px]" bind:checked={whole} /> of the
        whole plan, {index.nodes.length} nodes</label
    >
    <span class="grow"></span>
    <Button color="alternative" href="/api/plans/{planId}/parts.csv{whole ? '' : `?node=${node.id}`}"
        >List as CSV</Button
    >
</div>
<section class="sheet mt-2" aria-label="Parts of {whole ? 'the plan' : node.name}">
    <table class="ledger">
        <thead
            ><tr
                ><th class="w-[52px]">Buy</th><th class="w-[52px]">Of</th><th
                    ><span class="text-ink font-semibold">Part</span></th
                ><th class="w-[18%]">Look for</th><th class="w-[36%]">Where</th></tr
            ></thead
        >
        <tbody>
            {#each lines as line (`${line.what} ${line.rating}`)}
                <tr>
                    <td class="mono {line.toBuy === 0 ? 'text-soft' : ''}">{line.toBuy}</td>
                    <td class="mono text-soft">{line.quantity}</td>
                    <td>{line.what}</td>
                    <td class="mono">{line.rating}</td>
                    <td class="text-soft text-[14px]"
                        >{line.where.slice(0, 6).join('; ')}{line.where.length > 6
                            ? `; and ${line.where.length - 6} more`
                            : ''}</td
                    >
                </tr>
            {:else}
                <tr><td colspan="5" class="text-soft">Nothing yet.</td></tr>
            {/each}
        </tbody>
    </table>
</section>
