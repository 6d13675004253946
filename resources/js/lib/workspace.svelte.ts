import { api, type Catalogue, type Operation, type Schemas } from './api';
import { putInto } from './changes';
import { Outbox, type Waiting } from './outbox';
import { overlaid } from './overlay';
import { PlanIndex } from './plan-index';
import { session } from './session.svelte';
import { shown } from './shown.svelte';
import { untabled, type Workspace } from './tables';
import { ulid } from './ulid';

/** 'waiting' when there is no way through to the server, or nobody signed in. */
type Saving = 'saved' | 'saving' | 'waiting';
interface Conflict {
    message: string;
    mine: string;
    since: { version: number; label: string; by: string }[];
}
type Outcome = 'kept' | 'refused' | 'at odds' | 'later';

/** When to try again, s: at once, then less and less often. */
const DELAYS = [0, 1, 2, 5, 15];
/** How often to ask what others did, ms. */
const ASKED_EVERY = 2_000;

/** The plan that is open: what the server last said of it, and the edits on their way there, in order. */
class OpenPlan {
    planId = $state('');
    catalogue = $state.raw<Catalogue | null>(null);
    missing = $state(false);
    /** The plan cannot be had just now, which says nothing of whether it is there. */
    unreachable = $state(false);
    saving = $state<Saving>('saved');
    signedOut = $state(false);
    /** Why the last edit was not kept, and where. */
    refusal = $state<string | null>(null);
    conflict = $state<Conflict | null>(null);
    /** Edits that wait for a way through, and are shown as if they were made. */
    unsent = $state.raw<Waiting[]>([]);
    private held = $state.raw<Workspace | null>(null);
    data = $derived(this.laidOver());
    index = $derived(this.data === null ? null : new PlanIndex(this.data.document));
    accepted = $derived(new Set(this.data?.document.acceptances.map((acceptance) => acceptance.findingId)));
    private outbox: Outbox | null = null;
    private readonly askers = new Map<string, (kept: boolean) => void>();
    private last: Promise<boolean> = Promise.resolve(true);
    private tries = 0;
    private timer: ReturnType<typeof setTimeout> | undefined;
    private pumping: Promise<void> | null = null;
    private poll: ReturnType<typeof setInterval> | undefined;

    async open(planId: string): Promise<void> {
        if (this.planId !== planId) {
            this.held = null;
            this.outbox = null;
            this.unsent = [];
            this.signedOut = false;
            this.tries = 0;
        }
        this.planId = planId;
        this.missing = false;
        this.refusal = null;
        this.conflict = null;
        clearInterval(this.poll);
        const [plan, catalogue] = await Promise.all([
            api.GET('/api/plans/{plan}', { params: { path: { plan: planId } } }).catch(() => null),
            this.catalogue === null ? api.GET('/api/catalogue').catch(() => null) : Promise.resolve(null),
        ]);
        if (this.planId !== planId) {
            return;
        }
        this.catalogue ??= catalogue?.data ?? null;
        // An edit may have been answered while this was on its way.
        if (plan?.data !== undefined && plan.data.version >= (this.held?.version ?? 0)) {
            this.held = untabled(plan.data);
        }
        this.missing = plan?.response.status === 404;
        this.unreachable = this.held === null && !this.missing;
        shown.begin(this.held === null ? '' : planId, () => this.held?.version ?? 0);
        this.outbox ??= await Outbox.open(session.user?.email ?? '', planId);
        this.saving = 'saved';
        this.poll = setInterval(() => void this.ask(), ASKED_EVERY);
        await this.pump();
    }

    /**
     * Sends operations, one edit after another. They are kept here until the server has them, whatever happens to either.
     *
     * @returns false when the server refused it
     */
    edit(label: string, ...operations: Operation[]): Promise<boolean> {
        return this.send('edit', label.slice(0, 200), operations, false);
    }

    /** Sends what was worked out of the plan as it is now, as proposals and fixes are: it holds for no other version. */
    editExactly(label: string, ...operations: Operation[]): Promise<boolean> {
        return this.send('edit', label.slice(0, 200), operations, true);
    }

    undo(): Promise<boolean> {
        return this.send('undo', 'Undo', [], false);
    }

    redo(): Promise<boolean> {
        return this.send('redo', 'Redo', [], false);
    }

    /** When whatever was sent up to now is answered, or waits for a way through. */
    settled(): Promise<unknown> {
        return this.last;
    }

