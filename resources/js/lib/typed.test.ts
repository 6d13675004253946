import { expect, test } from 'vitest';
import { hex, typed, typedHex } from './typed';

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

test('hexadecimal is read with or without 0x, and shown in as many digits as it is written with', () => {
    expect(['2A1', '0x2a1', '', ' 7ff ', 'lamp', '123456789'].map(typedHex)).toEqual([
        0x2a1,
        0x2a1,
        null,
        0x7ff,
        'lamp',
        '123456789',
    ]);
    expect([hex(0x2a1), hex(7), hex(0x18fef1fe, 8), hex(null)]).toEqual(['2A1', '007', '18FEF1FE', '']);
});
