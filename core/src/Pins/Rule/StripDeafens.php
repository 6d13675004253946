<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Catalogue\Signal;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Pins\SetsBaud;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;

/** A strip whose writing stops everything else, on a board that is to hear something meanwhile. */
#[Finds('strip-deafens', WorkStep::PinsAndPower)]
final readonly class StripDeafens implements NodeRule
{
    /** Of one light, at 800 kbit/s. Data sheets of common strips, from memory. */
    private const PIXEL_US = 30;

    /** A quarter of the shortest mark that is timed. */
    private const HARMLESS_US = 140;

    private const BITS_PER_CHARACTER = 10;

    public function check(Node $node, Look $look): iterable
    {
        if ($look->board($node)?->pixelsBlock !== true) {
            return;
        }
        foreach ($look->wiresOf($node) as $strip) {
            $us = $strip->terminal->signal === Signal::Pixels ? self::PIXEL_US * self::pixels($look, $strip) : 0;
            $ears = $us <= self::HARMLESS_US ? [] : array_values(array_filter($look->wiresOf($node), static fn (Wire $wire): bool => self::isDeafened($look, $wire, $us)));
            if ($ears === []) {
                continue;
            }
            yield Finding::warning(
                "{$ears[0]->module->name} of {$node->name} hears nothing while {$strip->module->name} is written",
                $strip->at(),
                'For '.Figures::significant($us / 1000).' ms at a time this board does nothing but send bits to the strip, with interrupts off. What is sent meanwhile is lost, or read as something else.',
                'Give one of the two a board of its own, or write the strip only when nothing has been heard for a while.',
                numbers: ['blocked_us' => $us],
                about: [$strip->use->id, $ears[0]->use->id],
            );
        }
    }

    /** Marks are timed, and so are bits by software; a port holds two characters, and the third is lost. Common practice. */
    private static function isDeafened(Look $look, Wire $wire, int $us): bool
    {
        if ($wire->terminal->signal === Signal::Marks || ($wire->terminal->isBySoftware($wire->use) && $wire->terminal->needs === 'uart.rx')) {
            return true;
        }
        foreach ($wire->terminal->needs === 'uart.rx' ? $look->plan->having(Endpoint::class, 'moduleId', $wire->module->id) : [] as $end) {
            $baud = $look->media->offering(SetsBaud::class, $look->plan->link($end->linkId)->medium)?->baud($look->plan, $end);
            if ($baud !== null && $us > 2 * self::BITS_PER_CHARACTER * 1_000_000 / $baud) {
                return true;
            }
        }

        return false;
    }

    private static function pixels(Look $look, Wire $strip): int
    {
        $pixels = 0;
        foreach ($look->plan->having(Output::class, 'moduleId', $strip->module->id) as $output) {
            $pixels += $output->setting('pixels');
        }

        return $pixels;
    }
}
