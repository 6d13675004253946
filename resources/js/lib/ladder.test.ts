import { describe, expect, it } from 'vitest';
import { ladder } from './ladder';

const at = (drawn: ReturnType<typeof ladder>, index: number) => drawn.strokes[index] ?? { top: NaN, height: NaN };
const gap = (drawn: ReturnType<typeof ladder>): number => at(drawn, 2).top - at(drawn, 0).top;
const bottom = (drawn: ReturnType<typeof ladder>): number => at(drawn, 2).top + at(drawn, 2).height;

describe('a poll ladder', () => {
    const strokes = [
        { kind: 'question' as const, from: 0, to: 2, fromMs: 0, toMs: 10, label: 'asks 3' },
        { kind: 'rest' as const, from: 2, to: 2, fromMs: 10, toMs: 12, label: 'turn' },
        { kind: 'answer' as const, from: 2, to: 0, fromMs: 12, toMs: 22, label: 'answer' },
    ];

    it('draws time to scale, each frame high enough for its letters', () => {
        const drawn = ladder(3, strokes, 10);
        expect(drawn.strokes[0]?.height).toBe(22);
        expect(gap(drawn)).toBeCloseTo(26.4);
        expect(drawn.strokes[0]?.left).toBe(drawn.x(0));
        expect(drawn.strokes[0]?.width).toBe(drawn.x(2) - drawn.x(0));
    });

    it('points to where it is heard', () => {
        const drawn = ladder(3, strokes, 10);
        expect(drawn.strokes[0]?.arrow).toContain(`L${drawn.x(2) - 3} `);
        expect(drawn.strokes[2]?.arrow).toContain(`L${drawn.x(0) + 3} `);
    });

    it('has room for all of it, and round figures beside it', () => {
        const drawn = ladder(9, strokes, 10);
        expect(drawn.width).toBeGreaterThan(drawn.x(8));
        expect(drawn.height).toBeGreaterThan(bottom(drawn));
        expect(drawn.ticks.map((tick) => tick.ms)).toEqual([0, 20]);
        expect(ladder(3, strokes, 1).ticks.map((tick) => tick.ms)).toEqual([0, 2, 4, 6, 8, 10, 12, 14, 16, 18, 20, 22]);
    });

    it('stands empty without a word', () => {
        expect(ladder(0, [], 0).strokes).toEqual([]);
    });
});
