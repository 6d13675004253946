<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { api, type Schemas } from '../../lib/api';
    import { change, workspace } from '../../lib/workspace.svelte';
    import SelectField from '../../widgets/SelectField.svelte';
    import { push } from 'svelte-spa-router';
    import type { StepProps } from '../steps';
    import Cautions from './safe/Cautions.svelte';

    let { data, index, catalogue, planId, item }: StepProps = $props();
    const node = $derived(index.node(item) ?? index.nodes[0]);
    const board = $derived(catalogue.boards.find((one) => one.key === node?.board));
    const kind = $derived(catalogue.nodeKinds.find((one) => one.key === node?.kind));
    const bought = $derived(kind?.bought ?? false);
    let sheet = $state<Schemas['NodeSheet'] | null>(null);
    const open = $derived(
        data.findings.filter(
            (finding) =>
                finding.severity !== 'advice' &&
                index.whereabouts(finding.at.kind, finding.at.id).item?.split('.')[0] === node?.id,
        ).length,
    );

    $effect(() => {
        void data.version;
        if (node !== undefined) {
            void api
                .GET('/api/plans/{plan}/nodes/{node}/sheet', { params: { path: { plan: planId, node: node.id } } })
                .then((answer) => {
                    sheet = answer.data ?? null;
                });
        }
    });
</script>

{#if node === undefined}
    <h1>Build</h1>
    <p class="sheet mt-4 max-w-[620px] p-4">
        Here each node gets its sheet: every wire, and the header that both ends of each link share. There are no nodes
        yet:
        <a class="quiet-link" href="#/plans/{planId}/nodes">add the first</a>.
    </p>
{:else}
    <div class="flex flex-wrap items-end gap-3">
        <div class="min-w-0 grow">
            <h1>{node.name}</h1>
            <p class="text-soft mt-0.5">
                {bought ? kind?.name : (board?.name ?? 'no board yet')} · {index.placeName(node.placeId)}{open > 0
                    ? ` · ${open === 1 ? 'one finding' : `${open} findings`} open`
                    : ''}
            </p>
        </div>
        <div class="no-print flex flex-wrap items-end gap-2">
            <SelectField
                label="Node"
                quiet
                class="w-[180px]"
                value={node.id}
                items={index.nodes.map((one) => ({ value: one.id, name: one.name }))}
                onsave={(id) => push(`/plans/${planId}/build/${id}`)}
            />
            {#if !bought}<Button color="alternative" href="/api/plans/{planId}/nodes/{node.id}/wiring.csv"
                    >Wiring as CSV</Button
                >{/if}
            <Button color="alternative" onclick={() => window.print()}>Print</Button>
            {#if !bought}<Button href="/api/plans/{planId}/nodes/{node.id}/header"
                    >Download {sheet?.headerName ?? 'the header'}</Button
                >{/if}
        </div>
    </div>
    {#if sheet !== null}
        {#if sheet.flashed !== null}
            {@const flashed = sheet.flashed}
            <p class="no-print text-soft mt-2 flex flex-wrap items-center gap-x-3 gap-y-1" role="status">
                {#if node.flashedOwn === null}Not flashed yet, as far as the plan knows.
                {:else if sheet.changed.length === 0}Flashed as it stands here.
                {:else}<span class="text-ink">To be flashed again: {sheet.changed.join('; ')}.</span>{/if}
                {#if node.flashedOwn === null || sheet.changed.length > 0}<Button
                        color="alternative"
                        onclick={() => workspace.edit(`${node.name} is flashed`, change('node', node.id, flashed))}
                        >It is flashed with this</Button
                    >{/if}
            </p>
        {/if}
        <div class="mt-3 grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_minmax(0,430px)]">
            {#if !bought || sheet.wiring.length > 0}<section class="sheet overflow-x-auto" aria-label="Wiring table">
                    <table class="ledger">
                        <thead
                            ><tr
                                ><th>Module</th><th>Terminal</th><th>Pin</th><th>Carries</th><th
                                    class="hidden sm:table-cell">Level</th
                                ><th class="hidden sm:table-cell">Note</th></tr
                            ></thead
                        >
                        <tbody>
                            {#each sheet.wiring as row, at (`${row.module} ${row.terminal} ${at}`)}
                                <tr>
                                    <td class="font-medium whitespace-nowrap"
                                        >{row.module === sheet.wiring[at - 1]?.module ? '' : row.module}</td
                                    >
                                    <td class="mono">{row.terminal}</td>
                                    <td
                                        class="mono {row.pin.length > 14
                                            ? 'max-w-[120px]'
                                            : 'whitespace-nowrap'} {row.pin === '?' ? 'text-fault' : ''}">{row.pin}</td
                                    >
                                    <td>{row.carries}</td>
                                    <td class="mono hidden whitespace-nowrap sm:table-cell">{row.level}</td>
                                    <td class="text-soft hidden min-w-[210px] text-[14px] sm:table-cell">{row.note}</td>
                                </tr>
                                {#if row.level !== '' || row.note !== ''}
                                    <tr class="sm:hidden"
                                        ><td></td><td colspan="3" class="text-soft !pt-0 text-[14px]"
                                            ><span class="mono">{row.level}</span> {row.note}</td
                                        ></tr
                                    >
                                {/if}
                            {:else}
                                <tr><td colspan="6">Nothing to wire yet: give the node a board and modules.</td></tr>
                            {/each}
                        </tbody>
                    </table>
                </section>{/if}
            {#if sheet.header !== null}<section class="sheet no-print overflow-hidden" aria-label="C header">
                    <h2 class="border-rule border-b px-3 py-2">
                        {sheet.headerName} <span class="text-soft font-normal">C99, for the program of this node</span>
                    </h2>
                    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
                    <pre
                        class="mono max-h-[calc(100vh-190px)] overflow-auto p-3 leading-[1.45]"
                        tabindex="0">{sheet.header}</pre>
                </section>{/if}
        </div>
        {#if bought && sheet.artefacts.length === 0 && sheet.wiring.length === 0}<p
                class="sheet mt-3 max-w-[620px] p-4"
            >
                Nothing to build here: it comes as it is. What it sends or obeys is in the headers of the boards on its
                links.
            </p>{/if}
        {#each sheet.artefacts as artefact (artefact.key)}
            <section class="sheet mt-3 overflow-hidden" aria-label={artefact.title}>
                <div class="border-rule flex items-center gap-3 border-b px-3 py-2">
                    <h2 class="grow">
                        {artefact.title} <span class="text-soft font-normal">{artefact.fileName}</span>
                    </h2>
                    <a class="quiet-link no-print" href="/api/plans/{planId}/nodes/{node.id}/artefacts/{artefact.key}"
                        >Download {artefact.fileName}</a
                    >
                </div>
                <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
                <pre class="mono max-h-[340px] overflow-auto p-3 leading-[1.45]" tabindex="0">{artefact.content}</pre>
            </section>
        {/each}
        <Cautions cautions={sheet.cautions} />
    {/if}
{/if}
