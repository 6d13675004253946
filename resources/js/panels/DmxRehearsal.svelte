<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Schemas } from '../lib/api';
    import type { PlanIndex } from '../lib/plan-index';
    import { view } from '../lib/shown.svelte';
    import SelectField from '../widgets/SelectField.svelte';

    /** Controls worked at given times, and what each slot then says, packet by packet. */
    interface Props {
        figures: Schemas['DmxFigures'];
        link: Schemas['Link'];
        index: PlanIndex;
    }
    let { figures, link, index }: Props = $props();
    const id = $props.id();
    const LONGEST = 60_000;

    let presses = $state<{ controlId: string; ms: number }[]>([]);
    let atMs = $state(0);
    let chosen = $state('');
    const offered = $derived(
        figures.works.flatMap((id) => {
            const control = index.control(id);
            return control === undefined ? [] : [{ value: id, name: control.name }];
        }),
    );
    const control = $derived(chosen || (offered[0]?.value ?? ''));
    const fades = $derived(figures.triggers.flatMap((one) => one.cues.map((of) => of.fadeMs)));
    const total = $derived(
        Math.min(
            LONGEST,
            Math.max(2_000, ...presses.map((one) => one.ms + 1_500 + Math.min(8_000, Math.max(0, ...fades)))),
        ),
    );
    const asked = $derived(
        presses.length === 0
            ? undefined
            : `${link.id} ${total} ${presses.map((one) => `${one.controlId}@${one.ms}`).join(' ')}`,
    );
    const strip = view('slot-strip', () => asked);

    function press(): void {
        if (control !== '' && presses.length < 40) {
            presses = [...presses, { controlId: control, ms: Math.max(0, Math.min(LONGEST, Math.round(atMs))) }];
            atMs = Math.min(LONGEST, atMs + 500);
        }
    }
</script>

{#if offered.length > 0}
    <section class="sheet mt-3 p-3" aria-label="Rehearse it">
        <div class="flex flex-wrap items-baseline gap-x-4">
            <h2>Rehearse it</h2>
            <p class="text-soft grow">
                Work controls at times of your choosing and see what every slot says, as the exported program does it.
            </p>
        </div>
        <div class="mt-2 flex flex-wrap items-end gap-3">
            <SelectField
                label="Work"
                class="w-[220px]"
                value={control}
                items={offered}
                onsave={(value) => (chosen = value)}
            />
            <div>
                <label for="{id}-at" class="text-soft block text-[14px]">at, ms</label>
                <input
                    id="{id}-at"
                    type="number"
                    min="0"
                    max={LONGEST}
                    step="50"
                    bind:value={atMs}
                    class="mono bg-sheet border-rule text-ink w-[90px] rounded-[4px] border px-2 py-1"
                />
            </div>
            <Button color="alternative" onclick={press}>Work it</Button>
            {#if presses.length > 0}<Button
                    color="alternative"
                    onclick={() => {
                        presses = [];
                        atMs = 0;
                    }}>Begin again</Button
                >{/if}
            <p class="text-soft pb-1 text-[14px]">
                {presses.map((one) => `${index.control(one.controlId)?.name ?? ''} at ${one.ms} ms`).join(' · ')}
            </p>
        </div>
        {#if presses.length > 0 && strip.now}
            <div class="mt-2">
                <svg
                    class="h-auto w-full"
                    style="max-width: {strip.now.width}px"
                    viewBox="0 0 {strip.now.width} {strip.now.height}"
                    role="img"
                    aria-label="Slots against time: {strip.now.words}"
                    ><!-- eslint-disable-next-line svelte/no-at-html-tags -- drawn by the core, which lets no name be more than text -->
                    {@html strip.now.svg}</svg
                >
            </div>
        {:else if presses.length > 0 && strip.now === null}
            <p class="text-soft mt-2">
                No board of yours tells this universe, or nothing has a way to it yet: run Assign. Or the node does so
                much besides that this is too long a time.
            </p>
        {/if}
    </section>
{/if}
