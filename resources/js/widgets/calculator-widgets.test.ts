import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import CalculatorAnswer from './CalculatorAnswer.svelte';
import CalculatorCurve from './CalculatorCurve.svelte';
import CalculatorForm from './CalculatorForm.svelte';

afterEach(cleanup);

const quantity = (name: string, more: Partial<Schemas['Calculator']['inputs'][number]> = {}) => ({
    name,
    kind: 'number' as const,
    unit: null,
    doc: `What ${name} is.`,
    required: true,
    example: '1',
    choices: [],
    ...more,
});

const calculator: Schemas['Calculator'] = {
    name: 'quarter-wave',
    topic: 'Antennas',
    title: 'Quarter-wave antenna',
    plainly: 'Length of a quarter-wave wire',
    formula: '0.95 · c / 4f',
    source: 'c / 4f',
    inputs: [
        quantity('freq_mhz', { unit: 'MHz', doc: 'Frequency.' }),
        quantity('kind', { kind: 'choice', choices: ['wire', 'coil'] }),
        quantity('toggle', { kind: 'flag', required: false }),
    ],
    outputs: [quantity('length_mm', { unit: 'mm' })],
    destination: null,
};

test('a calculator asks for each figure by its name and unit, and says what it means unless the name does', async () => {
    const onset = vi.fn();
    render(CalculatorForm, { calculator, values: { freq_mhz: '433.92', kind: 'coil' }, onset });
    expect(screen.getByLabelText('Frequency, MHz')).toHaveProperty('value', '433.92');
    expect(screen.queryByText('Frequency.')).toBeNull();
    expect(screen.getByText('What kind is.')).toBeTruthy();
    expect(screen.getByLabelText('Kind')).toHaveProperty('value', 'coil');
    expect(screen.getByLabelText('Toggle')).toHaveProperty('value', 'false');
    await fireEvent.change(screen.getByLabelText('Frequency, MHz'), { target: { value: '868.35' } });
    expect(onset).toHaveBeenCalledExactlyOnceWith('freq_mhz', '868.35');
});

test('an answer has its unit, no needless digits, and says when there is none', () => {
    const worked = { outputs: { length_mm: 164.08712 }, curve: null };
    const { unmount } = render(CalculatorAnswer, { calculator, values: {}, worked });
    expect(screen.getByText(/164\.087/).textContent).toMatch(/^164\.087\s*mm$/);
    unmount();
    render(CalculatorAnswer, { calculator, values: {}, worked: { outputs: { length_mm: null }, curve: null } });
    expect(screen.getByText('none')).toBeTruthy();
});

test('timings are drawn to scale as a signal', () => {
    render(CalculatorAnswer, {
        calculator: { ...calculator, outputs: [quantity('timings_us', { kind: 'numbers', unit: 'µs' })] },
        values: {},
        worked: { outputs: { timings_us: [9000, 4500, 562.5] }, curve: null },
    });
    expect(screen.getByText(/9000, 4500, 562\.5/)).toBeTruthy();
    expect(screen.getByRole('img', { name: 'The signal, to scale' })).toBeTruthy();
});

test('a curve says what it shows, and marks the place one is at only where it lies on it', () => {
    const curve = { input: 'freq_mhz', output: 'length_mm', points: [[300, 237], [930, 77]] }; // prettier-ignore
    const worked = { outputs: { length_mm: 164 }, curve };
    const { container, unmount } = render(CalculatorCurve, { calculator, values: { freq_mhz: '433.92' }, worked });
    expect(screen.getByRole('img', { name: /^Length, mm over Frequency, MHz/ })).toBeTruthy();
    expect(container.querySelectorAll('circle')).toHaveLength(1);
    unmount();
    const beyond = render(CalculatorCurve, { calculator, values: { freq_mhz: '2440' }, worked });
    expect(beyond.container.querySelectorAll('circle')).toHaveLength(0);
});
