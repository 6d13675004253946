<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { push } from 'svelte-spa-router';
    import { ulid } from '../../../lib/ulid';
    import { add, remove, workspace } from '../../../lib/workspace.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import type { StepProps } from '../../steps';

    /** Lamps and other things that obey slots, as their manuals have it. */
    let { data, index, planId }: Pick<StepProps, 'data' | 'index' | 'planId'> = $props();
    const users = $derived((id: string) =>
        data.document.nodes.filter((node) => node.fixtureTypeId === id).map((node) => node.name),
    );

    async function begin(): Promise<void> {
        const id = ulid();
        const name = `Lamp ${data.document.fixtureTypes.length + 1}`;
        if (
            await workspace.edit(
                `Describe ${name}`,
                add('fixtureType', id, {
                    name,
                    modes: [{ name: 'Mode 1', slots: [{ name: 'Dimmer', at: 1, is: 'dimmer' }] }],
                    order: index.nextOrder(data.document.fixtureTypes),
                }),
            )
        ) {
            void push(`/plans/${planId}/own/${id}`);
        }
    }
</script>

<section class="sheet mt-4 max-w-[900px]" aria-label="Fixtures">
    <table class="ledger">
        <thead
            ><tr
                ><th class="w-[30%]"><span class="text-ink font-semibold">Fixtures that obey slots</span></th><th
                    class="w-[34%]">Modes</th
                ><th>Used by</th><th class="w-[76px]"><span class="sr-only">Remove</span></th></tr
            ></thead
        >
        <tbody>
            {#each data.document.fixtureTypes as type (type.id)}
                {@const used = users(type.id)}
                <tr>
                    <td><a class="quiet-link" href="#/plans/{planId}/own/{type.id}">{type.name}</a></td>
                    <td class="text-soft">{type.modes.map((mode) => mode.name).join(', ') || 'none yet'}</td>
                    <td>{used.length === 0 ? 'nothing yet: choose it at a node' : used.join(', ')}</td>
                    <td class="text-right"
                        >{#if used.length === 0}<RemoveButton
                                what="Remove {type.name}"
                                onremove={() => workspace.edit(`Remove ${type.name}`, remove('fixtureType', type.id))}
                            />{:else}<span class="text-soft text-[14px]">in use</span>{/if}</td
                    >
                </tr>
            {:else}
                <tr
                    ><td colspan="4" class="text-soft"
                        >None described yet: lamps, dimmers and whatever else takes slots of a universe.</td
                    ></tr
                >
            {/each}
        </tbody>
    </table>
    <div class="border-rule border-t px-3 py-2">
        <Button color="alternative" onclick={begin}>Describe a fixture</Button>
    </div>
</section>
