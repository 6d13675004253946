import { expect, test } from 'vitest';
import { at, described } from './described';

const board = { logicV: 5, levels: { highInV: 3 }, pins: [{ name: 'D0', console: true }, { name: 'D1' }] };

test('one value is put otherwise, and the rest is what it was', () => {
    expect(described(board, ['levels', 'highInV'], 2)).toEqual({ ...board, levels: { highInV: 2 } });
    expect(described(board, ['pins', 1, 'name'], 'D9').pins).toEqual([{ name: 'D0', console: true }, { name: 'D9' }]);
    expect(described(board, ['own', 'peakMa'], 80)).toEqual({ ...board, own: { peakMa: 80 } });
    expect(board.levels.highInV).toBe(3);
});

test('nothing, and a flag that is off, are left out', () => {
    expect(described(board, ['pins', 0, 'console'], false).pins[0]).toEqual({ name: 'D0' });
    expect(described(board, ['logicV'], null)).not.toHaveProperty('logicV');
});

test('what stands somewhere is found, and nothing where nothing stands', () => {
    expect(at(board, ['pins', 0, 'name'])).toBe('D0');
    expect(at(board, ['radio', 'maxPowerDbm'])).toBeUndefined();
});
