import { expect, test } from 'vitest';
import { cells } from './bit-strip';

test('bits stand as they are written: byte by byte, bit 7 first', () => {
    const drawn = cells(2, [], 8);
    expect(drawn.map((one) => one.place)).toEqual([7, 6, 5, 4, 3, 2, 1, 0, 15, 14, 13, 12, 11, 10, 9, 8]);
    expect(drawn[0]?.x).toBe(0);
    expect(drawn[8]?.x).toBe(70);
});

test('each signal begins once, and of two that share a bit the one that is acted on is shown', () => {
    const signals = [
        { name: 'Mode', places: [2, 1, 0], isRead: false },
        { name: 'Faulty', places: [2, 1, 0], isRead: true },
        { name: 'Far', places: [8], isRead: false },
    ];
    const drawn = cells(2, signals, 8);
    expect(drawn.filter((one) => one.begins).map((one) => [one.place, one.at])).toEqual([
        [2, 1],
        [8, 2],
    ]);
    expect(drawn.filter((one) => one.isRead)).toHaveLength(3);
});
