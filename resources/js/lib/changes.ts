import type { Schemas } from './api';
import type { Workspace } from './tables';

type Changes = Schemas['Changes'];

/** What an edit's answer changed, put into what was there: the workspace of the new version. */
export function putInto(held: Workspace, changes: Changes): Workspace {
    const document = { ...held.document, plan: changes.plan };
    for (const [list, part] of Object.entries(changes.things)) {
        const own = document as unknown as Record<string, { id: string }[]>;
        own[list] = merged(own[list] ?? [], part as Part);
    }
    return {
        version: changes.version,
        access: held.access,
        document,
        findings: inOrder(merged(held.findings, changes.findings), changes.findings.order),
        history: changes.history,
    };
}

interface Part<T = { id: string }> {
    put: T[];
    gone: string[];
}

/** Each that came in the place of the one it replaces, the new ones behind; those that did not change stay as they are. */
function merged<T extends { id: string }>(list: T[], { put, gone }: Part<T>): T[] {
    if (put.length === 0 && gone.length === 0) {
        return list;
    }
    const left = new Set(gone);
    const came = new Map(put.map((one) => [one.id, one]));
    const kept = list.filter((one) => !left.has(one.id)).map((one) => came.get(one.id) ?? one);
    const there = new Set(kept.map((one) => one.id));
    return [...kept, ...put.filter((one) => !there.has(one.id))];
}

function inOrder<T extends { id: string }>(list: T[], order: string[]): T[] {
    const byId = new Map(list.map((one) => [one.id, one]));
    return order.flatMap((id) => byId.get(id) ?? []);
}
