/**
 * What was typed as the core is told it: nothing as null, a number as one, and anything else as it stands, for the core
 * says what is wrong with it.
 */
export function typed(text: string): number | string | null {
    if (text === '') {
        return null;
    }
    return /^[-+]?\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : text;
}
