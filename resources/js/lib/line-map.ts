import type { Schemas } from './api';

/** Turns the core's order of posts and lines into places on the page. All lengths in pixels. */
export interface Band {
    posts: { nodeId: string; placeId: string | null; x: number }[];
    places: { placeId: string | null; from: number; to: number }[];
    lines: Line[];
    bars: { nodeId: string; x: number; top: number; bottom: number }[];
    width: number;
    height: number;
}

export interface Line {
    linkId: string;
    form: Schemas['LineForm'];
    y: number;
    from: number;
    to: number;
    /** The line goes on in the band before or after. */
    fromBefore: boolean;
    toAfter: boolean;
    stops: { endpointId: string; nodeId: string; mark: string | null; x: number }[];
}

export const LABELS = 150;
export const TOP = 70;
const ROW = 54;
const GAP = 14;

/** A wide plan folds into bands, between places where it can. */
export function layOut(map: Schemas['LineMap'], room: number, step = 76): Band[] {
    // A band of three posts is the narrowest of use: on a narrower page it is drawn smaller.
    const width = Math.max(room, LABELS + 40 + 3 * step + 2 * GAP);
    const most = Math.floor((width - LABELS - 30) / step);
    return fold(map.posts, most).map((posts, at, all) => band(map, posts, at > 0, at < all.length - 1, width, step));
}

type Post = Schemas['LineMapPost'];

function fold(posts: Post[], most: number): Post[][] {
    const bands: Post[][] = [];
    let rest = posts;
    while (rest.length > most) {
        let cut = most;
        while (cut > most / 2 && rest[cut]?.placeId === rest[cut - 1]?.placeId) {
            cut--;
        }
        cut = cut > most / 2 ? cut : most;
        bands.push(rest.slice(0, cut));
        rest = rest.slice(cut);
    }
    return [...bands, rest];
}

function band(
    map: Schemas['LineMap'],
    posts: Post[],
    more: boolean,
    further: boolean,
    width: number,
    step: number,
): Band {
    const spacing = Math.min(110, Math.max(step, (width - LABELS - 40) / Math.max(1, posts.length)));
    let x = LABELS + spacing / 2;
    const placed = posts.map((post, at) => {
        x += at === 0 ? 0 : spacing + (post.placeId === posts[at - 1]?.placeId ? -GAP / 2 : GAP / 2);
        return { ...post, x };
    });
    const at = new Map(placed.map((post) => [post.nodeId, post.x]));
    const order = new Map(map.posts.map((post, index) => [post.nodeId, index]));
    const first = order.get(posts[0]?.nodeId ?? '') ?? 0;
    const last = first + posts.length - 1;
    const right = (placed.at(-1)?.x ?? LABELS) + spacing / 2;
    const lines: Line[] = [];
    for (const line of map.lines) {
        const places = line.stops.map((stop) => order.get(stop.nodeId) ?? 0);
        const stops = line.stops
            .filter((stop) => at.has(stop.nodeId))
            .map((stop) => ({ ...stop, x: at.get(stop.nodeId) ?? 0 }));
        const fromBefore = more && places.some((place) => place < first) && places.some((place) => place >= first);
        const toAfter = further && places.some((place) => place > last) && places.some((place) => place <= last);
        if (stops.length > 0 || (fromBefore && toAfter) || (map.lines.length > 0 && line.stops.length === 0 && !more)) {
            lines.push({
                linkId: line.linkId,
                form: line.form,
                y: TOP + 34 + lines.length * ROW,
                from: fromBefore ? LABELS - 8 : (stops[0]?.x ?? LABELS),
                to: toAfter ? right : (stops.at(-1)?.x ?? LABELS),
                fromBefore,
                toAfter,
                stops,
            });
        }
    }
    const places: Band['places'] = [];
    for (const post of placed) {
        const open = places.at(-1);
        if (open !== undefined && open.placeId === post.placeId) {
            open.to = post.x;
        } else {
            places.push({ placeId: post.placeId, from: post.x, to: post.x });
        }
    }
    const bars = placed.flatMap((post) => {
        const ys = lines.filter((line) => line.stops.some((stop) => stop.nodeId === post.nodeId)).map((line) => line.y);
        return ys.length < 2 ? [] : [{ nodeId: post.nodeId, x: post.x, top: Math.min(...ys), bottom: Math.max(...ys) }];
    });
    return { posts: placed, places, lines, bars, width, height: TOP + 30 + Math.max(1, lines.length) * ROW };
}

/** A name on at most two lines of about so many letters. */
export function wrap(name: string, letters = 11): string[] {
    if (name.length <= letters) {
        return [name];
    }
    const words = name.split(' ');
    let first = words[0] ?? '';
    let next = 1;
    while (next < words.length && `${first} ${words[next]}`.length <= letters) {
        first += ` ${words[next++]}`;
    }
    return [first, words.slice(next).join(' ')].filter((line) => line !== '').map((line) => cut(line, letters));
}

/** Text on one line of about so many letters. */
export function cut(text: string, letters: number): string {
    return text.length <= letters ? text : `${text.slice(0, letters - 1)}…`;
}
