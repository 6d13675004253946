import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/svelte';
import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, type Operation, type PlanDocument, type Schemas } from '../../../lib/api';
import { PlanIndex } from '../../../lib/plan-index';
import { workspace } from '../../../lib/workspace.svelte';
import LearnCodes from './LearnCodes.svelte';
import NodeGrid from './NodeGrid.svelte';
import NodeSet from './NodeSet.svelte';

vi.mock('../../../lib/api', async (original) => ({
    ...(await original<object>()),
    api: { GET: vi.fn(), POST: vi.fn() },
}));

const plan = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as PlanDocument;
const POST = vi.mocked(api.POST);
const edit = vi.fn((_label: string, ..._operations: Operation[]) => Promise.resolve(true));
const found = (name: string) => plan.nodes.find((node) => node.name === name) as Schemas['Node'];
const answer = (data: unknown): never => ({ data, response: { status: 200 } }) as never;
const refused = (error: unknown): never => ({ error, response: { status: 422 } }) as never;

beforeEach(() => {
    POST.mockReset();
    edit.mockClear();
    vi.spyOn(workspace, 'edit').mockImplementation(edit);
});
afterEach(cleanup);

const toy = found('Toy diggers');
const drive = plan.outputs.find((output) => output.name === 'Drive 1') as Schemas['Output'];
const code = plan.keyCodes.find((one) => one.outputId === drive.id && one.value === -3) as Schemas['KeyCode'];
const cell = (more: object) => ({ codeId: null, says: null, wanted: true, asked: false, ...more });
const grid: Schemas['CodeGrid'] = {
    columns: [
        { action: 'on', value: null, label: 'on' },
        { action: 'set', value: -3, label: '-3' },
        { action: 'set', value: -2, label: '-2' },
    ],
    rows: [
        {
            outputId: drive.id,
            name: 'Drive 1',
            channel: '1',
            cells: [cell({ wanted: false }), cell({ codeId: code.id, says: '00', asked: true }), cell({ asked: true })],
        },
        {
            outputId: 'other',
            name: 'Horn',
            channel: '1',
            cells: [cell({}), cell({ wanted: false }), cell({ wanted: false })],
        },
    ],
};
const said = new Map([[code.id, { says: 'NEC 0x31 0x00', lengthsUs: [9000, 4500, 562] }]]);

function spare(): PlanDocument {
    return {
        ...plan,
        keyCodes: plan.keyCodes.map((one) =>
            one.id === code.id ? { ...one, outputId: null, action: null, value: null } : one,
        ),
    };
}

test('each cell says what it holds, what it lacks, and whether something is routed to it', () => {
    render(NodeGrid, { node: toy, index: new PlanIndex(plan), grid, said });
    const cells = within(screen.getByRole('grid')).getAllByRole('gridcell');
    expect(cells.map((one) => one.getAttribute('aria-label'))).toEqual([
        'Drive 1 on: not used',
        'Drive 1 -3: 00, routed',
        'Drive 1 -2: no code, routed',
        'Horn on: no code',
        'Horn -3: not used',
        'Horn -2: not used',
    ]);
    expect(screen.getByText(/2 cells still need a code\./)).toBeTruthy();
    expect(cells.filter((one) => one.tabIndex === 0)).toHaveLength(1);
});

test('the chosen cell shows its code to scale and gives it up', async () => {
    render(NodeGrid, { node: toy, index: new PlanIndex(plan), grid, said });
    await fireEvent.keyDown(screen.getByRole('grid'), { key: 'ArrowRight' });
    expect(screen.getByText('NEC 0x31 0x00')).toBeTruthy();
    expect(screen.getByRole('img', { name: 'Marks and spaces of Drive 1 -3' })).toBeTruthy();
    await fireEvent.click(screen.getByRole('button', { name: 'Take the code off' }));
    expect(edit.mock.calls[0]?.[1]).toMatchObject({
        op: 'change',
        kind: 'keyCode',
        id: code.id,
        values: { outputId: null, action: null, value: null },
    });
});

test('an empty cell is given a code that does nothing yet, with its action and value', async () => {
    render(NodeGrid, { node: toy, index: new PlanIndex(spare()), grid, said });
    const table = screen.getByRole('grid');
    await fireEvent.keyDown(table, { key: 'End' });
    await fireEvent.change(screen.getByLabelText('Code that makes it do that'), { target: { value: code.id } });
    expect(edit.mock.calls[0]?.[1]).toMatchObject({
        op: 'change',
        id: code.id,
        values: { outputId: drive.id, action: 'set', value: -2 },
    });
});

test('without a code to spare it says where codes come from', async () => {
    render(NodeGrid, { node: toy, index: new PlanIndex(plan), grid, said });
    await fireEvent.keyDown(screen.getByRole('grid'), { key: 'End' });
    expect(screen.getByText('No code. Learn it below, or lay the set out.')).toBeTruthy();
    expect(screen.queryByLabelText('Code that makes it do that')).toBeNull();
});

