import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { readFileSync } from 'node:fs';
import { afterEach, expect, test, vi } from 'vitest';
import type { Operation, PlanDocument, Schemas } from '../lib/api';
import { PlanIndex } from '../lib/plan-index';
import { workspace } from '../lib/workspace.svelte';
import DmxTriggers from './DmxTriggers.svelte';

const document = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as PlanDocument;
const index = new PlanIndex(document);
const link = document.links.find((one) => one.name === 'Bench lamps') as Schemas['Link'];
const slot = (name: string, outputId: string | null, more: Partial<Schemas['DmxSlot']> = {}): Schemas['DmxSlot'] => ({
    name,
    place: '1',
    is: 'colour',
    rest: 0,
    ranges: '',
    outputId,
    darkens: false,
    ...more,
});
const output = (node: string, name: string): string =>
    document.outputs.find((one) => one.name === name && index.node(one.nodeId)?.name === node)?.id ?? '';
const lamp = (name: string): Schemas['DmxFixture'] =>
    ({
        endpointId: document.endpoints.find((one) => one.linkId === link.id && index.node(one.nodeId)?.name === name)
            ?.id,
        nodeId: '',
        name,
        isBought: true,
        slots: [
            slot('Dimmer', output(name, 'Dimmer'), { is: 'dimmer', darkens: true }),
            slot('Red', output(name, 'Red')),
            slot('Far red', null),
        ],
    }) as unknown as Schemas['DmxFixture'];
const dawn = document.controls.find((one) => one.name === 'Page: dawn') as Schemas['Control'];
const route = document.routes.find(
    (one) => one.controlId === dawn.id && one.outputId === output('Grow lamp 1', 'Dimmer'),
) as Schemas['Route'];
const figures = {
    fixtures: [lamp('Grow lamp 1'), lamp('Grow lamp 2')],
    triggers: [
        {
            controlId: dawn.id,
            name: dawn.name,
            node: 'Shed',
            cues: [{ routeId: route.id, outputId: route.outputId, says: '180', fadeMs: 30000, rests: false }],
        },
    ],
} as unknown as Schemas['DmxFigures'];

function sent(edit: { mock: { lastCall?: unknown[] } }): Operation[] {
    return (edit.mock.lastCall ?? []).slice(1) as Operation[];
}

afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
});

test('a value in an empty cell is a route and its way, and in a full one a change', async () => {
    const edit = vi.spyOn(workspace, 'edit').mockResolvedValue(true);
    render(DmxTriggers, { figures, link, index });
    await fireEvent.click(screen.getByRole('button', { name: 'Page: dawn, Red of Grow lamp 2: left as it is' }));
    await fireEvent.change(screen.getByLabelText('Value'), { target: { value: '90' } });
    await vi.waitFor(() => expect(sent(edit)).toHaveLength(2));
    const [added, hop] = sent(edit);
    expect(added).toMatchObject({
        kind: 'route',
        values: { controlId: dawn.id, outputId: output('Grow lamp 2', 'Red'), action: 'set', value: 90 },
    });
    expect(hop).toMatchObject({
        kind: 'hop',
        values: { routeId: added?.id, linkId: link.id, toId: figures.fixtures[1]?.endpointId },
    });
    await fireEvent.click(screen.getByRole('button', { name: 'Page: dawn, Dimmer of Grow lamp 1: 180' }));
    await fireEvent.change(screen.getByLabelText('Value'), { target: { value: '12' } });
    await vi.waitFor(() =>
        expect(sent(edit)).toMatchObject([{ op: 'change', id: route.id, values: { action: 'set', value: 12 } }]),
    );
});

test('the rest goes to rest, and dark says nothing to what makes light', async () => {
    const edit = vi.spyOn(workspace, 'edit').mockResolvedValue(true);
    render(DmxTriggers, { figures, link, index });
    await fireEvent.click(screen.getByRole('button', { name: 'Page: dawn: all else at rest' }));
    const routes = sent(edit).filter((one) => one.kind === 'route');
    expect(routes).toHaveLength(3);
    expect(routes.map((one) => one.values['action'])).toEqual(['off', 'off', 'off']);
    await fireEvent.click(screen.getByRole('button', { name: 'Page: dawn: black-out' }));
    expect(sent(edit)).toMatchObject([
        { op: 'change', id: route.id, values: { action: 'set', value: 0 } },
        { op: 'add', kind: 'route', values: { outputId: output('Grow lamp 2', 'Dimmer'), action: 'set', value: 0 } },
        { op: 'add', kind: 'hop' },
    ]);
});
