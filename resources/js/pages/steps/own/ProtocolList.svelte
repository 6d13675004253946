<script lang="ts">
    import { push } from 'svelte-spa-router';
    import { view } from '../../../lib/shown.svelte';
    import { ulid } from '../../../lib/ulid';
    import { add, remove, workspace } from '../../../lib/workspace.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import type { StepProps } from '../../steps';

    /** What devices that were bought speak, as their manuals have it. */
    let { data, index, planId }: Pick<StepProps, 'data' | 'index' | 'planId'> = $props();
    const examples = view('protocol-examples', () => '');
    const users = $derived((id: string) =>
        data.document.nodes.filter((node) => node.protocolId === id).map((node) => node.name),
    );

    async function begin(key: string): Promise<void> {
        const example = examples.now?.examples.find((one) => one.key === key);
        if (example === undefined) {
            return;
        }
        const id = ulid();
        const values = { ...(JSON.parse(example.values) as Record<string, unknown>), name: example.name };
        if (
            await workspace.edit(
                `Write down ${example.name}`,
                add('protocol', id, { ...values, order: index.nextOrder(data.document.protocols) }),
            )
        ) {
            void push(`/plans/${planId}/own/${id}`);
        }
    }
</script>

<section class="sheet mt-4 max-w-[900px]" aria-label="Devices on serial lines">
    <table class="ledger">
        <thead
            ><tr
                ><th class="w-[30%]"><span class="text-ink font-semibold">Devices on serial lines</span></th><th
                    class="w-[34%]">Speak</th
                ><th>Used by</th><th class="w-[76px]"><span class="sr-only">Remove</span></th></tr
            ></thead
        >
        <tbody>
            {#each data.document.protocols as protocol (protocol.id)}
                {@const used = users(protocol.id)}
                <tr>
                    <td><a class="quiet-link" href="#/plans/{planId}/own/{protocol.id}">{protocol.name}</a></td>
                    <td class="text-soft"
                        >{protocol.form === 'words' ? 'words' : 'packets'}, {protocol.items.length}
                        {protocol.items.length === 1 ? 'function or reading' : 'functions and readings'}</td
                    >
                    <td>{used.length === 0 ? 'nothing yet: choose it at a node' : used.join(', ')}</td>
                    <td class="text-right"
                        >{#if used.length === 0}<RemoveButton
                                what="Remove {protocol.name}"
                                onremove={() =>
                                    workspace.edit(`Remove ${protocol.name}`, remove('protocol', protocol.id))}
                            />{:else}<span class="text-soft text-[14px]">in use</span>{/if}</td
                    >
                </tr>
            {:else}
                <tr
                    ><td colspan="4" class="text-soft"
                        >None written down yet: what a drive, a scale or an amplifier from a shop understands.</td
                    ></tr
                >
            {/each}
        </tbody>
    </table>
    <div class="border-rule border-t px-3 py-2">
        <SelectField
            label="Write down a device"
            quiet
            adds
            class="w-[340px]"
            value=""
            empty="Write down a device, beginning with…"
            items={(examples.now?.examples ?? []).map((one) => ({ value: one.key, name: one.name }))}
            onsave={(key) => void begin(key)}
        />
    </div>
</section>
