<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { api, type Operation, type Schemas } from '../lib/api';
    import type { PlanIndex } from '../lib/plan-index';
    import { ulid } from '../lib/ulid';
    import { add, workspace } from '../lib/workspace.svelte';
    import SelectField from '../widgets/SelectField.svelte';

    /** A DBC file: what it describes, message by message, to be taken into the plan. */
    interface Props {
        link: Schemas['Link'];
        index: PlanIndex;
        ends: Schemas['CanEndFigures'][];
        ondone: () => void;
    }
    let { link, index, ends, ondone }: Props = $props();
    let text = $state('');
    let shown = $state<Schemas['DescriptionShown'] | null>(null);
    let problem = $state<string | null>(null);
    let kept = $state<boolean[]>([]);
    let of = $state('');
    const id = $props.id();
    const bought = $derived(
        ends.filter((one) => index.node(index.endpoint(one.endpointId)?.nodeId ?? '')?.kind === 'fixture'),
    );
    const chosen = $derived(of || (bought[0] ?? ends[0])?.endpointId || '');

    const taking = $derived(kept.filter((one) => one).length);

    async function read(): Promise<void> {
        const { data, error } = await api.POST('/api/plans/{plan}/links/{link}/described', {
            params: { path: { plan: workspace.planId, link: link.id } },
            body: { text, base64: null },
        });
        shown = data ?? null;
        kept = (data?.things ?? []).map(() => true);
        problem =
            error === undefined
                ? null
                : 'problems' in error
                  ? error.problems.map((one) => one.message).join('; ')
                  : error.message;
    }

    async function choose(event: Event): Promise<void> {
        const file = (event.currentTarget as HTMLInputElement).files?.[0];
        if (file !== undefined) {
            text = await file.text();
            await read();
        }
    }

    /** Whose a message is: the node of its sender's name, else the one that was chosen. */
    function sender(name: string): string {
        const plain = (one: string): string => one.toLowerCase().replace(/[^a-z0-9]/g, '');
        return ends.find((one) => plain(one.name) === plain(name))?.endpointId ?? chosen;
    }

    async function keep(): Promise<void> {
        const taken = (shown?.things ?? []).filter((_, at) => kept[at]);
        let order = index.nextOrder(index.document.busMessages);
        const operations: Operation[] = taken.map((one) =>
            add('busMessage', ulid(), { ...one.values, endpointId: sender(one.sender), order: order++ }),
        );
        if (await workspace.edit(`Take ${taken.length} messages into ${link.name}`, ...operations)) {
            ondone();
        }
    }
</script>

<section class="sheet mt-3 p-3" aria-label="Messages from a DBC file">
    <h2>From a DBC file</h2>
    <p class="text-soft">The open form in which messages of a bus are described. Paste it, or choose the file.</p>
    <div class="mt-2 flex flex-wrap items-end gap-3">
        <div class="min-w-[260px] grow">
            <label for="{id}-text" class="text-soft block text-[14px]">Description</label>
            <textarea
                id="{id}-text"
                bind:value={text}
                rows="4"
                spellcheck="false"
                class="mono bg-sheet border-rule text-ink w-full rounded-[4px] border px-2 py-1"></textarea>
        </div>
        <div>
            <label for="{id}-file" class="text-soft block text-[14px]">Or a file</label>
            <input id="{id}-file" type="file" accept=".dbc,text/plain" class="text-[14px]" onchange={choose} />
        </div>
        <Button onclick={read} disabled={text.trim() === ''}>Read it</Button>
    </div>
    {#if problem !== null}<p class="text-fault mt-2" role="alert">! {problem}</p>{/if}
    {#if shown !== null}
        <div class="mt-3 flex flex-wrap items-end gap-3">
            <SelectField
                label="Sent by, where the file names nobody here"
                class="w-[240px]"
                value={chosen}
                items={ends.map((one) => ({ value: one.endpointId, name: one.name }))}
                onsave={(value) => (of = value)}
            />
            <Button onclick={keep} disabled={!kept.includes(true)}
                >Take {taking === 1 ? '1 message' : `${taking} messages`}</Button
            >
        </div>
        <ul class="mt-2 max-h-[320px] overflow-y-auto">
            {#each shown.things as one, at (at)}
                <li class="border-rule border-t py-1">
                    <label class="flex items-baseline gap-2"
                        ><input type="checkbox" bind:checked={kept[at]} /><span class="font-medium">{one.name}</span
                        ><span class="text-soft">{one.sender}</span><span class="mono text-[13px]">{one.says}</span
                        ></label
                    >
                </li>
            {/each}
        </ul>
        {#if shown.leftOut.length > 0}<p class="text-soft mt-2">Left out:</p>
            <ul class="text-soft list-disc pl-5">
                {#each shown.leftOut as one (one)}<li>{one}</li>{/each}
            </ul>{/if}
    {/if}
</section>
