<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Behaviour\AnswerRehearsal;
use Rundfunk\Drawing\AnswerDrawing;
use Rundfunk\Drawing\Ink;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\AnswerStrip;

/** A state that is told, and what shows it when nothing gets through any more; nothing for any other control. */
final readonly class AnswerStripView implements LooksFar, View
{
    private const WIDTH = 600;

    public function key(): string
    {
        return 'answer-strip';
    }

    public function owner(): string
    {
        return Control::class;
    }

    public function shape(): string
    {
        return AnswerStrip::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?AnswerStrip
    {
        $state = $plan->control($of);
        $played = $state->kind === ControlKind::State ? AnswerRehearsal::of($plan, $state, $knowledge) : null;
        if ($played === null) {
            return null;
        }
        $drawing = new AnswerDrawing($played, self::WIDTH, Ink::Screen);

        return new AnswerStrip($drawing->width, $drawing->height, $drawing->markup(), self::words($played));
    }

    private static function words(AnswerRehearsal $played): string
    {
        $words = [];
        foreach ($played->shown as $stretch) {
            $words[] = match ($stretch['value']) {
                null => 'nobody knows',
                0 => 'off',
                1 => 'on',
                default => (string) $stretch['value'],
            }.' from '.self::time($stretch['fromMs']);
        }

        return "{$played->of->name} goes on at ".self::time($played->changesMs).'; nothing gets through from '.self::time($played->lostMs)." on; {$played->shows->name} shows ".implode(', ', $words);
    }

    private static function time(int $ms): string
    {
        return $ms === 0 ? '0' : Figures::duration($ms * 1_000_000);
    }
}
