<script lang="ts">
    import type { Schemas } from '../lib/api';

    type Step = Extract<Schemas['LinkPanel'], { medium: 'cellular' }>['figures']['modems'][number]['bringUp'][number];
    let { title, says, steps }: { title: string; says: string; steps: Step[] } = $props();
</script>

<table class="ledger" aria-label={title}>
    <thead
        ><tr
            ><th class="w-[24%]"><span class="text-ink font-semibold">{title}</span> {says}</th><th class="w-[20%]"
                >Comes back</th
            ><th>Within</th><th>Why, and if not</th></tr
        ></thead
    >
    <tbody>
        {#each steps as step, at (at)}
            <tr class="align-top">
                <td class="mono [overflow-wrap:anywhere]">{step.send === '' ? '…' : step.send}</td>
                <td class="mono [overflow-wrap:anywhere]"
                    >{step.expect}{#if step.orExpect !== null}<span class="text-soft font-sans">
                            or
                        </span>{step.orExpect}{/if}</td
                >
                <td class="mono whitespace-nowrap"
                    >{step.timeoutMs === 0 ? '' : `${step.timeoutMs / 1000} s`}{step.tries > 1
                        ? ` ×${step.tries}`
                        : ''}</td
                >
                <td class="text-[14px]"
                    >{step.why} <span class="text-soft">{step.ifNot}</span>
                    <span class="text-soft">[{step.source}]</span></td
                >
            </tr>
        {/each}
    </tbody>
</table>
