import { api, type Catalogue, type Operation, type Schemas } from './api';
import { putInto } from './changes';
import type { Outbox, Waiting } from './outbox';
import { overlaid } from './overlay';
import { rebased } from './rebase';
import { PlanIndex } from './plan-index';
import { Sending, type Answer } from './sending.svelte';
import { shown } from './shown.svelte';
import { untabled, type Workspace } from './tables';

/** How often to ask what others did, ms. */
const ASKED_EVERY = 2_000;

const ONLY_TO_LOOK_AT = 'this plan is shared with you to look at';

/** The plan that is open: what the server last said of it, with the edits laid over it that have not got there. */
class OpenPlan {
    planId = $state('');
    catalogue = $state.raw<Catalogue | null>(null);
    missing = $state(false);
    /** The plan cannot be had just now, which says nothing of whether it is there. */
    unreachable = $state(false);
    /** Why the last edit was not kept, and where. */
    refusal = $state<string | null>(null);
    private held = $state.raw<Workspace | null>(null);
    /** Another for each plan that is opened: what was begun for one says nothing of the next. */
    private sending = $state.raw<Sending | null>(null);
    data = $derived(this.laidOver());
    index = $derived(this.data === null ? null : new PlanIndex(this.data.document));
    accepted = $derived(new Set(this.data?.document.acceptances.map((acceptance) => acceptance.findingId)));
    readonly saving = $derived(this.sending?.saving ?? 'saved');
    readonly unsent = $derived(this.sending?.unsent ?? []);
    readonly conflict = $derived(this.sending?.conflict ?? null);
    readonly signedOut = $derived(this.sending?.signedOut ?? false);
    private poll: ReturnType<typeof setInterval> | undefined;

    async open(planId: string): Promise<void> {
        if (this.planId !== planId || this.sending === null) {
            this.close();
            this.held = null;
            this.planId = planId;
            const sending: Sending = new Sending(
                planId,
                (waiting, outbox) => this.post(sending, waiting, outbox),
                (why) => (this.refusal = why),
            );
            this.sending = sending;
        }
        const { sending } = this;
        this.missing = false;
        this.refusal = null;
        const [plan, catalogue] = await Promise.all([
            api.GET('/api/plans/{plan}', { params: { path: { plan: planId } } }).catch(() => null),
            this.catalogue === null ? api.GET('/api/catalogue').catch(() => null) : Promise.resolve(null),
            sending.ready(),
        ]);
        if (this.sending !== sending) {
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
        clearInterval(this.poll);
        this.poll = setInterval(() => void this.ask(), ASKED_EVERY);
        if (this.held !== null) {
            await sending.pump();
        }
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
        return this.sending?.settled() ?? Promise.resolve();
    }

    /** Somebody does not want to wait for the next try. */
    async retry(): Promise<void> {
        await this.sending?.pump();
    }

    async giveUp(): Promise<void> {
        await this.sending?.giveUp();
        await this.open(this.planId);
    }

    async insist(): Promise<void> {
        await this.read();
        await this.sending?.insist(this.held?.version ?? 0);
    }

    /** The plan is no longer on screen. What waits is sent when it is opened again. */
    close(): void {
        clearInterval(this.poll);
        this.sending?.close();
        this.sending = null;
    }

    private async send(
        does: Waiting['does'],
        label: string,
        operations: Operation[],
        exact: boolean,
    ): Promise<boolean> {
        this.refusal = this.held?.access === 'viewer' ? ONLY_TO_LOOK_AT : null;
        const [{ data }, sending] = [this, this.sending];
        if (this.refusal !== null || this.held === null || data === null || sending === null) {
            return false;
        }
        const all = exact ? operations : rebased(operations, data.document, sending.onTheWay());
        return await sending.send(does, label, all, this.held.version, exact);
    }

    private async post(sending: Sending, waiting: Waiting, outbox: Outbox, views = shown.onScreen()): Promise<Answer> {
        const mark = { id: waiting.id, client: outbox.tab, held: this.held?.version ?? 0, views };
        const params = { path: { plan: this.planId } };
        if (waiting.does !== 'edit' && waiting.of === null) {
            const of = this.held?.history[waiting.does === 'undo' ? 'undoOf' : 'redoOf'] ?? null;
            await outbox.change(waiting.id, { of });
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
                await (this.sending === sending ? this.take(data, views) : undefined);
                return { changes: data };
            }
            if (response.status === 409 && error !== undefined && 'since' in error) {
                return { conflict: { message: error.message, mine: label, since: error.since } };
            }
            if (response.status === 422 && isAboutViews(error)) {
                // The server is of another day than this page: that is no reason to give an edit up.
                return await this.post(sending, waiting, outbox, {});
            }
            return [403, 409, 413, 422].includes(response.status)
                ? { refused: saidOf(error) }
                : { status: response.status, retryAfter: response.headers?.get('Retry-After') ?? null };
        } catch {
            return { status: 0, retryAfter: null };
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
        const { held } = this;
        if (held === null || this.saving !== 'saved' || document.visibilityState !== 'visible') {
            return;
        }
        const views = shown.onScreen();
        const { data } = await api
            .GET('/api/plans/{plan}/changes', {
                params: { path: { plan: this.planId }, query: { since: held.version, views: JSON.stringify(views) } },
            })
            .catch(() => ({ data: undefined }));
        if (data !== undefined && this.held === held) {
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
        const { sending } = this;
        const { data } = await api.GET('/api/plans/{plan}', { params: { path: { plan: this.planId } } });
        if (data !== undefined && this.sending === sending) {
            this.held = untabled(data);
            shown.begin(this.planId, () => this.held?.version ?? 0);
        }
    }
}

/** It is what the screen shows that was refused, and not the edit. */
function isAboutViews(error: unknown): boolean {
    const { problems = [] } = (error ?? {}) as { problems?: { place: string }[] };
    return problems.length > 0 && problems.every(({ place }) => place.startsWith('/views'));
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
