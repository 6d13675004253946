<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { api, type Operation, type Schemas } from '../../../lib/api';
    import { workspace } from '../../../lib/workspace.svelte';
    import SettingInput from '../../../widgets/SettingInput.svelte';

    /** A set of toys or appliances whose codes count up: say how, look at the whole of it, add it. */
    interface Props {
        node: Schemas['Node'];
        medium: Schemas['Medium'];
        fields: Schemas['SettingField'][];
    }
    let { node, medium, fields }: Props = $props();

    type Value = string | number | boolean | null;
    let given = $state<Record<string, Value>>({});
    let set = $state<Schemas['CodeSet'] | null>(null);
    let problem = $state<string | null>(null);

    const values = $derived(
        Object.fromEntries(fields.map((field) => [field.name, given[field.name] ?? field.default ?? null])),
    );
    const functions = $derived([...new Set((set?.cells ?? []).map((cell) => cell.function))]);
    const columns = $derived([...new Set((set?.cells ?? []).map((cell) => cell.value))]);

    function say(name: string, value: Value): void {
        given[name] = value;
        set = null;
    }

    async function layOut(): Promise<void> {
        const { data, error } = await api.POST('/api/plans/{plan}/nodes/{node}/set', {
            params: { path: { plan: workspace.planId, node: node.id } },
            body: { medium: medium.key, values },
        });
        set = data ?? null;
        problem =
            error === undefined
                ? null
                : 'problems' in error
                  ? error.problems.map((one) => `${title(one.place)} ${one.message}`).join('; ')
                  : error.message;
    }

    function title(place: string): string {
        return fields.find((field) => place === `/values/${field.name}`)?.title ?? place;
    }

    async function keep(laid: Schemas['CodeSet']): Promise<void> {
        if (await workspace.edit(`Lay out the codes of ${node.name}`, ...(laid.operations as Operation[]))) {
            set = null;
        }
    }
</script>

<details class="sheet mt-3">
    <summary class="cursor-pointer px-3 py-2 font-medium">Lay out a set whose codes count up</summary>
    <div class="border-rule border-t p-3">
        <p class="text-soft">
            Toys that come in sets share one scheme: the address counts with the channel, the command with the function
            and the speed. Capture a few keys first to see how yours counts; try what you add before you trust it.
        </p>
        <div class="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
            {#each fields as field (field.name)}
                <SettingInput
                    {field}
                    empty="auto"
                    value={values[field.name] ?? null}
                    onsave={(value) => say(field.name, value)}
                />
            {/each}
            <Button color="alternative" onclick={layOut}>Lay it out</Button>
        </div>
        {#if problem}<p role="alert" class="text-danger mt-2">{problem}</p>{/if}
        {#if set !== null}
            <div class="mt-3 max-w-full overflow-auto">
                <table aria-label="The set" class="border-collapse">
                    <thead
                        ><tr class="border-rule border-b"
                            ><th scope="col" class="text-soft pr-3 pb-1 text-left font-normal">Function</th
                            >{#each columns as value (value)}<th
                                    scope="col"
                                    class="mono text-soft px-2 pb-1 text-center font-normal">{value}</th
                                >{/each}</tr
                        ></thead
                    >
                    <tbody>
                        {#each functions as one (one)}
                            <tr class="border-rule border-b last:border-b-0">
                                <th scope="row" class="py-1 pr-3 text-left font-medium whitespace-nowrap">{one}</th>
                                {#each set.cells.filter((cell) => cell.function === one) as cell (cell.value)}
                                    <td
                                        class="mono px-2 text-center {cell.remark === null
                                            ? ''
                                            : 'text-soft line-through'}"
                                        title={cell.remark}>{cell.says}</td
                                    >
                                {/each}
                            </tr>
                        {/each}
                    </tbody>
                </table>
            </div>
            {#if set.leftOut.length > 0}
                <p class="text-soft mt-2">Struck out is what will not be added: {set.leftOut.join('; ')}.</p>
            {/if}
            <div class="mt-2">
                <Button disabled={set.added === 0} onclick={() => set !== null && keep(set)}
                    >{set.added === 0
                        ? 'Nothing to add'
                        : set.added === 1
                          ? 'Add one code'
                          : `Add ${set.added} codes`}</Button
                >
            </div>
        {/if}
    </div>
</details>
