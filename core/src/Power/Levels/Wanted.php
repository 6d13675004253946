<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Check\Wire;
use Rundfunk\Figures;
use Rundfunk\Plan\Plan;

/** A discrete part that a wire wants and lacks, whatever its levels are. */
final readonly class Wanted
{
    private function __construct(public string $name, public string $why, public LevelParts $parts)
    {
    }

    /** @return list<self> */
    public static function at(Plan $plan, Wiring $wiring, Wire $wire): array
    {
        $moduleId = $wire->module->id;
        $terminal = $wire->terminal->name;
        $pullUpOhm = $wiring->missingPullUpOhm($wire);
        $seriesOhm = $wiring->missingSeriesOhm($wire);
        $baseOhm = $wiring->missingBaseOhm($wire);

        return [
            ...($pullUpOhm === null ? [] : [new self('Pull-up', 'Nothing else holds the wire high.', LevelParts::pullUp($plan, $moduleId, $terminal, $pullUpOhm))]),
            ...($seriesOhm === null ? [] : [new self('Resistor in series', self::whySeries($wire), LevelParts::series($plan, $moduleId, $terminal, $seriesOhm))]),
            ...($baseOhm === null ? [] : [new self('Transistor', 'It takes '.Figures::significant((float) Wiring::livesOnMa($wire)).' mA and a pin gives '.Figures::significant($wire->pinCurrent()->advisedMa).'.', LevelParts::driver($plan, $moduleId, $terminal, $baseOhm))]),
        ];
    }

    /** Common practice, both. */
    public static function whySeries(Wire $wire): string
    {
        return $wire->terminal->needs === 'pwm'
            ? 'A gate is a capacitor: each edge would take its whole current from the pin.'
            : 'Without it the first light rings at each edge, and pays for a supply that comes after its data.';
    }
}
