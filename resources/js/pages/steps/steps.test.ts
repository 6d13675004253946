import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { api, type Catalogue, type PlanDocument } from '../../lib/api';
import type { Workspace } from '../../lib/tables';
import { PlanIndex } from '../../lib/plan-index';
import { shown } from '../../lib/shown.svelte';
import { workspace } from '../../lib/workspace.svelte';
import { allOfRole, fieldLabelled } from '../../test-queries';
import type { StepProps } from '../steps';
import Findings from './Findings.svelte';
import LineMap from './LineMap.svelte';
import Links from './Links.svelte';
import Nodes from './Nodes.svelte';
import Own from './Own.svelte';
import FixtureType from './own/FixtureType.svelte';
import Routes from './Routes.svelte';
import Site from './Site.svelte';

const document = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as PlanDocument;
const catalogue: Catalogue = {
    boards: [],
    modules: [],
    supplies: [],
    media: [],
    regions: [
        { key: 'eu', name: 'Europe', mainsV: 230, asOf: 'now', wifi: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13] },
    ],
    nodeKinds: [],
    controlKinds: [
        {
            key: 'button',
            name: 'button',
            wired: true,
            homes: ['controller', 'handset', 'gateway'],
            settings: [],
            actions: ['toggle', 'on', 'off', 'pulse', 'momentary'],
        },
    ],
    outputKinds: [],
    hazards: [],
    precedences: [],
    sleeps: [],
    safeStates: [],
    contactForms: [],
    atStarts: [],
    secondBreaks: [],
    loadKinds: [],
    loadUses: [],
    fusePlaces: [],
    partKinds: [],
};

function data(more: Partial<Workspace> = {}): Workspace {
    return {
        version: 1,
        access: 'owner',
        document,
        findings: [],
        history: { undo: null, undoOf: null, redo: null, redoOf: null },
        ...more,
    };
}

function props(more: Partial<Workspace> = {}): StepProps {
    const given = data(more);
    return { data: given, index: new PlanIndex(given.document), catalogue, planId: 'p', item: '' };
}

/** One band with a post a node and a line a link, as the core draws it. */
const lineMap = {
    bands: [
        {
            width: 800,
            height: 600,
            svg: [
                ...document.nodes.map(({ id, name }) => ({ kind: 'node', id, name })),
                ...document.links.map(({ id, name }) => ({ kind: 'link', id, name })),
            ]
                .map(({ kind, id, name }) => `<a id="${kind}-${id}" aria-label="${name}"></a>`)
                .join(''),
        },
    ],
};

/** Two nodes' part of the plan: a table that a key is pressed in need not be one of four thousand cells. */
function hand(): StepProps {
    const near = document.nodes.filter(({ name }) => ['Pocket A', 'Bench'].includes(name)).map(({ id }) => id);
    const controls = document.controls.filter(({ nodeId }) => near.includes(nodeId));
    const outputs = document.outputs.filter(({ nodeId }) => near.includes(nodeId));
    const routes = document.routes.filter(
        (route) => controls.some(({ id }) => id === route.controlId) && outputs.some(({ id }) => id === route.outputId),
    );
    return props({ document: { ...document, controls, outputs, routes } });
}

const edit = vi.fn(() => Promise.resolve(true));

beforeEach(() => {
    edit.mockClear();
    vi.spyOn(workspace, 'edit').mockImplementation(edit);
    vi.spyOn(workspace, 'editExactly').mockImplementation(edit);
    vi.spyOn(api, 'GET').mockImplementation(((
        _path: string,
        given: { params: { path: { view: string }; query?: { of?: string } } },
    ) =>
        Promise.resolve({
            data: {
                version: 1,
                parts: [
                    { of: given.params.query?.of ?? '', shows: given.params.path.view === 'line-map' ? lineMap : null },
                ],
            },
        })) as never);
    shown.begin('p', () => 1);
});
afterEach(cleanup);

test('the switch table has a row a control and a column an output', () => {
    render(Routes, props());
    const grid = screen.getByRole('grid', { name: 'Switch table' });
    const cells = allOfRole('gridcell', grid);
    expect(cells).toHaveLength(document.controls.length * document.outputs.length);
    expect(
        cells.filter((cell) => cell.getAttribute('aria-label') === 'Pocket A Key 2, Bench Fan: toggle'),
    ).toHaveLength(1);
});

