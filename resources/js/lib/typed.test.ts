import { expect, test } from 'vitest';
import { typed } from './typed';

test.each([
    ['', null],
    ['0', 0],
    ['-3', -3],
    ['+1', 1],
    ['2.5', 2.5],
    ['2,5', 2.5],
    ['three', 'three'],
    ['1e3', '1e3'],
    ['0x10', '0x10'],
    ['1 2', '1 2'],
])('"%s" is told as %j', (text, value) => {
    expect(typed(text)).toBe(value);
});
