<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { push } from 'svelte-spa-router';
    import type { Schemas } from '../../lib/api';
    import { rest } from '../../lib/focus';
    import { ulid } from '../../lib/ulid';
    import { add, change, remove, workspace } from '../../lib/workspace.svelte';
    import SelectField from '../../widgets/SelectField.svelte';
    import TextField from '../../widgets/TextField.svelte';
    import NodeCodes from './nodes/NodeCodes.svelte';
    import NodeControls from './nodes/NodeControls.svelte';
    import NodeModules from './nodes/NodeModules.svelte';
    import type { StepProps } from '../steps';

    let { data, index, catalogue, planId, item }: StepProps = $props();
    const node = $derived(index.node(item) ?? index.nodes[0]);
    const kinds = $derived(catalogue.nodeKinds.map((kind) => ({ value: kind.key, name: kind.name })));
    const bought = $derived(catalogue.nodeKinds.find((kind) => kind.key === node?.kind)?.bought ?? false);
    /** What a bought thing is written down as, by the links that it hangs on; a phone is not. */
    const writtenAs = $derived(
        bought && node !== undefined && node.kind !== 'phone'
            ? data.document.endpoints
                  .filter((end) => end.nodeId === node.id)
                  .map((end) => catalogue.media.find((one) => one.key === index.link(end.linkId)?.medium)?.boughtAs)
            : [],
    );
    const protocols = $derived(data.document.protocols.map((one) => ({ value: one.id, name: one.name })));
    const protocol = $derived(data.document.protocols.find((one) => one.id === node?.protocolId));
    const speaks = $derived(protocol !== undefined || writtenAs.includes('protocol'));
    const fixtureType = $derived(data.document.fixtureTypes.find((one) => one.id === node?.fixtureTypeId));
    const obeys = $derived(fixtureType !== undefined || writtenAs.includes('fixtureType'));
    const groups = $derived(
        [...index.places.map((place) => place.id), null]
            .map((placeId) => ({
                placeId,
                name: index.placeName(placeId),
                nodes: index.nodes.filter((one) => one.placeId === placeId),
            }))
            .filter((group) => group.nodes.length > 0),
    );
    let name = $state('');
    let editor = $state<HTMLElement | null>(null);
    let shown = '';

    // Whoever picks a node from a long list wants to see it from its beginning.
    $effect(() => {
        const id = node?.id ?? '';
        if (editor !== null && shown !== '' && shown !== id) {
            const { top } = editor.getBoundingClientRect();
            if (top < 0 || top > window.innerHeight / 2) {
                editor.scrollIntoView({ block: 'start' });
            }
        }
        shown = id;
    });

    async function addNode(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        const id = ulid();
        const called = name.trim() || `Node ${index.nodes.length + 1}`;
        const values = {
            name: called,
            kind: 'controller',
            placeId: node?.placeId ?? index.places[0]?.id ?? null,
            board: null,
            order: index.nextOrder(index.nodes),
        };
        if (await workspace.edit(`Add ${called}`, add('node', id, values))) {
            name = '';
            await push(`/plans/${planId}/nodes/${id}`);
        }
    }

    /** The address no longer names it, and the next key finds no button that would remove its neighbour. */
    function removeNode(button: Element, gone: Schemas['Node']): void {
        void workspace.edit(`Remove ${gone.name}`, remove('node', gone.id));
        rest(button.closest('main'));
        void push(`/plans/${planId}/nodes`);
    }

    function set(label: string, values: Record<string, unknown>): void {
        if (node !== undefined) {
            void workspace.edit(label, change('node', node.id, values));
        }
    }
</script>

