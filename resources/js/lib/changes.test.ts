import { expect, test } from 'vitest';
import type { Schemas } from './api';
import type { Workspace } from './tables';
import { putInto } from './changes';

type Changes = Schemas['Changes'];

const held = {
    version: 4,
    document: { plan: { name: 'Old' }, nodes: [{ id: 'a' }, { id: 'b' }, { id: 'c' }], links: [{ id: 'l' }] },
    findings: [{ id: 'f' }, { id: 'g' }, { id: 'h' }],
    history: { undo: null, redo: null },
} as unknown as Workspace;

const changes = (more: object): Changes =>
    ({
        from: 4,
        version: 5,
        plan: { name: 'Old' },
        things: {},
        findings: { put: [], gone: [], order: ['f', 'g', 'h'] },
        views: {},
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
    expect(after.history.undo).toBe('Edit');
});

test('lists that nothing happened to stay the very same', () => {
    const after = putInto(held, changes({ things: { nodes: { put: [{ id: 'd' }], gone: [] } } }));
    expect(after.document.links).toBe(held.document.links);
    expect(after.findings).toEqual(held.findings);
});

test('findings that are new stand where the core puts them', () => {
    const findings = { put: [{ id: 'n' }, { id: 'g', title: 'Other' }], gone: ['f'], order: ['n', 'h', 'g'] };
    expect(putInto(held, changes({ findings })).findings).toEqual([
        { id: 'n' },
        { id: 'h' },
        { id: 'g', title: 'Other' },
    ]);
});

test('the plan’s own properties are taken over, and what was held is left alone', () => {
    const after = putInto(held, changes({ plan: { name: 'New' } }));
    expect(after.document.plan.name).toBe('New');
    expect(held.document.plan.name).toBe('Old');
});
