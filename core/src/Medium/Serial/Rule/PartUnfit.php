<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Levels;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Medium\Serial\Trial;

/** A part whose levels are not those of the line. */
#[Finds('serial-part-unfit', WorkStep::Links)]
final readonly class PartUnfit implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $part = Levels::tryFrom((string) ($end->class->figures['levels'] ?? ''));
        $line = SerialSettings::of($end->link)->levels;
        if ($part === null || $part === $line) {
            return [];
        }

        return [Finding::fault(
            "{$end->module?->name} of {$end->node->name} speaks {$part->words()}, {$end->link->name} is {$line->words()}",
            $end->at('moduleId'),
            $line === Levels::Rs232 || $part === Levels::Rs232 ? 'RS-232 goes to twelve volts and below zero: it ends a logic pin at once, and it is the other way up.' : 'They do not understand each other, and a pin against a driver is a short circuit.',
            'The same kind at every end.',
            self::fix($look, $end, $part),
            numbers: ['part' => $part->value, 'line' => $line->value],
        )];
    }

    /** The line as its parts are, where all of them are alike. */
    private static function fix(Look $look, End $end, Levels $part): ?Fix
    {
        foreach ($look->plan->endpointsOn($end->link) as $other) {
            $figures = $look->end($other)->class->figures ?? [];
            if (isset($figures['levels']) && $figures['levels'] !== $part->value) {
                return null;
            }
        }

        $settings = SerialSettings::of($end->link);
        $count = count($look->plan->endpointsOn($end->link));
        $fits = ($settings->lengthM ?? 0.0) <= $part->reachM($settings->baud) && match ($part) {
            Levels::Rs232 => $count <= 2 || $settings->topology === Topology::Ring,
            Levels::Rs485 => $settings->topology !== Topology::Ring,
            Levels::Logic => true,
        };

        return $fits ? Trial::settings("Set {$end->link->name} to {$part->words()}", $look, $end->link, ['levels' => $part->value]) : null;
    }
}
