import { api, type Catalogue, type Operation, type Schemas } from './api';
import { putInto } from './changes';
import { PlanIndex } from './plan-index';
import { shown } from './shown.svelte';
import { untabled, type Workspace } from './tables';

type Saving = 'saved' | 'saving' | 'failed';
interface Edit {
    label: string;
    operations: Operation[];
}
interface Conflict {
    message: string;
    mine: string;
    since: { version: number; label: string; by: string }[];
}

/** The plan that is open: what the server last said of it, and the edits on their way there. */
class OpenPlan {
    planId = $state('');
    data = $state.raw<Workspace | null>(null);
    catalogue = $state.raw<Catalogue | null>(null);
    missing = $state(false);
    saving = $state<Saving>('saved');
    /** Why the last edit was not kept, and where. */
    refusal = $state<string | null>(null);
    conflict = $state<Conflict | null>(null);
    index = $derived(this.data === null ? null : new PlanIndex(this.data.document));
    accepted = $derived(new Set(this.data?.document.acceptances.map((acceptance) => acceptance.findingId)));
    private unsent = $state.raw<Edit | null>(null);
    private queue: Promise<unknown> = Promise.resolve();

    async open(planId: string): Promise<void> {
        if (this.planId !== planId) {
            this.data = null;
        }
        this.planId = planId;
        this.missing = false;
        this.refusal = null;
        this.conflict = null;
        const [plan, catalogue] = await Promise.all([
            api.GET('/api/plans/{plan}', { params: { path: { plan: planId } } }),
            this.catalogue === null ? api.GET('/api/catalogue') : Promise.resolve(null),
        ]);
        if (catalogue?.data !== undefined) {
            this.catalogue = catalogue.data;
        }
        // An edit may have been answered while this was on its way.
        if (plan.data === undefined || plan.data.version >= (this.data?.version ?? 0)) {
            this.data = plan.data === undefined ? null : untabled(plan.data);
        }
        this.missing = plan.data === undefined;
        shown.begin(plan.data === undefined ? '' : planId, () => this.data?.version ?? 0);
        this.saving = 'saved';
    }

    /** Sends operations, one edit after another, each made against the version the last one gave. True when kept. */
    edit(label: string, ...operations: Operation[]): Promise<boolean> {
        const sent = this.queue.then(() => this.send({ label: label.slice(0, 200), operations }));
        this.queue = sent.catch(() => false);
        return sent;
    }

    undo(): Promise<boolean> {
        return this.replay('/api/plans/{plan}/undo');
    }

    redo(): Promise<boolean> {
        return this.replay('/api/plans/{plan}/redo');
    }

    /** After a lost connection: the edit that did not arrive, once more. */
    async retry(): Promise<void> {
        const edit = this.unsent;
        if (edit !== null) {
            this.unsent = null;
            await this.send(edit);
        }
    }

    private async send(edit: Edit): Promise<boolean> {
        if (this.data === null) {
            return false;
        }
        this.saving = 'saving';
        this.refusal = null;
        const views = shown.onScreen();
        try {
            const { data, error, response } = await api.POST('/api/plans/{plan}/operations', {
                params: { path: { plan: this.planId } },
                body: { version: this.data.version, views, ...edit },
            });
            if (data !== undefined) {
                await this.take(data, views);
                this.saving = 'saved';
                return true;
            }
            if (response.status === 401 || response.status === 419) {
                this.saving = 'failed';
                this.unsent = edit;
                this.refusal =
                    'you have been signed out. Sign in again in another tab, then try again: your change is kept here.';
                return false;
            }
            this.saving = 'saved';
            if (response.status === 409 && 'since' in error) {
                this.conflict = { message: error.message, mine: edit.label, since: error.since };
            } else if ('problems' in error) {
                this.refusal = error.problems
                    .map((problem) => `${fieldOf(problem.place)} ${problem.message}`)
                    .join('; ');
            } else {
                this.refusal = error.message;
            }
            return false;
        } catch {
            this.saving = 'failed';
            this.unsent = edit;
            return false;
        }
    }

    /** Puts an answer into what is held. Made against another version than that, it says too little: the whole is fetched. */
    private async take(changes: Schemas['Changes'], views: Record<string, string[]>): Promise<void> {
        if (this.data?.version === changes.from) {
            this.data = putInto(this.data, changes);
            shown.take(changes.views, views);
            return;
        }
        const { data } = await api.GET('/api/plans/{plan}', { params: { path: { plan: this.planId } } });
        this.data = data === undefined ? this.data : untabled(data);
        shown.begin(this.planId, () => this.data?.version ?? 0);
    }

    private replay(path: '/api/plans/{plan}/undo' | '/api/plans/{plan}/redo'): Promise<boolean> {
        const sent = this.queue.then(async () => {
            this.saving = 'saving';
            this.refusal = null;
            const views = shown.onScreen();
            try {
                const { data, error } = await api.POST(path, {
                    params: { path: { plan: this.planId } },
                    body: { views },
                });
                if (data !== undefined) {
                    await this.take(data, views);
                }
                this.refusal = error?.message ?? null;
                this.saving = 'saved';
                return data !== undefined;
            } catch {
                this.saving = 'failed';
                return false;
            }
        });
        this.queue = sent.catch(() => false);
        return sent;
    }
}

/** The last parts of a place such as /operations/0/values/settings/channel, as a person reads them. */
function fieldOf(place: string): string {
    const wrapping = ['', 'operations', 'values', 'settings'];
    const parts = place.split('/').filter((part) => !wrapping.includes(part) && !/^\d+$/.test(part));
    return parts.join(' › ') || 'The edit';
}

export const workspace = new OpenPlan();

export function add(kind: Operation['kind'], id: string, values: Record<string, unknown>): Operation {
    return { op: 'add', kind, id, values };
}

export function change(kind: Operation['kind'], id: string, values: Record<string, unknown>): Operation {
    return { op: 'change', kind, id, values };
}

export function remove(kind: Operation['kind'], id: string): Operation {
    return { op: 'remove', kind, id, values: {} };
}