test('exactly one cell can be reached with the tabulator', async () => {
    render(Routes, hand());
    const cells = allOfRole('gridcell');
    expect(cells.filter((cell) => cell.tabIndex === 0)).toHaveLength(1);
    await fireEvent.keyDown(screen.getByRole('grid'), { key: 'ArrowDown' });
    const after = allOfRole('gridcell').filter((cell) => cell.tabIndex === 0);
    expect(after).toHaveLength(1);
    expect(after[0]?.getAttribute('aria-label')).toContain('Pocket A Key 2, Pocket A Sent');
});

test('the arrows stop at the edges', async () => {
    render(Routes, hand());
    const grid = screen.getByRole('grid');
    await fireEvent.keyDown(grid, { key: 'ArrowUp' });
    await fireEvent.keyDown(grid, { key: 'ArrowLeft' });
    const chosen = allOfRole('gridcell').find((cell) => cell.tabIndex === 0);
    expect(chosen?.getAttribute('aria-label')).toContain('Pocket A Key 1, Pocket A Sent');
});

test.each([
    ['t', 'toggle', null],
    ['1', 'on', null],
    ['0', 'off', null],
    ['m', 'momentary', null],
    ['p', 'pulse', 1000],
    ['+', 'step', null],
])('%s in an empty cell adds a route that does "%s"', async (key, action, pulseMs) => {
    render(Routes, hand());
    const grid = screen.getByRole('grid');
    await fireEvent.keyDown(grid, { key: 'ArrowDown' });
    await fireEvent.keyDown(grid, { key });
    const operation = (
        edit.mock.calls as unknown as [string, { op: string; kind: string; values: Record<string, unknown> }][]
    )[0]?.[1];
    expect(operation).toMatchObject({ op: 'add', kind: 'route', values: { action, pulseMs } });
});

test('the same letter again changes nothing, another changes the action, and backspace takes it away', async () => {
    render(Routes, hand());
    const grid = screen.getByRole('grid');
    await fireEvent.keyDown(grid, { key: 'p' });
    expect(edit).not.toHaveBeenCalled();
    await fireEvent.keyDown(grid, { key: 't' });
    await fireEvent.keyDown(grid, { key: 'Backspace' });
    const operations = (edit.mock.calls as unknown as [string, { op: string }][]).map((call) => call[1].op);
    expect(operations).toEqual(['change', 'remove']);
});

test('a key with a modifier is left to the browser', async () => {
    render(Routes, hand());
    await fireEvent.keyDown(screen.getByRole('grid'), { key: 't', ctrlKey: true });
    expect(edit).not.toHaveBeenCalled();
});

test('the line map links every post and every line to its step', async () => {
    render(LineMap, props());
    expect(await screen.findByRole('link', { name: document.nodes[0]?.name ?? '' })).toBeTruthy();
    for (const node of document.nodes) {
        expect(screen.getByRole('link', { name: node.name }).getAttribute('href')).toBe(`#/plans/p/nodes/${node.id}`);
    }
    for (const link of document.links) {
        for (const drawn of screen.getAllByRole('link', { name: link.name })) {
            expect(drawn.getAttribute('href')).toBe(`#/plans/p/links/${link.id}`);
        }
    }
});

test('an empty plan is told where to begin', () => {
    const empty = { ...document, nodes: [], links: [], routes: [], modules: [], controls: [], outputs: [] };
    render(LineMap, props({ document: empty }));
    expect(screen.getByText(/Work down the steps/)).toBeTruthy();
});

test('a Wi-Fi channel is turned on and off, in order', async () => {
    render(Site, props());
    await fireEvent.click(screen.getByRole('button', { name: 'Wi-Fi 3', pressed: false }));
    await fireEvent.click(screen.getByRole('button', { name: 'Wi-Fi 6', pressed: true }));
    const values = (edit.mock.calls as unknown as [string, { values: { busyWifi: number[] } }][]).map(
        (call) => call[1].values.busyWifi,
    );
    expect(values).toEqual([
        [1, 3, 6, 11],
        [1, 11],
    ]);
});

