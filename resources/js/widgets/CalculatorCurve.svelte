<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { title } from '../lib/calculation';
    import CurvePlot from './CurvePlot.svelte';

    /** How the answer changes with one of the figures given. */
    interface Props {
        calculator: Schemas['Calculator'];
        values: Record<string, string>;
        worked: Schemas['Worked'];
    }
    let { calculator, values, worked }: Props = $props();

    const curve = $derived(worked.curve);
    const points = $derived((curve?.points ?? []) as [number, number][]);
    const [x, y] = $derived(
        curve === null ? [NaN, NaN] : [Number(values[curve.input]), Number(worked.outputs[curve.output])],
    );
    const within = $derived(Number.isFinite(y) && x >= (points[0]?.[0] ?? 0) && x <= (points.at(-1)?.[0] ?? 0));

    function named(name: string): string {
        const found = [...calculator.inputs, ...calculator.outputs].find((one) => one.name === name);
        return found === undefined ? name : `${title(found)}${found.unit === null ? '' : `, ${found.unit}`}`;
    }
</script>

{#if curve !== null && points.length > 1}
    <CurvePlot {points} here={within ? [x, y] : null} x={named(curve.input)} y={named(curve.output)} />
{/if}
