<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import { api, type Schemas } from '../lib/api';
    import type { PlanIndex } from '../lib/plan-index';
    import { ulid } from '../lib/ulid';
    import { add, workspace } from '../lib/workspace.svelte';

    /** A fixture as its maker describes it, out of a .gdtf archive. */
    interface Props {
        link: Schemas['Link'];
        index: PlanIndex;
        ondone: () => void;
    }
    let { link, index, ondone }: Props = $props();
    const id = $props.id();
    let shown = $state<Schemas['DescriptionShown'] | null>(null);
    let problem = $state<string | null>(null);

    async function choose(event: Event): Promise<void> {
        const file = (event.currentTarget as HTMLInputElement).files?.[0];
        if (file === undefined) {
            return;
        }
        const bytes = new Uint8Array(await file.arrayBuffer());
        let binary = '';
        for (let at = 0; at < bytes.length; at += 8_192) {
            binary += String.fromCharCode(...bytes.subarray(at, at + 8_192));
        }
        const { data, error } = await api.POST('/api/plans/{plan}/links/{link}/described', {
            params: { path: { plan: workspace.planId, link: link.id } },
            body: { text: null, base64: btoa(binary) },
        });
        shown = data ?? null;
        problem =
            error === undefined
                ? null
                : 'problems' in error
                  ? error.problems.map((one) => one.message).join('; ')
                  : error.message;
    }

    async function keep(): Promise<void> {
        const things = shown?.things ?? [];
        let order = index.nextOrder(index.document.fixtureTypes);
        if (
            await workspace.edit(
                `Describe ${things.map((one) => one.name).join(', ')}`,
                ...things.map((one) => add('fixtureType', ulid(), { ...one.values, order: order++ })),
            )
        ) {
            ondone();
        }
    }
</script>

<section class="sheet mt-3 p-3" aria-label="A fixture's file">
    <h2>A fixture's file</h2>
    <p class="text-soft max-w-[720px]">
        Makers describe their lamps in an open form (GDTF, DIN SPEC 15800). Its modes and slots are read; look them
        over, for nobody checks such files.
    </p>
    <label for="{id}-file" class="text-soft mt-2 block text-[14px]">Archive, .gdtf</label>
    <input id="{id}-file" type="file" accept=".gdtf,application/zip" class="text-[14px]" onchange={choose} />
    {#if problem !== null}<p class="text-fault mt-2" role="alert">! {problem}</p>{/if}
    {#if shown !== null}
        {#each shown.things as one (one.name)}<p class="mt-2">
                <b class="font-medium">{one.name}</b>: {one.says}
            </p>{/each}
        {#if shown.leftOut.length > 0}<p class="text-soft mt-2">Left out:</p>
            <ul class="text-soft list-disc pl-5">
                {#each shown.leftOut as one (one)}<li>{one}</li>{/each}
            </ul>{/if}
        <div class="mt-2"><Button onclick={keep}>Take it into the plan</Button></div>
    {/if}
</section>
