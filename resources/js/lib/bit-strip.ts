/** A signal as bits of a frame: 8 · byte + bit, the highest of its bits first. */
export interface Bits {
    name: string;
    places: number[];
    isRead: boolean;
}

export interface Cell {
    place: number;
    x: number;
    /** Which signal it is of; null for none. */
    at: number | null;
    isRead: boolean;
    /** Whether its signal begins here, as it is written. */
    begins: boolean;
}

/** Between bytes. */
export const GAP = 6;

/** The bits of a frame from left to right as they are written: byte by byte, bit 7 first. */
export function cells(bytes: number, signals: Bits[], cell: number): Cell[] {
    const owner = new Map<number, number>();
    signals.forEach((signal, at) => {
        for (const place of signal.places) {
            // Of two that share a bit the first is shown, unless only the other is acted on.
            const before = owner.get(place);
            if (before === undefined || (signal.isRead && signals[before]?.isRead === false)) {
                owner.set(place, at);
            }
        }
    });
    const drawn: Cell[] = [];
    let last: number | null = null;
    for (let byte = 0; byte < bytes; byte++) {
        for (let bit = 7; bit >= 0; bit--) {
            const place = 8 * byte + bit;
            const at = owner.get(place) ?? null;
            drawn.push({
                place,
                x: byte * (8 * cell + GAP) + (7 - bit) * cell,
                at,
                isRead: at !== null && signals[at]?.isRead === true,
                begins: at !== null && at !== last,
            });
            last = at;
        }
    }
    return drawn;
}
