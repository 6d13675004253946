<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Infrared\IrEmitter;

/** An emitter straight on a pin, at more than the pin may give. */
#[Finds('ir-led-over-pin', WorkStep::Links)]
final readonly class LedOverPin extends InfraredRule implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $emitter = IrEmitter::of($look->plan, $end->endpoint, $look->catalogue);
        if ($emitter === null) {
            return [];
        }
        $board = $look->catalogue->boardOf($end->node);
        $actualMa = $emitter->resistor()?->actualMa();
        if (! $emitter->onPin || $board === null || $actualMa === null || $actualMa <= $board->pinCurrent->advisedMa) {
            return [];
        }
        $advised = Figures::significant($board->pinCurrent->advisedMa);
        $reachM = $emitter->end->reachM(IrEmitter::weakestUwM2($look->plan, $end->link), $end->link->settings['sunlit'] === true);
        $grave = $actualMa > $board->pinCurrent->absoluteMa;

        return [Finding::of(
            $grave ? Severity::Fault : Severity::Warning,
            "The emitter of {$end->node->name} asks ".Figures::significant($actualMa).' mA of a pin good for '.$advised,
            $end->at('currentMa'),
            $grave ? 'More than the pin stands at all: it fails now or next month, and may take the chip along.' : 'The pin gives it, hot, and its voltage sags so that the emitter is weaker than planned.',
            'Drive it through a transistor from the supply, or stay within what the pin gives and reach less far.',
            // Where so little is heard no more, a transistor is the only way.
            $reachM * sqrt($board->pinCurrent->advisedMa / $emitter->end->currentMa) < $emitter->end->distanceM ? null : Fix::settings("Set {$advised} mA", $end->endpoint, ['currentMa' => $board->pinCurrent->advisedMa]),
            numbers: ['current_ma' => round($actualMa, 1), 'advised_ma' => $board->pinCurrent->advisedMa, 'absolute_ma' => $board->pinCurrent->absoluteMa],
        )];
    }
}
