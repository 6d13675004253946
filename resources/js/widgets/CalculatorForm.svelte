<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { title } from '../lib/calculation';
    import SelectField from './SelectField.svelte';
    import TextField from './TextField.svelte';

    /** What a calculator is given, one field each, with what it means. */
    interface Props {
        calculator: Schemas['Calculator'];
        values: Record<string, string>;
        onset: (name: string, value: string) => void;
    }
    let { calculator, values, onset }: Props = $props();

    const label = (input: Schemas['Calculator']['inputs'][number]): string =>
        `${title(input)}${input.unit === null ? '' : `, ${input.unit}`}`;
</script>

{#each calculator.inputs as input (input.name)}
    <div class="mt-2.5">
        {#if input.kind === 'choice' || input.kind === 'flag'}
            {@const choices = input.kind === 'flag' ? ['false', 'true'] : input.choices}
            <SelectField
                label={label(input)}
                value={values[input.name] ?? choices[0] ?? ''}
                items={choices.map((one) => ({
                    value: one,
                    name: one === 'true' ? 'yes' : one === 'false' ? 'no' : one,
                }))}
                class="w-[200px]"
                onsave={(value) => onset(input.name, value)}
            />
        {:else}
            <TextField
                label={label(input)}
                value={values[input.name] ?? ''}
                mono
                class={input.kind === 'whole' || input.kind === 'number' ? 'w-[200px]' : 'w-full'}
                onsave={(value) => onset(input.name, value)}
            />
        {/if}
        {#if input.doc !== `${title(input)}.`}<p class="text-soft text-[14px] leading-snug">{input.doc}</p>{/if}
    </div>
{/each}
