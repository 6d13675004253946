import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, type Catalogue, type Operation, type PlanDocument, type Schemas } from '../lib/api';
import { tabled } from '../lib/tables.fixture';
import { workspace } from '../lib/workspace.svelte';
import UseInPlan from './UseInPlan.svelte';

vi.mock('../lib/api', async (original) => ({ ...(await original<object>()), api: { GET: vi.fn(), POST: vi.fn() } }));

const document = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as PlanDocument;
const GET = vi.mocked(api.GET);
const edit = vi.fn((_label: string, ..._operations: Operation[]) => Promise.resolve(true));
const answer = (data: unknown): never => ({ data, response: { status: 200 } }) as never;
const named = (list: { id: string; name: string }[], name: string): string =>
    list.find((one) => one.name === name)?.id ?? '';

const field = (name: string, title: string, unit: string | null = null) => ({ name, title, unit });
const catalogue = {
    media: [
        {
            key: 'keyed-radio',
            name: 'keyed radio',
            linkSettings: [field('pulseUs', 'Pulse', 'µs'), field('repeats', 'Repeats')],
            endpointSettings: [field('antennaMm', 'Wire', 'mm')],
        },
        { key: 'infrared', name: 'infrared', linkSettings: [], endpointSettings: [] },
        { key: 'chirp-radio', name: 'chirp radio', linkSettings: [], endpointSettings: [] },
    ],
} as unknown as Catalogue;

const calculator = (destination: Schemas['Calculator']['destination']): Schemas['Calculator'] => ({
    name: 'some',
    topic: 'Topic',
    title: 'Some calculator',
    plainly: 'What it is for',
    formula: '',
    source: '',
    inputs: [],
    outputs: [],
    destination,
});
const onLink = calculator({
    medium: 'keyed-radio',
    of: 'link',
    settings: [
        { quantity: 'pulse_us', setting: 'pulseUs' },
        { quantity: 'repeats', setting: 'repeats' },
    ],
});
const asCode = calculator({
    medium: 'infrared',
    of: 'keyCode',
    settings: [
        { quantity: 'protocol', setting: 'protocol' },
        { quantity: 'address', setting: 'address' },
        { quantity: 'command', setting: 'command' },
    ],
});

beforeEach(() => {
    edit.mockClear();
    vi.spyOn(workspace, 'edit').mockImplementation(edit);
    GET.mockReset().mockImplementation(((path: string) =>
        Promise.resolve(
            path === '/api/plans'
                ? answer({ plans: [{ id: 'p', name: 'Linden Hollow' }] })
                : path === '/api/catalogue'
                  ? answer(catalogue)
                  : answer({ version: 1, ...tabled(document), findings: [] } as unknown as Schemas['Workspace']),
        )) as never);
    workspace.catalogue = null;
});
afterEach(cleanup);

async function open(given: Schemas['Calculator'], values: Record<string, string>, outputs: object = {}): Promise<void> {
    render(UseInPlan, { calculator: given, values, outputs: outputs as Record<string, unknown>, planId: 'p' });
    await screen.findByLabelText('Where');
}

const options = (): string[] =>
    [...(screen.getByLabelText('Where') as HTMLSelectElement).options].map((option) => option.text);

test('figures of a link go onto a link of the medium, as numbers, and say beforehand what they set', async () => {
    await open(onLink, { pulse_us: '350', repeats: '6' });
    expect(options()).toEqual(['choose…', 'Fob']);
    expect(screen.getByRole('button', { name: 'Use there' })).toHaveProperty('disabled', true);
    const fob = named(document.links, 'Fob');
    await fireEvent.change(screen.getByLabelText('Where'), { target: { value: fob } });
    expect(screen.getByText('Sets Pulse 350 µs, Repeats 6.')).toBeTruthy();
    await fireEvent.click(screen.getByRole('button', { name: 'Use there' }));
    expect(edit.mock.calls[0]?.[1]).toMatchObject({
        op: 'change',
        kind: 'link',
        id: fob,
        values: { settings: { pulseUs: 350, repeats: 6 } },
    });
    expect((await screen.findByRole('link', { name: 'See the link' })).getAttribute('href')).toBe(
        `#/plans/p/links/${fob}`,
    );
});

test('what was found takes the place of what was given', async () => {
    const wire = calculator({
        medium: 'keyed-radio',
        of: 'endpoint',
        settings: [{ quantity: 'cut_mm', setting: 'antennaMm' }],
    });
    await open(wire, { freq_mhz: '433.92' }, { cut_mm: 164 });
    expect(options()).toContain('Hen house on Fob');
    const end = document.endpoints.find(
        (one) => one.linkId === named(document.links, 'Fob') && one.nodeId === named(document.nodes, 'Hen house'),
    );
    await fireEvent.change(screen.getByLabelText('Where'), { target: { value: end?.id } });
    await fireEvent.click(screen.getByRole('button', { name: 'Use there' }));
    expect(edit.mock.calls[0]?.[1]).toMatchObject({ kind: 'endpoint', values: { settings: { antennaMm: 164 } } });
});

test('a command is kept as a code of something bought, under a name', async () => {
    await open(asCode, { protocol: 'rc5', address: '0x05', command: '53' });
    expect(options().sort()).toEqual(['Air heater', 'Heater remote', 'Toy diggers', 'choose…']);
    const heater = named(document.nodes, 'Air heater');
    await fireEvent.change(screen.getByLabelText('Where'), { target: { value: heater } });
    await fireEvent.change(screen.getByLabelText('Called'), { target: { value: 'Swing' } });
    await fireEvent.click(screen.getByRole('button', { name: 'Keep it there' }));
    expect(edit.mock.calls[0]?.[1]).toMatchObject({
        op: 'add',
        kind: 'keyCode',
        values: { nodeId: heater, name: 'Swing', protocol: 'rc5', address: 5, command: 53 },
    });
    expect((await screen.findByRole('link', { name: 'See its codes' })).getAttribute('href')).toBe(
        `#/plans/p/nodes/${heater}`,
    );
});

test('nothing can be kept while a figure is missing', async () => {
    await open(asCode, { protocol: 'rc5', address: '', command: '53' });
    await fireEvent.change(screen.getByLabelText('Where'), { target: { value: named(document.nodes, 'Air heater') } });
    expect(screen.getByRole('button', { name: 'Keep it there' })).toHaveProperty('disabled', true);
});

test('a plan without such a link says so', async () => {
    render(UseInPlan, {
        calculator: calculator({ medium: 'chirp-radio', of: 'link', settings: [] }),
        values: {},
        outputs: {},
        planId: 'p',
    });
    expect(await screen.findByText('That plan has no chirp radio link to put it on.')).toBeTruthy();
    expect(screen.queryByLabelText('Where')).toBeNull();
});
