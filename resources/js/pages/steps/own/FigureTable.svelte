<script lang="ts" generics="T extends string, F extends string">
    import { typed } from '../../../lib/typed';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    /** Places of a board with two figures each: where it is fed, what it feeds. */
    interface Props {
        title: string;
        one: string;
        rows: ({ name: string } & Record<F, number>)[];
        columns: { field: F; label: string; spoken: string }[];
        /** What can be added still. */
        more: { value: T; name: string }[];
        onset: (at: number, field: F, value: unknown) => void;
        onadd: (key: T) => void;
        onremove: (at: number) => void;
    }
    let { title, one, rows, columns, more, onset, onadd, onremove }: Props = $props();
</script>

<section class="sheet mt-3" aria-label={title}>
    <table class="ledger">
        <thead
            ><tr
                ><th><span class="text-ink font-semibold">{title}</span></th
                >{#each columns as { field, label } (field)}<th class="w-[104px]">{label}</th>{/each}<th
                    class="w-[76px]"><span class="sr-only">Remove</span></th
                ></tr
            ></thead
        >
        <tbody>
            {#each rows as row, at (row.name)}
                <tr>
                    <td>{row.name}</td>
                    {#each columns as { field, spoken } (field)}
                        <td
                            ><TextField
                                quiet
                                mono
                                label="{spoken} of the {row.name}"
                                value={String(row[field])}
                                onsave={(text) => onset(at, field, typed(text))}
                            /></td
                        >
                    {/each}
                    <td class="text-right"
                        ><RemoveButton what="Remove the {row.name}" onremove={() => onremove(at)} /></td
                    >
                </tr>
            {/each}
        </tbody>
    </table>
    {#if more.length > 0}
        <div class="border-rule border-t px-3 py-2">
            <SelectField
                label="Add {one}"
                quiet
                adds
                class="w-[220px]"
                value=""
                empty="Add {one}…"
                items={more}
                onsave={(key) => onadd(key as T)}
            />
        </div>
    {/if}
</section>
