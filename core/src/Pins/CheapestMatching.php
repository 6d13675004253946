<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

/**
 * Gives each row a column of its own at the least total cost: the Hungarian method with potentials (Kuhn 1955, in the
 * O(rows² · columns) form of Jonker and Volgenant).
 */
final readonly class CheapestMatching
{
    /**
     * @param  list<list<int|null>>  $costs  rows × columns, null where a row cannot take a column; never more rows than columns
     * @param  list<int>  $unplaced  what it costs to leave each row without a column, more than any other sum
     * @return list<int|null> the column of each row
     */
    public static function of(array $costs, array $unplaced): array
    {
        $rows = count($costs);
        $real = $rows === 0 ? 0 : count($costs[0]);
        $columns = $real + $rows;
        $costs = self::withNowhere($costs, $real, $unplaced);
        $rowPotential = array_fill(0, $rows + 1, 0);
        $columnPotential = array_fill(0, $columns + 1, 0);
        $rowOf = array_fill(0, $columns + 1, 0);
        $previous = array_fill(0, $columns + 1, 0);
        for ($row = 1; $row <= $rows; $row++) {
            $rowOf[0] = $row;
            $at = 0;
            $slack = array_fill(0, $columns + 1, PHP_INT_MAX);
            $visited = array_fill(0, $columns + 1, false);
            do {
                $visited[$at] = true;
                $line = $costs[$rowOf[$at] - 1];
                $potential = $rowPotential[$rowOf[$at]];
                $least = PHP_INT_MAX;
                $next = 0;
                for ($column = 1; $column <= $columns; $column++) {
                    if ($visited[$column]) {
                        continue;
                    }
                    if (isset($line[$column - 1])) {
                        $reduced = $line[$column - 1] - $potential - $columnPotential[$column];
                        if ($reduced < $slack[$column]) {
                            $slack[$column] = $reduced;
                            $previous[$column] = $at;
                        }
                    }
                    if ($slack[$column] < $least) {
                        $least = $slack[$column];
                        $next = $column;
                    }
                }
                for ($column = 0; $column <= $columns; $column++) {
                    if ($visited[$column]) {
                        $rowPotential[$rowOf[$column]] += $least;
                        $columnPotential[$column] -= $least;
                    } elseif ($slack[$column] !== PHP_INT_MAX) {
                        $slack[$column] -= $least;
                    }
                }
                $at = $next;
            } while ($rowOf[$at] !== 0);
            do {
                $before = $previous[$at];
                $rowOf[$at] = $rowOf[$before];
                $at = $before;
            } while ($at !== 0);
        }
        $columnOf = array_fill(0, $rows, null);
        for ($column = 1; $column <= $real; $column++) {
            if ($rowOf[$column] !== 0) {
                $columnOf[$rowOf[$column] - 1] = $column - 1;
            }
        }

        return array_values($columnOf);
    }

    /**
     * Gives each row one more column, of its own, that stands for "nowhere".
     *
     * @param  list<list<int|null>>  $costs
     * @param  list<int>  $unplaced
     * @return list<array<int, int|null>>
     */
    private static function withNowhere(array $costs, int $real, array $unplaced): array
    {
        $extended = [];
        foreach ($costs as $row => $line) {
            $line[$real + $row] = $unplaced[$row];
            $extended[] = $line;
        }

        return $extended;
    }
}
