import { beforeEach, expect, test, vi } from 'vitest';
import { api } from './api';
import { change, workspace } from './workspace.svelte';

vi.mock('./api', () => ({ api: { GET: vi.fn(), POST: vi.fn() } }));

const GET = vi.mocked(api.GET);
const POST = vi.mocked(api.POST);
const state = (version: number) => ({
    version,
    plan: {},
    things: { acceptances: { fields: [], rows: [] } },
    findings: [],
    history: { undo: null, redo: null },
});
/** The answer to an edit that made a version of the one before. */
const changed = (version: number, from = version - 1) => ({
    from,
    version,
    plan: {},
    things: {},
    findings: { put: [], gone: [], order: [] },
    views: {},
    history: { undo: null, redo: null },
});
const answer = (body: unknown, status = 200): never =>
    (status === 200 ? { data: body, response: { status } } : { error: body, response: { status } }) as never;
const rename = change('node', 'n', { name: 'New' });

beforeEach(async () => {
    GET.mockReset().mockResolvedValue(answer(state(1)));
    POST.mockReset();
    await workspace.open(`plan-${Math.random()}`);
});

test('an edit is made against the version at hand, and the next against the one it gave', async () => {
    POST.mockResolvedValueOnce(answer(changed(2))).mockResolvedValueOnce(answer(changed(3)));
    const both = [workspace.edit('First', rename), workspace.edit('Second', rename)];
    expect(await Promise.all(both)).toEqual([true, true]);
    const versions = POST.mock.calls.map((call) => (call[1] as unknown as { body: { version: number } }).body.version);
    expect(versions).toEqual([1, 2]);
    expect(workspace.saving).toBe('saved');
});

test('a refusal names the field, keeps what was there, and the next edit goes on', async () => {
    const problems = [
        { place: '/operations/0/values/settings/channel', message: 'must be a whole number from 0 to 125' },
    ];
    POST.mockResolvedValueOnce(answer({ message: 'No.', problems }, 422)).mockResolvedValueOnce(answer(changed(2)));
    expect(await workspace.edit('Bad', rename)).toBe(false);
    expect(workspace.refusal).toBe('channel must be a whole number from 0 to 125');
    expect(workspace.data?.version).toBe(1);
    expect(await workspace.edit('Good', rename)).toBe(true);
    expect(workspace.refusal).toBeNull();
});

test('a stale edit is shown with what was done since', async () => {
    const since = [{ version: 2, label: 'Theirs', by: 'Bob' }];
    POST.mockResolvedValueOnce(answer({ message: 'Stale.', version: 2, since }, 409));
    expect(await workspace.edit('Mine', rename)).toBe(false);
    expect(workspace.conflict).toEqual({ message: 'Stale.', mine: 'Mine', since });
});

test('an edit that did not arrive is kept and can be sent again', async () => {
    POST.mockRejectedValueOnce(new TypeError('no network')).mockResolvedValueOnce(answer(changed(2)));
    expect(await workspace.edit('Lost', rename)).toBe(false);
    expect(workspace.saving).toBe('failed');
    await workspace.retry();
    expect(workspace.saving).toBe('saved');
    expect(workspace.data?.version).toBe(2);
    expect(POST).toHaveBeenCalledTimes(2);
});

test('an edit made while signed out is kept and can be sent after signing in', async () => {
    POST.mockResolvedValueOnce(answer({ message: 'Unauthenticated.' }, 401)).mockResolvedValueOnce(answer(changed(2)));
    expect(await workspace.edit('Late', rename)).toBe(false);
    expect(workspace.saving).toBe('failed');
    expect(workspace.refusal).toContain('signed out');
    await workspace.retry();
    expect(workspace.saving).toBe('saved');
    expect(workspace.data?.version).toBe(2);
});

test('an older answer does not overwrite a newer one', async () => {
    const planId = workspace.planId;
    POST.mockResolvedValueOnce(answer(changed(2)));
    let late: (value: never) => void = () => undefined;
    GET.mockReturnValueOnce(new Promise((resolve) => (late = resolve)) as never);
    const opening = workspace.open(planId);
    await workspace.edit('In between', rename);
    late(answer(state(1)));
    await opening;
    expect(workspace.data?.version).toBe(2);
});

test('a plan that is not there is said to be missing', async () => {
    GET.mockResolvedValue(answer({ message: 'No.' }, 404));
    await workspace.open('other');
    expect(workspace.missing).toBe(true);
    expect(workspace.data).toBeNull();
});

test('an answer made against a version that is not at hand fetches the whole plan', async () => {
    POST.mockResolvedValueOnce(answer(changed(7, 6)));
    GET.mockResolvedValueOnce(answer(state(7)));
    expect(await workspace.undo()).toBe(true);
    expect(GET).toHaveBeenCalledTimes(2);
    expect(workspace.data?.version).toBe(7);
});
