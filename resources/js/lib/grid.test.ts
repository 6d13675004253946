import { expect, test } from 'vitest';
import { moveInGrid } from './grid';

const press = (key: string, more: Partial<KeyboardEvent> = {}) => ({
    key,
    ctrlKey: false,
    metaKey: false,
    altKey: false,
    ...more,
});
const size = { rows: 3, columns: 4 };

test.each([
    ['ArrowUp', { row: 0, column: 1 }],
    ['ArrowDown', { row: 2, column: 1 }],
    ['ArrowLeft', { row: 1, column: 0 }],
    ['ArrowRight', { row: 1, column: 2 }],
    ['Home', { row: 1, column: 0 }],
    ['End', { row: 1, column: 3 }],
])('%s leads from the middle to its neighbour or the end of the row', (key, spot) => {
    expect(moveInGrid(press(key), { row: 1, column: 1 }, size)).toEqual(spot);
});

test('a page key leads ten rows on, as far as there are any', () => {
    const tall = { rows: 25, columns: 4 };
    expect(moveInGrid(press('PageDown'), { row: 3, column: 1 }, tall)).toEqual({ row: 13, column: 1 });
    expect(moveInGrid(press('PageDown'), { row: 20, column: 1 }, tall)).toEqual({ row: 24, column: 1 });
    expect(moveInGrid(press('PageUp'), { row: 3, column: 1 }, tall)).toEqual({ row: 0, column: 1 });
});

test('Home and End with the control key lead to the corners', () => {
    expect(moveInGrid(press('Home', { ctrlKey: true }), { row: 1, column: 1 }, size)).toEqual({ row: 0, column: 0 });
    expect(moveInGrid(press('End', { ctrlKey: true }), { row: 1, column: 1 }, size)).toEqual({ row: 2, column: 3 });
});

test('at the edge it stays', () => {
    expect(moveInGrid(press('ArrowUp'), { row: 0, column: 0 }, size)).toEqual({ row: 0, column: 0 });
    expect(moveInGrid(press('ArrowRight'), { row: 2, column: 3 }, size)).toEqual({ row: 2, column: 3 });
});

test('other keys, and arrows with a modifier, are not its business', () => {
    expect(moveInGrid(press('t'), { row: 1, column: 1 }, size)).toBeNull();
    expect(moveInGrid(press('ArrowUp', { ctrlKey: true }), { row: 1, column: 1 }, size)).toBeNull();
    expect(moveInGrid(press('Home', { altKey: true }), { row: 1, column: 1 }, size)).toBeNull();
});
