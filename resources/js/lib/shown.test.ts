import { beforeEach, expect, test, vi } from 'vitest';
import { api } from './api';
import { shown } from './shown.svelte';

vi.mock('./api', () => ({ api: { GET: vi.fn() } }));

const GET = vi.mocked(api.GET);
const answer = (version: number, shows: unknown): never =>
    ({ data: { version, parts: [{ of: 'n', shows }] }, response: { status: 200 } }) as never;
const settled = (): Promise<void> => new Promise((done) => setTimeout(done));
let version = 1;

beforeEach(() => {
    version = 1;
    GET.mockReset().mockResolvedValue(answer(1, { pins: [] }));
    shown.begin('', () => version);
    shown.begin(`plan-${Math.random()}`, () => version);
});

test('a view is asked for once, however many show it, and forgotten when none does', async () => {
    shown.show('pin-table', 'n');
    shown.show('pin-table', 'n');
    await settled();
    expect(GET).toHaveBeenCalledTimes(1);
    expect(shown.now('pin-table', 'n')).toEqual({ pins: [] });
    expect(shown.onScreen()).toEqual({ 'pin-table': ['n'] });
    shown.close('pin-table', 'n');
    expect(shown.now('pin-table', 'n')).toEqual({ pins: [] });
    shown.close('pin-table', 'n');
    expect(shown.now('pin-table', 'n')).toBeUndefined();
    expect(shown.onScreen()).toEqual({});
});

test('an edit brings what it changed of what is on screen, and of nothing else', async () => {
    shown.show('pin-table', 'n');
    await settled();
    shown.take({ 'pin-table': [{ of: 'n', shows: null }], 'link-panel': [{ of: 'l', shows: {} }] }, shown.onScreen());
    await settled();
    expect(GET).toHaveBeenCalledTimes(1);
    expect(shown.now('pin-table', 'n')).toBeNull();
    expect(shown.now('link-panel', 'l')).toBeUndefined();
    shown.close('pin-table', 'n');
});

test('what came on screen after the edit was sent is asked for again: it may be from before the edit', async () => {
    const named = shown.onScreen();
    shown.show('pin-table', 'n');
    await settled();
    GET.mockResolvedValueOnce(answer(2, { pins: ['new'] }));
    version = 2;
    shown.take({}, named);
    await settled();
    expect(shown.now('pin-table', 'n')).toEqual({ pins: ['new'] });
    shown.close('pin-table', 'n');
});

test('what could not be had is asked for again after the next edit', async () => {
    GET.mockReset().mockRejectedValueOnce(new Error('offline'));
    shown.show('pin-table', 'n');
    await settled();
    expect(shown.now('pin-table', 'n')).toBeUndefined();
    GET.mockResolvedValueOnce(answer(2, { pins: ['new'] }));
    version = 2;
    shown.take({}, shown.onScreen());
    await settled();
    expect(shown.now('pin-table', 'n')).toEqual({ pins: ['new'] });
    shown.close('pin-table', 'n');
});

test('what was on its way while an edit was answered is asked for again', async () => {
    GET.mockResolvedValueOnce(answer(1, { pins: ['old'] })).mockResolvedValueOnce(answer(2, { pins: ['new'] }));
    version = 2;
    shown.show('pin-table', 'n');
    await settled();
    expect(GET).toHaveBeenCalledTimes(2);
    expect(shown.now('pin-table', 'n')).toEqual({ pins: ['new'] });
    shown.close('pin-table', 'n');
});

test('a plan that is read anew has whatever is on screen asked for again', async () => {
    shown.show('pin-table', 'n');
    await settled();
    shown.begin('other', () => 1);
    expect(shown.now('pin-table', 'n')).toBeUndefined();
    await settled();
    expect(GET).toHaveBeenCalledTimes(2);
    expect(shown.now('pin-table', 'n')).toEqual({ pins: [] });
    shown.close('pin-table', 'n');
});
