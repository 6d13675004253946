<script lang="ts">
    import type { Snippet } from 'svelte';
    import type { Schemas } from '../lib/api';
    import { changeEnd } from '../lib/ends';
    import type { PlanIndex } from '../lib/plan-index';
    import { workspace } from '../lib/workspace.svelte';
    import EndRemove from './EndRemove.svelte';
    import EndRole from './EndRole.svelte';
    import JoinLink from './JoinLink.svelte';
    import PinButton from '../widgets/PinButton.svelte';
    import SelectField from '../widgets/SelectField.svelte';
    import SettingInput from '../widgets/SettingInput.svelte';

    /** The ends of a link: who is on it, in what role, with which part, and whatever settings its medium gives an end. */
    interface Props {
        link: Schemas['Link'];
        index: PlanIndex;
        medium: Schemas['Medium'];
        /** Which of the medium's settings an end has. */
        settings: (end: Schemas['Endpoint']) => string[];
        /** Heading and content of what the medium has to say of an end. */
        says: string;
        more: Snippet<[Schemas['Endpoint']]>;
    }
    let { link, index, medium, settings, says, more }: Props = $props();

    const ends = $derived(index.endpointsOn(link.id));
    const name = (end: Schemas['Endpoint']): string => index.node(end.nodeId)?.name ?? '';

    /** The node's parts that serve this medium. */
    function parts(end: Schemas['Endpoint']): { value: string; name: string }[] {
        return index
            .modulesOf(end.nodeId)
            .filter(
                (module) =>
                    workspace.catalogue?.modules.find((one) => one.key === module.class)?.medium === link.medium,
            )
            .map((module) => ({ value: module.id, name: module.name }));
    }

    function pin(end: Schemas['Endpoint'], field: Schemas['SettingField']): void {
        const pinned = end.pinned.includes(field.name)
            ? end.pinned.filter((one) => one !== field.name)
            : [...end.pinned, field.name];
        changeEnd(index, link, end, `${end.pinned.includes(field.name) ? 'Unpin' : 'Pin'} ${field.title}`, { pinned });
    }
</script>

<section class="sheet mt-3 overflow-x-auto" aria-label="Ends">
    <table class="ledger">
        <thead
            ><tr><th>Node</th><th>Role</th><th>Part</th><th>{says}</th><th><span class="sr-only">Remove</span></th></tr
            ></thead
        >
        <tbody>
            {#each ends as end (end.id)}
                {@const choices = parts(end)}
                {@const own = settings(end)}
                <tr class={own.length > 0 ? '[&>td]:!border-b-0' : ''}>
                    <td class="font-medium whitespace-nowrap"
                        ><a class="hover:underline" href="#/plans/{workspace.planId}/nodes/{end.nodeId}">{name(end)}</a
                        ></td
                    >
                    <td><EndRole {link} {index} {end} /></td>
                    <td
                        >{#if choices.length > 0}<SelectField
                                label="Part of {name(end)}"
                                quiet
                                class="w-[116px]"
                                value={end.moduleId ?? ''}
                                empty="none yet"
                                items={choices}
                                onsave={(moduleId) =>
                                    changeEnd(index, link, end, 'Part', { moduleId: moduleId || null })}
                            />{:else}<span class="text-soft block pt-1.5">–</span>{/if}</td
                    >
                    <td class="text-[14px]">{@render more(end)}</td>
                    <td class="text-right"><EndRemove {link} {index} {end} /></td>
                </tr>
                {#if own.length > 0}
                    <tr>
                        <td class="!border-t-0"></td>
                        <td colspan="4" class="!pt-0 !pb-2.5">
                            <div class="flex flex-wrap items-end gap-x-3 gap-y-1">
                                {#each medium.endpointSettings.filter( (field) => own.includes(field.name) ) as field (field.name)}
                                    <div class="flex items-end">
                                        <SettingInput
                                            {field}
                                            of={name(end)}
                                            value={end.settings[field.name] ?? null}
                                            onsave={(value) =>
                                                changeEnd(index, link, end, field.title, {
                                                    settings: { [field.name]: value },
                                                })}
                                        />
                                        {#if field.assigned}<PinButton
                                                pinned={end.pinned.includes(field.name)}
                                                what="{field.title} of {name(end)}"
                                                onturn={() => pin(end, field)}
                                            />{/if}
                                    </div>
                                {/each}
                            </div>
                        </td>
                    </tr>
                {/if}
            {:else}
                <tr><td colspan="5" class="text-soft">Nobody is on this link yet.</td></tr>
            {/each}
        </tbody>
    </table>
    <JoinLink {link} {index} />
</section>
