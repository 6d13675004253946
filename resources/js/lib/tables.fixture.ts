import type { PlanDocument, Schemas } from './api';

/** A plan as the server sends it at first. */
export function tabled(document: PlanDocument): Pick<Schemas['Workspace'], 'plan' | 'things'> {
    const things: Record<string, { fields: string[]; rows: unknown[][]; same: Record<string, unknown> }> = {};
    for (const [list, all] of Object.entries(document)) {
        if (Array.isArray(all)) {
            const fields = Object.keys(all[0] ?? {});
            const values = (one: unknown): unknown[] => fields.map((field) => (one as Record<string, unknown>)[field]);
            things[list] = { fields, rows: all.map(values), same: {} };
        }
    }
    return { plan: document.plan, things: things as Schemas['Workspace']['things'] };
}
