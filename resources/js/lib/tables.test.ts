import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import type { PlanDocument, Schemas } from './api';
import { untabled } from './tables';
import { tabled } from './tables.fixture';

test('a table gives the list that it was made of', () => {
    const answer = {
        version: 3,
        plan: { id: 'p', name: 'House' },
        things: {
            nodes: {
                fields: ['id', 'name', 'board'],
                rows: [
                    ['a', 'One', null],
                    ['b', 'Two', 'wifi'],
                ],
                same: { kind: 'controller', note: null },
            },
            routes: { fields: ['id'], rows: [], same: {} },
        },
        findings: [],
        history: { undo: null, redo: 'Rename' },
    } as unknown as Schemas['Workspace'];

    const held = untabled(answer);

    expect(held.document.nodes).toEqual([
        { id: 'a', name: 'One', board: null, kind: 'controller', note: null },
        { id: 'b', name: 'Two', board: 'wifi', kind: 'controller', note: null },
    ]);
    expect(held.document.routes).toEqual([]);
    expect(held.document.plan.name).toBe('House');
    expect(held.version).toBe(3);
    expect(held.history.redo).toBe('Rename');
});

test('the demo comes back as it was', () => {
    const document = JSON.parse(readFileSync('docs/examples/linden-hollow.json', 'utf8')) as PlanDocument;
    const answer = {
        version: 1,
        access: 'owner' as const,
        ...tabled(document),
        findings: [],
        history: { undo: null, undoOf: null, redo: null, redoOf: null },
    };
    expect(untabled(answer).document).toEqual(document);
});
