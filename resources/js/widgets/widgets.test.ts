import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, expect, test, vi } from 'vitest';
import type { Finding, Schemas } from '../lib/api';
import { fieldLabelled } from '../test-queries';
import PinButton from './PinButton.svelte';
import SelectField from './SelectField.svelte';
import SettingInput from './SettingInput.svelte';
import Sign from './Sign.svelte';
import TextField from './TextField.svelte';

afterEach(cleanup);

const field = (more: Partial<Schemas['SettingField']>): Schemas['SettingField'] => ({
    name: 'channel',
    title: 'Channel',
    kind: 'whole',
    choices: [],
    lowest: 0,
    highest: 125,
    nullable: true,
    assigned: false,
    seldom: false,
    hexadecimal: false,
    default: null,
    longest: null,
    choiceNames: [],
    unit: null,
    doc: 'The channel.',
    ...more,
});

test('a text field saves what was typed, trimmed, and only when it changed', async () => {
    const onsave = vi.fn();
    render(TextField, { label: 'Name', value: 'Shed', onsave });
    const input = screen.getByLabelText('Name');
    await fireEvent.change(input, { target: { value: ' Shed ' } });
    expect(onsave).not.toHaveBeenCalled();
    await fireEvent.change(input, { target: { value: ' Barn ' } });
    expect(onsave).toHaveBeenCalledExactlyOnceWith('Barn');
});

test('a select field offers nothing only where it may be empty', async () => {
    const onsave = vi.fn();
    const items = [
        { value: 'a', name: 'First' },
        { value: 'b', name: 'Second' },
    ];
    const { unmount } = render(SelectField, { label: 'Board', value: 'a', items, empty: 'none yet', onsave });
    await fireEvent.change(screen.getByLabelText('Board'), { target: { value: '' } });
    expect(onsave).toHaveBeenCalledExactlyOnceWith('');
    unmount();
    render(SelectField, { label: 'Board', value: 'a', items, onsave });
    expect(screen.queryByText('none yet')).toBeNull();
});

test('of a great many choices only the chosen one is there until someone comes to choose', async () => {
    const onsave = vi.fn();
    const items = Array.from({ length: 1_000 }, (_, at) => ({ value: `v${at}`, name: `Route ${at}` }));
    render(SelectField, { label: 'Trace a route', value: 'v7', items, empty: 'none', onsave });
    const select = fieldLabelled<HTMLSelectElement>('Trace a route');
    expect([...select.options].map((one) => one.text)).toEqual(['none', 'Route 7']);
    await fireEvent.focus(select);
    expect(select.options).toHaveLength(1_001);
    expect(select.value).toBe('v7');
    await fireEvent.change(select, { target: { value: 'v999' } });
    expect(onsave).toHaveBeenCalledExactlyOnceWith('v999');
});

test('a setting goes to the core as a number when it is one, as nothing when cleared, and as typed when it is neither', async () => {
    const onsave = vi.fn();
    render(SettingInput, { field: field({}), value: 76, onsave });
    const input = screen.getByLabelText<HTMLInputElement>('Channel');
    for (const typed of ['80', '', 'eighty']) {
        await fireEvent.input(input, { target: { value: typed } });
        await fireEvent.change(input);
        // Nobody kept it, so it is as it was.
        await vi.waitFor(() => expect(input.value).toBe('76'));
    }
    expect(onsave.mock.calls).toEqual([[80], [null], ['eighty']]);
});

test('a choice keeps the type it has in the plan', async () => {
    const onsave = vi.fn();
    render(SettingInput, {
        field: field({ title: 'Rate', kind: 'choice', choices: [250, 1000], nullable: false, unit: 'kbit/s' }),
        value: 250,
        onsave,
    });
    await fireEvent.change(screen.getByLabelText('Rate, kbit/s'), { target: { value: '1000' } });
    expect(onsave).toHaveBeenCalledExactlyOnceWith(1000);
});

test('a flag is on or off', async () => {
    const onsave = vi.fn();
    render(SettingInput, {
        field: field({ title: 'Acknowledge', kind: 'flag', nullable: false }),
        value: true,
        onsave,
    });
    await fireEvent.change(screen.getByLabelText('Acknowledge'), { target: { value: 'false' } });
    expect(onsave).toHaveBeenCalledExactlyOnceWith(false);
});

test('a pin tells whether it is pressed', async () => {
    const onturn = vi.fn();
    render(PinButton, { pinned: true, what: 'Channel', onturn });
    const button = screen.getByRole('button', { name: 'Pin Channel', pressed: true });
    await fireEvent.click(button);
    expect(onturn).toHaveBeenCalledOnce();
});

test('severities are told apart by shape', () => {
    const shapes = (['danger', 'fault', 'warning', 'advice'] as Finding['severity'][]).map((severity) => {
        const { container, unmount } = render(Sign, { severity });
        expect(screen.getByRole('img', { name: severity })).toBeTruthy();
        const shape = container.querySelector('svg')?.firstElementChild;
        const described = `${shape?.tagName} ${shape?.getAttribute('d') ?? ''}`;
        unmount();
        return described;
    });
    expect(new Set(shapes).size).toBe(4);
});
