import { describe, expect, it } from 'vitest';
import { plot, ticks } from './curve';

describe('a curve', () => {
    it('has ticks at round figures within its span', () => {
        expect(ticks(3, 15, 6)).toEqual([4, 6, 8, 10, 12, 14]);
        expect(ticks(0, 31, 6)).toEqual([0, 10, 20, 30]);
        expect(ticks(-113, 0, 4)).toEqual([-100, -50, 0]);
        expect(ticks(5, 5, 4)).toEqual([5]);
    });

    it('runs from edge to edge, upward, from nought', () => {
        const drawn = plot([[0, 0], [5, 25], [10, 100]], 200, 100); // prettier-ignore
        expect(drawn.path).toBe('M0.0 100.0L100.0 75.0L200.0 0.0');
        expect(drawn.place(10, 100)).toEqual({ x: 200, y: 0 });
        expect(drawn.x.map((tick) => tick.text)).toEqual(['0', '2', '4', '6', '8', '10']);
    });

    it('stands below nought where all is negative', () => {
        const drawn = plot([[0, -113], [31, -51]], 310, 113); // prettier-ignore
        expect(drawn.path).toBe('M0.0 113.0L310.0 51.0');
    });
});
