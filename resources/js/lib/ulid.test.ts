import { expect, test } from 'vitest';
import { ulid } from './ulid';

test('ids have the form the server takes', () => {
    for (let round = 0; round < 200; round++) {
        expect(ulid()).toMatch(/^[0-7][0-9A-HJKMNP-TV-Z]{25}$/);
    }
});

test('later ids sort after earlier ones', () => {
    expect(ulid(1_000) < ulid(2_000)).toBe(true);
    // The specification's own example: 1469918176385 ms is 01ARYZ6S41.
    expect(ulid(1_469_918_176_385).slice(0, 10)).toBe('01ARYZ6S41');
});

test('ids do not repeat', () => {
    expect(new Set(Array.from({ length: 1000 }, () => ulid(5))).size).toBe(1000);
});
