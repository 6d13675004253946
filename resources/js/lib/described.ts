/** A step into what describes a class: the name of a field, or the place in a list. */
export type Path = (string | number)[];

/**
 * The same description with one value otherwise. Nothing, and a flag that is off, are left out: that is how the catalogue says
 * them.
 */
export function described<T>(description: T, path: Path, value: unknown): T {
    const [first, ...rest] = path;
    if (first === undefined) {
        return value as T;
    }
    if (Array.isArray(description)) {
        return description.map((one: unknown, at) => (at === first ? described(one, rest, value) : one)) as T;
    }
    const fields = description as Record<string, unknown>;
    if (rest.length === 0 && (value === null || value === false)) {
        return Object.fromEntries(Object.entries(fields).filter(([name]) => name !== first)) as T;
    }
    return { ...fields, [first]: described(fields[first] ?? {}, rest, value) } as T;
}

/** What stands there; undefined where nothing does. */
export function at(description: unknown, path: Path): unknown {
    return path.reduce<unknown>(
        (held, step) => (held as Record<string | number, unknown> | undefined)?.[step],
        description,
    );
}
