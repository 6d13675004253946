const ALPHABET = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

/** A new id: ten letters of time, sixteen of chance. Source: the ULID specification. */
export function ulid(now: number = Date.now()): string {
    let time = '';
    for (let rest = now, letter = 0; letter < 10; letter++, rest = Math.floor(rest / 32)) {
        time = (ALPHABET[rest % 32] ?? '0') + time;
    }
    const chance = Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => ALPHABET[byte % 32] ?? '0');
    return time + chance.join('');
}
