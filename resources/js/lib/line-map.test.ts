import { expect, test } from 'vitest';
import { wrap } from './line-map';

test('long names wrap and are shortened', () => {
    expect(wrap('Hen house')).toEqual(['Hen house']);
    expect(wrap('Propagation bench')).toEqual(['Propagation', 'bench']);
    expect(wrap('Incomprehensibilities')).toEqual(['Incomprehe…']);
});