    /** Somebody does not want to wait for the next try. */
    async retry(): Promise<void> {
        clearTimeout(this.timer);
        await this.pump();
    }

    /** The edit that is at odds with what others did is given up; what came after it goes on. */
    async giveUp(): Promise<void> {
        const [first] = this.outbox?.all() ?? [];
        this.conflict = null;
        if (first !== undefined) {
            await this.outbox?.drop(this.needing(first));
        }
        await this.open(this.planId);
    }

    /** The edit that is at odds with what others did is made all the same, over theirs. */
    async insist(): Promise<void> {
        const [first] = this.outbox?.all() ?? [];
        await this.read();
        this.conflict = null;
        if (first !== undefined && this.held !== null) {
            await this.outbox?.change(first.id, { version: this.held.version, exact: false });
        }
        await this.pump();
    }

    /** The plan is no longer on screen. What waits is sent when it is opened again. */
    close(): void {
        clearInterval(this.poll);
        clearTimeout(this.timer);
    }

    private send(does: Waiting['does'], label: string, operations: Operation[], exact: boolean): Promise<boolean> {
        return (this.last = this.line(does, label, operations, exact));
    }

    private async line(
        does: Waiting['does'],
        label: string,
        operations: Operation[],
        exact: boolean,
    ): Promise<boolean> {
        if (this.held === null) {
            return false;
        }
        this.refusal = null;
        this.outbox ??= await Outbox.open(session.user?.email ?? '', this.planId);
        const id = ulid();
        const kept = new Promise<boolean>((resolve) => this.askers.set(id, resolve));
        await this.outbox.add({ id, does, label, operations, version: this.held.version, exact, of: null });
        this.saving = this.saving === 'waiting' ? 'waiting' : 'saving';
        if (this.saving === 'waiting') {
            this.wait();
        } else {
            void this.pump();
        }
        return kept;
    }

    /** Sends what waits, first things first, until all is answered or something is in the way. */
    private pump(): Promise<void> {
        return (this.pumping ??= this.work().finally(() => (this.pumping = null)));
    }

    private async work(): Promise<void> {
        const planId = this.planId;
        for (;;) {
            const first = this.outbox?.all()[0];
            if (first === undefined || this.conflict !== null || this.planId !== planId || this.held === null) {
                break;
            }
            this.saving = this.unsent.length > 0 ? 'waiting' : 'saving';
            const outcome = await this.post(first);
            if (this.planId !== planId) {
                return;
            }
            if (outcome === 'later') {
                return;
            }
            this.tries = 0;
            if (outcome !== 'at odds') {
                await this.outbox?.drop(outcome === 'kept' ? [first.id] : this.needing(first));
            }
            this.settle(first.id, outcome === 'kept');
            this.unsent = this.unsent.length > 0 ? [...(this.outbox?.all() ?? [])] : this.unsent;
        }
        if (this.outbox?.all().length === 0) {
            this.saving = 'saved';
        }
    }

    /** An edit that was not kept, and those that need what it would have added. */
    private needing(refused: Waiting): string[] {
        const missing = refused.operations.filter(({ op }) => op === 'add').map(({ id }) => id);
        const ids = [refused.id];
        for (const { id, operations } of this.outbox?.all() ?? []) {
            const text = JSON.stringify(operations);
            if (id !== refused.id && missing.some((one) => text.includes(one))) {
                missing.push(...operations.filter(({ op }) => op === 'add').map((one) => one.id));
                ids.push(id);
                this.settle(id, false);
            }
        }
        return ids;
    }

    private settle(id: string, kept: boolean): void {
        this.askers.get(id)?.(kept);
        this.askers.delete(id);
    }

