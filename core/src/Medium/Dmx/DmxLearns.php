<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Figures;
use Rundfunk\Learn\KnowsBought;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\Learn\ReadsDescriptions;
use Rundfunk\Learn\Shown\DescribedThing;
use Rundfunk\Learn\Shown\DescriptionShown;
use Rundfunk\Medium\Dmx\Gdtf\FixtureRefused;
use Rundfunk\Medium\Dmx\Gdtf\ReadsGdtf;
use Rundfunk\Plan\FixtureMode;
use Rundfunk\Plan\ThingKind;

/** What the archive of a fixture says, or its manual: its modes and their slots. */
final readonly class DmxLearns implements KnowsBought, ReadsDescriptions
{
    public function writtenAs(): ThingKind
    {
        return ThingKind::FixtureType;
    }

    public function described(string $text): DescriptionShown
    {
        try {
            $read = ReadsGdtf::from($text);
        } catch (FixtureRefused $refused) {
            throw LearningRefused::because($refused->getMessage());
        }
        $says = implode(', ', array_map(static fn (FixtureMode $mode): string => "{$mode->name} (".Figures::counted($mode->footprint(), 'slot').')', $read['modes']));
        $values = ['name' => $read['name'], 'note' => $read['note'], 'modes' => array_map(static fn (FixtureMode $mode): array => $mode->values(), $read['modes'])];

        return new DescriptionShown([new DescribedThing('', $read['name'], $says, (object) $values)], $read['leftOut']);
    }
}
