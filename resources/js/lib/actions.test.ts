import { expect, test } from 'vitest';
import type { Schemas } from './api';
import { actions, cellText, seconds } from './actions';

const route = (action: Schemas['Route']['action'], pulseMs: number | null = null): Schemas['Route'] => ({
    id: 'r',
    controlId: 'c',
    outputId: 'o',
    action,
    pulseMs,
    order: 0,
});

test('a cell names the action, and how long a pulse is', () => {
    expect(cellText(route('toggle'))).toBe('toggle');
    expect(cellText(route('pulse', 20_000))).toBe('pulse 20 s');
    expect(cellText(route('pulse', 200))).toBe('pulse 200 ms');
    expect(cellText(route('pulse'))).toBe('pulse');
});

test('seconds have no needless digits', () => {
    expect(seconds(1000)).toBe('1 s');
    expect(seconds(1500)).toBe('1.5 s');
    expect(seconds(999)).toBe('999 ms');
});

test('no two actions share a key', () => {
    expect(new Set(actions.map((one) => one.key)).size).toBe(actions.length);
});