test('findings are grouped by how grave they are, and one click sends the fix', async () => {
    const finding = (
        id: string,
        severity: 'fault' | 'advice',
        label: string | null,
    ): Workspace['findings'][number] => ({
        id,
        rule: 'rule',
        severity,
        title: `Title of ${id}`,
        at: { kind: 'node', id: document.nodes[0]?.id ?? '', field: null, where: 'Somewhere' },
        numbers: {},
        detail: 'Why it matters.',
        remedy: 'What to do.',
        fix: label === null ? null : { label, operations: [{ op: 'remove', kind: 'node', id: 'n', values: {} }] },
        otherFixes: [],
        about: [],
        step: 'nodes',
    });
    render(Findings, props({ findings: [finding('one', 'fault', 'Set both'), finding('two', 'advice', null)] }));
    expect(screen.getByRole('heading', { name: /Faults/ })).toBeTruthy();
    expect(screen.getByRole('heading', { name: /Advice/ })).toBeTruthy();
    expect(screen.queryByRole('heading', { name: /Dangers/ })).toBeNull();
    await fireEvent.click(screen.getByRole('button', { name: 'Set both' }));
    expect(edit).toHaveBeenCalledExactlyOnceWith('Set both', { op: 'remove', kind: 'node', id: 'n', values: {} });
});

test.each([
    ['above', -500, 1],
    ['below the list', 900, 1],
    ['in view', 80, 0],
])('a node that is picked while its page begins %s is brought into view', async (_, top, times) => {
    const into = vi.fn();
    Element.prototype.scrollIntoView = into;
    const place = vi.spyOn(Element.prototype, 'getBoundingClientRect').mockReturnValue({ top } as DOMRect);
    const [first, second] = document.nodes;
    const { rerender } = render(Nodes, { ...props(), item: first?.id ?? '' });
    expect(into).not.toHaveBeenCalled();
    await rerender({ item: second?.id ?? '' });
    expect(fieldLabelled('Name').value).toBe(second?.name);
    expect(into).toHaveBeenCalledTimes(times);
    place.mockRestore();
});

describe('what was typed for one thing and not kept is not shown at the next', () => {
    const half = async (label: string): Promise<void> => {
        await fireEvent.input(fieldLabelled(label), { target: { value: 'Half' } });
        expect(fieldLabelled(label).value).toBe('Half');
    };

    test('of nodes', async () => {
        const [first, second] = document.nodes;
        const { rerender } = render(Nodes, { ...props(), item: first?.id ?? '' });
        await half('Name');
        await rerender({ item: second?.id ?? '' });
        expect(fieldLabelled('Name').value).toBe(second?.name);
    });

    test('of links', async () => {
        const media = ['packet-radio', 'infrared'].map((key) => ({ key, name: key, linkSettings: [], boughtAs: null }));
        const two = document.links.slice(0, 2).map((link, at) => ({ ...link, medium: media[at]?.key ?? '' }));
        const given = props({ document: { ...document, links: two } });
        const { rerender } = render(Links, {
            ...given,
            catalogue: { ...catalogue, media: media as never },
            item: two[0]?.id ?? '',
        });
        await half('Name');
        await rerender({ item: two[1]?.id ?? '' });
        expect(fieldLabelled('Name').value).toBe(two[1]?.name);
    });

    test('of own parts', async () => {
        const [device] = document.protocols;
        const other = { ...device, id: 'other', name: 'Other' } as PlanDocument['protocols'][number];
        const given = props({ document: { ...document, protocols: [...document.protocols, other] } });
        const { rerender } = render(Own, { ...given, item: device?.id ?? '' });
        await half('Name');
        await rerender({ item: 'other' });
        expect(fieldLabelled('Name').value).toBe('Other');
    });

    test('of modes', async () => {
        const mode = (name: string): object => ({ name, slots: [{ name: `Slot of ${name}`, at: 1, is: 'other' }] });
        render(FixtureType, { type: { id: 'f', name: 'Lamp', modes: [mode('Short'), mode('Long')] } as never });
        await half('Mode');
        await fireEvent.input(fieldLabelled('Name of slot 1'), { target: { value: 'Half' } });
        await fireEvent.click(screen.getByRole('button', { name: 'Long' }));
        expect([fieldLabelled('Mode').value, fieldLabelled('Name of slot 1').value]).toEqual(['Long', 'Slot of Long']);
    });

    test('of cells', async () => {
        render(Routes, hand());
        const action = (): HTMLSelectElement => fieldLabelled('Action');
        const [first, other] = [action().value, 'off'];
        await fireEvent.keyDown(action(), { key: 'ArrowDown' });
        await fireEvent.change(action(), { target: { value: other } });
        expect(action().value).toBe(other);
        await fireEvent.keyDown(screen.getByRole('grid'), { key: 'ArrowDown' });
        await fireEvent.keyDown(screen.getByRole('grid'), { key: 'ArrowUp' });
        expect(action().value).toBe(first);
    });
});
