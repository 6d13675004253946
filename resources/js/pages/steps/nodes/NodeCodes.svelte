<script lang="ts">
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { change, remove, workspace } from '../../../lib/workspace.svelte';
    import PulseStrip from '../../../panels/PulseStrip.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';
    import LearnCodes from './LearnCodes.svelte';

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
    /** What the core says of each code. */
    const said = $derived(
        new Map(
            (workspace.data?.panels ?? []).flatMap((panel) =>
                'codes' in panel.figures ? panel.figures.codes.map((code) => [code.codeId, code] as const) : [],
            ),
        ),
    );

    function give(code: Schemas['KeyCode'], value: string): void {
        const [first, second] = value.split(' ');
        const values = obeys ? { outputId: first || null, action: second ?? null } : { controlId: first || null };
        void workspace.edit(`${code.name} of ${node.name}`, change('keyCode', code.id, values));
    }
</script>

<section class="sheet mt-3" aria-label="Codes">
    <table class="ledger">
        <thead
            ><tr
                ><th class="w-[22%]"><span class="text-ink font-semibold">Codes</span> as learned</th><th>Says</th><th
                    class="w-[22%]"><span class="sr-only">Marks and spaces</span></th
                ><th class="w-[24%]">{obeys ? 'Makes it do' : 'Sent by key'}</th><th
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
                    <td class="mono whitespace-nowrap">{more?.says ?? code.protocol}</td>
                    <td
                        >{#if more && more.lengthsUs.length > 0}<PulseStrip
                                lengthsUs={more.lengthsUs}
                                label="Marks and spaces of {code.name}"
                                height={16}
                            />{/if}</td
                    >
                    <td
                        ><SelectField
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
                        /></td
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
</section>
{#each learning as medium (medium.key)}<LearnCodes {node} {index} {medium} />{/each}
