<script lang="ts">
    import { untrack } from 'svelte';
    import type { Catalogue, Schemas } from '../../../lib/api';
    import { takesValue } from '../../../lib/actions';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { view } from '../../../lib/shown.svelte';
    import { typed } from '../../../lib/typed';
    import { change, remove, workspace } from '../../../lib/workspace.svelte';
    import PulseStrip from '../../../panels/PulseStrip.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';
    import LearnCodes from './LearnCodes.svelte';
    import NodeGrid from './NodeGrid.svelte';
    import NodeSet from './NodeSet.svelte';

    /** The learned codes of what was bought: which key sends each, or which function obeys it. */
    let { node, index, catalogue }: { node: Schemas['Node']; index: PlanIndex; catalogue: Catalogue } = $props();

    const codes = $derived(index.keyCodesOf(node.id));
    const learning = $derived(
        catalogue.media.filter(
            (medium) =>
                medium.learns &&
                index.document.endpoints.some(
                    (end) => end.nodeId === node.id && index.link(end.linkId)?.medium === medium.key,
                ),
        ),
    );
    const obeys = $derived(node.kind === 'fixture');
    const keys = $derived(index.controlsOf(node.id).map((control) => ({ value: control.id, name: control.name })));
    const functions = $derived(
        index.outputsOf(node.id).flatMap((output) =>
            ['on', 'off', 'toggle', 'pulse', 'momentary', 'step', 'set', 'follow'].map((action) => ({
                value: `${output.id} ${action}`,
                name: `${output.name}: ${action}`,
            })),
        ),
    );
    /** The link over which they are learned: its panel has what the core says of each code. */
    const linkId = $derived(
        index.document.endpoints.find(
            (end) => end.nodeId === node.id && learning.some((medium) => medium.key === index.link(end.linkId)?.medium),
        )?.linkId,
    );
    const panel = view('link-panel', () => linkId);
    const said = $derived(
        new Map(
            panel.now && 'codes' in panel.now.figures
                ? panel.now.figures.codes.map((code) => [code.codeId, code] as const)
                : [],
        ),
    );

    const shown = view('code-grid', () => node.id);
    const grid = $derived(shown.now ?? undefined);

    /** With a grid above, a long list is for looking things up; decided once, lest it close while codes are learned. */
    const long = untrack(() => index.keyCodesOf(node.id).length > 12);

    function give(code: Schemas['KeyCode'], value: string): void {
        const [first, second] = value.split(' ');
        const values = obeys
            ? { outputId: first || null, action: second ?? null, value: takesValue(second ?? null) ? code.value : null }
            : { controlId: first || null };
        void workspace.edit(`${code.name} of ${node.name}`, change('keyCode', code.id, values));
    }

    function setValue(code: Schemas['KeyCode'], text: string): void {
        void workspace.edit(`Value of ${code.name}`, change('keyCode', code.id, { value: typed(text) }));
    }
</script>

{#if grid !== undefined}<NodeGrid {node} {index} {grid} {said} />{/if}
{#if obeys}{#each learning as medium (medium.key)}{#if medium.setFields !== null}<NodeSet
                {node}
                {medium}
                fields={medium.setFields}
            />{/if}{/each}{/if}

{#snippet list()}
    <table class="ledger">
        <thead
            ><tr
                ><th class="w-[22%]"><span class="text-ink font-semibold">Codes</span> as learned</th><th>Says</th><th
                    class="w-[17%]"><span class="sr-only">Marks and spaces</span></th
                ><th class="w-[29%]">{obeys ? 'Makes it do' : 'Sent by key'}</th><th
                    ><span class="sr-only">Remove</span></th
                ></tr
            ></thead
        >
        <tbody>
            {#each codes as code (code.id)}
                {@const more = said.get(code.id)}
                <tr>
                    <td
                        ><TextField
                            label="Name of the code"
                            quiet
                            value={code.name}
                            onsave={(name) =>
                                workspace.edit(`Rename ${code.name} to ${name}`, change('keyCode', code.id, { name }))}
                        /></td
                    >
                    <td class="mono"
                        >{more?.says ?? code.protocol}
                        {#if more && 'turned' in more && more.turned !== null}
                            {@const turned = more.turned}
                            <button
                                type="button"
                                class="quiet-link font-sans"
                                title="{turned.says}: the same marks and spaces, the bits read from the other end"
                                onclick={() =>
                                    workspace.edit(
                                        `Read ${code.name} from the other end`,
                                        change('keyCode', code.id, { command: turned.command, format: turned.format }),
                                    )}>turn<span class="sr-only"> the bits of {code.name}</span></button
                            >{/if}</td
                    >
                    <td
                        >{#if more && more.lengthsUs.length > 0}<PulseStrip
                                lengthsUs={more.lengthsUs}
                                label="Marks and spaces of {code.name}"
                                height={16}
                            />{/if}</td
                    >
                    <td
                        ><div class="flex items-end gap-1">
                            <SelectField
                                class="grow"
                                label={obeys ? `What ${code.name} makes it do` : `Key that sends ${code.name}`}
                                quiet
                                value={obeys
                                    ? code.outputId === null
                                        ? ''
                                        : `${code.outputId} ${code.action}`
                                    : (code.controlId ?? '')}
                                empty={obeys ? 'nothing yet' : 'no key'}
                                items={obeys ? functions : keys}
                                onsave={(value) => give(code, value)}
                            />
                            {#if takesValue(code.action)}<TextField
                                    label="Value of {code.name}"
                                    quiet
                                    mono
                                    class="w-[56px]"
                                    value={String(code.value ?? '')}
                                    onsave={(text) => setValue(code, text)}
                                />{/if}
                        </div></td
                    >
                    <td class="text-right"
                        ><RemoveButton
                            what="Forget {code.name}"
                            onremove={() => workspace.edit(`Forget ${code.name}`, remove('keyCode', code.id))}
                        /></td
                    >
                </tr>
            {:else}
                <tr
                    ><td colspan="5" class="text-soft"
                        >{learning.length === 0
                            ? 'No codes yet. Put it on an infrared or keyed-radio link first, then its keys can be learned here.'
                            : 'No codes yet. Learn them below: capture the keys one by one, or read a keymap.'}</td
                    ></tr
                >
            {/each}
        </tbody>
    </table>
{/snippet}

{#if grid !== undefined && long}
    <details class="sheet mt-3">
        <summary class="cursor-pointer px-3 py-2 font-medium">{codes.length} codes, one by one</summary>
        <div class="border-rule border-t">{@render list()}</div>
    </details>
{:else}
    <section class="sheet mt-3" aria-label="Codes">{@render list()}</section>
{/if}
{#each learning as medium (medium.key)}<LearnCodes {node} {index} {medium} />{/each}
