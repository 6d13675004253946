import { diffIndices } from 'node-diff3';

/**
 * Keys for the rows of a list whose entries have no id: a row that moves keeps its key, so that what is typed or pressed in it
 * stays its own while others come and go, be it by an edit on its way or by somebody else's.
 *
 * @returns for each row of the list as it is now, told after each change of it, a key
 */
export function rowKeys(): (rows: readonly unknown[]) => number[] {
    let before: string[] = [];
    let keys: number[] = [];
    let made = 0;
    return (rows) => {
        const texts = rows.map((row) => JSON.stringify(row));
        const now: number[] = [];
        let from = 0;
        for (const { buffer1: was, buffer2: is } of diffIndices(before, texts)) {
            const [place, gone] = was;
            const [, come] = is;
            now.push(...keys.slice(from, place));
            // As many as there were: each was changed where it stands.
            const stay = gone === come ? keys.slice(place, place + gone) : Array.from({ length: come }, () => made++);
            now.push(...stay);
            from = place + gone;
        }
        now.push(...keys.slice(from));
        before = texts;
        keys = now;
        return now;
    };
}
