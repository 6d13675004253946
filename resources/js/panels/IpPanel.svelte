<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { ulid } from '../lib/ulid';
    import { add, change, workspace } from '../lib/workspace.svelte';
    import SelectField from '../widgets/SelectField.svelte';
    import TextField from '../widgets/TextField.svelte';
    import EndsTable from './EndsTable.svelte';
    import IpTopics from './IpTopics.svelte';
    import type { PanelProps } from './panels';

    let { figures, link, index, medium }: PanelProps<'ip'> = $props();

    /** A network of more nodes than this shows the topics of one at a time. */
    const FEW = 12;
    const ends = $derived(index.endpointsOn(link.id));
    let chosen = $state('');
    const picked = $derived(ends.find((one) => one.id === chosen) ?? ends[0]);
    const listed = $derived(ends.length <= FEW || picked === undefined ? ends : [picked]);

    /** Where a host number lies on the band, in per cent. */
    const at = (number: number): number => (100 * number) / Math.max(1, figures.subnet?.hosts ?? 1);

    function setAddress(one: Schemas['Endpoint'], text: string): void {
        const name = index.node(one.nodeId)?.name ?? '';
        const address = index.addressesOf(one.id)[0];
        const value = text === '' ? null : text;
        void workspace.edit(
            `Address of ${name}`,
            address === undefined
                ? add('address', ulid(), { endpointId: one.id, pipe: 0, value, pinned: true })
                : change('address', address.id, { value, pinned: true }),
        );
    }
</script>

{#if figures.subnet}
    <section class="sheet mt-3 p-3" aria-label="Addresses">
        <h2>
            Addresses <span class="text-soft font-normal"
                >{figures.hosts.length} set by hand among {figures.subnet.hosts}; the router hands out
                {figures.subnet.dhcpFrom} to {figures.subnet.dhcpTo} by itself</span
            >
        </h2>
        <div class="bg-paper border-rule relative mt-2 h-7 border" aria-hidden="true">
            <span
                class="bg-rule absolute inset-y-0"
                style:left="{at(figures.subnet.dhcpFrom)}%"
                style:width="{at(figures.subnet.dhcpTo - figures.subnet.dhcpFrom + 1)}%"
            ></span>
            {#each figures.hosts as host (host.endpointId)}
                <span
                    class="absolute inset-y-0 w-[3px]"
                    style:left="{at(host.number)}%"
                    style:background="var(--medium-ip)"
                    title="{host.name}: {host.number}"
                ></span>
            {/each}
        </div>
        <div class="text-soft mono mt-0.5 flex justify-between text-[13px]" aria-hidden="true">
            <span>1</span><span>{figures.subnet.hosts}</span>
        </div>
    </section>
{/if}

<EndsTable {link} {index} {medium} settings={() => ['broker', 'clientId']} says="Address">
    {#snippet more(one)}
        <TextField
            label="Address of {index.node(one.nodeId)?.name}"
            quiet
            mono
            class="w-[150px]"
            value={index.addressesOf(one.id)[0]?.value ?? ''}
            placeholder="none yet"
            onsave={(text) => setAddress(one, text)}
        />
    {/snippet}
</EndsTable>

<section class="sheet mt-3 overflow-x-auto" aria-label="Topics">
    <h2 class="px-3 pt-3">
        Topics <span class="text-soft font-normal"
            >{figures.broker === null ? 'no broker yet' : `by way of ${figures.broker}`}; a node that falls silent is
            told of after {figures.goneAfterS} s</span
        >
    </h2>
    {#if ends.length > FEW}
        <SelectField
            label="Topics of"
            class="w-[260px] px-3 pt-2"
            value={picked?.id ?? ''}
            items={ends.map((one) => ({ value: one.id, name: index.node(one.nodeId)?.name ?? '' }))}
            onsave={(id) => (chosen = id)}
        />
    {/if}
    <table class="ledger mt-1">
        <thead><tr><th>Node</th><th>Does</th><th>Topic</th><th>Says</th><th>QoS</th><th>Kept</th></tr></thead>
        {#each listed as one (one.id)}
            <IpTopics endId={one.id} />
        {:else}<tbody><tr><td colspan="6" class="text-soft">Nothing is said on this network yet.</td></tr></tbody
            >{/each}
    </table>
</section>
<p class="text-soft mt-2 max-w-[60em] text-[14px]">
    Passwords are put in when a board is flashed and are never kept in the plan. Nothing here should be reachable from
    outside the house; a broker without a password obeys whoever is on the Wi-Fi.
</p>
