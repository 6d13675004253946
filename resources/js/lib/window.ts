/** A part of a long list as it is drawn: one item, or a stretch that is only as long as the items it stands for. */
export type Piece = { at: number } | { from: number; to: number };

/** So far beyond what is in view is drawn as well, pixels, so that scrolling shows no holes. */
const MARGIN = 400;

/** Where each item begins and, last, where the list ends. */
export function startsOf(sizes: number[]): number[] {
    const starts = [0];
    for (const size of sizes) {
        starts.push((starts.at(-1) ?? 0) + size);
    }
    return starts;
}

/**
 * Draws what is in view, and always the item that is chosen: the keyboard must find it. Without an extent all is drawn.
 */
export function piecesInView(starts: number[], scrolled: number, extent: number | null, chosen: number): Piece[] {
    const count = starts.length - 1;
    const [from, to] =
        extent === null
            ? [0, count - 1]
            : [itemAt(starts, scrolled - MARGIN), itemAt(starts, scrolled + extent + MARGIN)];
    const drawn =
        chosen < from ? [chosen, ...range(from, to)] : chosen > to ? [...range(from, to), chosen] : range(from, to);
    const pieces: Piece[] = [];
    let next = 0;
    for (const at of drawn.filter((one) => one >= 0 && one < count)) {
        if (at > next) {
            pieces.push({ from: next, to: at });
        }
        pieces.push({ at });
        next = at + 1;
    }
    if (next < count) {
        pieces.push({ from: next, to: count });
    }
    return pieces;
}

/** Names a piece among those of its list. */
export function keyOf(piece: Piece): string | number {
    return 'at' in piece ? piece.at : `${piece.from}-`;
}

/** How long a piece is. */
export function lengthOf(piece: Piece, starts: number[]): number {
    const [from, to] = 'at' in piece ? [piece.at, piece.at + 1] : [piece.from, piece.to];
    return (starts[to] ?? 0) - (starts[from] ?? 0);
}

/** The first item that lies wholly in view. */
export function firstWhole(starts: number[], scrolled: number): number {
    const at = itemAt(starts, scrolled);
    return (starts[at] ?? 0) < scrolled ? at + 1 : at;
}

function itemAt(starts: number[], place: number): number {
    let low = 0;
    let high = Math.max(0, starts.length - 2);
    while (low < high) {
        const middle = Math.ceil((low + high) / 2);
        if ((starts[middle] ?? 0) <= place) {
            low = middle;
        } else {
            high = middle - 1;
        }
    }
    return low;
}

function range(from: number, to: number): number[] {
    return Array.from({ length: Math.max(0, to - from + 1) }, (_, index) => from + index);
}
