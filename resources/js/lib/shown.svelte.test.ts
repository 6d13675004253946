import { flushSync } from 'svelte';
import { expect, test, vi } from 'vitest';
import { shown, view } from './shown.svelte';

vi.mock('./api', () => ({ api: { GET: vi.fn().mockReturnValue(new Promise(() => {})) } }));

test('what goes off the screen in the moment in which an edit is answered takes nothing of the answer along', () => {
    shown.begin('plan', () => 2);
    let id = $state('first');
    let all: { readonly now: unknown } | undefined;
    const stop = $effect.root(() => {
        all = view('all-off');
        view('pin-table', () => id);
    });
    flushSync();
    shown.take(
        { 'all-off': [{ of: '', shows: { outputs: [] } }], 'pin-table': [{ of: 'first', shows: { pins: [] } }] },
        shown.onScreen(),
    );
    flushSync();
    shown.take({ 'all-off': [{ of: '', shows: { outputs: ['lamp'] } }] }, shown.onScreen());
    id = 'second';
    flushSync();
    expect(all?.now).toEqual({ outputs: ['lamp'] });
    stop();
});
