<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Catalogue, Schemas } from '../../../lib/api';
    import type { PlanIndex } from '../../../lib/plan-index';
    import { view } from '../../../lib/shown.svelte';
    import { ulid } from '../../../lib/ulid';
    import { add, workspace } from '../../../lib/workspace.svelte';
    import ControlRow from './ControlRow.svelte';
    import NodeSequence from './NodeSequence.svelte';
    import NodeStates from './NodeStates.svelte';

    let {
        node,
        index,
        catalogue,
        planId,
        protocol,
        fixtureType,
    }: {
        node: Schemas['Node'];
        index: PlanIndex;
        catalogue: Catalogue;
        planId: string;
        /** What a bought device speaks: its functions are the outputs, its readings the controls. */
        protocol: Schemas['Protocol'] | undefined;
        /** What a fixture is: its slots are the outputs. */
        fixtureType: Schemas['FixtureType'] | undefined;
    } = $props();

    const sequences = $derived(
        index.outputsOf(node.id).filter((one) => one.kind === 'sequence' || one.kind === 'group'),
    );
    /** Steps are shown with what they are steps of, states in a list of their own. */
    const placed = $derived(new Set(sequences.flatMap((one) => one.stepIds)));
    const tells = $derived(
        catalogue.controlKinds.some((kind) => kind.key === 'state' && kind.homes.includes(node.kind)) &&
            index.outputsOf(node.id).length > 0,
    );

    type Thing = Schemas['Control'] | Schemas['Output'];
    const lists = $derived([
        {
            kind: 'output' as const,
            title: 'Outputs',
            says: 'what it switches',
            button: 'Add an output',
            kinds: catalogue.outputKinds.filter((kind) => kind.homes.includes(node.kind)),
            things: index.outputsOf(node.id) as Thing[],
        },
        {
            kind: 'control' as const,
            title: 'Controls',
            says: 'what works it',
            button: 'Add a control',
            kinds: catalogue.controlKinds.filter(
                (kind) => kind.homes.includes(node.kind) && kind.key !== 'step' && kind.key !== 'state',
            ),
            things: index
                .controlsOf(node.id)
                .filter((one) => !placed.has(one.id) && (one.kind !== 'state' || !tells)) as Thing[],
        },
    ]);

    /** Every channel of the node's modules that could carry such a thing. */
    const channels = $derived({ control: carrying('control'), output: carrying('output') });

    function carrying(kind: 'control' | 'output'): { value: string; name: string; carries: string | null }[] {
        return index.modulesOf(node.id).flatMap((module) => {
            const ofModule = catalogue.modules.find((one) => one.key === module.class);
            return (ofModule?.terminals ?? [])
                .filter((terminal) => terminal.carries === kind)
                .map((terminal) => ({
                    value: `${module.id} ${terminal.name}`,
                    name: `${module.name} ${terminal.name}`,
                    carries: ofModule?.carries ?? null,
                }));
        });
    }

    const spoken = view('protocol', () => protocol?.id);

    /** What of the device such a thing can be, by name, and what it is said to be; undefined where it is no such device. */
    function entries(thing: Thing): string[] | undefined {
        const now = 'terminal' in thing ? thing.terminal : thing.channel;
        const slots = thing.kind === 'function' ? fixtureType?.modes.flatMap((mode) => mode.slots) : undefined;
        if (protocol === undefined && slots === undefined) {
            return undefined;
        }
        const names =
            slots === undefined
                ? (spoken.now?.items ?? []).filter((one) => one.serves.includes(thing.kind)).map((one) => one.name)
                : [...new Set(slots.map((one) => one.name))];
        return now === null || names.includes(now) ? names : [now, ...names];
    }

    /** What the core says of a kind of control or output. */
    function kindOf(
        kind: 'control' | 'output',
        thing: Thing,
    ): { wired: boolean; settings: Schemas['SettingField'][] } | undefined {
        const kinds = kind === 'output' ? catalogue.outputKinds : catalogue.controlKinds;
        return kinds.find((one) => one.key === thing.kind);
    }

    function addThing(kind: 'control' | 'output', count: number): void {
        const type =
            lists.find((list) => list.kind === kind)?.kinds[0]?.key ?? (kind === 'output' ? 'relay' : 'button');
        const names: Record<string, string> = { call: 'Call', text: 'Text', function: 'Function', message: 'Message' };
        const name = `${names[type] ?? (kind === 'output' ? 'Output' : 'Key')} ${count + 1}`;
        const list = kind === 'output' ? index.outputsOf(node.id) : index.controlsOf(node.id);
        void workspace.edit(
            `Add ${name} to ${node.name}`,
            add(kind, ulid(), { nodeId: node.id, name, kind: type, order: index.nextOrder(list) }),
        );
    }
</script>

<div class="mt-3 grid gap-3 2xl:grid-cols-2">
    {#each lists.filter((one) => one.kinds.length > 0 || one.things.length > 0) as list (list.kind)}
        <section class="sheet" aria-label={list.title}>
            <table class="ledger">
                <thead
                    ><tr
                        ><th class="w-[25%]"><span class="text-ink font-semibold">{list.title}</span> {list.says}</th
                        ><th class={list.kinds.length === 1 ? 'w-[11%]' : 'w-[19%]'}>Kind</th><th
                            >{protocol === undefined && list.things.some((thing) => kindOf(list.kind, thing)?.wired)
                                ? 'On'
                                : 'Details'}</th
                        ><th class="w-[76px]"><span class="sr-only">Remove</span></th></tr
                    ></thead
                >
                <tbody>
                    {#each list.things as thing (thing.id)}
                        <ControlRow
                            kind={list.kind}
                            {thing}
                            kinds={list.kinds}
                            ofKind={kindOf(list.kind, thing)}
                            channels={channels[list.kind]}
                            entries={entries(thing)}
                            {catalogue}
                        />
                    {/each}
                </tbody>
            </table>
            <div class="px-3 py-2 {list.things.length > 0 ? 'border-rule border-t' : ''}">
                <Button color="alternative" onclick={() => addThing(list.kind, list.things.length)}
                    >{list.button}</Button
                >
            </div>
        </section>
    {/each}
</div>

{#each sequences as output (output.id)}
    <NodeSequence {output} {index} {catalogue} {planId} />
{/each}

{#if tells}
    <NodeStates {node} {index} {catalogue} {planId} />
{/if}
