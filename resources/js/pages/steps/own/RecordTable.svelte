<script lang="ts" generics="T extends object">
    import Button from 'flowbite-svelte/Button.svelte';
    import { rowKeys } from '../../../lib/row-keys';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    interface Column {
        field: keyof T & string;
        label: string;
        width?: string;
        mono?: boolean;
        spoken: (row: T, at: number) => string;
        /** As it is typed. */
        shown?: (row: T) => string;
        typed?: (text: string) => unknown;
    }
    /** Records of a description: a row each, a field of theirs in each column. */
    interface Props {
        title: string;
        region: string;
        rows: T[];
        columns: Column[];
        /** Rows that must stay. */
        least?: number;
        named: (row: T, at: number) => string;
        add: string;
        onset: (at: number, field: string, value: unknown) => void;
        onadd: () => void;
        onremove: (left: T[]) => void;
    }
    let { title, region, rows, columns, least = 0, named, add, onset, onadd, onremove }: Props = $props();
    const keysOf = rowKeys();
    const keys = $derived(keysOf(rows));
</script>

<section class="sheet mt-3" aria-label={region}>
    <table class="ledger">
        <thead
            ><tr
                >{#each columns as { field, label, width = '' }, at (field)}<th class={width}
                        >{#if at === 0}<span class="text-ink font-semibold">{title}</span>{/if}
                        {label}</th
                    >{/each}<th class="w-[76px]"><span class="sr-only">Remove</span></th></tr
            ></thead
        >
        <tbody>
            {#each rows as row, at (keys[at])}
                <tr>
                    {#each columns as { field, mono, spoken, shown, typed } (field)}
                        <td
                            ><TextField
                                quiet
                                {mono}
                                label={spoken(row, at)}
                                value={shown === undefined ? String(row[field]) : shown(row)}
                                onsave={(text) => onset(at, field, typed === undefined ? text : typed(text))}
                            /></td
                        >
                    {/each}
                    <td class="text-right"
                        >{#if rows.length > least}<RemoveButton
                                what="Remove {named(row, at)}"
                                onremove={() => onremove(rows.filter((_, other) => other !== at))}
                            />{/if}</td
                    >
                </tr>
            {/each}
        </tbody>
    </table>
    <div class="border-rule border-t px-3 py-2">
        <Button color="alternative" onclick={onadd}>{add}</Button>
    </div>
</section>
