import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Catalogue, Operation, PlanDocument, Schemas } from '../../../lib/api';
import { PlanIndex } from '../../../lib/plan-index';
import { workspace } from '../../../lib/workspace.svelte';
import ChosenCell from './ChosenCell.svelte';
import ReactionBar from './ReactionBar.svelte';

const plan = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as PlanDocument;
const index = new PlanIndex(plan);
const edit = vi.fn((_label: string, ..._operations: Operation[]) => Promise.resolve(true));
const catalogue = {
    controlKinds: [{ key: 'button', actions: ['toggle', 'on', 'off', 'pulse', 'set', 'step'] }],
    precedences: [{ key: 'last-writer', name: 'the last message counts' }],
    sleeps: [],
    partKinds: [],
} as unknown as Catalogue;
const control = plan.controls.find((one) => one.name === 'Heat off') as Schemas['Control'];
const output = plan.outputs.find((one) => one.name === 'Fan' && one.kind === 'function') as Schemas['Output'];
const routed = plan.routes.find((one) => one.controlId === control.id && one.outputId === output.id);

function props(more: object = {}) {
    return {
        control,
        output,
        route: routed,
        view: undefined,
        masters: [],
        findings: [],
        allOffIds: [],
        index,
        catalogue,
        planId: 'p',
        onchoose: vi.fn(),
        ...more,
    };
}

const finding = (id: string, title: string, fix: Schemas['Finding']['fix'] = null): Schemas['Finding'] => ({
    id,
    rule: 'value-missing',
    severity: 'fault',
    title,
    at: { kind: 'route', id: routed?.id ?? '', field: null, where: 'here' },
    numbers: {},
    detail: '',
    remedy: `Mend ${id}.`,
    fix,
    otherFixes: [],
    about: [],
    step: 'routes',
});

beforeEach(() => {
    edit.mockClear();
    vi.spyOn(workspace, 'edit').mockImplementation(edit);
    vi.spyOn(workspace, 'editExactly').mockImplementation(edit);
});
afterEach(cleanup);

test('it says which control works which output, and offers what does not fit as unfit', () => {
    render(ChosenCell, props());
    expect(screen.getByRole('heading', { name: 'Greenhouse Heat off → Air heater Fan' })).toBeTruthy();
    const action = screen.getByLabelText('Action') as HTMLSelectElement;
    const names = [...action.options].map((option) => option.text);
    expect(names).toContain('set');
    expect(names).toContain('follow (unfit)');
    expect(action.value).toBe('set');
});

test('choosing an action or none is handed on', async () => {
    const onchoose = vi.fn();
    render(ChosenCell, props({ onchoose }));
    const field = screen.getByLabelText<HTMLSelectElement>('Action');
    const before = field.value;
    await fireEvent.change(field, { target: { value: 'off' } });
    // Nobody kept it, so it is as it was.
    await vi.waitFor(() => expect(field.value).toBe(before));
    await fireEvent.change(field, { target: { value: '' } });
    expect(onchoose.mock.calls).toEqual([['off'], [null]]);
});

test.each([
    ['2', 2],
    ['-1', -1],
    ['', null],
    ['fast', 'fast'],
])('the value typed as "%s" is told as %j', async (text, value) => {
    render(ChosenCell, props());
    const field = screen.getByLabelText('Value');
    expect(field).toHaveProperty('value', '0');
    await fireEvent.change(field, { target: { value: text } });
    expect(edit.mock.calls[0]?.[1]).toMatchObject({ op: 'change', kind: 'route', id: routed?.id, values: { value } });
});

test('a pulse has its seconds, a switch has neither seconds nor value', async () => {
    const pulse = { ...routed, action: 'pulse', pulseMs: 20_000, value: null } as Schemas['Route'];
    render(ChosenCell, props({ route: pulse }));
    expect(screen.getByLabelText('Pulse, seconds')).toHaveProperty('value', '20');
    expect(screen.queryByLabelText('Value')).toBeNull();
    await fireEvent.change(screen.getByLabelText('Pulse, seconds'), { target: { value: '1,5' } });
    expect(edit.mock.calls[0]?.[1]).toMatchObject({ values: { pulseMs: 1500 } });
    cleanup();
    render(ChosenCell, props({ route: { ...pulse, action: 'on' } }));
    expect(screen.queryByLabelText('Pulse, seconds')).toBeNull();
});

test('all off routes the control with off to what it does not reach yet, in one edit', async () => {
    const reached = plan.routes.filter((one) => one.controlId === control.id).map((one) => one.outputId);
    const others = plan.outputs.filter((one) => !reached.includes(one.id)).slice(0, 2);
    render(ChosenCell, props({ allOffIds: [...reached, ...others.map((one) => one.id)] }));
    await fireEvent.click(screen.getByRole('button', { name: 'All off' }));
    expect(edit).toHaveBeenCalledTimes(1);
    expect(edit.mock.calls[0]?.slice(1)).toMatchObject(
        others.map((one) => ({ op: 'add', kind: 'route', values: { outputId: one.id, action: 'off' } })),
    );
});

test('with nothing left to put off there is no such button', () => {
    const reached = plan.routes.filter((one) => one.controlId === control.id).map((one) => one.outputId);
    render(ChosenCell, props({ allOffIds: reached }));
    expect(screen.queryByRole('button', { name: 'All off' })).toBeNull();
});

test('every finding of the cell is listed, and its fix is one click', async () => {
    const fix = { label: 'Set 0', operations: [{ op: 'change', kind: 'route', id: 'r', values: { value: 0 } }] };
    render(
        ChosenCell,
        props({
            findings: [finding('one', 'A set has no value yet', fix as never), finding('two', 'No way leads there')],
        }),
    );
    expect(screen.getByText('A set has no value yet.')).toBeTruthy();
    expect(screen.getByText('Mend two.')).toBeTruthy();
    await fireEvent.click(screen.getByRole('button', { name: 'Set 0' }));
    expect(edit).toHaveBeenCalledExactlyOnceWith('Set 0', ...fix.operations);
});

test.each([
    [{ hops: [], time: null }, 'no way leads there'],
    [{ hops: [], time: { best: '1 ms', typical: '2 ms', worst: '3 ms', segments: [] } }, 'inside the node'],
])('a route without hops says why', (view, words) => {
    render(ChosenCell, props({ view: { routeId: routed?.id, name: '', arrives: false, ...view } }));
    expect(screen.getByText(words)).toBeTruthy();
});

test('the reaction bar has a piece for each stretch, leaves out slivers, and names the sums', () => {
    const segment = (label: string, share: number) => ({
        kind: 'airtime' as const,
        label,
        best: '1 ms',
        typical: '1 ms',
        worst: '2 ms',
        share,
    });
    const time = {
        best: '1 ms',
        typical: '35.4 ms',
        worst: '91.5 ms',
        segments: [segment('frame', 0.6), segment('relay', 0.397), segment('turn', 0.003)],
    };
    render(ReactionBar, { time });
    expect(screen.getByText('frame')).toBeTruthy();
    expect(screen.getByText('relay').getAttribute('title')).toBe('relay: 1 ms to 2 ms');
    expect(screen.queryByText('turn')).toBeNull();
    expect(screen.getByText('35.4 ms')).toBeTruthy();
    expect(screen.getByText('91.5 ms')).toBeTruthy();
});
