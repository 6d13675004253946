import { api, type Schemas } from './api';

type Shapes = Schemas['Views'];
export type ViewKey = keyof Shapes;

/** The most that the server shows in one answer. */
const AT_ONCE = 50;

interface Open {
    key: ViewKey;
    of: string;
    count: number;
}

/** What screens show of the plan that is open besides the plan itself: asked for when a screen opens, brought by edits after that. */
class Shown {
    private planId = '';
    private version = (): number => 0;
    /** As it is now. What goes off the screen is closed while effects are taken down, and there {@link held} reads as it was before. */
    private kept: Record<string, unknown> = {};
    /** The same, as screens are told of it. */
    private held = $state.raw<Record<string, unknown>>({});
    private readonly open = new Map<string, Open>();
    private readonly wanted = new Map<ViewKey, string[]>();

    /** Another plan, or the same from the beginning: whatever is on screen is asked for again. */
    begin(planId: string, version: () => number): void {
        this.planId = planId;
        this.version = version;
        this.keep({});
        for (const one of this.open.values()) {
            this.ask(one.key, one.of);
        }
    }

    /** What is held of a view; undefined until it has come, null where there is nothing to show. */
    now<K extends ViewKey>(key: K, of: string): Shapes[K] | null | undefined {
        return this.held[name(key, of)] as Shapes[K] | null | undefined;
    }

    /** A screen shows it, from now until it says {@link close}. */
    show(key: ViewKey, of: string): void {
        const one = this.open.get(name(key, of));
        if (one !== undefined) {
            one.count++;
            return;
        }
        this.open.set(name(key, of), { key, of, count: 1 });
        this.ask(key, of);
    }

    close(key: ViewKey, of: string): void {
        const one = this.open.get(name(key, of));
        if (one !== undefined && --one.count === 0) {
            this.open.delete(name(key, of));
            const { [name(key, of)]: gone, ...others } = this.kept;
            if (gone !== undefined) {
                this.keep(others);
            }
        }
    }

    /** For an edit to name: what is on screen. */
    onScreen(): Record<string, string[]> {
        const views: Record<string, string[]> = {};
        for (const { key, of } of this.open.values()) {
            const ids = (views[key] ??= []);
            // More than the server takes would have an edit refused; what is not named is asked for when its answer has come.
            if (ids.length < AT_ONCE) {
                ids.push(of);
            }
        }
        return views;
    }

    /**
     * What an edit's answer brought. What has come on screen since the edit was sent, `named` did not name: what is held of that
     * may be from before the edit, and what never came may come now, so both are asked for.
     */
    take(views: Record<string, { of: string; shows: unknown }[]>, named: Record<string, string[]>): void {
        this.put(views);
        for (const { key, of } of this.open.values()) {
            if (named[key]?.includes(of) !== true || this.kept[name(key, of)] === undefined) {
                this.ask(key, of);
            }
        }
    }

    private put(views: Record<string, { of: string; shows: unknown }[]>): void {
        const held = { ...this.kept };
        for (const [key, parts] of Object.entries(views)) {
            for (const { of, shows } of parts) {
                if (this.open.has(name(key, of))) {
                    held[name(key, of)] = shows;
                }
            }
        }
        this.keep(held);
    }

    private keep(held: Record<string, unknown>): void {
        this.kept = held;
        this.held = held;
    }

    /** Whatever comes on screen in one go is asked for together. */
    private ask(key: ViewKey, of: string): void {
        if (this.wanted.size === 0) {
            queueMicrotask(() => {
                const wanted = [...this.wanted];
                this.wanted.clear();
                for (const [one, ids] of wanted) {
                    for (let from = 0; from < ids.length; from += AT_ONCE) {
                        void this.fetch(one, ids.slice(from, from + AT_ONCE));
                    }
                }
            });
        }
        this.wanted.set(key, [...(this.wanted.get(key) ?? []), of]);
    }

    private async fetch(key: ViewKey, ids: string[]): Promise<void> {
        const planId = this.planId;
        if (planId === '') {
            return;
        }
        // A lost connection shows when the next edit is sent, and what is missing here is asked for after that.
        const { data } = await api
            .GET('/api/plans/{plan}/views/{view}', {
                params: { path: { plan: planId, view: key }, query: ids.join(',') === '' ? {} : { of: ids.join(',') } },
            })
            .catch(() => ({ data: undefined }));
        if (data === undefined || this.planId !== planId) {
            return;
        }
        // An edit may have been answered while this was on its way: what is older than the plan is asked for again.
        if (data.version < this.version()) {
            for (const of of ids) {
                if (this.open.has(name(key, of))) {
                    this.ask(key, of);
                }
            }
            return;
        }
        this.put({ [key]: data.parts });
    }
}

function name(key: string, of: string): string {
    return `${key} ${of}`;
}

export const shown = new Shown();

/**
 * A view that a component shows as long as it is there, of whatever `of` says: undefined for nothing.
 * Its `now` is undefined until the view has come, and null where there is nothing to show.
 */
export function view<K extends ViewKey>(
    key: K,
    of: () => string | undefined = () => '',
): { readonly now: Shapes[K] | null | undefined } {
    // Whatever else it is worked out of may change: while the id is the same, nothing is asked for anew.
    const wanted = $derived(of());
    $effect(() => {
        const id = wanted;
        if (id === undefined) {
            return;
        }
        shown.show(key, id);
        return () => shown.close(key, id);
    });
    return {
        get now() {
            const id = wanted;
            return id === undefined ? undefined : shown.now(key, id);
        },
    };
}
