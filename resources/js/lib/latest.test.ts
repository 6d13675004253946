import { expect, test } from 'vitest';
import { Latest } from './latest';

/** A server that answers when it is told to. */
function slow() {
    const sent: { what: string; answer: (said: string) => void; fail: () => void }[] = [];
    const send = (what: string) => () =>
        new Promise<string>((answer, fail) => sent.push({ what, answer, fail: () => fail(new Error('away')) }));
    const whats = () => sent.map((one) => one.what);
    const settled = () => new Promise((resume) => setTimeout(resume));
    return { sent, send, whats, settled };
}

test('one after another, and of those that wait only the last', async () => {
    const { sent, send, whats, settled } = slow();
    const latest = new Latest();
    const [first, second, third] = ['a', 'b', 'c'].map((what) => latest.ask(send(what)));
    await settled();
    // The first had not been sent when the others came.
    expect(whats()).toEqual(['c']);
    sent[0]?.answer('of c');
    expect(await Promise.all([first, second, third])).toEqual([null, null, 'of c']);
});

test('the next waits for the answer to the one before, which is told to nobody', async () => {
    const { sent, send, whats, settled } = slow();
    const latest = new Latest();
    const first = latest.ask(send('a'));
    await settled();
    const second = latest.ask(send('b'));
    await settled();
    expect(whats()).toEqual(['a']);
    sent[0]?.answer('of a');
    await settled();
    expect(whats()).toEqual(['a', 'b']);
    sent[1]?.answer('of b');
    expect(await Promise.all([first, second])).toEqual([null, 'of b']);
});

test('one that fails keeps nobody waiting, and says so if it is the last', async () => {
    const { sent, send, settled } = slow();
    const latest = new Latest();
    const first = latest.ask(send('a'));
    await settled();
    const second = latest.ask(send('b'));
    sent[0]?.fail();
    expect(await first).toBeNull();
    await settled();
    sent[1]?.fail();
    await expect(second).rejects.toThrow('away');
});
