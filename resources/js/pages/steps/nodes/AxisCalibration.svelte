<script lang="ts">
    import CoreDrawing from '../../../widgets/CoreDrawing.svelte';
    import Button from 'flowbite-svelte/Button.svelte';
    import { api, type Schemas } from '../../../lib/api';
    import { view } from '../../../lib/shown.svelte';
    import { change, workspace } from '../../../lib/workspace.svelte';

    /** A stick's curve as it is, and its ends and middle found from what it was seen to read. */
    let { control }: { control: Schemas['Control'] } = $props();
    const curve = view('axis-curve', () => control.id);
    const id = $props.id();
    let samples = $state('');
    let refusal = $state('');
    let found = $state<Record<string, unknown> | null>(null);

    async function find(): Promise<void> {
        const { data, error } = await api.POST('/api/calculators/{name}', {
            params: { path: { name: 'stick-calibrate' } },
            body: { inputs: { samples } },
        });
        found = data?.outputs ?? null;
        refusal =
            error === undefined
                ? ''
                : 'problems' in error
                  ? error.problems.map((one) => one.message).join('; ')
                  : error.message;
    }

    function take(): void {
        if (found !== null) {
            void workspace.edit(
                `Calibrate ${control.name}`,
                change('control', control.id, {
                    settings: {
                        rawLowest: found['lowest'],
                        rawCentre: found['centre'],
                        rawHighest: found['highest'],
                        deadBand: found['dead_band_percent'],
                    },
                }),
            );
            found = null;
            samples = '';
        }
    }
</script>

<div class="flex flex-wrap items-start gap-4">
    {#if curve.now}<CoreDrawing drawing={curve.now} label="Curve of {control.name}: {curve.now.words}" class="" />{/if}
    <div class="min-w-[220px] grow basis-[220px]">
        <label class="text-soft block text-[14px]" for={id}>What it reads, moved to both ends and let go</label>
        <textarea
            {id}
            class="mono bg-sheet border-rule h-[74px] w-full rounded-[4px] border p-1.5 text-[12.5px]"
            placeholder="512, 640, 1015, 60, 12, 511, 512 …"
            bind:value={samples}></textarea>
        <Button color="alternative" disabled={samples.trim() === ''} onclick={find}>Find ends and middle</Button>
        {#if refusal !== ''}<p class="text-danger mt-1 text-[14px]" role="alert">{refusal}</p>{/if}
        {#if found !== null}
            <p class="mt-1 text-[14px]" role="status">
                From <span class="mono">{found['lowest']}</span> by <span class="mono">{found['centre']}</span> to
                <span class="mono">{found['highest']}</span>{found['rests'] === true
                    ? `, wavering by ${String(found['wavers'])}`
                    : '; it was never at rest between, so half way is taken'}.
            </p>
            <Button color="alternative" onclick={take}>Take these</Button>
        {/if}
    </div>
</div>
