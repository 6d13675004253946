import type { Schemas } from './api';

type Workspace = Schemas['Workspace'];
type Changes = Schemas['Changes'];

/** What an edit's answer changed, put into what was there: the workspace of the new version. */
export function putInto(held: Workspace, changes: Changes): Workspace {
    const { version, things, plan, routes, masters, codeGrids, panels, pinTables } = changes;
    const { findings, lineMap, allOff, history } = changes;
    const document = { ...held.document, plan };
    for (const [list, part] of Object.entries(things)) {
        const own = document as unknown as Record<string, { id: string }[]>;
        own[list] = merged(own[list] ?? [], part as Part<{ id: string }>, (thing) => thing.id);
    }
    return {
        version,
        findings,
        lineMap,
        allOff,
        history,
        document,
        routes: merged(held.routes, routes, (one) => one.routeId),
        masters: merged(held.masters, masters, (one) => one.outputId),
        codeGrids: merged(held.codeGrids, codeGrids, (one) => one.nodeId),
        panels: merged(held.panels, panels, (one) => one.linkId),
        pinTables: merged(held.pinTables, pinTables, (one) => one.nodeId),
    };
}

interface Part<T> {
    put: T[];
    gone: string[];
}

/** Each that came in the place of the one it replaces, the new ones behind; those that did not change stay as they are. */
function merged<T>(list: T[], { put, gone }: Part<T>, key: (one: T) => string): T[] {
    if (put.length === 0 && gone.length === 0) {
        return list;
    }
    const left = new Set(gone);
    const came = new Map(put.map((one) => [key(one), one]));
    const kept = list.filter((one) => !left.has(key(one))).map((one) => came.get(key(one)) ?? one);
    const there = new Set(kept.map(key));
    return [...kept, ...put.filter((one) => !there.has(key(one)))];
}
