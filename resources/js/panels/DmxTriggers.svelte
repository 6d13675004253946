<script lang="ts">
    import Button from 'flowbite-svelte/Button.svelte';
    import type { Operation, Schemas } from '../lib/api';
    import type { PlanIndex } from '../lib/plan-index';
    import { typed } from '../lib/typed';
    import { ulid } from '../lib/ulid';
    import { add, change, remove, workspace } from '../lib/workspace.svelte';
    import SelectField from '../widgets/SelectField.svelte';
    import TextField from '../widgets/TextField.svelte';

    /** Controls down, slots across: what each tells which, over what time, and what goes back to rest. */
    interface Props {
        figures: Schemas['DmxFigures'];
        link: Schemas['Link'];
        index: PlanIndex;
    }
    let { figures, link, index }: Props = $props();
    type Slot = Schemas['DmxSlot'] & { outputId: string; fixture: Schemas['DmxFixture'] };

    const slots = $derived(
        figures.fixtures.flatMap((fixture) =>
            fixture.slots.flatMap((slot): Slot[] =>
                slot.outputId === null ? [] : [{ ...slot, outputId: slot.outputId, fixture }],
            ),
        ),
    );
    const fixtures = $derived(figures.fixtures.filter((one) => slots.some((slot) => slot.fixture === one)));
    /** Rows that were begun here and tell nothing yet. */
    let begun = $state<string[]>([]);
    const rows = $derived([
        ...figures.triggers,
        ...begun.flatMap((id) => {
            const control = index.control(id);
            return control === undefined || figures.triggers.some((one) => one.controlId === id)
                ? []
                : [{ controlId: id, name: control.name, node: index.node(control.nodeId)?.name ?? '', cues: [] }];
        }),
    ]);
    let chosen = $state<{ row: string; slot: string } | null>(null);
    const row = $derived(rows.find((one) => one.controlId === chosen?.row));
    const slot = $derived(slots.find((one) => one.outputId === chosen?.slot));
    const cue = $derived(row?.cues.find((one) => one.outputId === slot?.outputId));
    const route = $derived(index.document.routes.find((one) => one.id === cue?.routeId));
    const offered = $derived(
        index.document.controls
            .filter(
                (one) =>
                    ['button', 'widget', 'trigger', 'key', 'gesture', 'phrase', 'timer', 'step', 'text'].includes(
                        one.kind,
                    ) && !rows.some((of) => of.controlId === one.id),
            )
            .map((one) => ({ value: one.id, name: `${index.node(one.nodeId)?.name ?? ''}: ${one.name}` })),
    );

    /** A route to a slot; where its control is on the board that tells, its way there too. */
    function routed(controlId: string, of: Slot, values: Record<string, unknown>, order: number): Operation[] {
        const id = ulid();
        const nodeId = index.control(controlId)?.nodeId;
        const sender = index.endpointsOn(link.id).find((one) => one.role !== 'receives' && one.nodeId === nodeId);
        return [
            add('route', id, { controlId, outputId: of.outputId, action: 'set', order, ...values }),
            ...(sender === undefined
                ? []
                : [
                      add('hop', ulid(), {
                          routeId: id,
                          linkId: link.id,
                          fromId: sender.id,
                          toId: of.fixture.endpointId,
                          order: 0,
                      }),
                  ]),
        ];
    }

    function set(text: string): void {
        if (row === undefined || slot === undefined) {
            return;
        }
        const what = `${slot.name} of ${slot.fixture.name}: ${text}`;
        if (route === undefined) {
            void workspace.edit(
                what,
                ...routed(row.controlId, slot, { value: typed(text) }, index.nextOrder(index.document.routes)),
            );
        } else {
            void workspace.edit(what, change('route', route.id, { action: 'set', value: typed(text), pulseMs: null }));
        }
    }

    /** Whatever of the others it does not say goes back to where it rests, or all of it to nothing. */
    function rest(of: (typeof rows)[number], dark: boolean): void {
        let order = index.nextOrder(index.document.routes);
        const others = slots.filter((one) => !of.cues.some((at) => at.outputId === one.outputId));
        const operations = dark
            ? slots
                  .filter((one) => one.darkens)
                  .flatMap((one) => {
                      const there = of.cues.find((at) => at.outputId === one.outputId);
                      return there === undefined
                          ? routed(of.controlId, one, { value: 0 }, order++)
                          : [change('route', there.routeId, { action: 'set', value: 0, pulseMs: null })];
                  })
            : others.flatMap((one) => routed(of.controlId, one, { action: 'off' }, order++));
        if (operations.length > 0) {
            void workspace.edit(`${of.name}: ${dark ? 'all dark' : 'all else at rest'}`, ...operations);
        }
    }
    const seconds = (ms: number): string => `${ms / 1000} s`;
</script>

