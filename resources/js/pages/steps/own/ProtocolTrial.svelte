<script lang="ts">
    import type { Schemas } from '../../../lib/api';
    import { view } from '../../../lib/shown.svelte';

    /** The bytes of a command to type by hand, and what came back, read. */
    let { protocol, hasIds }: { protocol: Schemas['Protocol']; hasIds: boolean } = $props();

    let item = $state('');
    let id = $state('1');
    let figure = $state('1');
    let came = $state('');
    const named = $derived(item === '' ? (protocol.items[0]?.name ?? '') : item);
    const trial = view('device-trial', () =>
        new URLSearchParams({ protocol: protocol.id, item: named, id, figure, came }).toString(),
    );
    const field = 'bg-sheet border-rule text-ink rounded-[4px] border px-2 py-1';
</script>

<section class="sheet mt-3 px-4 py-3" aria-label="Try it by hand">
    <h2>Try it by hand</h2>
    <p class="text-soft max-w-[760px] text-[14px]">
        From a terminal program on a computer, before anything is built: send this, and paste what comes back.
    </p>
    <div class="mt-2 flex flex-wrap items-end gap-x-3 gap-y-2">
        <label class="text-soft text-[14px]"
            >Send<br />
            <select
                aria-label="Send"
                class="{field} w-[190px]"
                value={named}
                onchange={(event) => (item = event.currentTarget.value)}
            >
                {#each protocol.items as one (one.name)}<option value={one.name}>{one.name}</option>{/each}
            </select></label
        >
        {#if hasIds}<label class="text-soft text-[14px]"
                >to device<br /><input class="{field} mono w-[70px]" inputmode="numeric" bind:value={id} /></label
            >{/if}
        <label class="text-soft text-[14px]"
            >with the figure<br /><input class="{field} mono w-[90px]" inputmode="numeric" bind:value={figure} /></label
        >
        <p class="mono min-w-[240px] grow pb-1 break-all" aria-live="polite" aria-label="What to send">
            {#if trial.now?.hex}{trial.now.text ?? trial.now.hex}{#if trial.now.text !== null}<span
                        class="text-soft ml-3 text-[12.5px]">{trial.now.hex}</span
                    >{/if}<span class="text-soft ml-3">{trial.now.lastsMs} ms at 9600 baud</span>{/if}
        </p>
    </div>
    <div class="mt-2 flex flex-wrap items-end gap-x-3 gap-y-2">
        <label class="text-soft text-[14px]"
            >What came back<br /><input
                class="{field} mono w-[380px]"
                placeholder={protocol.form === 'words' ? 'the line, or its bytes: 4F 4B 0D' : '55 01 03 81 00 5E'}
                bind:value={came}
            /></label
        >
        <p class="min-w-[200px] grow pb-1" aria-live="polite" aria-label="What it means">{trial.now?.heard ?? ''}</p>
    </div>
</section>
