import { expect, test } from 'vitest';
import { firstWhole, lengthOf, piecesInView, startsOf, type Piece } from './window';

const starts = startsOf(Array.from({ length: 1000 }, () => 32));
const drawn = (pieces: Piece[]): number[] => pieces.flatMap((piece) => ('at' in piece ? [piece.at] : []));
const total = (pieces: Piece[]): number => pieces.reduce((sum, piece) => sum + lengthOf(piece, starts), 0);

test('each item begins where the one before it ends', () => {
    expect(startsOf([58, 90, 58])).toEqual([0, 58, 148, 206]);
    expect(startsOf([])).toEqual([0]);
});

test.each([
    ['the top', 0, 0],
    ['the middle', 16_000, 500],
    ['the end', 31_600, 999],
])('at %s what is in view is drawn, and the rest is as long as it would be', (_, scrolled, chosen) => {
    const pieces = piecesInView(starts, scrolled, 400, chosen);
    const first = Math.floor(scrolled / 32);
    for (let at = first; at <= Math.min(999, Math.floor((scrolled + 399) / 32)); at++) {
        expect(drawn(pieces)).toContain(at);
    }
    expect(drawn(pieces).length).toBeLessThan(45);
    expect(total(pieces)).toBe(32_000);
});

test.each([3, 996])('the chosen item is drawn wherever it is: %i', (chosen) => {
    const pieces = piecesInView(starts, 16_000, 400, chosen);
    expect(drawn(pieces)).toContain(chosen);
    expect(drawn(pieces)).toEqual([...drawn(pieces)].sort((a, b) => a - b));
    expect(new Set(drawn(pieces)).size).toBe(drawn(pieces).length);
    expect(total(pieces)).toBe(32_000);
});

test('without an extent all is drawn', () => {
    expect(drawn(piecesInView(starts, 16_000, null, 0))).toHaveLength(1000);
});

test('an empty list has no pieces, and a choice that is gone draws nothing', () => {
    expect(piecesInView([0], 0, 400, 0)).toEqual([]);
    expect(drawn(piecesInView(startsOf([32, 32]), 0, 400, 7))).toEqual([0, 1]);
});

test.each([
    [0, 0],
    [1, 1],
    [31, 1],
    [32, 1],
    [33, 2],
])('scrolled by %i, item %i is the first that is seen whole', (scrolled, first) => {
    expect(firstWhole(starts, scrolled)).toBe(first);
});
