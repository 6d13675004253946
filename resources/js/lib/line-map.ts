/** How text is fitted on the line map, whose places the core lays out. Lengths in pixels as there. */
export const LABELS = 150;
export const TOP = 70;

/** A name on at most two lines of about so many letters. */
export function wrap(name: string, letters = 11): string[] {
    if (name.length <= letters) {
        return [name];
    }
    const words = name.split(' ');
    let first = words[0] ?? '';
    let next = 1;
    while (next < words.length && `${first} ${words[next]}`.length <= letters) {
        first += ` ${words[next++]}`;
    }
    return [first, words.slice(next).join(' ')].filter((line) => line !== '').map((line) => cut(line, letters));
}

/** Text on one line of about so many letters. */
export function cut(text: string, letters: number): string {
    return text.length <= letters ? text : `${text.slice(0, letters - 1)}…`;
}
