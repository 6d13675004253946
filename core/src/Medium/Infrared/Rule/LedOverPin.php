<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

/** An emitter straight on a pin, at more than the pin may give. */
final readonly class LedOverPin extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-led-over-pin';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::emitters($plan, $knowledge) as ['link' => $link, 'endpoint' => $endpoint, 'node' => $node, 'emitter' => $emitter]) {
            $board = $knowledge->catalogue->boardOf($node);
            $actualMa = $emitter->resistor()?->actualMa();
            if (! $emitter->onPin || $board === null || $actualMa === null || $actualMa <= $board->pinCurrent->advisedMa) {
                continue;
            }
            $advised = Figures::significant($board->pinCurrent->advisedMa);
            $grave = $actualMa > $board->pinCurrent->absoluteMa;
            yield new Finding(
                $this->key(),
                $grave ? Severity::Fault : Severity::Warning,
                "The emitter of {$node->name} asks ".Figures::significant($actualMa).' mA of a pin good for '.$advised,
                Subject::of($endpoint, "{$node->name} on {$link->name}", 'currentMa'),
                ['current_ma' => round($actualMa, 1), 'advised_ma' => $board->pinCurrent->advisedMa, 'absolute_ma' => $board->pinCurrent->absoluteMa],
                $grave ? 'More than the pin stands at all: it fails now or next month, and may take the chip along.' : 'The pin gives it, hot, and its voltage sags so that the emitter is weaker than planned.',
                'Drive it through a transistor from the supply, or stay within what the pin gives and reach less far.',
                self::setEnd($endpoint, "Set {$advised} mA", ['currentMa' => $board->pinCurrent->advisedMa, 'intensityMwSr' => max(1.0, round($emitter->end->intensityMwSr * $board->pinCurrent->advisedMa / $emitter->end->currentMa, 1))]),
            );
        }
    }
}
