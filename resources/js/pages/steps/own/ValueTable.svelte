<script lang="ts">
    import type { Snippet } from 'svelte';
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../../../lib/api';
    import { rowKeys } from '../../../lib/row-keys';
    import { typed } from '../../../lib/typed';
    import CheckField from '../../../widgets/CheckField.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    type Value = Schemas['Protocol']['items'][number]['sends'][number];
    /** The values of a frame, in their order. */
    interface Props {
        title: string;
        of: string;
        words: boolean;
        /** One of them can be the plan's figure. */
        given: boolean;
        isAnswer: boolean;
        values: Value[];
        onput: (values: Value[]) => void;
        children?: Snippet;
    }
    let { title, of, words, given, isAnswer, values, onput, children }: Props = $props();
    const keysOf = rowKeys();
    const keys = $derived(keysOf(values));

    const kinds = $derived([
        ...(given
            ? [
                  { value: 'figure', name: 'the figure of the plan' },
                  { value: 'switch', name: 'on or off' },
              ]
            : []),
        { value: 'fixed', name: 'always the same' },
        ...(isAnswer ? [{ value: 'any', name: 'whatever it is' }] : []),
    ]);
    const kindOf = (one: Value): string =>
        one.given ? (one.on || one.off ? 'switch' : 'figure') : isAnswer && one.fixed === '' ? 'any' : 'fixed';

    function set(at: number, more: Partial<Value>): void {
        onput(values.map((one, other) => (other === at ? { ...one, ...more } : one)));
    }

    function become(at: number, kind: string): void {
        const plain = { given: false, fixed: '', on: '', off: '' };
        set(
            at,
            kind === 'figure'
                ? { ...plain, given: true }
                : kind === 'switch'
                  ? { ...plain, given: true, on: words ? 'ON' : '1', off: words ? 'OFF' : '0' }
                  : { ...plain, fixed: kind === 'any' ? '' : '0' },
        );
    }
    /** What may be left open: such a figure has no such end. */
    const open: readonly string[] = ['lowest', 'highest'];
    const numbered = (field: keyof Value, text: string): unknown =>
        open.includes(field) && text.trim() === '' ? null : typed(text);
</script>

{#snippet number(at: number, field: keyof Value, label: string, spoken: string)}
    <TextField
        {label}
        {spoken}
        mono
        class="w-[76px]"
        value={String(values[at]?.[field] ?? '')}
        placeholder={open.includes(field) ? '–' : ''}
        onsave={(text) => set(at, { [field]: numbered(field, text) })}
    />
{/snippet}

<div class="mt-2 flex flex-wrap items-end gap-x-3 gap-y-1" role="group" aria-label="{title}: {of}">
    <h3 class="text-soft w-full text-[14px] font-normal">{title}</h3>
    {@render children?.()}
    {#each values as one, at (keys[at])}
        {@const name = one.name || `value ${at + 1}`}
        {@const kind = kindOf(one)}
        <div class="flex w-full flex-wrap items-end gap-x-2 gap-y-1">
            <TextField
                label="Value"
                spoken="Name of value {at + 1} of {of}"
                class="w-[130px]"
                value={one.name ?? ''}
                placeholder="value {at + 1}"
                onsave={(text) => set(at, { name: text })}
            />
            <SelectField
                label="is"
                spoken="What {name} of {of} is"
                class="w-[176px]"
                value={kind}
                items={kinds}
                onsave={(chosen) => become(at, chosen)}
            />
            {#if !words}{@render number(at, 'bits', 'Bits', `Bits of ${name} of ${of}`)}{/if}
            {#if kind === 'fixed'}<TextField
                    label="Always"
                    spoken="What {name} of {of} always is"
                    mono
                    class="w-[92px]"
                    value={one.fixed ?? ''}
                    onsave={(fixed) => set(at, { fixed })}
                />{:else if kind === 'switch'}
                {#each ['on', 'off'] as const as side (side)}<TextField
                        label={side === 'on' ? 'On' : 'Off'}
                        spoken="What {side} is in {name} of {of}"
                        mono
                        class="w-[84px]"
                        value={one[side] ?? ''}
                        onsave={(text) => set(at, { [side]: text })}
                    />{/each}
            {:else if kind === 'figure'}
                {#if !isAnswer}
                    {@render number(at, 'lowest', 'From', `lowest of ${name} of ${of}`)}
                    {@render number(at, 'highest', 'to', `highest of ${name} of ${of}`)}
                {/if}
                <TextField
                    label="Unit"
                    spoken="Unit of {name} of {of}"
                    class="w-[60px]"
                    value={one.unit ?? ''}
                    onsave={(unit) => set(at, { unit })}
                />
                {@render number(at, 'times', 'on the line ×', `A figure of ${name} of ${of} times this`)}
                {@render number(at, 'divided', '÷', `A figure of ${name} of ${of} divided by this`)}
                {#if words}{@render number(
                        at,
                        'decimals',
                        'Decimals',
                        `Decimals of ${name} of ${of}`,
                    )}{:else}<CheckField
                        label="signed"
                        spoken="{name} of {of} may be less than nothing"
                        checked={one.signed === true}
                        onturn={(checked) => set(at, { signed: checked })}
                    />{/if}
            {/if}
            <span class="pb-1.5"
                ><RemoveButton
                    what="Remove {name} of {of}"
                    onremove={() => onput(values.filter((_, other) => other !== at))}
                /></span
            >
        </div>
    {/each}
    <Button
        color="alternative"
        size="xs"
        aria-label="Add a value: {title}, {of}"
        onclick={() =>
            onput([
                ...values,
                {
                    ...({
                        name: '',
                        bits: 8,
                        given: given && !values.some((one) => one.given),
                        fixed: given && !values.some((one) => one.given) ? '' : '0',
                    } as Value),
                },
            ])}>Add a value</Button
    >
</div>
