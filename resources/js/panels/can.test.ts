import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { readFileSync } from 'node:fs';
import { afterEach, expect, test, vi } from 'vitest';
import type { PlanDocument, Schemas } from '../lib/api';
import { workspace } from '../lib/workspace.svelte';
import BitStrip from './BitStrip.svelte';
import CanMessage from './CanMessage.svelte';
import TimeCurve from './TimeCurve.svelte';

const document = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as PlanDocument;
const message = document.busMessages.find((one) => one.name === 'Store state') as Schemas['BusMessage'];
const ends = [{ endpointId: message.endpointId, name: 'Solar store' }] as Schemas['CanEndFigures'][];

/** The signals that an edit sent. */
function sent(edit: { mock: { lastCall?: unknown[] } }): Schemas['BusMessage']['signals'] {
    return (edit.mock.lastCall?.[1] as { values: { signals: Schemas['BusMessage']['signals'] } }).values.signals;
}

afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
});

test('an identifier is typed in hexadecimal, and what is none is left to be refused', async () => {
    const edit = vi.spyOn(workspace, 'edit').mockResolvedValue(true);
    render(CanMessage, { message, ends });
    const field = screen.getByLabelText('Identifier') as HTMLInputElement;
    expect(field.value).toBe('2A1');
    for (const [typed, sent] of [
        ['0x3b0', 0x3b0],
        ['7FF', 0x7ff],
        ['store', 'store'],
    ] as const) {
        await fireEvent.change(field, { target: { value: typed } });
        await vi.waitFor(() =>
            expect(edit.mock.lastCall?.[1]).toMatchObject({ values: { identifier: sent }, id: message.id }),
        );
    }
});

test('one signal is changed and the others stay', async () => {
    const edit = vi.spyOn(workspace, 'edit').mockResolvedValue(true);
    render(CanMessage, { message, ends });
    await fireEvent.change(screen.getByLabelText('Bits of Volts'), { target: { value: '12' } });
    await vi.waitFor(() => expect(edit).toHaveBeenCalled());
    const signals = sent(edit);
    expect(signals.map((one) => [one.name, one.bits])).toEqual([
        ['Charge', 10],
        ['Volts', 12],
        ['Current', 16],
        ['Mode', 3],
        ['Faulty', 3],
    ]);
    await fireEvent.change(screen.getByLabelText('The one figure that is asked of Faulty'), { target: { value: '' } });
    await vi.waitFor(() => expect(sent(edit)[4]).toMatchObject({ equals: null }));
});

test('a strip shows as many bits as the frame has, and picks the one that is pointed at', async () => {
    const onpick = vi.fn();
    const { container } = render(BitStrip, { bytes: 2, signals: [], label: 'two bytes', onpick });
    expect(container.querySelectorAll('rect')).toHaveLength(16);
    const drawing = screen.getByRole('img', { name: 'two bytes' });
    vi.spyOn(drawing, 'getBoundingClientRect').mockReturnValue({ left: 0, width: 368 } as DOMRect);
    await fireEvent.click(drawing, { clientX: 48 });
    expect(onpick).toHaveBeenCalledWith(15);
});

test('what is drawn against time holds until the next comes', () => {
    const { container } = render(TimeCurve, { seconds: [0, 2], figures: [0, 1], marks: [1], label: 'a bit' });
    expect(container.querySelector('path')?.getAttribute('d')).toMatch(/^M36,68 H990 V14 H990$/);
    expect(container.querySelectorAll('line')).toHaveLength(2);
});
