import { expect, test } from 'vitest';
import { placeLabels } from './ruler-labels';

test('labels that would touch go into rows of their own', () => {
    const placed = placeLabels(
        [
            { text: 'here 76', x: 500 },
            { text: 'Yard 77', x: 505 },
            { text: 'Far 20', x: 200 },
        ],
        800,
    );
    expect(placed.map((label) => label.row)).toEqual([0, 1, 0]);
});

test('a label that has no room to the left of its mark stands to the right', () => {
    expect(placeLabels([{ text: 'here 2 · 2402 MHz', x: 30 }], 800)[0]?.anchor).toBe('start');
});