<div class="lg:flex lg:gap-5">
    <div
        class="shrink-0 lg:sticky lg:top-[62px] lg:max-h-[calc(100vh-78px)] lg:w-[168px] lg:self-start lg:overflow-y-auto"
    >
        <h1>Nodes</h1>
        {#each groups as group (group.placeId)}
            <h2 class="text-soft mt-3 text-[14px] font-normal">{group.name}</h2>
            <ul>
                {#each group.nodes as one (one.id)}
                    <li>
                        <a
                            href="#/plans/{planId}/nodes/{one.id}"
                            aria-current={one === node ? 'true' : undefined}
                            class="block rounded-[4px] px-2 py-1 {one === node ? 'bg-tint font-medium' : ''}"
                            >{one.name}</a
                        >
                    </li>
                {/each}
            </ul>
        {/each}
        <form class="mt-4 space-y-2" onsubmit={addNode}>
            <div>
                <label for="node-name" class="text-soft block text-[14px]">New node</label>
                <input
                    id="node-name"
                    bind:value={name}
                    class="bg-sheet border-rule text-ink w-full rounded-[4px] border px-2 py-1"
                />
            </div>
            <Button type="submit" color={index.nodes.length === 0 ? 'primary' : 'alternative'}>Add the node</Button>
        </form>
    </div>
    <div bind:this={editor} class="mt-4 min-w-0 grow scroll-mt-[62px] lg:mt-0">
        {#if node === undefined}
            <p class="sheet mt-9 p-4">
                A node is a board with its modules, or a handset you carry. Name the first one on the left: the handset
                you will press, or the board that will switch.
            </p>
        {:else}
            <!-- What is typed for one is not shown at the next. -->
            {#key node.id}
                <section
                    class="sheet grid grid-cols-2 gap-3 p-3 sm:grid-cols-[1fr_1.25fr_1.2fr_1.4fr]"
                    aria-label="The node"
                >
                    <TextField
                        label="Name"
                        value={node.name}
                        onsave={(value) => set(`Rename ${node.name} to ${value}`, { name: value })}
                    />
                    <SelectField
                        label="Part"
                        value={node.kind}
                        items={kinds}
                        onsave={(kind) => set(`${node.name}: ${kind}`, { kind })}
                    />
                    <SelectField
                        label="Place"
                        value={node.placeId ?? ''}
                        empty="nowhere yet"
                        items={index.places.map((place) => ({ value: place.id, name: place.name }))}
                        onsave={(placeId) => set(`Move ${node.name}`, { placeId: placeId || null })}
                    />
                    {#if !bought}<SelectField
                            label="Board"
                            value={node.board ?? ''}
                            empty="none yet"
                            items={catalogue.boards.map((one) => ({ value: one.key, name: one.name }))}
                            onsave={(board) => set(`Board of ${node.name}`, { board: board || null })}
                        />{:else if speaks}<div>
                            <SelectField
                                label="Speaks"
                                value={node.protocolId ?? ''}
                                empty="nobody knows yet"
                                items={protocols}
                                onsave={(id) => set(`What ${node.name} speaks`, { protocolId: id || null })}
                            />
                            <a
                                class="quiet-link text-[14px]"
                                href="#/plans/{planId}/own{protocol ? `/${protocol.id}` : ''}"
                                >{protocol ? 'its functions and readings' : 'write it down'}</a
                            >
                        </div>{:else if obeys}<div>
                            <SelectField
                                label="Fixture"
                                value={node.fixtureTypeId ?? ''}
                                empty="not described yet"
                                items={data.document.fixtureTypes.map((one) => ({ value: one.id, name: one.name }))}
                                onsave={(id) => set(`What ${node.name} is`, { fixtureTypeId: id || null })}
                            />
                            <a
                                class="quiet-link text-[14px]"
                                href="#/plans/{planId}/own{fixtureType ? `/${fixtureType.id}` : ''}"
                                >{fixtureType ? 'its modes and slots' : 'describe it'}</a
                            >
                        </div>{/if}
                </section>
                {#if !bought}<NodeModules {node} {index} {catalogue} />{/if}
                <NodeControls {node} {index} {catalogue} {planId} {protocol} {fixtureType} />
                {#if bought && node.kind !== 'phone' && protocol === undefined && fixtureType === undefined}<NodeCodes
                        {node}
                        {index}
                        {catalogue}
                    />{/if}
                <p class="mt-4 flex gap-4">
                    {#if !bought}<a class="quiet-link" href="#/plans/{planId}/power/{node.id}"
                            >Pins and power of {node.name}</a
                        >{/if}
                    <a class="quiet-link" href="#/plans/{planId}/build/{node.id}"
                        >{bought ? `Sheet of ${node.name}` : `Wiring and header of ${node.name}`}</a
                    >
                    <button type="button" class="quiet-link" onclick={(event) => removeNode(event.currentTarget, node)}
                        >Remove {node.name}</button
                    >
                </p>
            {/key}
        {/if}
    </div>
</div>
