<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\Shown\IrCodeFigures;
use Rundfunk\Medium\Infrared\Shown\IrEndFigures;
use Rundfunk\Medium\Infrared\Shown\IrFigures;
use Rundfunk\Medium\Infrared\Shown\IrLedFigures;
use Rundfunk\Medium\Infrared\Shown\IrTurned;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\View\DrawsPanel;

/** The figures of the pulse strip: every code on the link as marks and spaces, and what each end sends, hears and reaches. */
final readonly class IrPanel implements DrawsPanel
{
    public function __construct(private Protocols $protocols)
    {
    }

    /** As many codes of one node as are named one by one. */
    private const NAMED = 6;

    public function shape(): string
    {
        return IrFigures::class;
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): IrFigures
    {
        $sunlit = $link->settings['sunlit'] === true;
        $codes = [];
        foreach ($plan->endpointsOn($link) as $endpoint) {
            $node = $plan->node($endpoint->nodeId);
            foreach ($plan->keyCodesOf($node) as $code) {
                $codes[] = self::code($node, $code, $this->protocols);
            }
        }

        return new IrFigures(
            $sunlit,
            $codes,
            array_map(fn (Endpoint $end): IrEndFigures => self::end($plan, $link, $end, $knowledge, $this->protocols, $sunlit), $plan->endpointsOn($link)),
        );
    }

    private static function code(Node $node, KeyCode $code, Protocols $protocols): IrCodeFigures
    {
        $signal = IrCodes::signal($code, $protocols);
        $turned = IrCodes::command($code, $protocols)?->turned();

        return new IrCodeFigures(
            $code->id, $node->id, $node->name, $code->name, IrWords::ofCode($code, $protocols),
            $code->controlId, $code->outputId, $code->action?->value,
            IrCodes::carrierHz($code, $protocols) / 1000,
            $signal === null ? null : round($signal->durationNs() / 1e6, 2),
            round(IrCodes::periodNs($code, $protocols) / 1e6, 1),
            IrCodes::leastSends($code, $protocols),
            match (IrCodes::holding($code, $protocols)) {
                Holding::RepeatFrame => 'a short frame says "still held"',
                Holding::ToggleBit => 'the frame again; a bit changes at each press',
                Holding::SameFrame => 'the same frame again',
            },
            array_map(static fn (int $ns): int => (int) round($ns / 1000), $signal->lengthsNs ?? []),
            $turned === null ? null : new IrTurned(IrWords::of($turned, $protocols), $turned->command, (string) $turned->format),
        );
    }

    private static function end(Plan $plan, Link $link, Endpoint $endpoint, Knowledge $knowledge, Protocols $protocols, bool $sunlit): IrEndFigures
    {
        $emitter = IrEmitter::of($plan, $endpoint, $knowledge->catalogue);

        return new IrEndFigures(
            $endpoint->id,
            $endpoint->moduleId === null ? null : $plan->module($endpoint->moduleId)->name,
            ! $plan->node($endpoint->nodeId)->kind->isBought(),
            $emitter === null ? null : self::led($emitter),
            $emitter === null ? null : round($emitter->end->reachM(IrEmitter::weakestUwM2($plan, $link), $sunlit), 1),
            self::names($plan, IrSends::from($plan, $endpoint)),
            self::names($plan, IrSends::to($plan, $endpoint)),
            $endpoint->role->sends() ? IrSends::leastIntervalMs($plan, $endpoint, $protocols) : 0,
        );
    }

    private static function led(IrEmitter $emitter): ?IrLedFigures
    {
        $resistor = $emitter->resistor();

        return $resistor === null ? null : new IrLedFigures(
            $emitter->onPin ? 'pin' : 'transistor',
            round($resistor->exactOhm(), 1),
            $resistor->chosenOhm(),
            round($resistor->actualMa(), 1),
            round($resistor->powerMw(), 1),
            $resistor->advisedRatingMw(),
            // Lit a third of each carrier cycle, and about half of a frame's time: common practice.
            round($resistor->powerMw() / 6, 1),
        );
    }

    /**
     * @param  list<array{hop: Hop, code: KeyCode}>  $coded
     * @return list<string>
     */
    private static function names(Plan $plan, array $coded): array
    {
        $byNode = [];
        foreach ($coded as ['code' => $code]) {
            $byNode[$plan->node($code->nodeId)->name][] = $code->name;
        }
        $names = [];
        foreach ($byNode as $node => $codes) {
            sort($codes, SORT_NATURAL | SORT_FLAG_CASE);
            $listed = count($codes) > self::NAMED ? [count($codes).' codes'] : $codes;
            $names = [...$names, ...array_map(static fn (string $code): string => "{$node} · {$code}", $listed)];
        }

        return $names;
    }
}
