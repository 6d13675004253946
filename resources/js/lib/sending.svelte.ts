import { api, type Operation, type Schemas } from './api';
import { Outbox, type Waiting } from './outbox';
import { session } from './session.svelte';
import { ulid } from './ulid';

export interface Conflict {
    message: string;
    mine: string;
    since: { version: number; label: string; by: string }[];
}

/** What became of an edit that was sent: what it changed; why it was refused; what it is at odds with; or that it must wait. */
export type Answer =
    | { changes: Schemas['Changes'] }
    | { refused: string }
    | { conflict: Conflict }
    | { status: number; retryAfter: string | null };

/** When to try again, s: at once, then less and less often. */
const DELAYS = [0, 1, 2, 5, 15];

/** The edits of one plan on their way to the server, one after another: kept in the outbox until it has them. */
export class Sending {
    conflict = $state<Conflict | null>(null);
    signedOut = $state(false);
    /** All that the outbox holds: as long as there is anything, nothing is called saved. */
    private waiting = $state.raw<Waiting[]>([]);
    /** On their way into the outbox. */
    private entering: Waiting[] = [];
    /** There is no way through to the server just now, or nobody is signed in. */
    private stalled = $state(false);
    private readonly blocked = $derived(this.stalled || this.conflict !== null);
    /** 'waiting' when something is in the way. */
    readonly saving = $derived(this.waiting.length === 0 ? 'saved' : this.blocked ? 'waiting' : 'saving');
    /** Edits that wait for something to be out of the way, and are shown as if they were made. */
    readonly unsent = $derived(this.blocked ? this.waiting : []);
    private readonly outbox: Promise<Outbox>;
    private askers: { id: string; told: (kept: boolean) => void }[] = [];
    private last: Promise<boolean> = Promise.resolve(true);
    private pumping: Promise<void> | null = null;
    private timer: ReturnType<typeof setTimeout> | undefined;
    private tries = 0;
    private closed = false;

    /**
     * @param post sends one edit, and puts its answer into what is held
     * @param refused is told why an edit was not kept
     */
    constructor(
        planId: string,
        private readonly post: (waiting: Waiting, outbox: Outbox) => Promise<Answer>,
        private readonly refused: (why: string) => void,
    ) {
        this.outbox = Outbox.open(session.user?.email ?? '', planId);
    }

    /** When it is known what waits from before. */
    async ready(): Promise<void> {
        this.waiting = [...(await this.outbox).all()];
    }

    /** Another plan is opened, or none: what waits is sent when this one is opened again. */
    close(): void {
        this.closed = true;
        clearTimeout(this.timer);
    }

    /** @returns whether it was kept, or waits to be; false when the server refused it */
    send(
        does: Waiting['does'],
        label: string,
        operations: Operation[],
        version: number,
        exact: boolean,
    ): Promise<boolean> {
        const waiting: Waiting = { id: ulid(), does, label, operations, version, exact, of: null };
        this.entering.push(waiting);
        return (this.last = this.line(waiting));
    }

    /** What every edit does that is not answered yet, the oldest first. */
    onTheWay(): Operation[] {
        return [...this.waiting, ...this.entering].flatMap((one) => one.operations);
    }

    /** When whatever was sent up to now is answered, or waits for a way through. */
    settled(): Promise<unknown> {
        return this.last;
    }

    /** Sends what waits, first things first, until all is answered or something is in the way. */
    pump(): Promise<void> {
        clearTimeout(this.timer);
        return (this.pumping ??= this.work().finally(() => (this.pumping = null)));
    }

    /** The edit that is at odds with what others did is given up, and with it those that need it. */
    async giveUp(): Promise<void> {
        const outbox = await this.outbox;
        const [first] = outbox.all();
        if (first !== undefined) {
            await this.done(outbox, first, false);
        }
        this.conflict = null;
    }

    /** The edit that is at odds with what others did is made all the same, over theirs. */
    async insist(version: number): Promise<void> {
        const outbox = await this.outbox;
        const [first] = outbox.all();
        if (first !== undefined) {
            await outbox.change(first.id, { version, exact: false });
        }
        this.conflict = null;
        await this.pump();
    }

