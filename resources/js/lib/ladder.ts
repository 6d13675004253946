import type { Schemas } from './api';

type Stroke = Schemas['SerialStroke'];

/** A stroke where it is drawn. */
export interface DrawnStroke {
    kind: Stroke['kind'];
    label: string;
    left: number;
    top: number;
    width: number;
    height: number;
    /** Its head, at the side where it is heard. */
    arrow: string;
}

const TOP = 28;
const LEFT = 74;
const FRAME_PX = 22;
const WIDTH = 820;
const WIDEST_COLUMN = 190;

/** Places the frames of a line on a ladder: time downwards to scale, a frame as high as its letters need. */
export function ladder(
    columns: number,
    strokes: Stroke[],
    frameMs: number,
): {
    width: number;
    height: number;
    x: (column: number) => number;
    ticks: { ms: number; y: number }[];
    strokes: DrawnStroke[];
} {
    const scale = frameMs > 0 ? FRAME_PX / frameMs : 1;
    const gap = Math.max(96, Math.min(WIDEST_COLUMN, (WIDTH - LEFT - 60) / Math.max(1, columns - 1)));
    const x = (column: number): number => LEFT + 40 + column * gap;
    const y = (ms: number): number => TOP + ms * scale;
    const last = Math.max(0, ...strokes.map((stroke) => stroke.toMs));
    const every = niceStep(40 / scale);
    const ticks: { ms: number; y: number }[] = [];
    for (let at = 0; at * every <= last; at++) {
        ticks.push({ ms: Number((at * every).toFixed(3)), y: y(at * every) });
    }
    return {
        width: Math.max(240, x(Math.max(0, columns - 1)) + 70),
        height: y(last) + 12,
        x,
        ticks,
        strokes: strokes.map((stroke) => {
            const [left, right] = [x(Math.min(stroke.from, stroke.to)), x(Math.max(stroke.from, stroke.to))];
            const top = y(stroke.fromMs);
            const height = (stroke.toMs - stroke.fromMs) * scale;
            const middle = top + height / 2;
            const [tip, back] = stroke.to > stroke.from ? [right - 3, right - 9] : [left + 3, left + 9];
            return {
                kind: stroke.kind,
                label: stroke.label,
                left,
                top,
                width: right - left,
                height,
                arrow: `M${back} ${middle - 4}L${tip} ${middle}L${back} ${middle + 4}`,
            };
        }),
    };
}

/** 1, 2 or 5 of a decade, not below. */
function niceStep(least: number): number {
    const decade = 10 ** Math.floor(Math.log10(Math.max(least, 1e-3)));
    return decade * ([1, 2, 5, 10].find((one) => one * decade >= least) ?? 10);
}
