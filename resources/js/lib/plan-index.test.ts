import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import type { PlanDocument } from './api';
import { PlanIndex } from './plan-index';
import { searchable, search } from './search';

const document = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as PlanDocument;
const index = new PlanIndex(document);
const named = (name: string) => index.nodes.find((node) => node.name === name);

test('nodes, modules and ends are found by what they belong to', () => {
    const shed = named('Shed');
    expect(shed).toBeDefined();
    expect(index.modulesOf(shed?.id ?? '').map((module) => module.name)).toEqual([
        'Radio near',
        'Radio far',
        'Relays',
        'Door keys',
        'Lights',
        'Lamp bridge',
    ]);
    expect(index.placeName(shed?.placeId ?? null)).toBe('Potting shed');
    expect(index.placeName(null)).toBe('Nowhere yet');
    expect(index.links.map((link) => index.endpointsOn(link.id).length).slice(0, 2)).toEqual([5, 2]);
});

test('lists are in the order of the plan', () => {
    expect(index.nodes.map((node) => node.name).slice(0, 5)).toEqual([
        'Pocket A',
        'Pocket B',
        'Bench',
        'Shed',
        'Hen house',
    ]);
    expect(index.nextOrder(index.nodes)).toBe(index.nodes.length);
    expect(index.nextOrder([])).toBe(0);
});

test('each kind of thing is mended at its step', () => {
    const bench = named('Bench')?.id ?? '';
    const module = index.modulesOf(bench)[0];
    const use = document.pinUses.find((one) => one.moduleId === module?.id);
    expect(index.whereabouts('node', bench)).toEqual({ step: 'nodes', item: bench });
    expect(index.whereabouts('module', module?.id ?? '')).toEqual({ step: 'nodes', item: bench });
    expect(index.whereabouts('pinUse', use?.id ?? '')).toEqual({ step: 'power', item: `${bench}.pins` });
    const link = index.links[0]?.id ?? '';
    const end = index.endpointsOn(link).find((one) => one.nodeId === bench);
    const address = index.addressesOf(end?.id ?? '')[0];
    expect(index.whereabouts('endpoint', end?.id ?? '')).toEqual({ step: 'links', item: link });
    expect(index.whereabouts('address', address?.id ?? '')).toEqual({ step: 'links', item: link });
    const hop = document.hops[0];
    expect(index.whereabouts('hop', hop?.id ?? '')).toEqual({ step: 'routes', item: hop?.routeId });
    expect(index.whereabouts('plan', document.plan.id)).toEqual({ step: 'site' });
});

test('anything with a name, an address or a code can be found', () => {
    const all = searchable(index, []);
    const address = document.addresses[0]?.value ?? '';
    expect(search(all, address)[0]?.kind).toBe('address');
    expect(search(all, '0x03')[0]?.kind).toBe('hop');
    expect(search(all, 'warm mat').map((one) => one.kind)).toEqual(expect.arrayContaining(['load', 'output']));
    expect(search(all, 'warm mat').find((one) => one.kind === 'output')?.what).toContain('thermostat');
});
