import type { Schemas } from './api';

export type Action = Schemas['Route']['action'];

/** Each action with its key in the switch table. */
export const actions: { action: Action; key: string }[] = [
    { action: 'toggle', key: 't' },
    { action: 'on', key: '1' },
    { action: 'off', key: '0' },
    { action: 'pulse', key: 'p' },
    { action: 'follow', key: 'f' },
    { action: 'momentary', key: 'm' },
    { action: 'set', key: 's' },
    { action: 'step', key: '+' },
];

/** How a cell reads: the action, with the length of a pulse or the value of a set. */
export function cellText(route: Schemas['Route']): string {
    if (route.action === 'pulse' && route.pulseMs !== null) {
        return `pulse ${seconds(route.pulseMs)}`;
    }
    return takesValue(route.action) ? withValue(route.action, route.value) : route.action;
}

/** Whether an action goes to a value, or by one. */
export function takesValue(action: string | null): boolean {
    return action === 'set' || action === 'step';
}

/** "set 3", "step +1"; the action alone while no value is given. */
export function withValue(action: string, value: number | null): string {
    return value === null ? action : `${action} ${action === 'step' && value > 0 ? '+' : ''}${value}`;
}

export function seconds(milliseconds: number): string {
    return milliseconds < 1000 ? `${milliseconds} ms` : `${Number((milliseconds / 1000).toFixed(2))} s`;
}
