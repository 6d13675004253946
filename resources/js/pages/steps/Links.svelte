<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { push } from 'svelte-spa-router';
    import type { Schemas } from '../../lib/api';
    import { rest } from '../../lib/focus';
    import { view } from '../../lib/shown.svelte';
    import { ulid } from '../../lib/ulid';
    import { add, change, remove, workspace } from '../../lib/workspace.svelte';
    import type { Component } from 'svelte';
    import { panels, type PanelProps } from '../../panels/panels';
    import SelectField from '../../widgets/SelectField.svelte';
    import SettingInput from '../../widgets/SettingInput.svelte';
    import TextField from '../../widgets/TextField.svelte';
    import type { StepProps } from '../steps';

    let { index, catalogue, planId, item }: StepProps = $props();
    const link = $derived(index.link(item) ?? index.links[0]);
    const medium = $derived(catalogue.media.find((one) => one.key === link?.medium));
    const shown = view('link-panel', () => link?.id);
    const panel = $derived(shown.now ?? undefined);
    let name = $state('');
    /** What most leave as it is comes when it is asked for, is otherwise, or something is found about it. */
    let more = $state(false);
    const found = $derived(
        (workspace.data?.findings ?? []).flatMap((one) => (one.at.id === link?.id ? [one.at.field] : [])),
    );
    const fields = $derived(
        (medium?.linkSettings ?? []).filter(
            (one) =>
                more ||
                !one.seldom ||
                (link?.settings[one.name] ?? one.default) !== one.default ||
                found.includes(one.name),
        ),
    );
    let chosenMedium = $state('');
    const newMedium = $derived(chosenMedium || (catalogue.media[0]?.key ?? ''));

    async function addLink(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        const id = ulid();
        const called = name.trim() || `Link ${index.links.length + 1}`;
        if (
            await workspace.edit(
                `Add ${called}`,
                add('link', id, { name: called, medium: newMedium, settings: {}, order: index.nextOrder(index.links) }),
            )
        ) {
            name = '';
            await push(`/plans/${planId}/links/${id}`);
        }
    }

    /** The address no longer names it, and the next key finds no button that would remove its neighbour. */
    function removeLink(button: Element, gone: Schemas['Link']): void {
        void workspace.edit(`Remove ${gone.name}`, remove('link', gone.id));
        rest(button.closest('main'));
        void push(`/plans/${planId}/links`);
    }

    function set(field: string, title: string, value: unknown): void {
        if (link !== undefined) {
            void workspace.edit(`${title} of ${link.name}`, change('link', link.id, { settings: { [field]: value } }));
        }
    }

    function pin(field: string): void {
        if (link !== undefined) {
            const pinned = link.pinned.includes(field)
                ? link.pinned.filter((one) => one !== field)
                : [...link.pinned, field];
            void workspace.edit(
                `${link.pinned.includes(field) ? 'Unpin' : 'Pin'} ${field} of ${link.name}`,
                change('link', link.id, { pinned }),
            );
        }
    }
</script>

<div class="flex flex-wrap items-center gap-2">
    <h1 class="mr-2">Links</h1>
    {#each index.links as one (one.id)}
        <a
            href="#/plans/{planId}/links/{one.id}"
            aria-current={one === link ? 'true' : undefined}
            class="rounded-[4px] border px-2.5 py-0.5 {one === link
                ? 'bg-tint border-accent font-medium'
                : 'border-rule'}">{one.name}</a
        >
    {/each}
</div>

{#if link === undefined}
    <p class="sheet mt-4 max-w-[620px] p-4">
        A link is one medium with one set of settings, shared by everything on it. Add the first, then say which nodes
        are on it; Assign chooses channels, addresses and codes.
    </p>
{:else if medium !== undefined}
    <!-- What is typed for one is not shown at the next. -->
    {#key link.id}
        <section class="sheet mt-3 p-3" aria-label="Settings">
            <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
                <TextField
                    label="Name"
                    class="w-[150px]"
                    value={link.name}
                    onsave={(value) =>
                        workspace.edit(`Rename ${link.name} to ${value}`, change('link', link.id, { name: value }))}
                />
                <p class="text-soft grow pb-1 first-letter:uppercase">
                    {medium.name}. Every setting here goes into the header of each board on it.
                </p>
                <Button
                    color="alternative"
                    onclick={(event: MouseEvent) => removeLink(event.currentTarget as Element, link)}
                    >Remove the link</Button
                >
            </div>
            <div class="mt-3 flex flex-wrap gap-x-4 gap-y-2">
                {#each fields as field (field.name)}
                    <SettingInput
                        {field}
                        value={link.settings[field.name] ?? null}
                        onsave={(value) => set(field.name, field.title, value)}
                        pinned={link.pinned.includes(field.name)}
                        onpin={field.assigned ? () => pin(field.name) : undefined}
                    />
                {/each}
                {#if more || fields.length < medium.linkSettings.length}<button
                        type="button"
                        class="quiet-link self-end pb-1.5 text-[14px]"
                        aria-label="{more ? 'Fewer' : 'More'} settings of {link.name}"
                        onclick={() => (more = !more)}>{more ? 'fewer' : 'more…'}</button
                    >{/if}
            </div>
        </section>
        {#if panel !== undefined}
            {@const Panel = panels[panel.medium] as Component<PanelProps<(typeof panel)['medium']>>}
            <Panel figures={panel.figures} {link} {index} {medium} />
        {/if}
    {/key}
{/if}

<form class="mt-5 flex flex-wrap items-end gap-2" onsubmit={addLink}>
    <div>
        <label for="link-name" class="text-soft block text-[14px]">New link</label>
        <input
            id="link-name"
            bind:value={name}
            class="bg-sheet border-rule text-ink w-[180px] rounded-[4px] border px-2 py-1"
        />
    </div>
    <SelectField
        label="Medium"
        class="w-[210px]"
        value={newMedium}
        items={catalogue.media.map((one) => ({ value: one.key, name: one.name }))}
        onsave={(value) => (chosenMedium = value)}
    />
    <Button type="submit" color={index.links.length === 0 ? 'primary' : 'alternative'}>Add the link</Button>
</form>
