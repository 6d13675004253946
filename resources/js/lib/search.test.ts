import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import type { PlanDocument } from './api';
import { PlanIndex } from './plan-index';
import { search, searchable, type Hit } from './search';

const hits: Hit[] = [
    { title: 'Hen house · Lamp', what: 'relay', kind: 'output', id: '1' },
    { title: 'Lamp link', what: 'link', kind: 'link', id: '2' },
    { title: 'C2F19A4701', what: 'address of Hen house', kind: 'address', id: '3' },
];

test('every word must be found, in name or description', () => {
    expect(search(hits, 'hen lamp').map((hit) => hit.id)).toEqual(['1']);
    expect(search(hits, 'hen c2').map((hit) => hit.id)).toEqual(['3']);
});

test('names that begin with what was typed come first', () => {
    expect(search(hits, 'lamp').map((hit) => hit.id)).toEqual(['2', '1']);
});

test('nothing typed finds nothing', () => {
    expect(search(hits, '  ')).toEqual([]);
});

test('what a device speaks and cables are found, and lead to where they are mended', () => {
    const index = new PlanIndex(JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as PlanDocument);
    const found = (words: string) => search(searchable(index, []), words)[0];
    const roller = found('cloth roller');
    expect(roller).toMatchObject({ kind: 'protocol' });
    expect(index.whereabouts('protocol', roller?.id ?? '')).toEqual({ step: 'own', item: roller?.id });
    expect(found('shade cable 1')).toMatchObject({ kind: 'cable' });
});
