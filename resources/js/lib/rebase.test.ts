import { expect, test } from 'vitest';
import type { Operation, PlanDocument } from './api';
import { merged, rebased } from './rebase';

const keys = (...names: string[]): { name: string; bit: number }[] => names.map((name, bit) => ({ name, bit }));
const change = (values: Record<string, unknown>, id = 'm'): Operation => ({
    op: 'change',
    kind: 'ownModule',
    id,
    values: values as Operation['values'],
});
const shown = {
    plan: { id: 'p', name: 'House', busyWifi: [1] },
    ownModules: [{ id: 'm', name: 'Pad', description: { advice: 'A', keys: keys('a', 'b', 'c') }, order: 0 }],
} as unknown as PlanDocument;
const after = (mine: Operation, ...waiting: Operation[]): unknown => rebased([mine], shown, waiting)[0]?.values;

test('what nothing is in the way of stays as it is', () => {
    const mine = change({ description: { keys: [] } });
    expect(rebased([mine], shown, [])).toEqual([mine]);
    expect(after(mine, change({ name: 'Other' }), change({ description: {} }, 'another'))).toEqual(mine.values);
});

test('a row that is added while another goes leaves that gone', () => {
    const removal = change({ description: { advice: 'A', keys: keys('a', 'b', 'c').slice(1) } });
    const adding = change({ description: { advice: 'A', keys: [...keys('a', 'b', 'c'), { name: 'd', bit: 3 }] } });
    expect(after(adding, removal)).toEqual({
        description: { advice: 'A', keys: [...keys('a', 'b', 'c').slice(1), { name: 'd', bit: 3 }] },
    });
});

test('a row that is renamed by its place while an earlier one goes is that row still', () => {
    const renamed = keys('a', 'b', 'C');
    const gone = keys('a', 'b', 'c').slice(1);
    expect(merged(keys('a', 'b', 'c'), renamed, gone)).toEqual(renamed.slice(1));
});

test('two fields of one row are both changed, and of one field the later holds', () => {
    const was = keys('a', 'b');
    expect(merged(was, [{ name: 'A', bit: 0 }, was[1]], [{ name: 'a', bit: 7 }, was[1]])).toEqual([
        { name: 'A', bit: 7 },
        was[1],
    ]);
    expect(merged('was', 'mine', 'theirs')).toBe('mine');
    expect(merged({ a: 1, b: 2 }, { a: 1 }, { a: 5, b: 2 })).toEqual({ a: 5 });
});

test('of several on their way the last counts, which has the others in it', () => {
    const first = change({ description: { advice: 'A', keys: keys('a', 'b') } });
    const second = change({ description: { advice: 'B', keys: keys('a', 'b') } });
    const mine = change({ description: { advice: 'A', keys: [...keys('a', 'b', 'c'), { name: 'd', bit: 3 }] } });
    expect(after(mine, first, second)).toEqual({
        description: { advice: 'B', keys: [...keys('a', 'b'), { name: 'd', bit: 3 }] },
    });
});

test('rows that both put at the end both stay, and settings are left to the server', () => {
    const was = keys('a');
    expect(merged(was, [...was, { name: 'x', bit: 1 }], [...was, { name: 'y', bit: 2 }])).toEqual([
        ...was,
        { name: 'y', bit: 2 },
        { name: 'x', bit: 1 },
    ]);
    const mine = change({ settings: { one: 1 } });
    expect(after(mine, change({ settings: { other: 2 } }))).toEqual({ settings: { one: 1 } });
});

test('two channels that are ticked one after another are both in use', () => {
    const ticked = (busyWifi: number[]): Operation => ({ op: 'change', kind: 'plan', id: 'p', values: { busyWifi } });
    expect(after(ticked([1, 11]), ticked([1, 6]))).toEqual({ busyWifi: [1, 6, 11] });
    expect(after(ticked([]), ticked([1, 6]))).toEqual({ busyWifi: [6] });
});