const field = (name: string, title: string, more: Partial<Schemas['SettingField']>): Schemas['SettingField'] => ({
    name,
    title,
    kind: 'whole',
    choices: [],
    choiceNames: [],
    lowest: 0,
    highest: 16,
    longest: null,
    nullable: false,
    assigned: false,
    seldom: false,
    hexadecimal: false,
    default: 1,
    unit: null,
    doc: title,
    ...more,
});
const fields = [
    field('functions', 'Functions', { kind: 'text', longest: 200, default: 'Drive' }),
    field('channels', 'Channels', {}),
    field('perFunction', 'per function', { nullable: true, default: null }),
];
const medium = { key: 'infrared', name: 'infrared' } as Schemas['Medium'];
const laid = (more: object = {}) => ({
    cells: [
        { function: 'Drive', channel: null, value: 0, says: '00', left: null, remark: null },
        { function: 'Drive', channel: null, value: 1, says: '01', left: 'twin', remark: 'the same code as Horn' },
    ],
    added: 1,
    leftOut: ['1 has the code of something else'],
    operations: [{ op: 'add', kind: 'output', id: 'o', values: {} }],
    ...more,
});

test('a set is laid out with what was said and the usual for the rest, looked at, and added as the core gives it', async () => {
    POST.mockResolvedValueOnce(answer(laid()));
    render(NodeSet, { node: toy, medium, fields });
    await fireEvent.change(screen.getByLabelText('Channels'), { target: { value: '4' } });
    await fireEvent.click(screen.getByRole('button', { name: 'Lay it out', hidden: true }));
    const body = (POST.mock.calls[0]?.[1] as unknown as { body: unknown }).body;
    expect(body).toEqual({ medium: 'infrared', values: { functions: 'Drive', channels: 4, perFunction: null } });
    const table = await screen.findByRole('table', { name: 'The set', hidden: true });
    expect(within(table).getByText('01').getAttribute('title')).toBe('the same code as Horn');
    expect(screen.getByText(/1 has the code of something else/)).toBeTruthy();
    await fireEvent.click(screen.getByRole('button', { name: 'Add one code', hidden: true }));
    expect(edit).toHaveBeenCalledExactlyOnceWith('Lay out the codes of Toy diggers', ...laid().operations);
});

test('when the form changes, what was laid out before is gone', async () => {
    POST.mockResolvedValueOnce(answer(laid()));
    render(NodeSet, { node: toy, medium, fields });
    await fireEvent.click(screen.getByRole('button', { name: 'Lay it out', hidden: true }));
    await screen.findByRole('table', { name: 'The set', hidden: true });
    await fireEvent.change(screen.getByLabelText('Channels'), { target: { value: '2' } });
    expect(screen.queryByRole('table', { hidden: true })).toBeNull();
});

test('a refused set names the field as the form does', async () => {
    POST.mockResolvedValueOnce(refused({ problems: [{ place: '/values/channels', message: 'must be at most 16' }] }));
    render(NodeSet, { node: toy, medium, fields });
    await fireEvent.click(screen.getByRole('button', { name: 'Lay it out', hidden: true }));
    expect((await screen.findByRole('alert', { hidden: true })).textContent).toBe('Channels must be at most 16');
});

test('a set with nothing new cannot be added', async () => {
    POST.mockResolvedValueOnce(answer(laid({ added: 0, operations: [] })));
    render(NodeSet, { node: toy, medium, fields });
    await fireEvent.click(screen.getByRole('button', { name: 'Lay it out', hidden: true }));
    expect(await screen.findByRole('button', { name: 'Nothing to add', hidden: true })).toHaveProperty(
        'disabled',
        true,
    );
});

const press = (number: number, more: object = {}) => ({
    press: number,
    name: null,
    says: `NEC 0x04 0x0${number}`,
    sameAs: null,
    known: null,
    toggle: null,
    sends: 2,
    periodMs: 108,
    lengthsUs: [9000, 4500, 562],
    code: { protocol: 'nec', address: 4, command: number, carrierHz: 38_000, timings: '', format: null },
    turned: null,
    ...more,
});

async function learn(node: Schemas['Node'], rows: unknown[]): Promise<void> {
    POST.mockResolvedValueOnce(answer({ rows }));
    render(LearnCodes, { node, index: new PlanIndex(plan), medium });
    await fireEvent.input(screen.getByLabelText('Capture'), { target: { value: 'pulse 9000' } });
    await fireEvent.click(screen.getByRole('button', { name: 'Read it' }));
    await screen.findByRole('table', { name: 'Presses' });
}

