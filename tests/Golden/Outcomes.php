<?php

declare(strict_types=1);

namespace Tests\Golden;

use Rundfunk\Build\Artefacts;
use Rundfunk\Build\CHeader;
use Rundfunk\Build\WiringTable;
use Rundfunk\Check\Finding;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Shipped;

/** All that the program says of a plan on the command line: what it finds, what it proposes, every file of every node. */
final readonly class Outcomes
{
    /** @return array<string, string> by name: "check", "assign", "export NODE FORMAT" */
    public static function of(Plan $plan, Knowledge $knowledge): array
    {
        $outcomes = [
            'check' => self::json(array_map(self::asRecorded(...), Shipped::checker()->check($plan)->all())),
            'assign' => self::json(Shipped::assigner()->assign($plan)->proposals),
        ];
        foreach ($plan->nodes() as $node) {
            $outcomes["export {$node->id} c-header"] = (new CHeader($knowledge))->write($plan, $node);
            $outcomes["export {$node->id} wiring-csv"] = WiringTable::of($plan, $node, $knowledge)->csv();
            foreach (Artefacts::of($plan, $node, $knowledge) as $artefact) {
                $outcomes["export {$node->id} {$artefact->key} {$artefact->fileName}"] = $artefact->content;
            }
        }

        return $outcomes;
    }

    /** @return array<string, mixed> as such findings were told when they were recorded: which step they show on and what else mends them came later */
    private static function asRecorded(Finding $finding): array
    {
        return array_diff_key($finding->jsonSerialize(), ['step' => true, 'otherFixes' => true]);
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