    private async post(waiting: Waiting): Promise<Outcome> {
        const views = shown.onScreen();
        const mark = { id: waiting.id, client: this.outbox?.tab ?? null, held: this.held?.version ?? 0, views };
        const params = { path: { plan: this.planId } };
        if (waiting.does !== 'edit' && waiting.of === null) {
            const of = this.held?.history[waiting.does === 'undo' ? 'undoOf' : 'redoOf'] ?? null;
            await this.outbox?.change(waiting.id, { of });
        }
        try {
            const { label, operations, version, exact, of } = waiting;
            const { data, error, response } =
                waiting.does === 'edit'
                    ? await api.POST('/api/plans/{plan}/operations', {
                          params,
                          body: { ...mark, label, operations, version, exact },
                      })
                    : await api.POST(`/api/plans/{plan}/${waiting.does}`, { params, body: { ...mark, of } });
            if (data !== undefined) {
                await this.take(data, views);
                // Whoever asked goes on with the plan as it is now, before the outbox is tidied.
                this.saving = this.outbox?.all().length === 1 ? 'saved' : this.saving;
                this.settle(waiting.id, true);
                await this.follow(data);
                return 'kept';
            }
            if (response.status === 409 && error !== undefined && 'since' in error) {
                this.conflict = { message: error.message, mine: label, since: error.since };
                this.saving = 'waiting';
                return 'at odds';
            }
            if ([400, 409, 413, 422].includes(response.status)) {
                this.refusal = saidOf(error);
                return 'refused';
            }
            return this.later(response.status, response.headers?.get('Retry-After') ?? null);
        } catch {
            return this.later(0);
        }
    }

    /** Where nothing but our own edit came, those behind it were made of what it made. */
    private async follow({ from, version }: Schemas['Changes']): Promise<void> {
        if (version === from + 1) {
            for (const waiting of this.outbox?.all() ?? []) {
                await (waiting.version === from ? this.outbox?.change(waiting.id, { version }) : undefined);
            }
        }
    }

    /** Nothing is lost: it is tried again, at once, after a while, or when the server says so. */
    private later(status: number, asked: string | null = null): Outcome {
        const after = Number(asked ?? NaN);
        const delay = Number.isFinite(after)
            ? Math.min(after, 60)
            : (DELAYS[Math.min(this.tries, DELAYS.length - 1)] ?? 0);
        this.tries++;
        this.signedOut = status === 401 || status === 419;
        this.saving = 'waiting';
        this.wait();
        clearTimeout(this.timer);
        this.timer = setTimeout(() => void this.again(), delay * 1000);
        return 'later';
    }

    /** Who was signed out may come back as somebody else: his edits are not sent by that one. */
    private async again(): Promise<void> {
        if (this.signedOut) {
            const asked = await api.GET('/api/session').catch(() => null);
            if (asked?.data?.user?.email !== session.user?.email) {
                this.later(401);
                return;
            }
            this.signedOut = false;
        }
        await this.pump();
    }

    /** Whoever asked for an edit goes on: it is kept, if not yet there, and shown as if it were. */
    private wait(): void {
        this.unsent = [...(this.outbox?.all() ?? [])];
        for (const { id } of this.unsent) {
            this.settle(id, true);
        }
    }

    private laidOver(): Workspace | null {
        if (this.held === null || this.unsent.length === 0) {
            return this.held;
        }
        const operations = this.unsent.flatMap((waiting) => waiting.operations);
        return { ...this.held, document: overlaid(this.held.document, operations) };
    }

    /** Asks what others did, as long as nothing of ours is on its way and somebody looks. */
    private async ask(): Promise<void> {
        const { held, planId } = this;
        if (held === null || this.saving !== 'saved' || document.visibilityState !== 'visible') {
            return;
        }
        const views = shown.onScreen();
        const { data } = await api
            .GET('/api/plans/{plan}/changes', {
                params: { path: { plan: planId }, query: { since: held.version, views: JSON.stringify(views) } },
            })
            .catch(() => ({ data: undefined }));
        if (data !== undefined && this.planId === planId && this.held === held) {
            await this.take(data, views);
        }
    }

    /** Puts an answer into what is held. Made against another version than that, it says too little: the whole is fetched. */
    private async take(changes: Schemas['Changes'], views: Record<string, string[]>): Promise<void> {
        if (this.held?.version === changes.from) {
            this.held = putInto(this.held, changes);
            shown.take(changes.views, views);
            return;
        }
        await this.read();
    }

    private async read(): Promise<void> {
        const { data } = await api.GET('/api/plans/{plan}', { params: { path: { plan: this.planId } } });
        this.held = data === undefined ? this.held : untabled(data);
        shown.begin(this.planId, () => this.held?.version ?? 0);
    }
}

/** Why an edit was refused, as a person reads it. */
function saidOf(error: unknown): string {
    const { message, problems } = (error ?? {}) as {
        message?: string;
        problems?: { place: string; message: string }[];
    };
    return problems === undefined
        ? (message ?? 'the server did not take it')
        : problems.map((problem) => `${fieldOf(problem.place)} ${problem.message}`).join('; ');
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