test('presses that are known or come twice are not kept unless the user says so', async () => {
    await learn(found('Heater remote'), [press(1), press(2, { sameAs: 1 }), press(3, { known: 'Sleep' })]);
    const boxes = screen.getAllByRole('checkbox') as HTMLInputElement[];
    expect(boxes.map((box) => box.checked)).toEqual([true, false, false]);
    expect(screen.getByText('same as press 1')).toBeTruthy();
    expect(screen.getByText('known as Sleep')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Keep one code' })).toBeTruthy();
    await fireEvent.click(boxes[1] as HTMLInputElement);
    expect(screen.getByRole('button', { name: 'Keep 2 codes' })).toBeTruthy();
});

test('a remote gets a key for each code, an appliance the codes alone', async () => {
    await learn(found('Heater remote'), [press(1)]);
    await fireEvent.input(screen.getByLabelText('Name of press 1'), { target: { value: 'Up' } });
    await fireEvent.click(screen.getByRole('button', { name: 'Keep one code' }));
    expect(edit.mock.calls[0]?.slice(1)).toMatchObject([
        { op: 'add', kind: 'control', values: { name: 'Up', kind: 'key' } },
        { op: 'add', kind: 'keyCode', values: { name: 'Up', protocol: 'nec', address: 4, command: 1 } },
    ]);
    cleanup();
    edit.mockClear();
    await learn(found('Air heater'), [press(1)]);
    await fireEvent.click(screen.getByRole('button', { name: 'Keep one code' }));
    expect(edit.mock.calls[0]?.slice(1)).toMatchObject([{ op: 'add', kind: 'keyCode', values: { controlId: null } }]);
});

test('a second code under the name of a key that is there goes to that key', async () => {
    await learn(found('Heater remote'), [press(1, { name: 'Sleep' })]);
    await fireEvent.click(screen.getByRole('button', { name: 'Keep one code' }));
    const sleep = plan.controls.find((control) => control.name === 'Sleep');
    expect(edit.mock.calls[0]?.slice(1)).toMatchObject([{ kind: 'keyCode', values: { controlId: sleep?.id } }]);
});

test('names are typed into the last answer only, however late another comes', async () => {
    const late: ((data: never) => void)[] = [];
    POST.mockImplementation(() => new Promise((resolve) => late.push(resolve as never)) as never);
    render(LearnCodes, { node: found('Heater remote'), index: new PlanIndex(plan), medium });
    await fireEvent.input(screen.getByLabelText('Capture'), { target: { value: 'pulse 9000' } });
    const read = screen.getByRole('button', { name: 'Read it' });
    await fireEvent.click(read);
    await fireEvent.click(read);
    expect(late).toHaveLength(1);
    late[0]?.(answer({ rows: [press(1)] }));
    await waitFor(() => expect(late).toHaveLength(2));
    expect(screen.queryByRole('table', { name: 'Presses' })).toBeNull();
    late[1]?.(answer({ rows: [press(2)] }));
    await fireEvent.input(await screen.findByLabelText('Name of press 2'), { target: { value: 'Up' } });
    await fireEvent.click(read);
    expect(screen.queryByLabelText('Name of press 2')).toBeNull();
});

test('a code without a name is not kept', async () => {
    await learn(found('Heater remote'), [press(1)]);
    await fireEvent.input(screen.getByLabelText('Name of press 1'), { target: { value: '  ' } });
    expect(screen.getByRole('button', { name: 'Keep 0 codes' })).toHaveProperty('disabled', true);
});

test('the order of the bits is asked for only where no protocol says it, and holds for all that is kept', async () => {
    await learn(found('Heater remote'), [press(1)]);
    expect(screen.queryByRole('radio')).toBeNull();
    cleanup();
    const turned = { says: '16 bits 0xA003 LSB first', code: { protocol: 'pulse-distance', command: 0xa003 } };
    await learn(found('Heater remote'), [press(1, { says: '16 bits 0xC005 MSB first', turned })]);
    await fireEvent.click(screen.getByLabelText('lowest (LSB first)'));
    expect(screen.getByText('16 bits 0xA003 LSB first')).toBeTruthy();
    await fireEvent.click(screen.getByRole('button', { name: 'Keep one code' }));
    expect(edit.mock.calls[0]?.[2]).toMatchObject({ kind: 'keyCode', values: { command: 0xa003 } });
});

test('what cannot be read is said, and the text stays', async () => {
    POST.mockResolvedValueOnce(refused({ problems: [{ place: '/text', message: 'has no pulse in it' }] }));
    render(LearnCodes, { node: found('Heater remote'), index: new PlanIndex(plan), medium });
    await fireEvent.input(screen.getByLabelText('Capture'), { target: { value: 'nonsense' } });
    await fireEvent.click(screen.getByRole('button', { name: 'Read it' }));
    expect((await screen.findByRole('alert')).textContent).toBe('The capture has no pulse in it');
    expect(screen.getByLabelText('Capture')).toHaveProperty('value', 'nonsense');
    expect(screen.queryByRole('table')).toBeNull();
});
