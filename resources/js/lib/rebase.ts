import { diff3MergeRegions } from 'node-diff3';
import type { Operation, PlanDocument } from './api';
import { plural } from './overlay';

/**
 * An edit puts a list, or a description, whole in the place of what the screen shows. What the screen shows lacks the edits
 * that are on their way: an edit made meanwhile would take them back. So whatever is written whole is laid over what those
 * make of it, as far as the two touch different parts.
 *
 * @param shown the plan as the screen showed it when the edit was made
 * @param waiting what is on its way, the oldest first
 */
export function rebased(operations: Operation[], shown: PlanDocument, waiting: Operation[]): Operation[] {
    if (waiting.length === 0) {
        return operations;
    }
    return operations.map((operation) => {
        if (operation.op !== 'change') {
            return operation;
        }
        const thing = shownOf(operation, shown);
        const values = Object.entries(operation.values).map(([field, mine]) => {
            const theirs = waiting.findLast(
                (one) => one.op === 'change' && one.id === operation.id && field in one.values,
            )?.values[field];
            // The server puts settings together one by one itself.
            const whole = field !== 'settings' && isWhole(mine) && isWhole(theirs);
            return [field, whole ? merged(thing?.[field], mine, theirs) : mine];
        });
        return { ...operation, values: Object.fromEntries(values) as Operation['values'] };
    });
}

function shownOf({ kind, id }: Operation, shown: PlanDocument): Record<string, unknown> | undefined {
    const lists = shown as unknown as Record<string, (Record<string, unknown> & { id: string })[]>;
    return kind === 'plan' ? shown.plan : lists[plural(kind, lists)]?.find((one) => one.id === id);
}

function isWhole(value: unknown): value is object {
    return typeof value === 'object' && value !== null;
}

/** Both changes of what was; where both change the very same, mine. */
export function merged(was: unknown, mine: unknown, theirs: unknown): unknown {
    if (same(mine, was)) {
        return theirs;
    }
    if (same(theirs, was) || !isWhole(mine) || !isWhole(theirs)) {
        return mine;
    }
    if (Array.isArray(mine) && Array.isArray(theirs)) {
        return Array.isArray(was) ? mergedList(was, mine, theirs) : mine;
    }
    return Array.isArray(mine) || Array.isArray(theirs) ? mine : mergedFields(was, mine, theirs);
}

function mergedFields(was: unknown, mine: object, theirs: object): object {
    const [before, one, other] = [was ?? {}, mine, theirs] as Record<string, unknown>[];
    const fields = new Set([...Object.keys(other ?? {}), ...Object.keys(one ?? {})]);
    const put = [...fields].map((field) => [field, merged(before?.[field], one?.[field], other?.[field])] as const);
    return Object.fromEntries(put.filter(([, value]) => value !== undefined));
}

function mergedList(was: unknown[], mine: unknown[], theirs: unknown[]): unknown[] {
    const texts = (list: unknown[]): string[] => list.map((one) => JSON.stringify(one));
    const values = (list: string[]): unknown[] => list.map((text) => JSON.parse(text) as unknown);
    return diff3MergeRegions(texts(mine), texts(was), texts(theirs)).flatMap((region) => {
        if (region.stable) {
            return values(region.bufferContent);
        }
        const [one, before, other] = [region.aContent, region.oContent, region.bContent];
        if (one.length === before.length && other.length === before.length) {
            // Changed in the same places: each by itself.
            const [here, there] = [values(one), values(other)];
            return values(before).map((place, at) => merged(place, here[at], there[at]));
        }
        // What they took away stays away, and what they put there stands before what I put there.
        const theirOwn = other.filter((text) => !before.includes(text) && !one.includes(text));
        return values([...theirOwn, ...one.filter((text) => !before.includes(text) || other.includes(text))]);
    });
}

function same(one: unknown, other: unknown): boolean {
    return JSON.stringify(one) === JSON.stringify(other);
}
