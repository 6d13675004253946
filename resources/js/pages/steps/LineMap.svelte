<script lang="ts">
    import { LABELS, TOP, cut, wrap } from '../../lib/line-map';
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
    const map = view('line-map', () => String(Math.floor(width / 20) * 20));
    let drawn = $state.raw<Schemas['LineMap'] | null>(null);
    $effect(() => {
        drawn = map.now ?? drawn;
    });
    const bands = $derived(drawn?.bands ?? []);
    const lines = $derived(new Map(bands.flatMap((band) => band.lines.map((line) => [line.linkId, line]))));
    const traced = $derived(trace());
    type Band = Schemas['MapBand'];
    type Line = Schemas['MapLine'];
    const dashes: Record<Line['form'], string | undefined> = {
        solid: undefined,
        dashed: '12 6',
        dotted: '2 6',
        'dash-dot': '14 5 2 5',
        double: undefined,
    };
    const hue = (linkId: string): string => `var(--medium-${lines.get(linkId)?.mediumKey})`;

    interface Traced {
        hops: { linkId: string; from: string; to: string }[];
        nodes: Set<string>;
        start: { nodeId: string; text: string };
        end: { nodeId: string; text: string };
    }

    function trace(): Traced | null {
        const control = index.control(route?.controlId ?? '');
        const output = index.output(route?.outputId ?? '');
        if (tracing === undefined || control === undefined || output === undefined) {
            return null;
        }
        const hops = tracing.hops.map((hop) => ({
            linkId: hop.linkId,
            from: index.endpoint(hop.fromId)?.nodeId ?? '',
            to: index.endpoint(hop.toId)?.nodeId ?? '',
        }));
        const nodes = hops.slice(1).map((hop) => hop.from);
        return {
            hops,
            nodes: new Set(nodes),
            start: { nodeId: control.nodeId, text: control.name },
            end: { nodeId: output.nodeId, text: output.name },
        };
    }

    /** Where the traced path runs along a line of a band. */
    function along(band: Band, line: Line): { from: number; to: number } | null {
        const hop = traced?.hops.find((one) => one.linkId === line.linkId);
        if (hop === undefined) {
            return null;
        }
        const at = (nodeId: string): number | null => band.posts.find((post) => post.nodeId === nodeId)?.x ?? null;
        const place = (nodeId: string): number => (drawn?.order ?? []).indexOf(nodeId);
        const [left, right] = [hop.from, hop.to].sort((a, b) => place(a) - place(b));
        const from = at(left ?? '');
        const to = at(right ?? '');
        const firstHere = place(band.posts[0]?.nodeId ?? '');
        const lastHere = place(band.posts.at(-1)?.nodeId ?? '');
        if (place(left ?? '') > lastHere || place(right ?? '') < firstHere) {
            return null;
        }
        return { from: from ?? line.from, to: to ?? line.to };
    }

    function down(band: Band, nodeId: string): { x: number; top: number; bottom: number } | null {
        const post = band.posts.find((one) => one.nodeId === nodeId);
        const ys = band.lines
            .filter((line) =>
                traced?.hops.some((hop) => hop.linkId === line.linkId && (hop.from === nodeId || hop.to === nodeId)),
            )
            .map((line) => line.y);
        return post === undefined || ys.length < 2
            ? null
            : { x: post.x, top: Math.min(...ys), bottom: Math.max(...ys) };
    }

    /** The first line of the band that a traced end touches: its label stands under that stop. */
    function endLabel(
        band: Band,
        end: { nodeId: string; text: string },
        last: boolean,
    ): { x: number; y: number } | null {
        const hop = last ? traced?.hops.at(-1) : traced?.hops[0];
        const line = band.lines.find((one) => one.linkId === hop?.linkId);
        const post = band.posts.find((one) => one.nodeId === end.nodeId);
        return line === undefined || post === undefined ? null : { x: post.x, y: line.y + 21 };
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
            >
                {#each band.places as place (`${place.placeId} ${place.from}`)}
                    <path d="M{place.from - 30} 26v-6H{place.to + 30}v6" fill="none" stroke="var(--soft)" />
                    <text x={(place.from + place.to) / 2} y="13" text-anchor="middle" font-size="13" fill="var(--soft)"
                        >{cut(index.placeName(place.placeId), Math.floor((place.to - place.from + 104) / 6))}</text
                    >
                {/each}
                {#each band.posts as post (post.nodeId)}
                    <path d="M{post.x} {TOP + 4}V{post.bottom}" stroke="var(--rule)" />
                    <a href="#/plans/{planId}/nodes/{post.nodeId}" aria-label={index.node(post.nodeId)?.name}>
                        <text text-anchor="middle" font-size="14" font-weight="500" fill="var(--ink)">
                            {#each wrap(index.node(post.nodeId)?.name ?? '') as part, row (row)}<tspan
                                    x={post.x}
                                    y={48 + row * 16}>{part}</tspan
                                >{/each}
                        </text>
                    </a>
                {/each}
                {#if traced}
                    {#each [...traced.nodes] as nodeId (nodeId)}
                        {@const bar = down(band, nodeId)}
                        {#if bar}<path
                                d="M{bar.x} {bar.top}V{bar.bottom}"
                                stroke="var(--trace)"
                                stroke-width="26"
                                stroke-linecap="round"
                            />{/if}
                    {/each}
                {/if}
                {#each band.lines as line (line.linkId)}
                    {@const path = along(band, line)}
                    {#if path}<path
                            d="M{path.from} {line.y}H{path.to}"
                            stroke="var(--trace)"
                            stroke-width="18"
                            stroke-linecap="round"
                        />{/if}
                {/each}
                {#each band.bars as bar (bar.nodeId)}
                    <rect
                        x={bar.x - 9}
                        y={bar.top - 9}
                        width="18"
                        height={bar.bottom - bar.top + 18}
                        rx="5"
                        fill="var(--sheet)"
                        stroke="var(--ink)"
                        stroke-width="2"
                    />
                    {@const passed = traced?.nodes.has(bar.nodeId) ? down(band, bar.nodeId) : null}
                    {#if passed}<rect
                            x={bar.x - 8}
                            y={passed.top - 8}
                            width="16"
                            height={passed.bottom - passed.top + 16}
                            rx="4"
                            fill="var(--trace)"
                        />{/if}
                {/each}
                {#each band.lines as line (line.linkId)}
                    <a href="#/plans/{planId}/links/{line.linkId}" aria-label={index.link(line.linkId)?.name}>
                        <text x="0" y={line.y - 2} font-size="15" font-weight="600" fill="var(--ink)"
                            >{wrap(index.link(line.linkId)?.name ?? '', 20)[0]}</text
                        >
                        <text x="0" y={line.y + 15} font-size="13" fill={hue(line.linkId)}>{line.medium}</text>
                    </a>
                    <path
                        d="M{line.from} {line.y}H{line.to}"
                        stroke={hue(line.linkId)}
                        stroke-width={line.form === 'double' ? 6 : 4}
                        stroke-dasharray={dashes[line.form]}
                        stroke-linecap={line.form === 'dotted' ? 'round' : 'butt'}
                    />
                    {#if line.form === 'double'}<path
                            d="M{line.from} {line.y}H{line.to}"
                            stroke="var(--paper)"
                            stroke-width="2"
                        />{/if}
                    {#if line.stops.length === 0 && !line.fromBefore}<text
                            x={LABELS}
                            y={line.y + 5}
                            fill="var(--soft)"
                            font-size="13">nobody on it yet</text
                        >{/if}
                    {#if line.fromBefore}<text
                            x={LABELS - 14}
                            y={line.y + 5}
                            text-anchor="end"
                            fill="var(--soft)"
                            font-size="13">‹</text
                        >{/if}
                    {#if line.toAfter}<text x={line.to + 4} y={line.y + 5} fill="var(--soft)" font-size="13">›</text
                        >{/if}
                    {#each line.stops as stop (stop.endpointId)}
                        <rect
                            x={stop.x - 5.5}
                            y={line.y - 5.5}
                            width="11"
                            height="11"
                            rx="2"
                            fill="var(--sheet)"
                            stroke={hue(line.linkId)}
                            stroke-width="2.5"
                        />
                        {#if stop.mark}<text
                                x={stop.x + 12}
                                y={line.y - 10}
                                class="mono"
                                font-size="12"
                                fill="var(--soft)"
                                stroke="var(--paper)"
                                stroke-width="4"
                                paint-order="stroke">{stop.mark}</text
                            >{/if}
                    {/each}
                {/each}
                {#if traced}
                    {#each [{ end: traced.start, last: false }, { end: traced.end, last: true }] as { end, last } (last)}
                        {@const label = endLabel(band, end, last)}
                        {#if label}<text
                                x={label.x}
                                y={label.y}
                                text-anchor="middle"
                                font-size="13"
                                font-weight="600"
                                fill="var(--ink)"
                                stroke="var(--paper)"
                                stroke-width="4"
                                paint-order="stroke">{end.text}</text
                            >{/if}
                    {/each}
                {/if}
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
        </section>
    {/if}
{/if}
