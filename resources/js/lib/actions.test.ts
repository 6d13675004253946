import { expect, test } from 'vitest';
import type { Schemas } from './api';
import { actions, cellText, seconds, takesValue, withValue } from './actions';

const route = (
    action: Schemas['Route']['action'],
    pulseMs: number | null = null,
    value: number | null = null,
): Schemas['Route'] => ({
    id: 'r',
    controlId: 'c',
    outputId: 'o',
    reverse: false,
    trim: 0,
    endLow: 100,
    endHigh: 100,
    mixedId: null,
    mixSubtracts: false,
    fadeMs: 0,
    action,
    pulseMs,
    order: 0,
    value,
});

test('a cell names the action, and how long a pulse is', () => {
    expect(cellText(route('toggle'))).toBe('toggle');
    expect(cellText(route('pulse', 20_000))).toBe('pulse 20 s');
    expect(cellText(route('pulse', 200))).toBe('pulse 200 ms');
    expect(cellText(route('pulse'))).toBe('pulse');
});

test('a cell names the value that is set, and the way of a step', () => {
    expect(cellText(route('set', null, -3))).toBe('set -3');
    expect(cellText(route('set'))).toBe('set');
    expect(cellText(route('step', null, 1))).toBe('step +1');
    expect(cellText(route('step', null, -2))).toBe('step -2');
    expect(cellText(route('on', null, 5))).toBe('on');
    expect(withValue('set', 0)).toBe('set 0');
    expect(['set', 'step', 'on', null].map(takesValue)).toEqual([true, true, false, false]);
});

test('seconds have no needless digits', () => {
    expect(seconds(1000)).toBe('1 s');
    expect(seconds(1500)).toBe('1.5 s');
    expect(seconds(999)).toBe('999 ms');
});

test('no two actions share a key', () => {
    expect(new Set(actions.map((one) => one.key)).size).toBe(actions.length);
});
