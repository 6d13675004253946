import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, expect, test, vi } from 'vitest';
import type { Outbox as Box, Waiting } from './outbox';

const waiting = (id: string): Waiting => ({
    id,
    does: 'edit',
    label: id,
    operations: [],
    version: 1,
    exact: false,
    of: null,
});
const ids = (box: Box): string[] => box.all().map((one) => one.id);

/** Locks as a browser with several tabs has them; a tab that is closed lets go of its own. */
let held = new Map<string, string>();
let tabs: Record<string, Record<string, string>> = {};

/** A tab by a name of ours: a module of its own, with its own session storage. */
async function tab(name: string): Promise<typeof import('./outbox')> {
    vi.resetModules();
    const kept = (tabs[name] ??= {});
    vi.stubGlobal('sessionStorage', {
        getItem: (key: string) => kept[key] ?? null,
        setItem: (key: string, value: string) => (kept[key] = value),
    });
    vi.stubGlobal('navigator', {
        locks: {
            request: async (lock: string, options: unknown, work?: (got: unknown) => unknown) => {
                const run = (work ?? options) as (got: unknown) => unknown;
                if (work !== undefined && held.has(lock) && held.get(lock) !== name) {
                    return run(null);
                }
                held.set(lock, name);
                const done = run({});
                return work === undefined ? Promise.resolve(done).finally(() => held.delete(lock)) : undefined;
            },
            query: () => Promise.resolve({ held: [...held.keys()].map((lock) => ({ name: lock })) }),
        },
    });
    return import('./outbox');
}
const close = (name: string): void => {
    held = new Map([...held].filter(([, holder]) => holder !== name));
};

beforeEach(() => {
    vi.stubGlobal('indexedDB', new IDBFactory());
    held = new Map();
    tabs = {};
});

test('what waits outlives the page, in order, and what was sent does not come back', async () => {
    const { Outbox } = await tab('one');
    const box = await Outbox.open('ann@x', 'p');
    await box.add(waiting('a'));
    await box.add(waiting('b'));
    await box.add(waiting('c'));
    await box.change('c', { of: 7 });
    await box.drop(['a']);
    const { Outbox: Again } = await tab('one');
    const again = await Again.open('ann@x', 'p');
    expect(ids(again)).toEqual(['b', 'c']);
    expect(again.all()[1]?.of).toBe(7);
    expect(again.tab).toBe(box.tab);
});

test('of a tab that is there nobody takes anything; of one that is gone the next does', async () => {
    const one = await (await tab('one')).Outbox.open('ann@x', 'p');
    await one.add(waiting('a'));
    const { Outbox } = await tab('two');
    const two = await Outbox.open('ann@x', 'p');
    expect(two.tab).not.toBe(one.tab);
    expect(ids(two)).toEqual([]);
    close('one');
    expect(ids(await Outbox.open('ann@x', 'p'))).toEqual(['a']);
});

test('a copied tab gets a name of its own', async () => {
    const one = await (await tab('one')).Outbox.open('ann@x', 'p');
    await one.add(waiting('a'));
    tabs['copy'] = { ...tabs['one'] };
    const copy = await (await tab('copy')).Outbox.open('ann@x', 'p');
    expect(copy.tab).not.toBe(one.tab);
    expect(ids(copy)).toEqual([]);
});

test('another account, or another plan, never sends it', async () => {
    const { Outbox } = await tab('one');
    await (await Outbox.open('ann@x', 'p')).add(waiting('a'));
    expect(ids(await Outbox.open('bob@x', 'p'))).toEqual([]);
    expect(ids(await Outbox.open('ann@x', 'q'))).toEqual([]);
    expect(ids(await Outbox.open('ann@x', 'p'))).toEqual(['a']);
});

test('a browser that keeps nothing still sends', async () => {
    vi.stubGlobal('indexedDB', undefined);
    const box = await (await tab('one')).Outbox.open('ann@x', 'p');
    await box.add(waiting('a'));
    expect(ids(box)).toEqual(['a']);
    await box.drop(['a']);
    expect(ids(box)).toEqual([]);
});
