import { describe, expect, it } from 'vitest';
import type { Schemas } from './api';
import { address, byTopic, figure, given, title } from './calculation';

type Quantity = Schemas['Calculator']['inputs'][number];
const quantity = (name: string, more: Partial<Quantity> = {}): Quantity => ({
    name,
    kind: 'number',
    unit: null,
    doc: '',
    required: true,
    example: '',
    choices: [],
    ...more,
});
const calculator = (name: string, topic: string, inputs: Quantity[] = []): Schemas['Calculator'] => ({
    name,
    topic,
    title: name,
    plainly: name,
    formula: '',
    source: '',
    inputs,
    outputs: [],
    destination: null,
});

describe('a calculator', () => {
    const resistor = calculator('led-resistor', 'Electrical', [
        quantity('supply_v', { unit: 'V', example: '5' }),
        quantity('series_leds', { example: '1' }),
        quantity('toggle', { required: false, example: 'true' }),
    ]);

    it('takes its figures from the address, else its examples, and leaves out what may be', () => {
        expect(given(resistor, 'supply_v=12&plan=X')).toEqual({ supply_v: '12', series_leds: '1' });
    });

    it('has an address that gives the same figures back, signs and all', () => {
        const values = { supply_v: '3 & 4', series_leds: '+1' };
        const link = address('led-resistor', values, '01J');
        expect(given(resistor, link.slice(link.indexOf('?')))).toEqual(values);
        expect(new URLSearchParams(link.slice(link.indexOf('?'))).get('plan')).toBe('01J');
        expect(address('phone', {}, '')).toBe('/calculators/phone');
    });

    it('names figures without their units', () => {
        expect(title(quantity('supply_v', { unit: 'V' }))).toBe('Supply');
        expect(title(quantity('series_leds'))).toBe('Series LEDs');
        expect(title(quantity('intensity_mw_sr', { unit: 'mW/sr' }))).toBe('Intensity');
        expect(title(quantity('bits'))).toBe('Bits');
    });

    it('stands among those of its topic', () => {
        const all = [calculator('a', 'X'), calculator('b', 'Y'), calculator('c', 'X')];
        expect(byTopic(all).map((one) => [one.topic, one.calculators.length])).toEqual([['X', 2], ['Y', 1]]); // prettier-ignore
    });

    it('says figures with no more digits than mean anything', () => {
        expect([93.589744, 39, null, true, [], [562.5, 1687.5]].map(figure)).toEqual(['93.5897', '39', 'none', 'yes', 'none', '562.5, 1687.5']); // prettier-ignore
    });
});
