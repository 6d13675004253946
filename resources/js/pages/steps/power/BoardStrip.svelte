<script lang="ts">
    import { tick } from 'svelte';
    import type { Schemas } from '../../../lib/api';
    import { view } from '../../../lib/shown.svelte';

    interface Props {
        name: string;
        table: Schemas['PinTable'];
        /** Puts a terminal on a pin. */
        onplace: (moduleId: string, terminal: string, pin: string) => void;
    }
    let { name, table, onplace }: Props = $props();
    type Pin = Schemas['PinTable']['pins'][number];
    interface Held {
        moduleId: string;
        terminal: string;
        what: string;
        from: string;
    }

    let held = $state<Held | null>(null);
    let looked = $state('');
    const fits = view('module-pins', () => held?.moduleId);
    const half = $derived(Math.ceil(table.pins.length / 2));
    const rows = $derived(
        Array.from({ length: half }, (_, row) => [table.pins[row], table.pins[half + row]] as [Pin, Pin | undefined]),
    );
    const judged = $derived(
        new Map(
            (fits.now?.terminals.find((one) => one.terminal === held?.terminal)?.pins ?? []).map((one) => [
                one.pin,
                one,
            ]),
        ),
    );
    let strip = $state<HTMLElement | null>(null);

    /** What is said of the pin that is pointed at, while a wire is in hand. */
    const said = $derived.by(() => {
        if (held === null) {
            return 'Pick a terminal and the pin it should go to: with the mouse, a finger, or Enter and the arrow keys.';
        }
        const pin = table.pins.find((one) => one.name === looked);
        const one = judged.get(looked);
        const others = (pin?.uses ?? []).filter(
            (use) => use.moduleId !== held?.moduleId || use.terminal !== held.terminal,
        );
        if (pin === undefined || one === undefined) {
            return `${held.what} is in hand: pick a pin, or Escape to put it back.`;
        }
        const taken = others.length > 0 ? `; ${others.map((use) => use.what).join(', ')} is on it` : '';
        return one.fits
            ? `${held.what} fits ${pin.name}${one.why === '' ? '' : `: ${one.why}`}${taken}.`
            : `${held.what} does not go on ${pin.name}: ${one.why}${taken}.`;
    });

    /** Dragged: whatever pin the finger is let go over. */
    let began: { x: number; y: number } | null = null;
    let dragged = false;

    async function take(what: Held): Promise<void> {
        if (dragged) {
            dragged = false;
            return;
        }
        held = held !== null && held.moduleId === what.moduleId && held.terminal === what.terminal ? null : what;
        looked = what.from;
        await tick();
        if (held !== null) {
            focusPin(what.from === '' ? (table.pins[0]?.name ?? '') : what.from);
        }
    }

    function put(pin: string): void {
        if (held !== null && judged.get(pin)?.fits !== false) {
            onplace(held.moduleId, held.terminal, pin);
            held = null;
        }
    }

    function focusPin(pin: string): void {
        strip?.querySelector<HTMLElement>(`[data-pin="${pin}"]`)?.focus();
    }

    function steered(event: KeyboardEvent): void {
        if (event.key === 'Escape' && held !== null) {
            held = null;
            return;
        }
        const at = table.pins.findIndex((one) => one.name === (event.target as HTMLElement).dataset['pin']);
        const steps: Record<string, number> = {
            ArrowDown: 1,
            ArrowUp: -1,
            ArrowRight: at < half ? half : 0,
            ArrowLeft: at >= half ? -half : 0,
        };
        const step = steps[event.key];
        const next = step === undefined || at < 0 ? undefined : table.pins[at + step];
        if (next !== undefined) {
            event.preventDefault();
            focusPin(next.name);
        }
    }

    function pressed(event: PointerEvent): void {
        began = { x: event.clientX, y: event.clientY };
        dragged = false;
        // So that the chip hears of it, wherever it is let go.
        (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    }
    function released(event: PointerEvent, what: Held): void {
        const far = began !== null && Math.hypot(event.clientX - began.x, event.clientY - began.y) > 6;
        began = null;
        if (!far) {
            return;
        }
        dragged = true;
        const pin = document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>('[data-row-pin]')
            ?.dataset['rowPin'];
        if (pin !== undefined && pin !== what.from) {
            onplace(what.moduleId, what.terminal, pin);
            held = null;
        }
    }

    function marks(pin: Pin): string {
        return [
            pin.header === null ? '' : `header ${pin.header}`,
            pin.console ? 'console' : '',
            pin.strap ? `boot ${pin.strap}` : '',
            pin.inputOnly ? 'input only' : '',
            pin.led ? 'lamp' : '',
            ...pin.can.filter((can) => can.includes('.')).map((can) => can.toUpperCase().replace('.', ' ')),
        ]
            .filter(Boolean)
            .join(' · ');
    }
</script>

{#snippet chip(what: Held)}
    <button
        type="button"
        class="touch-none rounded-[4px] border px-1.5 text-[14px] leading-[20px] whitespace-nowrap {held?.moduleId ===
            what.moduleId && held.terminal === what.terminal
            ? 'border-accent bg-tint'
            : 'border-rule bg-sheet'}"
        aria-pressed={held?.moduleId === what.moduleId && held.terminal === what.terminal}
        title={what.from === '' ? 'not wired yet' : `on ${what.from}`}
        onclick={() => take(what)}
        onpointerdown={pressed}
        onpointerup={(event) => released(event, what)}>{what.what}</button
    >
{/snippet}

{#snippet side(pin: Pin | undefined, right: boolean)}
    {#if pin !== undefined}
        {@const one = held === null ? undefined : judged.get(pin.name)}
        <div data-row-pin={pin.name} class="flex min-h-[28px] items-center gap-2 {right ? '' : 'flex-row-reverse'} ">
            <button
                type="button"
                data-pin={pin.name}
                class="mono w-[54px] shrink-0 rounded-[3px] border px-1 !text-[12.5px] {right
                    ? 'text-left'
                    : 'text-right'} {one?.fits
                    ? 'border-accent bg-tint'
                    : one?.fits === false
                      ? 'border-rule bg-paper text-soft border-dashed line-through'
                      : 'border-rule bg-paper'} {pin.uses.length > 1 &&
                new Set(pin.uses.map((use) => use.terminal)).size > 1
                    ? 'text-danger'
                    : ''}"
                aria-label="{pin.name}{marks(pin) === '' ? '' : `, ${marks(pin)}`}{pin.uses.length === 0
                    ? ', free'
                    : `, ${pin.uses.map((use) => use.what).join(', ')}`}{held === null
                    ? ''
                    : one?.fits === false
                      ? ', does not fit'
                      : ', fits'}"
                aria-disabled={held !== null && one?.fits === false ? 'true' : undefined}
                title={pin.note}
                onfocus={() => (looked = pin.name)}
                onmouseenter={() => (looked = pin.name)}
                onclick={() => put(pin.name)}>{pin.name}</button
            >
            {#each pin.uses as use (use.useId)}
                {@render chip({ moduleId: use.moduleId, terminal: use.terminal, what: use.what, from: pin.name })}
            {/each}
            <span class="text-soft text-[12.5px] {right ? '' : 'text-right'}">{marks(pin)}</span>
        </div>
    {/if}
{/snippet}

<section class="sheet mt-2 overflow-x-auto px-3 py-2" aria-label="Board of {name}">
    <p class="mb-2 min-h-[38px] text-[14px]" role="status">{said}</p>
    {#if table.unwired.length > 0}
        <p class="mb-2 flex flex-wrap items-center gap-1.5">
            <span class="text-soft text-[14px]">Without a pin:</span>
            {#each table.unwired as one (`${one.moduleId} ${one.terminal}`)}
                {@render chip({ moduleId: one.moduleId, terminal: one.terminal, what: one.what, from: '' })}
            {/each}
        </p>
    {/if}
    <!-- svelte-ignore a11y_no_static_element_interactions -->
    <div bind:this={strip} onkeydown={steered} class="grid grid-cols-[minmax(0,1fr)_26px_minmax(0,1fr)]">
        {#each rows as [left, right], row (left.name)}
            {@render side(left, false)}
            <div
                class="border-ink bg-paper border-x-2 {row === 0 ? 'border-t-2' : ''} {row === rows.length - 1
                    ? 'border-b-2'
                    : ''}"
            ></div>
            <div>{@render side(right, true)}</div>
        {/each}
    </div>
</section>
