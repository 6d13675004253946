import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, expect, test, vi } from 'vitest';
import { workspace } from '../lib/workspace.svelte';
import RemoveButton from './RemoveButton.svelte';
import SelectField from './SelectField.svelte';
import TextField from './TextField.svelte';

afterEach(() => {
    cleanup();
    workspace.refusal = null;
});

const items = ['a', 'b', 'c'].map((value) => ({ value, name: value.toUpperCase() }));
const onsave = vi.fn();
function select(more: object = {}): HTMLSelectElement {
    onsave.mockClear();
    render(SelectField, { label: 'Board', value: 'a', items, onsave, ...more });
    return screen.getByLabelText('Board');
}
/** As a browser does when an arrow key goes to the next choice of a closed list. */
async function arrow(field: HTMLSelectElement, to: string): Promise<void> {
    await fireEvent.keyDown(field, { key: 'ArrowDown' });
    field.value = to;
    await fireEvent.change(field);
}

test('arrow keys look at choices, Enter takes the one they stopped at', async () => {
    const field = select();
    await arrow(field, 'b');
    await arrow(field, 'c');
    expect(onsave).not.toHaveBeenCalled();
    await fireEvent.keyDown(field, { key: 'Enter' });
    expect(onsave.mock.calls).toEqual([['c']]);
});

test('Escape goes back to what was, and leaving the field takes what it shows', async () => {
    const field = select();
    await arrow(field, 'b');
    await fireEvent.keyDown(field, { key: 'Escape' });
    expect(field.value).toBe('a');
    await fireEvent.blur(field);
    expect(onsave).not.toHaveBeenCalled();
    await arrow(field, 'b');
    await fireEvent.blur(field);
    expect(onsave.mock.calls).toEqual([['b']]);
});

test('what is picked from an open list is taken at once', async () => {
    const field = select();
    await fireEvent.change(field, { target: { value: 'b' } });
    expect(onsave.mock.calls).toEqual([['b']]);
});

test('a field that adds adds on Enter or a pick, never on an arrow or on leaving, and the same twice', async () => {
    const field = select({ value: '', empty: 'Add…', adds: true });
    await arrow(field, 'a');
    await arrow(field, 'b');
    await fireEvent.blur(field);
    expect(field.value).toBe('');
    expect(onsave).not.toHaveBeenCalled();
    await fireEvent.change(field, { target: { value: 'c' } });
    await fireEvent.change(field, { target: { value: 'c' } });
    expect(onsave.mock.calls).toEqual([['c'], ['c']]);
    expect(field.value).toBe('');
});

test('a value that was refused is marked, and the one before is a click away', async () => {
    render(TextField, { label: 'Channel', value: '76', onsave: () => (workspace.refusal = 'must be at most 125') });
    const field = screen.getByLabelText<HTMLInputElement>('Channel');
    await fireEvent.change(field, { target: { value: '130' } });
    await vi.waitFor(() => expect(field.getAttribute('aria-invalid')).toBe('true'));
    expect(field.value).toBe('130');
    await fireEvent.click(screen.getByRole('button', { name: 'back to 76' }));
    expect(field.value).toBe('76');
    expect(field.getAttribute('aria-invalid')).toBeNull();
    expect(document.activeElement).toBe(field);
});

test('a value that was taken is not marked', async () => {
    const saved = vi.fn();
    const { rerender } = render(TextField, { label: 'Channel', value: '76', onsave: saved });
    const field = screen.getByLabelText<HTMLInputElement>('Channel');
    saved.mockImplementation((value: string) => rerender({ value }));
    await fireEvent.change(field, { target: { value: '90' } });
    await new Promise((done) => setTimeout(done));
    expect(field.getAttribute('aria-invalid')).toBeNull();
    expect(field.value).toBe('90');
});

test('what is typed or looked at stays when its thing is answered anew, and goes when it is as before', async () => {
    const { rerender } = render(TextField, { label: 'Channel', value: '76', onsave });
    const field = screen.getByLabelText<HTMLInputElement>('Channel');
    await fireEvent.input(field, { target: { value: '9' } });
    await rerender({ value: '77' });
    expect(field.value).toBe('9');
    await fireEvent.input(field, { target: { value: '77' } });
    await fireEvent.blur(field);
    await rerender({ value: '78' });
    expect(field.value).toBe('78');
    cleanup();

    const other = render(SelectField, { label: 'Board', value: 'a', items, onsave });
    const list = screen.getByLabelText<HTMLSelectElement>('Board');
    await arrow(list, 'c');
    await other.rerender({ value: 'b' });
    expect(list.value).toBe('c');
    onsave.mockClear();
    await fireEvent.blur(list);
    expect(onsave.mock.calls).toEqual([['c']]);
});

test('a choice that was refused is not shown as if it were kept', async () => {
    const field = select();
    onsave.mockImplementationOnce(() => (workspace.refusal = 'does not fit'));
    await fireEvent.change(field, { target: { value: 'b' } });
    await vi.waitFor(() => expect(field.value).toBe('a'));
});

test('after a removal the next Enter removes nothing', async () => {
    const main = document.createElement('main');
    document.body.append(main);
    const onremove = vi.fn();
    render(RemoveButton, { target: main, props: { what: 'Remove A', onremove } });
    const button = screen.getByRole('button', { name: 'Remove A' });
    button.focus();
    await fireEvent.click(button);
    expect(onremove).toHaveBeenCalledTimes(1);
    expect(document.activeElement).toBe(main);
    main.remove();
});
