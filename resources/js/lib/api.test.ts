import { afterEach, expect, test, vi } from 'vitest';
import { inTurn } from './api';

const taken = () => new Response('{}', { status: 503, headers: { 'X-Turn': 'taken', 'Retry-After': '1' } });
const request = () => new Request('http://localhost/api/x', { method: 'POST', body: 'asked' });

afterEach(() => vi.useRealTimers());

function answers(...list: Response[]): { bodies: string[] } {
    const bodies: string[] = [];
    vi.stubGlobal('fetch', async (asked: Request) => {
        bodies.push(await asked.text());
        return list.shift() ?? taken();
    });
    return { bodies };
}

test('work that is put off is asked for again, whole, when the server says', async () => {
    vi.useFakeTimers();
    const { bodies } = answers(taken(), taken(), new Response('done'));
    const answer = inTurn(request());
    await vi.advanceTimersByTimeAsync(10_000);
    expect(await (await answer).text()).toBe('done');
    expect(bodies).toEqual(['asked', 'asked', 'asked']);
});

test('one of too many at once comes again, and one that used up its minute does not', async () => {
    vi.useFakeTimers();
    const { bodies } = answers(
        new Response('', { status: 429 }),
        new Response('', { status: 429, headers: { 'Retry-After': '40' } }),
    );
    const answer = inTurn(request());
    await vi.advanceTimersByTimeAsync(2_000);
    expect((await answer).headers.get('Retry-After')).toBe('40');
    expect(bodies).toHaveLength(2);
});

test('what fails for another reason is answered at once', async () => {
    const { bodies } = answers(new Response('{}', { status: 503, headers: { 'Retry-After': '5' } }));
    expect((await inTurn(request())).status).toBe(503);
    expect(bodies).toHaveLength(1);
});

test('nobody waits for ever', async () => {
    vi.useFakeTimers();
    const { bodies } = answers();
    const answer = inTurn(request());
    await vi.advanceTimersByTimeAsync(60_000);
    expect((await answer).status).toBe(503);
    expect(bodies.length).toBeLessThan(10);
});
