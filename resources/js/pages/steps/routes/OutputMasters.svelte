<script lang="ts">
    import { cellText } from '../../../lib/actions';
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { change, workspace } from '../../../lib/workspace.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';

    /** Who drives an output besides, what each does to it as it stands, and who wins. */
    interface Props {
        output: Schemas['Output'];
        masters: Schemas['OutputMasters']['masters'];
        index: PlanIndex;
        catalogue: Catalogue;
    }
    let { output, masters, index, catalogue }: Props = $props();

    const held = $derived(masters.some((one) => one.whenHeld !== null));
    const barred = $derived(masters.some((one) => one.afterOff !== null));

    function turns(on: boolean | null): string {
        return on === null ? '–' : on ? 'on' : 'off';
    }
</script>

{#if masters.length > 1}
    <section class="border-rule mt-3 border-t pt-2" aria-label="Masters of {output.name}">
        <div class="flex flex-wrap items-end gap-4">
            <h3 class="pb-1 font-medium">{masters.length} masters of {output.name}</h3>
            <SelectField
                label="Who wins"
                quiet
                class="w-[260px]"
                value={output.precedence}
                items={catalogue.precedences.map((one) => ({ value: one.key, name: one.name }))}
                onsave={(precedence) =>
                    workspace.edit(`Who wins over ${output.name}`, change('output', output.id, { precedence }))}
            />
        </div>
        <table class="ledger mt-1">
            <thead
                ><tr
                    ><th>Master</th><th>Asks</th><th>While off</th><th>While on</th>{#if held}<th
                            >While a switch holds it</th
                        >{/if}{#if barred}<th>After off by hand</th>{/if}</tr
                ></thead
            >
            <tbody>
                {#each masters as master (master.routeId)}
                    {@const asked = index.route(master.routeId)}
                    {@const from = index.control(asked?.controlId ?? '')}
                    <tr>
                        <td>{index.node(from?.nodeId ?? '')?.name} {from?.name}</td>
                        <td class="mono">{asked ? cellText(asked) : ''}</td>
                        <td class="mono">{turns(master.whenOff)}</td>
                        <td class="mono">{turns(master.whenOn)}</td>
                        {#if held}<td class="mono">{turns(master.whenHeld)}</td>{/if}
                        {#if barred}<td class="mono">{turns(master.afterOff)}</td>{/if}
                    </tr>
                {/each}
            </tbody>
        </table>
    </section>
{/if}
