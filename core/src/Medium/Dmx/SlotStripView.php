<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Drawing\Ink;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Dmx\Shown\SlotStrip;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Rundfunk\View\LooksFar;
use Rundfunk\View\View;

/** What the slots of a universe say when controls are worked at given times: asked for as "link total control@ms control@ms …"; left out, how the first universe stands at rest. */
final readonly class SlotStripView implements LooksFar, View
{
    private const WIDTH = 820;

    private const USUAL_MS = 2_000;

    private const MOST_PRESSES = 60;

    public function key(): string
    {
        return 'slot-strip';
    }

    public function owner(): ?string
    {
        return null;
    }

    public function shape(): string
    {
        return SlotStrip::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?SlotStrip
    {
        $asked = explode(' ', $of);
        $link = $of === '' ? ($plan->linksOver(Dmx::KEY)[0] ?? null) : $plan->find(ThingKind::Link, $asked[0]);
        $total = (int) ($asked[1] ?? self::USUAL_MS);
        if (! $link instanceof Link || $link->medium !== Dmx::KEY || $total < 1 || $total > Rehearsed::LONGEST_MS || count($asked) > self::MOST_PRESSES) {
            return null;
        }
        $presses = [];
        foreach (array_slice($asked, 2) as $press) {
            [$id, $ms] = [...explode('@', $press), ''];
            $control = $plan->find(ThingKind::Control, $id);
            if ($control instanceof Control && ctype_digit($ms) && (int) $ms <= $total) {
                $presses[] = [(int) $ms, $control];
            }
        }
        usort($presses, static fn (array $one, array $other): int => $one[0] <=> $other[0]);
        $played = Rehearsed::of($plan, Universe::of($plan, $link), $presses, $total, $knowledge);
        if ($played === null || $played->rows === []) {
            return null;
        }
        $drawing = new SlotStripDrawing($played, self::WIDTH, Ink::Screen);

        return new SlotStrip($drawing->width, $drawing->height, $drawing->markup(), SlotStripDrawing::words($played));
    }
}
