import { expect, test } from 'vitest';
import { rowKeys } from './row-keys';

const rows = (...names: string[]): { name: string }[] => names.map((name) => ({ name }));

test('what moves keeps its key, and what comes gets one of its own', () => {
    const keys = rowKeys();
    const [a, b, c] = keys(rows('a', 'b', 'c')) as [number, number, number];
    expect(new Set([a, b, c]).size).toBe(3);
    expect(keys(rows('b', 'c'))).toEqual([b, c]);
    const [first, ...others] = keys(rows('x', 'b', 'c'));
    expect(others).toEqual([b, c]);
    expect([a, b, c]).not.toContain(first);
    expect(keys([])).toEqual([]);
    expect(keys(rows('b'))).not.toContain(b);
});

test('a row that is changed where it stands keeps its key, alike ones each theirs', () => {
    const keys = rowKeys();
    const was = keys(rows('a', 'b', 'c'));
    expect(keys(rows('a', 'B', 'c'))).toEqual(was);
    expect(keys(rows('A', 'B', 'c'))).toEqual(was);
    const alike = keys(rows('a', 'a', 'a'));
    expect(new Set(alike).size).toBe(3);
    expect(keys(rows('a', 'a'))).toHaveLength(2);
});

test('one goes and another is changed: the others are still who they were', () => {
    const keys = rowKeys();
    const [, b, c, d] = keys(rows('a', 'b', 'c', 'd')) as [number, number, number, number];
    expect(keys(rows('b', 'c', 'D'))).toEqual([b, c, d]);
});

test('keys are unique, whatever becomes of a list', () => {
    const keys = rowKeys();
    let seed = 7;
    const draw = (below: number): number => (seed = (seed * 48_271) % 2_147_483_647) % below;
    for (let round = 0; round < 500; round++) {
        const list = rows(...Array.from({ length: draw(7) }, () => String(draw(4))));
        const found = keys(list);
        expect(found).toHaveLength(list.length);
        expect(new Set(found).size).toBe(list.length);
    }
});