    private async line(waiting: Waiting): Promise<boolean> {
        const outbox = await this.outbox;
        const kept = new Promise<boolean>((told) => this.askers.push({ id: waiting.id, told }));
        const put = outbox.add(waiting);
        this.waiting = [...outbox.all()];
        this.entering = this.entering.filter((one) => one !== waiting);
        await put;
        if (this.stalled) {
            this.settle(waiting.id, true);
        } else {
            void this.pump();
        }
        return kept;
    }

    private async work(): Promise<void> {
        const outbox = await this.outbox;
        this.waiting = [...outbox.all()];
        while (!this.closed && this.conflict === null) {
            const [first] = outbox.all();
            if (first === undefined) {
                this.stalled = false;
                return;
            }
            const answer = await this.post(first, outbox);
            if (this.closed) {
                return;
            }
            if ('status' in answer) {
                this.later(answer.status, answer.retryAfter);
                return;
            }
            this.tries = 0;
            if ('conflict' in answer) {
                this.conflict = answer.conflict;
                this.settle(first.id, false);
            } else if ('refused' in answer) {
                this.refused(answer.refused);
                await this.done(outbox, first, false);
            } else {
                await this.done(outbox, first, true);
                await this.follow(outbox, answer.changes);
            }
        }
    }

    private async done(outbox: Outbox, waiting: Waiting, kept: boolean): Promise<void> {
        const tidied = outbox.drop(kept ? [waiting.id] : this.needing(outbox, waiting));
        this.waiting = [...outbox.all()];
        // Whoever asked goes on with the plan as it is now, before the outbox is tidied.
        this.settle(waiting.id, kept);
        await tidied;
    }

    /** An edit that was not kept, and those that need what it would have added. */
    private needing(outbox: Outbox, refused: Waiting): string[] {
        const adds = (operations: Operation[]): string[] =>
            operations.filter(({ op }) => op === 'add').map(({ id }) => id);
        const missing = adds(refused.operations);
        const ids = [refused.id];
        for (const { id, operations } of outbox.all()) {
            const text = JSON.stringify(operations);
            if (id !== refused.id && missing.some((one) => text.includes(one))) {
                missing.push(...adds(operations));
                ids.push(id);
                this.settle(id, false);
            }
        }
        return ids;
    }

    /** Where nothing but our own edit came, those behind it were made of what it made. */
    private async follow(outbox: Outbox, { from, version }: Schemas['Changes']): Promise<void> {
        if (version === from + 1) {
            for (const waiting of outbox.all().filter((one) => one.version === from)) {
                await outbox.change(waiting.id, { version });
            }
        }
    }

    /** Nothing is lost: it is tried again, at once, after a while, or when the server says so. Whoever asked for it goes on. */
    private later(status: number, retryAfter: string | null = null): void {
        const asked = Number(retryAfter ?? NaN);
        const delay = Number.isFinite(asked)
            ? Math.min(asked, 60)
            : (DELAYS[Math.min(this.tries, DELAYS.length - 1)] ?? 0);
        this.tries++;
        this.signedOut = status === 401 || status === 419;
        this.stalled = true;
        for (const { id } of this.waiting) {
            this.settle(id, true);
        }
        clearTimeout(this.timer);
        this.timer = setTimeout(() => void this.again(), delay * 1000);
    }

    /** Who was signed out may come back as somebody else: his edits are not sent by that one. */
    private async again(): Promise<void> {
        if (this.signedOut) {
            const asked = await api.GET('/api/session').catch(() => null);
            if (this.closed) {
                return;
            }
            if (asked?.data?.user?.email !== session.user?.email) {
                this.later(401);
                return;
            }
            this.signedOut = false;
        }
        await this.pump();
    }

    private settle(id: string, kept: boolean): void {
        this.askers.find((one) => one.id === id)?.told(kept);
        this.askers = this.askers.filter((one) => one.id !== id);
    }
}
