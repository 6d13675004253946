import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { readFileSync } from 'node:fs';
import type { ComponentProps } from 'svelte';
import { afterEach, expect, test, vi, type Mock } from 'vitest';
import type { PlanDocument, Schemas } from '../../../lib/api';
import ProtocolFrame from './ProtocolFrame.svelte';
import ProtocolItem from './ProtocolItem.svelte';
import ValueTable from './ValueTable.svelte';

const document = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as PlanDocument;
const roller = document.protocols[0] as Schemas['Protocol'];
type Value = Schemas['Protocol']['items'][number]['sends'][number];
const values = (roller.items.find((one) => one.name === 'Position')?.sends ?? []) as Value[];

afterEach(cleanup);

async function choose(label: string, value: string): Promise<void> {
    await fireEvent.change(screen.getByLabelText(label), { target: { value } });
}

/** The values that go with a function; what is put is what the mock was called with. */
function sent(otherwise: Partial<ComponentProps<typeof ValueTable>>): Mock<(values: Value[]) => void> {
    const onput = vi.fn();
    const usual = { title: 'What goes with it', of: 'it', words: false, given: true, isAnswer: false, values, onput };
    render(ValueTable, { ...usual, ...otherwise });
    return onput;
}

test('a value becomes on or off, always the same, or the figure of the plan', async () => {
    const onput = sent({ of: 'Position' });
    await choose('What position of Position is', 'switch');
    expect(onput).toHaveBeenLastCalledWith([{ ...values[0], given: true, fixed: '', on: '1', off: '0' }]);
    await choose('What position of Position is', 'fixed');
    expect(onput).toHaveBeenLastCalledWith([{ ...values[0], given: false, fixed: '0', on: '', off: '' }]);
});

test('in words it is on and off by words, and has decimals instead of bits', async () => {
    const onput = sent({ of: 'Power', words: true });
    expect(screen.queryByLabelText('Bits of position of Power')).toBeNull();
    expect(screen.getByLabelText('Decimals of position of Power')).toBeTruthy();
    await choose('What position of Power is', 'switch');
    expect(onput).toHaveBeenLastCalledWith([{ ...values[0], given: true, fixed: '', on: 'ON', off: 'OFF' }]);
});

test('one value is the figure of the plan, and what is added after it is not', async () => {
    const onput = sent({ of: 'Position' });
    await fireEvent.click(screen.getByRole('button', { name: 'Add a value: What goes with it, Position' }));
    expect(onput).toHaveBeenLastCalledWith([...values, expect.objectContaining({ given: false, fixed: '0' })]);
});

test('an answer may hold whatever it likes', () => {
    const state = (roller.items.find((one) => one.name === 'Position')?.answers ?? []) as Value[];
    sent({ title: 'What comes back', given: false, isAnswer: true, values: state });
    expect((screen.getByLabelText('What state of it is') as HTMLSelectElement).value).toBe('any');
    expect(screen.queryByRole('option', { name: 'the figure of the plan' })).toBeNull();
});

test('a function that takes time asks how it is known to be done', async () => {
    const onput = vi.fn();
    const item = roller.items.find((one) => one.name === 'Position') as Schemas['Protocol']['items'][number];
    const { rerender } = render(ProtocolItem, { protocol: roller, item, shown: undefined, onput });
    await choose('The reading that says that Position is done', 'Place');
    expect(onput).toHaveBeenLastCalledWith({ doneBy: 'Place' });
    await rerender({ item: { ...item, takesMs: 0 } });
    expect(screen.queryByLabelText('How Position is known to be done')).toBeNull();
});

test('a frame says of each field what it is, and of words how they are put together', async () => {
    const onput = vi.fn();
    const { rerender } = render(ProtocolFrame, { protocol: roller, onput });
    expect((screen.getByLabelText('What field 1 always is') as HTMLInputElement).value).toBe('0x55');
    await choose('What field 2 is', 'function');
    expect(onput.mock.lastCall?.[1].parts[1]).toMatchObject({ is: 'function' });
    await fireEvent.change(screen.getByLabelText('What field 1 always is'), { target: { value: '0xA0' } });
    await vi.waitFor(() => expect(onput.mock.lastCall?.[1].parts[0]).toMatchObject({ value: 160 }));
    await rerender({ protocol: { ...roller, form: 'words', idAs: 'none' } });
    expect(screen.queryByLabelText('What field 1 is')).toBeNull();
    expect(screen.queryByLabelText('Behind the id')).toBeNull();
    await fireEvent.change(screen.getByLabelText('Ends with'), { target: { value: '\\n' } });
    await vi.waitFor(() => expect(onput).toHaveBeenLastCalledWith('Ends with', { ending: '\\n' }));
});
