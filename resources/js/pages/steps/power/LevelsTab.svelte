<script lang="ts">
    import type { Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { change, remove, workspace } from '../../../lib/workspace.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import PartAdd from './PartAdd.svelte';
    import PartValues from './PartValues.svelte';

    let { node, index, shown }: { node: Schemas['Node']; index: PlanIndex; shown: Schemas['NodeLevels'] } = $props();
    const name = (moduleId: string): string => index.module(moduleId)?.name ?? '';
    const stored = (partId: string): Schemas['Part'] | undefined =>
        index.document.parts.find((one) => one.id === partId);
    /** A figure and its unit stay on one line. */
    const whole = (text: string): string => text.replace(/(\d) (?=[kM]?Ω|[µnp]F|m?[VA]\b)/g, '$1\u00a0');
</script>

<section class="sheet mt-2 overflow-x-auto" aria-label="Levels of {node.name}">
    <table class="ledger">
        <thead
            ><tr
                ><th><span class="text-ink font-semibold">Wire</span></th><th>Gives</th><th>Wanted</th><th
                    >What comes</th
                ><th>Between</th></tr
            ></thead
        >
        <tbody>
            {#each shown.wires as wire (wire.useId)}
                <tr>
                    <td class="whitespace-nowrap"
                        >{name(wire.moduleId)} <span class="mono">{wire.terminal}</span>
                        {wire.driven ? '←' : '→'} <span class="mono">{wire.pin}</span></td
                    >
                    <td class="whitespace-nowrap tabular-nums">{wire.gives}</td>
                    <td class="tabular-nums">{whole(wire.takes)}</td>
                    <td class="tabular-nums {wire.sound ? '' : 'text-danger'}">{whole(wire.arrives)}</td>
                    <td>{whole(wire.between)}</td>
                </tr>
            {:else}
                <tr
                    ><td colspan="5" class="text-soft">Nothing to compare yet: Assign gives each terminal its pin.</td
                    ></tr
                >
            {/each}
        </tbody>
    </table>
    {#if shown.carriedMa > 0}
        <p class="border-rule border-t px-3 py-2">
            With everything on, the pins carry <span class="mono {shown.chipSound ? '' : 'text-danger'}"
                >{shown.carriedMa} mA</span
            >
            together{#if shown.chipMostMa !== null}; the chip stands <span class="mono">{shown.chipMostMa} mA</span
                >{/if}.
        </p>
    {/if}
</section>
<section class="sheet mt-3" aria-label="Discrete parts of {node.name}">
    <table class="ledger">
        <thead
            ><tr
                ><th><span class="text-ink font-semibold">Parts between</span></th><th>At</th><th>Value</th><th
                    >In the drawer</th
                ><th><span class="sr-only">Remove</span></th></tr
            ></thead
        >
        <tbody>
            {#each shown.parts as part (part.partId)}
                {@const values = stored(part.partId)}
                <tr>
                    <td>{part.kind}</td>
                    <td>{name(part.moduleId)} <span class="mono">{part.terminal}</span></td>
                    <td
                        >{#if values !== undefined}<PartValues
                                part={values}
                                at="{part.kind} at {name(part.moduleId)} {part.terminal}"
                            />{/if}</td
                    >
                    <td
                        ><input
                            type="checkbox"
                            class="border-soft text-accent bg-sheet rounded-[3px]"
                            aria-label="{part.what} at {name(part.moduleId)} {part.terminal} is in the drawer"
                            checked={part.owned}
                            onchange={(event) =>
                                workspace.edit(
                                    `${part.what}: ${event.currentTarget.checked ? 'in the drawer' : 'to buy'}`,
                                    change('part', part.partId, { owned: event.currentTarget.checked }),
                                )}
                        /></td
                    >
                    <td class="text-right"
                        ><RemoveButton
                            what="Remove {part.what} at {name(part.moduleId)} {part.terminal}"
                            onremove={() =>
                                workspace.edit(
                                    `Remove ${part.what} at ${name(part.moduleId)} ${part.terminal}`,
                                    remove('part', part.partId),
                                )}
                        /></td
                    >
                </tr>
            {:else}
                <tr><td colspan="5" class="text-soft">None: every wire goes straight.</td></tr>
            {/each}
        </tbody>
    </table>
    <PartAdd {node} {index} />
</section>
