import { expect, test } from 'vitest';
import { marks, tickMs } from './pulse-strip';

test('marks stand where they come, to scale', () => {
    expect(marks([100, 200, 100], 400)).toEqual([
        { x: 0, width: 100 },
        { x: 300, width: 100 },
    ]);
});

test('a strip that stands for more leaves room at its end', () => {
    expect(marks([100, 200, 100], 400, 800)).toEqual([
        { x: 0, width: 50 },
        { x: 150, width: 50 },
    ]);
});

test('a mark is always seen, and nothing is drawn of nothing', () => {
    expect(marks([1, 100_000], 100)[0]?.width).toBe(1);
    expect(marks([], 100)).toEqual([]);
});

test('ticks are round and few', () => {
    expect(tickMs(68)).toBe(10);
    expect(tickMs(25)).toBe(5);
    expect(tickMs(8)).toBe(1);
});
