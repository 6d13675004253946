/** Marks and spaces laid out to scale. */
export interface Mark {
    x: number;
    width: number;
}

/**
 * Where the marks stand on a strip of so many pixels.
 *
 * @param lengthsUs mark first, alternating
 * @param spanUs what the whole strip stands for; the signal's own length when left out
 */
export function marks(lengthsUs: number[], width: number, spanUs?: number): Mark[] {
    const total = spanUs ?? lengthsUs.reduce((sum, length) => sum + length, 0);
    const scale = total > 0 ? width / total : 0;
    const found: Mark[] = [];
    let at = 0;
    lengthsUs.forEach((length, place) => {
        if (place % 2 === 0) {
            found.push({ x: at * scale, width: Math.max(1, length * scale) });
        }
        at += length;
    });
    return found;
}

/** A round step for a ruler of so many milliseconds: about eight ticks. */
export function tickMs(totalMs: number): number {
    const rough = totalMs / 8;
    const decade = 10 ** Math.floor(Math.log10(Math.max(rough, 0.001)));
    return [1, 2, 5, 10].map((step) => step * decade).find((step) => step >= rough) ?? rough;
}