<section class="sheet mt-3 p-3" aria-label="What tells what">
    <div class="flex flex-wrap items-baseline gap-x-4">
        <h2>What tells what</h2>
        <p class="text-soft grow">Pick a cell to say the value and the time it takes. An empty one is left as it is.</p>
    </div>
    {#if slots.length === 0}
        <p class="text-soft mt-1">No slot is used yet: choose above which ones controls may work.</p>
    {:else}
        <div class="mt-2 overflow-x-auto">
            <table class="ledger w-auto">
                <thead>
                    <tr
                        ><th rowspan="2" class="min-w-[150px] align-bottom">Control</th
                        >{#each fixtures as one (one.endpointId)}<th
                                class="border-rule border-l text-center"
                                colspan={slots.filter((at) => at.fixture === one).length}>{one.name}</th
                            >{/each}<th rowspan="2"><span class="sr-only">All at once</span></th></tr
                    >
                    <tr
                        >{#each slots as one (one.outputId)}<th
                                class="text-soft border-rule border-l text-center font-normal">{one.name}</th
                            >{/each}</tr
                    >
                </thead>
                <tbody>
                    {#each rows as one (one.controlId)}
                        <tr>
                            <td
                                ><span class="font-medium">{one.name}</span><span class="text-soft block text-[13px]"
                                    >{one.node}</span
                                ></td
                            >
                            {#each slots as at (at.outputId)}
                                {@const said = one.cues.find((of) => of.outputId === at.outputId)}
                                {@const isChosen = chosen?.row === one.controlId && chosen?.slot === at.outputId}
                                <td class="border-rule border-l !p-0 text-center">
                                    <button
                                        type="button"
                                        class="mono min-h-[36px] w-full min-w-[58px] px-1 text-[13px] whitespace-nowrap {isChosen
                                            ? 'bg-tint'
                                            : ''}"
                                        aria-pressed={isChosen}
                                        aria-label="{one.name}, {at.name} of {at.fixture.name}: {said === undefined
                                            ? 'left as it is'
                                            : said.says}"
                                        onclick={() => (chosen = { row: one.controlId, slot: at.outputId })}
                                        >{#if said}{said.says}{#if said.rests}<span class="text-soft ml-1">rest</span
                                                >{/if}{#if said.fadeMs > 0}<span
                                                    class="text-soft block text-[11.5px] leading-tight"
                                                    >in {seconds(said.fadeMs)}</span
                                                >{/if}{/if}</button
                                    >
                                </td>
                            {/each}
                            <td class="border-rule border-l text-[14px] whitespace-nowrap"
                                ><button
                                    type="button"
                                    class="quiet-link"
                                    aria-label="{one.name}: all else at rest"
                                    onclick={() => rest(one, false)}>rest</button
                                >
                                <button
                                    type="button"
                                    class="quiet-link ml-2"
                                    aria-label="{one.name}: black-out"
                                    onclick={() => rest(one, true)}>dark</button
                                ></td
                            >
                        </tr>
                    {:else}<tr
                            ><td colspan={slots.length + 2} class="text-soft">Nothing tells them anything yet.</td></tr
                        >{/each}
                </tbody>
            </table>
        </div>
        <div class="mt-2 flex flex-wrap items-end gap-3">
            <SelectField
                label="Let a control tell slots"
                quiet
                adds
                class="w-[280px]"
                value=""
                empty="Let a control tell them…"
                items={offered}
                onsave={(id) => {
                    begun = [...begun, id];
                    chosen = { row: id, slot: slots[0]?.outputId ?? '' };
                }}
            />
            {#if row !== undefined && slot !== undefined}
                <div
                    class="border-rule flex flex-wrap items-end gap-3 border-l pl-3"
                    role="group"
                    aria-label="The cell"
                >
                    <p class="pb-1">
                        <b class="font-medium">{row.name}</b> → {slot.fixture.name}, {slot.name}
                        {#if slot.ranges}<span class="text-soft block text-[13px]">{slot.ranges}</span>{/if}
                    </p>
                    <TextField
                        label="Value, 0 to 255"
                        spoken="Value"
                        mono
                        class="w-[110px]"
                        value={route?.action === 'set' ? String(route.value ?? '') : ''}
                        placeholder={cue?.says ?? 'as it is'}
                        onsave={set}
                    />
                    {#if route !== undefined}
                        <TextField
                            label="Fade, seconds"
                            mono
                            class="w-[100px]"
                            value={route.fadeMs === 0 ? '' : String(route.fadeMs / 1000)}
                            placeholder="at once"
                            onsave={(text) =>
                                void workspace.edit(
                                    `Fade of ${text || '0'} s`,
                                    change('route', route.id, {
                                        fadeMs:
                                            text.trim() === ''
                                                ? 0
                                                : Number.isFinite(Number(text.replace(',', '.')))
                                                  ? Math.round(Number(text.replace(',', '.')) * 1000)
                                                  : text,
                                    }),
                                )}
                        />
                        <Button
                            color="alternative"
                            onclick={() =>
                                void workspace.edit(
                                    `${slot.name} of ${slot.fixture.name} as it is`,
                                    remove('route', route.id),
                                )}>Leave it as it is</Button
                        >
                    {/if}
                </div>
            {/if}
        </div>
    {/if}
</section>
