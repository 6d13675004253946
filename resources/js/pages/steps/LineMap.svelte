<script lang="ts">
    import TwoSchools from '../../widgets/TwoSchools.svelte';
    import type { Schemas } from '../../lib/api';
    import { routeName } from '../../lib/route-name';
    import { view } from '../../lib/shown.svelte';
    import SelectField from '../../widgets/SelectField.svelte';
    import type { StepProps } from '../steps';

    let { data, index, planId, item }: StepProps = $props();
    let width = $state(820);
    let picked = $state('');
    const route = $derived(index.route(picked || item));
    const way = view('route-way', () => route?.id);
    const tracing = $derived(way.now ?? undefined);
    // Drawn for the width there is, in steps: a page that is pulled wider need not be drawn at every pixel.
    const map = view('line-map', () => `${Math.floor(width / 20) * 20} ${route?.id ?? ''}`.trim());
    let drawn = $state.raw<Schemas['LineMapBands'] | null>(null);
    $effect(() => {
        drawn = map.now ?? drawn;
    });
    const bands = $derived(drawn?.bands ?? []);

    /** What a drawing shows of the plan leads to where it is changed. Named, so that another drawing is gone through again. */
    function leading(_: string): (drawing: SVGElement) => void {
        return (drawing) => {
            for (const link of drawing.querySelectorAll('a[id]')) {
                const [kind, id] = link.id.split('-');
                link.setAttribute('href', `#/plans/${planId}/${kind}s/${id}`);
            }
        };
    }
</script>

<h1>Line map</h1>
<p class="text-soft mt-0.5">
    {index.nodes.length === 1 ? 'One node' : `${index.nodes.length} nodes`} on {index.links.length === 1
        ? 'one link'
        : `${index.links.length} links`}. Each line is a link, each post a node; a post on several lines passes messages
    between them.
</p>

{#if index.nodes.length === 0}
    <div class="sheet mt-4 max-w-[620px] p-4">
        <p>This is where your network will be drawn, once there is one. Work down the steps on the left:</p>
        <ol class="mt-2 list-decimal space-y-1 pl-5">
            <li>
                <a class="quiet-link" href="#/plans/{planId}/site">Site</a>: the places, and the Wi-Fi that is there
                already.
            </li>
            <li>
                <a class="quiet-link" href="#/plans/{planId}/nodes">Nodes</a>: the boards and handsets, with their
                radios, relays and keys.
            </li>
            <li><a class="quiet-link" href="#/plans/{planId}/links">Links</a>: which of them talk with each other.</li>
            <li><a class="quiet-link" href="#/plans/{planId}/routes">Routes</a>: what each key does.</li>
        </ol>
        <p class="mt-2">Then press Assign: channels, addresses, codes and pins are proposed, with reasons.</p>
    </div>
{:else}
    {#if data.document.routes.length > 0}
        <div class="mt-3 flex flex-wrap items-end gap-x-4 gap-y-1">
            <SelectField
                label="Trace a route"
                class="w-[390px] max-w-full"
                value={route?.id ?? ''}
                empty="none"
                items={data.document.routes.map((one) => ({ value: one.id, name: routeName(index, one) }))}
                onsave={(value) => (picked = value)}
            />
            <a
                class="quiet-link pb-1"
                href="/api/plans/{planId}/line-map.svg{route === undefined ? '' : `?route=${route.id}`}"
                download>Save as SVG</a
            >
            {#if tracing?.time}
                <p class="pb-1">
                    press to click <b class="mono">{tracing.time.typical}</b> typical,
                    <span class="mono">{tracing.time.worst}</span> worst
                </p>
            {:else if tracing}
                <p class="text-fault pb-1">no way leads there</p>
            {/if}
        </div>
    {/if}
    <div bind:clientWidth={width} class="mt-4">
        {#each bands as band, at (at)}
            <svg
                width={band.width}
                height={band.height}
                viewBox="0 0 {band.width} {band.height}"
                class="block h-auto max-w-full"
                role="group"
                aria-label="Line map, part {at + 1} of {bands.length}"
                {@attach leading(band.svg)}
            >
                <!-- Drawn by the core, in which no name can be more than text. -->
                <!-- eslint-disable-next-line svelte/no-at-html-tags -->
                {@html band.svg}
            </svg>
        {/each}
    </div>
    {#if tracing?.time}
        <section class="sheet mt-3 p-3" aria-label="Reaction time">
            <h2>{route === undefined ? '' : routeName(index, route)}</h2>
            <table class="ledger mt-1">
                <thead
                    ><tr
                        ><th>Stretch</th><th>Best</th><th>Typical</th><th>Worst</th><th class="w-1/3"
                            ><span class="sr-only">Share of the worst</span></th
                        ></tr
                    ></thead
                >
                <tbody>
                    {#each tracing.time.segments as segment, at (at)}
                        <tr>
                            <td>{segment.label}</td><td class="mono">{segment.best}</td><td class="mono"
                                >{segment.typical}</td
                            ><td class="mono">{segment.worst}</td>
                            <td
                                ><div
                                    class="bg-accent h-2 rounded-[2px]"
                                    style="width: {Math.max(1, segment.share * 100)}%"
                                ></div></td
                            >
                        </tr>
                    {/each}
                    <tr class="font-medium"
                        ><td>Press to click</td><td class="mono">{tracing.time.best}</td><td class="mono"
                            >{tracing.time.typical}</td
                        ><td class="mono">{tracing.time.worst}</td><td></td></tr
                    >
                </tbody>
            </table>
            {#if tracing.answer}<TwoSchools answer={tracing.answer} />{/if}
        </section>
    {/if}
{/if}
