export interface Spot {
    row: number;
    column: number;
}

/** So far leads a page key. */
const PAGE = 10;

/** Where a key that moves leads in a grid, as in any other grid (WAI-ARIA authoring practices); null for every other key. */
export function moveInGrid(
    event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey'>,
    from: Spot,
    size: { rows: number; columns: number },
): Spot | null {
    if (event.metaKey || event.altKey) {
        return null;
    }
    const corners: Record<string, Spot> = {
        Home: { row: -size.rows, column: -size.columns },
        End: { row: size.rows, column: size.columns },
    };
    const moves: Record<string, Spot> = {
        ArrowUp: { row: -1, column: 0 },
        ArrowDown: { row: 1, column: 0 },
        ArrowLeft: { row: 0, column: -1 },
        ArrowRight: { row: 0, column: 1 },
        Home: { row: 0, column: -from.column },
        End: { row: 0, column: size.columns },
        PageUp: { row: -PAGE, column: 0 },
        PageDown: { row: PAGE, column: 0 },
    };
    const move = (event.ctrlKey ? corners : moves)[event.key];
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
