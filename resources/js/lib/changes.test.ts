import { expect, test } from 'vitest';
import type { Schemas } from './api';
import { putInto } from './changes';

type Workspace = Schemas['Workspace'];
type Changes = Schemas['Changes'];

const none = { put: [], gone: [] };
const held = {
    version: 4,
    document: { plan: { name: 'Old' }, nodes: [{ id: 'a' }, { id: 'b' }, { id: 'c' }], links: [{ id: 'l' }] },
    routes: [
        { routeId: 'r', name: 'one' },
        { routeId: 's', name: 'two' },
    ],
    masters: [{ outputId: 'o' }],
    codeGrids: [],
    panels: [],
    pinTables: [],
    findings: [{ id: 'f' }],
    history: { undo: null, redo: null },
} as unknown as Workspace;

const changes = (more: object): Changes =>
    ({
        from: 4,
        version: 5,
        plan: { name: 'Old' },
        things: {},
        routes: none,
        masters: none,
        codeGrids: none,
        panels: none,
        pinTables: none,
        findings: [],
        history: { undo: 'Edit', redo: null },
        ...more,
    }) as unknown as Changes;

test('what changed takes the place of what it was, what is new comes behind, what is gone is gone', () => {
    const after = putInto(
        held,
        changes({ things: { nodes: { put: [{ id: 'd' }, { id: 'b', name: 'New' }], gone: ['c'] } } }),
    );
    expect(after.document.nodes).toEqual([{ id: 'a' }, { id: 'b', name: 'New' }, { id: 'd' }]);
    expect(after.version).toBe(5);
    expect(after.findings).toEqual([]);
    expect(after.history.undo).toBe('Edit');
});

test('lists that nothing happened to stay the very same', () => {
    const after = putInto(held, changes({ routes: { put: [{ routeId: 's', name: 'other' }], gone: [] } }));
    expect(after.document.links).toBe(held.document.links);
    expect(after.masters).toBe(held.masters);
    expect(after.routes.map((route) => route.name)).toEqual(['one', 'other']);
});

test('the plan’s own particulars are taken over, and what was held is left alone', () => {
    const after = putInto(held, changes({ plan: { name: 'New' }, masters: { put: [], gone: ['o'] } }));
    expect(after.document.plan.name).toBe('New');
    expect(after.masters).toEqual([]);
    expect(held.document.plan.name).toBe('Old');
    expect(held.masters).toHaveLength(1);
});
