import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import type { PlanDocument } from './api';
import { overlaid } from './overlay';

const document = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as PlanDocument;
const shed = document.nodes.find((node) => node.name === 'Shed');

test('nothing that waits leaves the plan as it is', () => {
    expect(overlaid(document, [])).toBe(document);
});

test('a change is laid over one thing, of its settings over those it names', () => {
    const [link] = document.links;
    const laid = overlaid(document, [
        { op: 'change', kind: 'link', id: link?.id ?? '', values: { name: 'New', settings: { channel: 9 } } },
    ]);
    expect(laid.links[0]).toEqual({ ...link, name: 'New', settings: { ...link?.settings, channel: 9 } });
    expect(laid.nodes).toBe(document.nodes);
});

test('what is added has every field that its kind has', () => {
    const laid = overlaid(document, [
        { op: 'add', kind: 'node', id: 'new', values: { name: 'New', kind: 'controller' } },
    ]);
    const added = laid.nodes.at(-1) ?? {};
    expect(added).toMatchObject({ id: 'new', name: 'New', note: '' });
    expect(Object.keys(added).sort()).toEqual(Object.keys(document.nodes[0] ?? {}).sort());
});

test('what is removed takes along what is a part of it, and nothing else', () => {
    const laid = overlaid(document, [{ op: 'remove', kind: 'node', id: shed?.id ?? '', values: {} }]);
    expect(laid.nodes).toHaveLength(document.nodes.length - 1);
    const ids = new Set(Object.values(laid).flatMap((list) => (Array.isArray(list) ? list.map(({ id }) => id) : [])));
    for (const control of laid.controls) {
        expect(ids.has(control.nodeId)).toBe(true);
    }
    for (const route of laid.routes) {
        expect(ids.has(route.controlId) && ids.has(route.outputId)).toBe(true);
    }
    for (const hop of laid.hops) {
        expect(ids.has(hop.routeId) && ids.has(hop.fromId) && ids.has(hop.toId)).toBe(true);
    }
    expect(laid.places).toEqual(document.places);
});

test('a place that is removed leaves its nodes where they are, without it', () => {
    const [place] = document.places;
    const laid = overlaid(document, [{ op: 'remove', kind: 'place', id: place?.id ?? '', values: {} }]);
    expect(laid.nodes).toHaveLength(document.nodes.length);
    expect(laid.nodes.some((node) => node.placeId === place?.id)).toBe(false);
});

test('the plan itself can be renamed while nobody answers', () => {
    const laid = overlaid(document, [{ op: 'change', kind: 'plan', id: document.plan.id, values: { name: 'Dell' } }]);
    expect(laid.plan.name).toBe('Dell');
});

test('a supply is laid over the list of supplies, and a part goes with its module', () => {
    const supply = { id: 'S', nodeId: 'N', class: 'usb-port', name: 'Port' };
    const bare = {
        plan: {},
        nodes: [{ id: 'N' }],
        supplies: [],
        modules: [{ id: 'M', nodeId: 'N', supplyId: 'S' }],
        parts: [{ id: 'P', moduleId: 'M' }],
    } as unknown as PlanDocument;
    const added = overlaid(bare, [{ op: 'add', kind: 'supply', id: 'S', values: supply }]);
    expect(added.supplies.map((one) => one.name)).toEqual(['Port']);
    const without = overlaid(added, [{ op: 'remove', kind: 'module', id: 'M', values: {} }]);
    expect(without.parts).toEqual([]);
    const unfed = overlaid(added, [{ op: 'remove', kind: 'supply', id: 'S', values: {} }]);
    expect(unfed.modules[0]?.supplyId).toBeNull();
});
