/** A curve laid out in a box, with round ticks along both edges. */
export interface Plot {
    path: string;
    x: { at: number; text: string }[];
    y: { at: number; text: string }[];
    place: (x: number, y: number) => { x: number; y: number };
}

/** Steps of 1, 2 or 5 times a power of ten, about so many of them between two figures. */
export function ticks(from: number, to: number, wanted: number): number[] {
    const span = to - from;
    if (span <= 0) {
        return [from];
    }
    const rough = span / wanted;
    const power = 10 ** Math.floor(Math.log10(rough));
    const step = ([1, 2, 5, 10].find((one) => one * power >= rough) ?? 10) * power;
    const found: number[] = [];
    for (let at = Math.ceil(from / step - 1e-9); at * step <= to + step * 1e-9; at++) {
        found.push(at * step + 0); // never minus nought
    }
    return found;
}

/** @param points by rising first figure, at least one */
export function plot(points: [number, number][], width: number, height: number): Plot {
    const xs = points.map((point) => point[0]);
    const ys = points.map((point) => point[1]);
    const [left, right] = [Math.min(...xs), Math.max(...xs)];
    const [low, high] = [Math.min(0, ...ys), Math.max(0, ...ys)];
    const place = (x: number, y: number): { x: number; y: number } => ({
        x: ((x - left) / (right - left || 1)) * width,
        y: height - ((y - low) / (high - low || 1)) * height,
    });
    const text = (value: number): string => String(Number(value.toPrecision(6)));
    return {
        path: points
            .map(([x, y], at) => {
                const spot = place(x, y);
                return `${at === 0 ? 'M' : 'L'}${spot.x.toFixed(1)} ${spot.y.toFixed(1)}`;
            })
            .join(''),
        x: ticks(left, right, 6).map((value) => ({ at: place(value, 0).x, text: text(value) })),
        y: ticks(low, high, 4).map((value) => ({ at: place(left, value).y, text: text(value) })),
        place,
    };
}
