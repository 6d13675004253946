<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

final readonly class PresenceLate extends IpRule implements LooksNearby
{
    /** Longer than this and somebody has pressed a second time. Common practice. */
    private const PATIENCE_S = 90.0;

    public function key(): string
    {
        return 'ip-presence-late';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            if ($settings->goneAfterS() <= self::PATIENCE_S) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Advice,
                "A dead node of {$link->name} is noticed after ".Figures::significant($settings->goneAfterS()).' s',
                Subject::of($link, $link->name, 'keepAliveS'),
                ['gone_after_s' => $settings->goneAfterS()],
                'The broker waits one and a half keep-alives before it says that a node is gone.',
                'Shorten the keep-alive.',
                self::setLink($link, 'Set 30 s', ['keepAliveS' => 30]),
            );
        }
    }
}
