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

/** What was typed in hexadecimal, with or without 0x; what is none of that goes on as it stands. */
export function typedHex(text: string): number | string | null {
    const digits = text.trim().replace(/^0x/i, '');
    return digits === '' ? null : /^[0-9a-f]{1,8}$/i.test(digits) ? parseInt(digits, 16) : text;
}

/** A number in hexadecimal, of so many digits at least; nothing for none. */
export function hex(value: unknown, digits = 3): string {
    return typeof value === 'number' ? value.toString(16).toUpperCase().padStart(digits, '0') : '';
}
