<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { ulid } from '../../lib/ulid';
    import { add, change, remove, workspace } from '../../lib/workspace.svelte';
    import RemoveButton from '../../widgets/RemoveButton.svelte';
    import SelectField from '../../widgets/SelectField.svelte';
    import TextField from '../../widgets/TextField.svelte';
    import type { StepProps } from '../steps';

    let { data, index, catalogue, planId }: StepProps = $props();
    const plan = $derived(data.document.plan);
    const region = $derived(catalogue.regions.find((one) => one.key === plan.region));
    let placeName = $state('');

    function set(label: string, values: Record<string, unknown>): void {
        void workspace.edit(label, change('plan', plan.id, values));
    }

    function turnWifi(channel: number): void {
        const busy = plan.busyWifi.includes(channel)
            ? plan.busyWifi.filter((one) => one !== channel)
            : [...plan.busyWifi, channel];
        set(`Wi-Fi in use: ${busy.sort((a, b) => a - b).join(', ') || 'none'}`, { busyWifi: busy });
    }

    async function addPlace(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        const name = placeName.trim();
        if (
            name !== '' &&
            (await workspace.edit(`Add ${name}`, add('place', ulid(), { name, order: index.nextOrder(index.places) })))
        ) {
            placeName = '';
        }
    }

    function swap(at: number, other: number): void {
        const one = index.places[at];
        const two = index.places[other];
        if (one !== undefined && two !== undefined) {
            const orders = index.places.map((_, order) => order);
            void workspace.edit(
                `Move ${one.name}`,
                ...index.places.map((place, order) =>
                    change('place', place.id, {
                        order: order === at ? other : order === other ? at : (orders[order] ?? order),
                    }),
                ),
            );
        }
    }
</script>

<h1>Site</h1>
<p class="text-soft mt-0.5">What stands where, whose radio rules apply, and what is on the air already.</p>

<section class="sheet mt-4 grid gap-4 p-4 sm:grid-cols-2">
    <TextField
        label="Name of the site"
        value={plan.name}
        onsave={(name) => set(`Rename the plan to ${name}`, { name })}
    />
    <SelectField
        label="Radio rules of"
        value={plan.region}
        items={catalogue.regions.map((one) => ({ value: one.key, name: one.name }))}
        onsave={(key) => set('Change the region', { region: key })}
    />
    <p class="text-soft text-[14px] sm:col-span-2">
        Mains {region?.mainsV} V. Limits as of {region?.asOf}: a help, not the law. Check your own country's rules.
    </p>
    <TextField
        class="sm:col-span-2"
        label="Note"
        value={plan.note}
        onsave={(note) => set('Change the note', { note })}
    />
</section>

<section class="sheet mt-4 p-4">
    <h2 id="wifi">Wi-Fi channels in use here</h2>
    <p class="text-soft">
        Look them up on a phone, at each end of the site. Assign keeps packet radio out from under them.
    </p>
    <div class="mt-3 flex flex-wrap gap-2" role="group" aria-labelledby="wifi">
        {#each region?.wifi ?? [] as channel (channel)}
            {@const busy = plan.busyWifi.includes(channel)}
            <button
                type="button"
                aria-pressed={busy}
                aria-label="Wi-Fi {channel}"
                onclick={() => turnWifi(channel)}
                class="mono border-rule h-8 w-9 rounded-[4px] border {busy
                    ? 'bg-accent border-accent text-[var(--on-accent)]'
                    : 'bg-paper'}">{channel}</button
            >
        {/each}
    </div>
</section>

<section class="sheet mt-4 p-4">
    <h2>Places</h2>
    {#if index.places.length === 0}<p class="text-soft">
            Rooms, sheds, posts: wherever a board will hang or be carried. Name the first.
        </p>{/if}
    <ul class="mt-2">
        {#each index.places as place, at (place.id)}
            {@const here = index.nodes.filter((node) => node.placeId === place.id).length}
            <li class="border-rule flex items-center gap-2 border-b py-1.5">
                <TextField
                    quiet
                    label="Name of the place"
                    class="w-[220px]"
                    value={place.name}
                    onsave={(name) =>
                        workspace.edit(`Rename ${place.name} to ${name}`, change('place', place.id, { name }))}
                />
                <span class="text-soft grow"
                    >{here === 0 ? 'nothing here yet' : here === 1 ? 'one node' : `${here} nodes`}</span
                >
                <Button
                    color="alternative"
                    disabled={at === 0}
                    aria-label="Move {place.name} up"
                    onclick={() => swap(at, at - 1)}>↑</Button
                >
                <Button
                    color="alternative"
                    disabled={at === index.places.length - 1}
                    aria-label="Move {place.name} down"
                    onclick={() => swap(at, at + 1)}>↓</Button
                >
                <RemoveButton
                    what="Remove {place.name}"
                    onremove={() => workspace.edit(`Remove ${place.name}`, remove('place', place.id))}
                />
            </li>
        {/each}
    </ul>
    <form class="mt-3 flex items-end gap-2" onsubmit={addPlace}>
        <div>
            <label for="place" class="text-soft block text-[14px]">New place</label>
            <input
                id="place"
                bind:value={placeName}
                class="bg-sheet border-rule text-ink w-[220px] rounded-[4px] border px-2 py-1"
            />
        </div>
        <Button type="submit">Add the place</Button>
        {#if index.places.length > 0}<a class="quiet-link ml-3 pb-1" href="#/plans/{planId}/nodes"
                >Next: what stands there</a
            >{/if}
    </form>
</section>
