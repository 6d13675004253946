import { expect, test } from 'vitest';
import { layOut, wrap } from './line-map';

const posts = (count: number) =>
    Array.from({ length: count }, (_, at) => ({ nodeId: `n${at}`, placeId: `p${Math.floor(at / 4)}` }));
const line = (...nodes: number[]) => ({
    linkId: 'l',
    form: 'dashed' as const,
    mediumKey: 'packet-radio',
    medium: 'm',
    stops: nodes.map((node) => ({ endpointId: `e${node}`, nodeId: `n${node}`, mark: null })),
});

test('a line runs from its first stop to its last and no farther', () => {
    const [band] = layOut({ posts: posts(4), lines: [line(1, 3)] }, 900);
    expect(band?.lines[0]?.from).toBe(band?.posts[1]?.x);
    expect(band?.lines[0]?.to).toBe(band?.posts[3]?.x);
});

test('a wide plan folds between places, shows every post once and stays on the page', () => {
    const bands = layOut({ posts: posts(60), lines: [line(0, 30, 59)] }, 900);
    expect(bands.length).toBeGreaterThan(4);
    expect(bands.flatMap((band) => band.posts.map((post) => post.nodeId))).toEqual(
        posts(60).map((post) => post.nodeId),
    );
    for (const band of bands) {
        expect(Math.max(...band.posts.map((post) => post.x))).toBeLessThan(900);
        expect(band.lines).toHaveLength(1);
    }
    expect(bands[0]?.posts.length).toBe(8);
    expect(bands[0]?.lines[0]?.toAfter).toBe(true);
    expect(bands.at(-1)?.lines[0]?.toAfter).toBe(false);
});

test('a page as narrow as a phone gets bands of three at most, that lie within what is drawn', () => {
    const bands = layOut({ posts: posts(12), lines: [line(0, 11)] }, 340);
    expect(Math.max(...bands.map((band) => band.posts.length))).toBe(3);
    expect(bands.flatMap((band) => band.posts)).toHaveLength(12);
    for (const band of bands) {
        expect(Math.max(...band.posts.map((post) => post.x)) + 38).toBeLessThanOrEqual(band.width);
        expect(Math.max(...band.lines.map((one) => one.to))).toBeLessThanOrEqual(band.width);
    }
});

test('a node on two lines has a bar from the first to the last', () => {
    const [band] = layOut({ posts: posts(3), lines: [line(0, 1), { ...line(1, 2), linkId: 'k' }] }, 900);
    expect(band?.bars).toHaveLength(1);
    expect(band?.bars[0]?.top).toBe(band?.lines[0]?.y);
    expect(band?.bars[0]?.bottom).toBe(band?.lines[1]?.y);
});

test('long names wrap and are shortened', () => {
    expect(wrap('Hen house')).toEqual(['Hen house']);
    expect(wrap('Propagation bench')).toEqual(['Propagation', 'bench']);
    expect(wrap('Incomprehensibilities')).toEqual(['Incomprehe…']);
});
