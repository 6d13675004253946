import { expect, test } from 'vitest';
import { search, type Hit } from './search';

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
