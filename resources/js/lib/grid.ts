export interface Spot {
    row: number;
    column: number;
}

/** Where a key of the arrows, Home or End leads in a grid; null for every other key. */
export function moveInGrid(
    event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey'>,
    from: Spot,
    size: { rows: number; columns: number },
): Spot | null {
    if (event.ctrlKey || event.metaKey || event.altKey) {
        return null;
    }
    const moves: Record<string, Spot> = {
        ArrowUp: { row: -1, column: 0 },
        ArrowDown: { row: 1, column: 0 },
        ArrowLeft: { row: 0, column: -1 },
        ArrowRight: { row: 0, column: 1 },
        Home: { row: 0, column: -from.column },
        End: { row: 0, column: size.columns },
    };
    const move = moves[event.key];
    return move === undefined
        ? null
        : {
              row: within(from.row + move.row, size.rows),
              column: within(from.column + move.column, size.columns),
          };
}

function within(at: number, count: number): number {
    return Math.min(count - 1, Math.max(0, at));
}
