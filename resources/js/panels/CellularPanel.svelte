<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { ulid } from '../lib/ulid';
    import { add, change, workspace } from '../lib/workspace.svelte';
    import Sign from '../widgets/Sign.svelte';
    import TextField from '../widgets/TextField.svelte';
    import DialogueTable from './DialogueTable.svelte';
    import EndsTable from './EndsTable.svelte';
    import type { PanelProps } from './panels';

    let { figures, link, index, medium }: PanelProps<'cellular'> = $props();

    const end = (id: string) => figures.ends.find((one) => one.endpointId === id);
    const modem = (id: string) => figures.modems.find((one) => one.endpointId === id);
    /** A phone is obeyed or not; everything else is the modem's. */
    const settings = (one: { id: string }): string[] =>
        medium.endpointSettings
            .map((field) => field.name)
            .filter((name) => (name === 'listed') === (end(one.id)?.phone === true));

    function setNumber(one: Schemas['Endpoint'], text: string): void {
        const name = index.node(one.nodeId)?.name ?? '';
        const address = index.addressesOf(one.id)[0];
        const value = text === '' ? null : text;
        void workspace.edit(
            `Number of ${name}`,
            address === undefined
                ? add('address', ulid(), { endpointId: one.id, pipe: 0, value, pinned: true })
                : change('address', address.id, { value, pinned: true }),
        );
    }
</script>

{#each figures.modems as one (one.endpointId)}
    <section class="sheet mt-3 p-3" aria-label="What works {one.name}">
        <h2>
            {one.name}
            <span class="text-soft font-normal"
                >obeys
                {figures.allowed.length === 0
                    ? 'nobody yet'
                    : figures.allowed.map((caller) => caller.name).join(', ')}</span
            >
        </h2>
        <table class="ledger mt-1">
            <thead><tr><th>From</th><th>Says</th><th>Does</th><th>Proof</th><th>Answer</th></tr></thead>
            <tbody>
                {#each one.commands as command (`${command.controlId} ${command.does}`)}
                    <tr>
                        <td>{command.from}</td>
                        <td class="mono">{command.kind === 'call' ? 'a call' : (command.word ?? 'no word yet')}</td>
                        <td
                            >{#if command.dangerous}<span class="mr-1.5"><Sign severity="danger" size={15} /></span
                                >{/if}{command.does}</td
                        >
                        <td>{command.secret ? 'number and secret' : 'number only'}</td>
                        <td>{command.answers ? 'the state afterwards' : '–'}</td>
                    </tr>
                {:else}<tr
                        ><td colspan="5" class="text-soft"
                            >Nobody calls or texts it yet: add calls and texts to a phone, then routes.</td
                        ></tr
                    >{/each}
            </tbody>
        </table>
    </section>
{/each}

<EndsTable {link} {index} {medium} {settings} says="Number, and what follows">
    {#snippet more(one)}
        {@const own = end(one.id)}
        {@const its = modem(one.id)}
        <div class="flex flex-wrap items-center gap-x-3">
            <TextField
                label="Number of {index.node(one.nodeId)?.name}"
                quiet
                mono
                class="w-[150px]"
                value={index.addressesOf(one.id)[0]?.value ?? ''}
                placeholder={own?.phone ? 'none yet' : 'its own, if known'}
                onsave={(text) => setNumber(one, text)}
            />
            {#if own?.e164 && own.e164 !== index.addressesOf(one.id)[0]?.value}<span class="mono">{own.e164}</span>{/if}
            {#if own?.e164 && !own.valid}<span class="text-fault">no number that is given out</span>{/if}
        </div>
        {#if its}<p class={its.supply && its.supply.steadyV < its.supply.leastV ? 'text-fault' : ''}>
                {#if its.fedBy}<a class="quiet-link" href="#/plans/{index.document.plan.id}/power/{one.nodeId}"
                        >{its.fedBy}</a
                    >, {its.volts ?? 'voltage not said'}{:else}<a
                        class="quiet-link"
                        href="#/plans/{index.document.plan.id}/power/{one.nodeId}">nothing feeds it yet</a
                    >{/if}{#if its.supply}; sags to <span class="mono">{its.supply.steadyV} V</span> when it sends, and
                    needs
                    <span class="mono">{its.supply.leastV} V</span>{/if}
            </p>{/if}
    {/snippet}
</EndsTable>

{#each figures.modems as one (one.endpointId)}
    <section class="sheet mt-3 overflow-x-auto" aria-label="Dialogue of {one.name}">
        <DialogueTable title="Bring-up" says={one.name} steps={one.bringUp} />
    </section>
    {#if one.service.length > 0}<section class="sheet mt-3 overflow-x-auto" aria-label="Service of {one.name}">
            <DialogueTable title="Then" says="calls and texts" steps={one.service} />
        </section>{/if}
    {#if one.report.length > 0}<section class="sheet mt-3 overflow-x-auto" aria-label="Report of {one.name}">
            <DialogueTable title="Report" says="readings to the web" steps={one.report} />
        </section>{/if}
{/each}
{#if figures.modems.length > 0}
    <section class="sheet mt-3" aria-label="What the lamp says">
        <table class="ledger">
            <thead
                ><tr><th class="w-[24%]"><span class="text-ink font-semibold">Lamp</span> flashes</th><th>Means</th></tr
                ></thead
            >
            <tbody>
                {#each figures.lamp as one (one.flashes)}<tr><td>{one.flashes}</td><td>{one.means}</td></tr>{/each}
            </tbody>
        </table>
    </section>
{/if}
<p class="text-soft mt-2 max-w-[60em] text-[14px]">
    Antenna before power. A caller's number can be forged: a call may switch a lamp; a gate or a heater wants a text
    with a secret. The network is a convenience, never the alarm of record for frost, fire or flood.
</p>
