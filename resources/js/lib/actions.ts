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

/** How a cell reads: the action, with the length of a pulse. */
export function cellText(route: Schemas['Route']): string {
    return route.action === 'pulse' && route.pulseMs !== null ? `pulse ${seconds(route.pulseMs)}` : route.action;
}

export function seconds(milliseconds: number): string {
    return milliseconds < 1000 ? `${milliseconds} ms` : `${Number((milliseconds / 1000).toFixed(2))} s`;
}
