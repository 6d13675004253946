import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from './api';
import { session } from './session.svelte';
import { add, change, workspace } from './workspace.svelte';

vi.mock('./api', () => ({ api: { GET: vi.fn(), POST: vi.fn() } }));

const GET = vi.mocked(api.GET);
const POST = vi.mocked(api.POST);
const state = (version: number) => ({
    version,
    plan: {},
    things: {
        acceptances: { fields: [], rows: [] },
        nodes: { fields: ['id', 'name', 'note'], rows: [['n', 'Old', '']] },
        controls: { fields: [], rows: [] },
    },
    findings: [],
    history: { undo: null, undoOf: null, redo: null, redoOf: null },
});
/** The answer to an edit that made a version of the one before. */
const changed = (version: number, from = version - 1) => ({
    from,
    version,
    plan: {},
    things: {},
    findings: { put: [], gone: [], order: [] },
    views: {},
    history: { undo: null, undoOf: null, redo: null, redoOf: null },
});
const answer = (body: unknown, status = 200): never =>
    (status === 200 ? { data: body, response: { status } } : { error: body, response: { status } }) as never;
const rename = change('node', 'n', { name: 'New' });

const sent = (): { id: string; label: string }[] =>
    POST.mock.calls.map((call) => (call[1] as unknown as { body: { id: string; label: string } }).body);

