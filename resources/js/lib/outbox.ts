import { openDB, type IDBPDatabase } from 'idb';
import type { Operation } from './api';
import { ulid } from './ulid';

/** An edit, an undo or a redo that the server has not yet answered. */
export interface Waiting {
    /** By it the server knows it again. */
    id: string;
    does: 'edit' | 'undo' | 'redo';
    label: string;
    operations: Operation[];
    /** The version that its user had before him. */
    version: number;
    /** It was worked out of that version, as a proposal is, and holds for no other. */
    exact: boolean;
    /** Which edit an undo or redo means: known once it is first sent. */
    of: number | null;
}

interface Row extends Waiting {
    seq?: number;
    account: string;
    plan: string;
    tab: string;
}

const STORE = 'edits';
const TAB = 'rundfunk-tab';

/** What one tab has not yet sent of one plan, in order, where it outlives the tab: nothing typed is lost with it. */
export class Outbox {
    private constructor(
        private readonly database: IDBPDatabase | null,
        private readonly account: string,
        private readonly plan: string,
        readonly tab: string,
        private rows: Row[],
    ) {}

    /** What this tab left, and what tabs left that are no more. Another account's is left alone. */
    static async open(account: string, plan: string): Promise<Outbox> {
        const tab = await ownTab();
        const database = await storage();
        const outbox = new Outbox(database, account, plan, tab, []);
        await held('rundfunk-adopt', () => outbox.adopt());
        return outbox;
    }

    all(): Waiting[] {
        return this.rows;
    }

    async add(waiting: Waiting): Promise<void> {
        const row: Row = { ...waiting, account: this.account, plan: this.plan, tab: this.tab };
        this.rows = [...this.rows, row];
        const seq = await this.put(row).catch(() => undefined);
        if (typeof seq === 'number') {
            row.seq = seq;
        }
    }

    /** When it is on the disk: a browser is content with less unless it is told. */
    private async put(row: Row): Promise<IDBValidKey | undefined> {
        const write = this.database?.transaction(STORE, 'readwrite', { durability: 'strict' });
        const key = await write?.store.add(plain(row));
        await write?.done;
        return key;
    }

    async change(id: string, values: Partial<Pick<Waiting, 'of' | 'version' | 'exact'>>): Promise<void> {
        const row = this.rows.find((one) => one.id === id);
        if (row !== undefined) {
            Object.assign(row, values);
            await (row.seq === undefined ? undefined : this.database?.put(STORE, plain(row)).catch(() => undefined));
        }
    }

    async drop(ids: string[]): Promise<void> {
        const gone = this.rows.filter((row) => ids.includes(row.id));
        this.rows = this.rows.filter((row) => !ids.includes(row.id));
        for (const { seq } of gone) {
            await (seq === undefined ? undefined : this.database?.delete(STORE, seq).catch(() => undefined));
        }
    }

    /** Takes over what tabs left that are no more, and what this one left before it was loaded anew. */
    private async adopt(): Promise<void> {
        const stored = ((await this.database?.getAll(STORE).catch(() => [])) ?? []) as Row[];
        const alive = await living();
        for (const row of stored) {
            const orphan = row.tab === this.tab || !alive.has(row.tab);
            if (row.account === this.account && row.plan === this.plan && orphan) {
                const own = { ...row, tab: this.tab };
                await this.database?.put(STORE, plain(own)).catch(() => undefined);
                this.rows.push(own);
            }
        }
    }
}

/** Null in a browser that keeps nothing, as some do in private windows: its edits are there as long as the page is. */
async function storage(): Promise<IDBPDatabase | null> {
    try {
        return await openDB('rundfunk-outbox', 1, {
            upgrade: (made) => made.createObjectStore(STORE, { keyPath: 'seq', autoIncrement: true }),
        });
    } catch {
        return null;
    }
}

/** IndexedDB takes no proxies, and a row without a number has none to keep. */
function plain(row: Row): Row {
    const { seq, ...rest } = row;
    const copy = JSON.parse(JSON.stringify(rest)) as Row;
    return seq === undefined ? copy : { ...copy, seq };
}

let own: Promise<string> | null = null;

/** The name of this tab, the same after it is loaded anew. A tab that was copied from another gets a name of its own. */
function ownTab(): Promise<string> {
    return (own ??= (async () => {
        const before = sessionStorage.getItem(TAB);
        const name = before !== null && (await keep(before)) ? before : ulid();
        if (name !== before) {
            await keep(name);
        }
        sessionStorage.setItem(TAB, name);
        return name;
    })());
}

/** Holds a lock by the tab's name as long as the tab is there; false where another tab has it. */
function keep(name: string): Promise<boolean> {
    const { locks } = navigator as Partial<Navigator>;
    if (locks === undefined) {
        return Promise.resolve(true);
    }
    return new Promise((resolve) => {
        void locks.request(`${TAB}-${name}`, { ifAvailable: true }, (lock) => {
            resolve(lock !== null);
            return lock === null ? undefined : new Promise(() => undefined);
        });
    });
}

/** Names of the tabs that are there. */
async function living(): Promise<Set<string>> {
    const { locks } = navigator as Partial<Navigator>;
    const state = await locks?.query();
    return new Set((state?.held ?? []).map((lock) => (lock.name ?? '').replace(`${TAB}-`, '')));
}

/** One tab at a time; where there are no locks, as without TLS, what two tabs send is done once for its id. */
async function held(name: string, work: () => Promise<void>): Promise<void> {
    const { locks } = navigator as Partial<Navigator>;
    await (locks === undefined ? work() : locks.request(name, work));
}
