import type { Schemas } from './api';

/** A plan as the screens hold it. */
export interface Workspace {
    version: number;
    /** What the user may do with it. */
    access: Schemas['Workspace']['access'];
    document: Schemas['PlanDocument'];
    findings: Schemas['Finding'][];
    history: Schemas['Workspace']['history'];
}

/** A plan comes as tables, in which the name of a field stands once, and so does what is the same for all of a kind. */
export function untabled({ version, access, plan, things, findings, history }: Schemas['Workspace']): Workspace {
    const lists: Record<string, unknown[]> = {};
    for (const [list, { fields, rows, same }] of Object.entries(things)) {
        lists[list] = rows.map((row) => ({
            ...same,
            ...Object.fromEntries(fields.map((field, at) => [field, row[at]])),
        }));
    }
    return { version, access, document: { format: 2, plan, ...lists } as Schemas['PlanDocument'], findings, history };
}
