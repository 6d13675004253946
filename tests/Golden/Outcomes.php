<?php

declare(strict_types=1);

namespace Tests\Golden;

use Rundfunk\Assign\Assigner;
use Rundfunk\Build\Artefacts;
use Rundfunk\Build\CHeader;
use Rundfunk\Build\WiringTable;
use Rundfunk\Check\Checker;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

/** All that the program says of a plan on the command line: what it finds, what it proposes, every file of every node. */
final readonly class Outcomes
{
    /** @return array<string, string> by name: "check", "assign", "export NODE FORMAT" */
    public static function of(Plan $plan, Knowledge $knowledge): array
    {
        $outcomes = [
            'check' => self::json((new Checker($knowledge))->check($plan)->all()),
            'assign' => self::json((new Assigner($knowledge))->assign($plan)->proposals),
        ];
        foreach ($plan->nodes() as $node) {
            $outcomes["export {$node->id} c-header"] = (new CHeader($knowledge))->write($plan, $node);
            $outcomes["export {$node->id} wiring-csv"] = WiringTable::of($plan, $node, $knowledge->catalogue)->csv();
            foreach (Artefacts::of($plan, $node, $knowledge) as $artefact) {
                $outcomes["export {$node->id} {$artefact->key} {$artefact->fileName}"] = $artefact->content;
            }
        }

        return $outcomes;
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
