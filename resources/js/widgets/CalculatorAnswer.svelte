<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { figure, title } from '../lib/calculation';
    import PulseStrip from '../panels/PulseStrip.svelte';

    /** A calculator's answer: each figure with its unit, a signal as a strip. */
    interface Props {
        calculator: Schemas['Calculator'];
        values: Record<string, string>;
        worked: Schemas['Worked'];
    }
    let { calculator, values, worked }: Props = $props();

    const timings = $derived(
        (worked.outputs['timings_us'] ??
            (values['timings_us'] ?? '')
                .split(/[\s,]+/)
                .filter((one) => one !== '')
                .map(Number)) as number[],
    );

    /** Words to be read, as against a figure, a code or a name. */
    function isSentence(value: unknown): boolean {
        return typeof value === 'string' && value.split(' ').length > 3;
    }
</script>

<dl class="mt-1">
    {#each calculator.outputs as output (output.name)}
        {@const value = worked.outputs[output.name]}
        <div class="border-rule border-b py-2 last:border-b-0">
            <dt>
                {title(output)}{#if output.doc !== `${title(output)}.`}<span class="text-soft text-[14px]"
                        >&ensp;{output.doc}</span
                    >{/if}
            </dt>
            <dd
                class="break-words {isSentence(value) ? '' : 'mono'} {Array.isArray(value)
                    ? 'text-[13px]'
                    : isSentence(value)
                      ? 'text-[16px]'
                      : 'text-[19px]'}"
            >
                {figure(value)}{#if output.unit && value !== null}<span class="text-soft text-[15px]"
                        >&nbsp;{output.unit}</span
                    >{/if}
            </dd>
        </div>
    {/each}
</dl>
{#if timings.length > 1 && timings.every((one) => Number.isFinite(one))}
    <div class="mt-3"><PulseStrip lengthsUs={timings} label="The signal, to scale" ruled /></div>
{/if}
