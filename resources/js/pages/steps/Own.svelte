<script lang="ts">
    import { push } from 'svelte-spa-router';
    import { ulid } from '../../lib/ulid';
    import { add, remove, workspace } from '../../lib/workspace.svelte';
    import RemoveButton from '../../widgets/RemoveButton.svelte';
    import SelectField from '../../widgets/SelectField.svelte';
    import type { StepProps } from '../steps';
    import FixtureType from './own/FixtureType.svelte';
    import FixtureTypeList from './own/FixtureTypeList.svelte';
    import OwnBoard from './own/OwnBoard.svelte';
    import OwnModule from './own/OwnModule.svelte';
    import Protocol from './own/Protocol.svelte';
    import ProtocolList from './own/ProtocolList.svelte';

    let { data, index, catalogue, planId, item }: StepProps = $props();
    type Own = StepProps['data']['document']['ownBoards'][number] | StepProps['data']['document']['ownModules'][number];
    const lists = $derived([
        {
            kind: 'ownBoard' as const,
            title: 'Boards',
            one: 'board',
            own: data.document.ownBoards as Own[],
            shipped: catalogue.boards.filter((board) => !board.key.startsWith('own:')),
            users: (key: string) => data.document.nodes.filter((node) => node.board === key).map((node) => node.name),
        },
        {
            kind: 'ownModule' as const,
            title: 'Modules',
            one: 'module',
            own: data.document.ownModules as Own[],
            shipped: catalogue.modules.filter((module) => !module.key.startsWith('own:')),
            users: (key: string) =>
                data.document.modules
                    .filter((module) => module.class === key)
                    .map((module) => `${index.node(module.nodeId)?.name}: ${module.name}`),
        },
    ]);
    const board = $derived(data.document.ownBoards.find((one) => one.id === item));
    const module = $derived(data.document.ownModules.find((one) => one.id === item));
    const protocol = $derived(data.document.protocols.find((one) => one.id === item));
    const fixtureType = $derived(data.document.fixtureTypes.find((one) => one.id === item));

    async function copy(kind: 'ownBoard' | 'ownModule', key: string): Promise<void> {
        const list = lists.find((one) => one.kind === kind);
        const copied = list?.shipped.find((one) => one.key === key);
        if (list === undefined || copied === undefined) {
            return;
        }
        const id = ulid();
        const name = `My ${copied.name}`.slice(0, 80);
        if (
            await workspace.edit(
                `Describe ${name}`,
                add(kind, id, { name, copyOf: key, order: index.nextOrder(list.own) }),
            )
        ) {
            void push(`/plans/${planId}/own/${id}`);
        }
    }
</script>

{#if board !== undefined || module !== undefined || protocol !== undefined || fixtureType !== undefined}
    <p><a class="quiet-link" href="#/plans/{planId}/own">← All own parts</a></p>
{/if}
{#if board !== undefined}
    {#key board.id}<OwnBoard own={board} {catalogue} />{/key}
{:else if module !== undefined}
    {#key module.id}<OwnModule own={module} {catalogue} />{/key}
{:else if protocol !== undefined}
    {#key protocol.id}<Protocol {protocol} />{/key}
{:else if fixtureType !== undefined}
    {#key fixtureType.id}<FixtureType type={fixtureType} />{/key}
{:else}
    <h1>Own parts</h1>
    <p class="text-soft mt-0.5 max-w-[760px]">
        Boards and modules that the catalogue does not have. Begin with a copy of what is most alike, then say what is
        otherwise: every figure counts for what is checked. They are part of this plan, and of its file.
    </p>
    {#each lists as list (list.kind)}
        <section class="sheet mt-4 max-w-[900px]" aria-label="Own {list.title.toLowerCase()}">
            <table class="ledger">
                <thead
                    ><tr
                        ><th class="w-[30%]"><span class="text-ink font-semibold">{list.title}</span></th><th
                            class="w-[34%]">Copied from</th
                        ><th>Used by</th><th class="w-[76px]"><span class="sr-only">Remove</span></th></tr
                    ></thead
                >
                <tbody>
                    {#each list.own as own (own.id)}
                        {@const users = list.users(`own:${own.id}`)}
                        <tr>
                            <td><a class="quiet-link" href="#/plans/{planId}/own/{own.id}">{own.name}</a></td>
                            <td class="text-soft"
                                >{list.shipped.find((one) => one.key === own.copyOf)?.name ?? own.copyOf}</td
                            >
                            <td>{users.length === 0 ? 'nothing yet: choose it at a node' : users.join(', ')}</td>
                            <td class="text-right"
                                >{#if users.length === 0}<RemoveButton
                                        what="Remove {own.name}"
                                        onremove={() => workspace.edit(`Remove ${own.name}`, remove(list.kind, own.id))}
                                    />{:else}<span class="text-soft text-[14px]">in use</span>{/if}</td
                            >
                        </tr>
                    {:else}
                        <tr><td colspan="4" class="text-soft">None described yet.</td></tr>
                    {/each}
                </tbody>
            </table>
            <div class="border-rule border-t px-3 py-2">
                <SelectField
                    label="Copy a {list.one}"
                    quiet
                    adds
                    class="w-[340px]"
                    value=""
                    empty="Copy a {list.one} of the catalogue…"
                    items={list.shipped.map((one) => ({ value: one.key, name: one.name }))}
                    onsave={(key) => void copy(list.kind, key)}
                />
            </div>
        </section>
    {/each}
    <ProtocolList {data} {index} {planId} />
    <FixtureTypeList {data} {index} {planId} />
{/if}
