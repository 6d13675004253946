import type { Operation, PlanDocument } from './api';

type Thing = Record<string, unknown> & { id: string };

/** Fields by which a thing is a part of another, and goes with it. */
const PART = ['nodeId', 'linkId', 'endpointId', 'routeId', 'fromId', 'toId'];
/** Lists of things that are parts of a module, which others merely name. */
const OF_MODULE = ['pinUses', 'parts'];
const PART_OF_ROUTE = ['controlId', 'outputId'];

/** A plan with edits laid over it that the server has not answered yet: near enough to go on working by. */
export function overlaid(document: PlanDocument, operations: Operation[]): PlanDocument {
    if (operations.length === 0) {
        return document;
    }
    const lists = { ...document } as unknown as Record<string, Thing[]>;
    let plan = document.plan;
    for (const { op, kind, id, values } of operations) {
        if (kind === 'plan') {
            plan = { ...plan, ...values };
            continue;
        }
        const list = plural(kind, lists);
        const own = lists[list] ?? [];
        if (op === 'remove') {
            without(lists, [id]);
        } else if (op === 'add') {
            lists[list] = [...own.filter((one) => one.id !== id), { ...blank(own[0]), ...values, id }];
        } else {
            lists[list] = own.map((one) => (one.id === id ? changed(one, values) : one));
        }
    }
    return { ...(lists as unknown as PlanDocument), plan };
}

function changed(thing: Thing, values: Record<string, unknown>): Thing {
    const settings = values.settings as Record<string, unknown> | undefined;
    const before = thing.settings as Record<string, unknown> | undefined;
    return { ...thing, ...values, ...(settings === undefined ? {} : { settings: { ...before, ...settings } }) };
}

/** The list that things of a kind stand in. */
export function plural(kind: string, lists: Record<string, unknown>): string {
    return [`${kind}s`, `${kind}es`, kind.replace(/y$/, 'ies')].find((name) => name in lists) ?? `${kind}s`;
}

/** What a thing has whose edit says nothing of it: the like of what another of its kind has. */
function blank(like: Thing | undefined): Record<string, unknown> {
    const empty = (value: unknown): unknown => {
        switch (typeof value) {
            case 'string':
                return '';
            case 'number':
                return 0;
            case 'boolean':
                return false;
            default:
                return Array.isArray(value) ? [] : value === null ? null : {};
        }
    };
    return Object.fromEntries(Object.entries(like ?? {}).map(([field, value]) => [field, empty(value)]));
}

/** Without some things and whatever is a part of them; what merely names them no longer does. */
function without(lists: Record<string, Thing[]>, ids: string[]): void {
    for (let gone = new Set(ids); gone.size > 0;) {
        const next = new Set<string>();
        for (const [list, things] of Object.entries(lists)) {
            if (!Array.isArray(things)) {
                continue;
            }
            const parts =
                list === 'routes' ? [...PART, ...PART_OF_ROUTE] : OF_MODULE.includes(list) ? ['moduleId'] : PART;
            const left = things.filter((thing) => {
                const part = parts.some((field) => gone.has(thing[field] as string));
                if (part) {
                    next.add(thing.id);
                }
                return !part && !gone.has(thing.id);
            });
            lists[list] = left.map((thing) => {
                const named = Object.entries(thing).filter(([, value]) => typeof value === 'string' && gone.has(value));
                return named.length === 0
                    ? thing
                    : { ...thing, ...Object.fromEntries(named.map(([field]) => [field, null])) };
            });
        }
        gone = next;
    }
}