afterEach(() => workspace.close());
beforeEach(async () => {
    session.user = { name: 'Ann', email: 'ann@linden-hollow.example' };
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

test('a plan that is shared to look at takes no edit, and says why', async () => {
    workspace.close();
    GET.mockResolvedValue(answer({ ...state(1), access: 'viewer' }));
    await workspace.open(`plan-${Math.random()}`);
    expect(await workspace.edit('Mine', rename)).toBe(false);
    expect(workspace.refusal).toBe('this plan is shared with you to look at');
    expect(POST).not.toHaveBeenCalled();
});

test('what an account may do no longer is refused and does not wait', async () => {
    POST.mockResolvedValueOnce(answer({ message: 'Shared to look at.' }, 403));
    expect(await workspace.edit('Mine', rename)).toBe(false);
    expect(workspace.refusal).toBe('Shared to look at.');
    expect(workspace.saving).toBe('saved');
});

test('a stale edit is shown with what was done since', async () => {
    const since = [{ version: 2, label: 'Theirs', by: 'Bob' }];
    POST.mockResolvedValueOnce(answer({ message: 'Stale.', version: 2, since }, 409));
    expect(await workspace.edit('Mine', rename)).toBe(false);
    expect(workspace.conflict).toEqual({ message: 'Stale.', mine: 'Mine', since });
});

test('an edit that did not arrive waits, is shown all the same, and is sent again by the same id', async () => {
    POST.mockRejectedValueOnce(new TypeError('no network'))
        .mockRejectedValueOnce(new TypeError('no network'))
        .mockResolvedValueOnce(answer(changed(2)));
    expect(await workspace.edit('Lost', rename)).toBe(true);
    expect(workspace.saving).toBe('waiting');
    expect(workspace.data?.document.nodes[0]?.name).toBe('New');
    await vi.waitFor(() => expect(workspace.saving).toBe('saved'), { timeout: 3000 });
    expect(workspace.data?.version).toBe(2);
    expect(new Set(sent().map((body) => body.id)).size).toBe(1);
});

test.each([500, 503, 429, 502])('after a %i nothing is lost and nothing is called saved', async (status) => {
    POST.mockResolvedValueOnce(answer({ message: 'Not now.' }, status)).mockResolvedValueOnce(answer(changed(2)));
    expect(await workspace.edit('Kept', rename)).toBe(true);
    expect(workspace.unsent).toHaveLength(1);
    await vi.waitFor(() => expect(workspace.saving).toBe('saved'));
    expect(workspace.data?.version).toBe(2);
});

test('edits made without a way through are sent in order, and outlive the page', async () => {
    const plan = workspace.planId;
    POST.mockRejectedValue(new TypeError('no network'));
    await workspace.edit('First', rename);
    await workspace.edit('Second', change('node', 'n', { note: 'x' }));
    await vi.waitFor(() => expect(workspace.unsent).toHaveLength(2));
    expect(workspace.data?.document.nodes[0]).toMatchObject({ name: 'New', note: 'x' });
    workspace.close();
    // Another plan takes its place, as after a reload nothing is left in memory.
    await workspace.open('another');
    expect(workspace.unsent).toHaveLength(0);
    POST.mockReset()
        .mockResolvedValueOnce(answer(changed(2)))
        .mockResolvedValueOnce(answer(changed(3)));
    await workspace.open(plan);
    await vi.waitFor(() => expect(workspace.saving).toBe('saved'));
    expect(sent().map((body) => body.label)).toEqual(['First', 'Second']);
    expect(workspace.data?.version).toBe(3);
});

test('what needs something that was refused goes with it, and the rest goes on', async () => {
    POST.mockRejectedValueOnce(new TypeError('no network')).mockRejectedValueOnce(new TypeError('no network'));
    await workspace.edit('Bad', add('node', 'new', { name: '' }));
    await workspace.edit('On it', add('control', 'key', { nodeId: 'new' }));
    await workspace.edit('Else', rename);
    POST.mockReset()
        .mockResolvedValueOnce(answer({ message: 'No.', problems: [] }, 422))
        .mockResolvedValueOnce(answer(changed(2)));
    await workspace.retry();
    await vi.waitFor(() => expect(workspace.saving).toBe('saved'));
    expect(sent().map((body) => body.label)).toEqual(['Bad', 'Else']);
});

test('after signing out edits wait until the same account is back', async () => {
    POST.mockResolvedValueOnce(answer({ message: 'Unauthenticated.' }, 401)).mockResolvedValueOnce(answer(changed(2)));
    GET.mockResolvedValue(answer({ user: null }));
    expect(await workspace.edit('Late', rename)).toBe(true);
    expect(workspace.signedOut).toBe(true);
    await new Promise((done) => setTimeout(done, 50));
    expect(POST).toHaveBeenCalledTimes(1);
    GET.mockResolvedValue(answer({ user: { name: 'Ann', email: 'ann@linden-hollow.example' } }));
    await vi.waitFor(() => expect(workspace.saving).toBe('saved'), { timeout: 3000 });
    expect(workspace.signedOut).toBe(false);
    expect(workspace.data?.version).toBe(2);
});

test('an edit at odds with another is given up, or made all the same on the newest version', async () => {
    POST.mockResolvedValueOnce(answer({ message: 'Stale.', version: 2, since: [] }, 409));
    expect(await workspace.edit('Mine', rename)).toBe(false);
    expect(workspace.saving).toBe('waiting');
    GET.mockResolvedValue(answer(state(2)));
    POST.mockResolvedValueOnce(answer(changed(3)));
    await workspace.insist();
    expect(sent().at(-1)).toMatchObject({ version: 2, label: 'Mine' });
    expect(workspace.saving).toBe('saved');
    POST.mockResolvedValueOnce(answer({ message: 'Stale.', version: 4, since: [] }, 409));
    await workspace.edit('Mine', rename);
    await workspace.giveUp();
    expect(workspace.saving).toBe('saved');
    expect(workspace.conflict).toBeNull();
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

test('a plan that is opened while an edit of another is on its way sends what waits of it, and takes nothing of the other', async () => {
    const plan = workspace.planId;
    POST.mockRejectedValue(new TypeError('no network'));
    await workspace.edit('First', rename);
    let late: (value: never) => void = () => undefined;
    POST.mockReset().mockReturnValueOnce(new Promise((resolve) => (late = resolve)) as never);
    await workspace.open('another');
    void workspace.edit('Elsewhere', rename);
    await vi.waitFor(() => expect(POST).toHaveBeenCalledTimes(1));
    POST.mockResolvedValueOnce(answer(changed(2)));
    GET.mockResolvedValue(answer(state(1)));
    const opening = workspace.open(plan);
    expect(workspace.saving).not.toBe('waiting');
    await opening;
    late(answer(changed(2)));
    await vi.waitFor(() => expect(workspace.saving).toBe('saved'));
    await new Promise((done) => setTimeout(done));
    expect(sent().map((body) => body.label)).toEqual(['Elsewhere', 'First']);
    expect(workspace.data?.version).toBe(2);
});

test('an edit is not given up for a view that the server does not know', async () => {
    const problems = [{ place: '/views', message: 'must name views that there are' }];
    POST.mockResolvedValueOnce(answer({ message: 'No.', problems }, 422)).mockResolvedValueOnce(answer(changed(2)));
    expect(await workspace.edit('Kept', rename)).toBe(true);
    expect(workspace.data?.version).toBe(2);
    expect(workspace.refusal).toBeNull();
    expect(sent().at(-1)).toMatchObject({ label: 'Kept', views: {} });
});
