import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/svelte';
import { afterEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../../../lib/api';
import { allOfRole } from '../../../test-queries';
import SwitchTable from './SwitchTable.svelte';

const node = (name: string): Schemas['Node'] => ({ id: name, name }) as Schemas['Node'];
const rows = Array.from({ length: 300 }, (_, at) => ({
    node: node(`Hand ${Math.floor(at / 4)}`),
    control: { id: `k${at}`, name: `Key ${at}` } as Schemas['Control'],
    first: at % 4 === 0,
}));
const columns = Array.from({ length: 200 }, (_, at) => ({
    node: node(`Board ${Math.floor(at / 4)}`),
    output: { id: `o${at}`, name: `Lamp ${at}` } as Schemas['Output'],
    first: at % 4 === 0,
}));
const route = (controlId: string, outputId: string): [string, Schemas['Route']] => [
    `${controlId} ${outputId}`,
    {
        id: `${controlId}${outputId}`,
        controlId,
        outputId,
        action: 'toggle',
        pulseMs: null,
        value: null,
    } as Schemas['Route'],
];
const onkey = vi.fn((event: KeyboardEvent) => event.key === 't');

function table(more: object = {}): HTMLElement {
    render(SwitchTable, {
        rows,
        columns,
        row: 0,
        column: 0,
        routes: new Map([route('k0', 'o0'), route('k299', 'o199')]),
        troubled: {},
        onkey,
        ...more,
    });
    return screen.getByRole('grid', { name: 'Switch table' });
}

afterEach(cleanup);

test('of a large table only a part is drawn, and it says how large it is', () => {
    const grid = table();
    expect(allOfRole('gridcell').length).toBeLessThan(6_000);
    expect(grid.getAttribute('aria-rowcount')).toBe('302');
    expect(grid.getAttribute('aria-colcount')).toBe('201');
    expect(screen.getByRole('gridcell', { name: 'Hand 0 Key 0, Board 0 Lamp 0: toggle' }).tabIndex).toBe(0);
});

test('a cell far off is drawn when the keyboard gets there, and has the focus', async () => {
    const grid = table({ row: 298, column: 3 });
    await fireEvent.keyDown(grid, { key: 'ArrowDown' });
    await fireEvent.keyDown(grid, { key: 'End' });
    const cell = await screen.findByRole('gridcell', { name: 'Hand 74 Key 299, Board 49 Lamp 199: toggle' });
    await waitFor(() => expect(document.activeElement).toBe(cell));
    expect(cell.getAttribute('aria-colindex')).toBe('201');
    expect(cell.closest('tr')?.getAttribute('aria-rowindex')).toBe('302');
});

test('the corner keys cross a large table at once', async () => {
    const grid = table();
    await fireEvent.keyDown(grid, { key: 'End', ctrlKey: true });
    await screen.findByRole('gridcell', { name: 'Hand 74 Key 299, Board 49 Lamp 199: toggle' });
    await fireEvent.keyDown(grid, { key: 'PageUp' });
    const cell = await screen.findByRole('gridcell', { name: 'Hand 72 Key 289, Board 49 Lamp 199: none' });
    await waitFor(() => expect(document.activeElement).toBe(cell));
});

test('what scrolls away makes room for what comes', async () => {
    const grid = table();
    const box = grid.parentElement as HTMLElement;
    expect(screen.queryByRole('rowheader', { name: /Key 150$/ })).toBeNull();
    box.scrollTop = 150 * 31;
    await fireEvent.scroll(box);
    expect(screen.getByRole('rowheader', { name: /Key 150$/ })).toBeTruthy();
    expect(screen.queryByRole('rowheader', { name: /Key 40$/ })).toBeNull();
    expect(screen.getByRole('rowheader', { name: /Key 0$/ })).toBeTruthy();
});

test('a small table is drawn whole', () => {
    table({ rows: rows.slice(0, 30), columns: columns.slice(0, 100) });
    expect(allOfRole('gridcell')).toHaveLength(3_000);
});

test('keys that mean something are kept from the page, others are not', async () => {
    const grid = table();
    expect(await fireEvent.keyDown(grid, { key: 't' })).toBe(false);
    expect(await fireEvent.keyDown(grid, { key: 'x' })).toBe(true);
    expect(await fireEvent.keyDown(grid, { key: 't', ctrlKey: true })).toBe(true);
});
