import type { Schemas } from './api';

type Calculator = Schemas['Calculator'];

/** A calculator's figures as its address holds them: ?supply_v=5&current_ma=100. One that holds none is tried with all its examples. */
export function given(calculator: Calculator, query: string): Record<string, string> {
    const asked = new URLSearchParams(query);
    const values: Record<string, string> = {};
    const { inputs } = calculator;
    for (const input of inputs) {
        const tried = input.required || !inputs.some((one) => asked.has(one.name));
        const value = asked.get(input.name) ?? (tried ? (input.choices[0] ?? input.example) : '');
        if (value !== '') {
            values[input.name] = value;
        }
    }
    return values;
}

/** The address that holds these figures, and the plan that one came from. */
export function address(name: string, values: Record<string, string>, plan: string): string {
    const query = new URLSearchParams(values);
    if (plan !== '') {
        query.set('plan', plan);
    }
    return `/calculators/${name}${query.size > 0 ? `?${query.toString()}` : ''}`;
}

/** The topics in the order in which they first come, each with its calculators. */
export function byTopic(calculators: Calculator[]): { topic: string; calculators: Calculator[] }[] {
    const topics = new Map<string, Calculator[]>();
    for (const calculator of calculators) {
        topics.set(calculator.topic, [...(topics.get(calculator.topic) ?? []), calculator]);
    }
    return [...topics].map(([topic, own]) => ({ topic, calculators: own }));
}

const abbreviations: Record<string, string> = {
    leds: 'LEDs',
    crc: 'CRC',
    ack: 'acknowledge',
    csq: 'CSQ',
    e164: 'E.164',
    freq: 'frequency',
    awg: 'AWG',
    esr: 'own resistance (ESR)',
    vin: 'fed',
    vout: 'given',
    vbe: 'base',
    r1: 'R1',
    r2: 'R2',
};

/** A figure's name for people: supply_v with the unit V is "supply". */
export function title(quantity: Calculator['inputs'][number]): string {
    const words = quantity.name.split('_');

    const units = [
        'v',
        'ma',
        'ohm',
        'mw',
        'us',
        'ms',
        'mhz',
        'mm',
        'dbm',
        'kbps',
        'bytes',
        'hz',
        's',
        'm',
        'm2',
        'sr',
        'a',
        'w',
        'uf',
        'pf',
        'ns',
        'mm2',
        'mah',
        'percent',
    ];
    while (words.length > 1 && quantity.unit !== null && units.includes(words.at(-1)?.toLowerCase() ?? '')) {
        words.pop();
    }
    const text = words.map((word) => abbreviations[word] ?? word).join(' ');
    return text.charAt(0).toUpperCase() + text.slice(1);
}

/** As people read it: no more digits than mean anything. */
export function figure(value: unknown): string {
    if (value === null || value === '') {
        return 'none';
    }
    if (typeof value === 'boolean') {
        return value ? 'yes' : 'no';
    }
    if (typeof value === 'number') {
        return String(Number(value.toPrecision(6)));
    }
    return Array.isArray(value) ? (value.length === 0 ? 'none' : value.map(figure).join(', ')) : String(value);
}
