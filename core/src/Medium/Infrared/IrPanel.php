<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Schema;
use Rundfunk\View\DrawsPanel;

/** The figures of the pulse strip: every code on the link as marks and spaces, and what each end sends, hears and reaches. */
final readonly class IrPanel implements DrawsPanel
{
    public function __construct(private Protocols $protocols)
    {
    }

    /** As many codes of one node as are named one by one. */
    private const NAMED = 6;

    /** @return array<string, mixed> */
    public function panelSchema(): array
    {
        return Schema::object([
            'sunlit' => Schema::flag(),
            'codes' => Schema::listOf(Schema::object([
                'codeId' => Schema::text(), 'nodeId' => Schema::text(), 'node' => Schema::text(), 'name' => Schema::text(), 'says' => Schema::text(),
                'controlId' => Schema::orNull(Schema::text()), 'outputId' => Schema::orNull(Schema::text()), 'action' => Schema::orNull(Schema::text()),
                'carrierKhz' => Schema::number(), 'durationMs' => Schema::orNull(Schema::number()), 'periodMs' => Schema::number(), 'sends' => Schema::whole(),
                'holding' => Schema::text(), 'lengthsUs' => Schema::listOf(Schema::whole()),
                'turned' => Schema::orNull(Schema::object(['says' => Schema::text(), 'command' => Schema::whole(), 'format' => Schema::text()])),
            ])),
            'ends' => Schema::listOf(Schema::object([
                'endpointId' => Schema::text(), 'part' => Schema::orNull(Schema::text()), 'board' => Schema::flag(),
                'led' => Schema::orNull(Schema::object([
                    'driven' => Schema::text(), 'exactOhm' => Schema::number(), 'chosenOhm' => Schema::number(), 'actualMa' => Schema::number(),
                    'powerMw' => Schema::number(), 'ratingMw' => Schema::whole(), 'averageMw' => Schema::number(),
                ])),
                'reachM' => Schema::orNull(Schema::number()), 'sends' => Schema::listOf(Schema::text()), 'hears' => Schema::listOf(Schema::text()),
                'leastIntervalMs' => Schema::whole(),
            ])),
        ]);
    }

    /** @return array<string, mixed> */
    public function panel(Plan $plan, Link $link, Knowledge $knowledge): array
    {
        $sunlit = $link->settings['sunlit'] === true;
        $codes = [];
        foreach ($plan->endpointsOn($link) as $endpoint) {
            $node = $plan->node($endpoint->nodeId);
            foreach ($plan->keyCodesOf($node) as $code) {
                $codes[] = self::code($node, $code, $this->protocols);
            }
        }

        return [
            'sunlit' => $sunlit,
            'codes' => $codes,
            'ends' => array_map(fn (Endpoint $end): array => self::end($plan, $link, $end, $knowledge, $this->protocols, $sunlit), $plan->endpointsOn($link)),
        ];
    }

    /** @return array<string, mixed> */
    private static function code(Node $node, KeyCode $code, Protocols $protocols): array
    {
        $signal = IrCodes::signal($code, $protocols);
        $command = IrCodes::command($code, $protocols);
        $turned = $command?->turned();

        return [
            'codeId' => $code->id, 'nodeId' => $node->id, 'node' => $node->name, 'name' => $code->name, 'says' => IrWords::ofCode($code, $protocols),
            'controlId' => $code->controlId, 'outputId' => $code->outputId, 'action' => $code->action?->value,
            'carrierKhz' => IrCodes::carrierHz($code, $protocols) / 1000,
            'durationMs' => $signal === null ? null : round($signal->durationNs() / 1e6, 2),
            'periodMs' => round(IrCodes::periodNs($code, $protocols) / 1e6, 1),
            'sends' => IrCodes::leastSends($code, $protocols),
            'holding' => match (IrCodes::holding($code, $protocols)) {
                Holding::RepeatFrame => 'a short frame says "still held"',
                Holding::ToggleBit => 'the frame again; a bit changes at each press',
                Holding::SameFrame => 'the same frame again',
            },
            'lengthsUs' => array_map(static fn (int $ns): int => (int) round($ns / 1000), $signal->lengthsNs ?? []),
            'turned' => $turned === null ? null : ['says' => IrWords::of($turned, $protocols), 'command' => $turned->command, 'format' => (string) $turned->format],
        ];
    }

    /** @return array<string, mixed> */
    private static function end(Plan $plan, Link $link, Endpoint $endpoint, Knowledge $knowledge, Protocols $protocols, bool $sunlit): array
    {
        $node = $plan->node($endpoint->nodeId);
        $emitter = IrEmitter::of($plan, $endpoint, $knowledge->catalogue);
        $resistor = $emitter?->resistor();

        return [
            'endpointId' => $endpoint->id,
            'part' => $endpoint->moduleId === null ? null : $plan->module($endpoint->moduleId)->name,
            'board' => ! $node->kind->isBought(),
            'led' => $resistor === null ? null : [
                'driven' => $emitter->onPin ? 'pin' : 'transistor',
                'exactOhm' => round($resistor->exactOhm(), 1), 'chosenOhm' => $resistor->chosenOhm(), 'actualMa' => round($resistor->actualMa(), 1),
                'powerMw' => round($resistor->powerMw(), 1), 'ratingMw' => $resistor->advisedRatingMw(),
                // Lit a third of each carrier cycle, and about half of a frame's time: common practice.
                'averageMw' => round($resistor->powerMw() / 6, 1),
            ],
            'reachM' => $emitter === null ? null : round($emitter->end->reachM(IrEmitter::weakestUwM2($plan, $link), $sunlit), 1),
            'sends' => self::names($plan, IrSends::from($plan, $endpoint)),
            'hears' => self::names($plan, IrSends::to($plan, $endpoint)),
            'leastIntervalMs' => $endpoint->role->sends() ? IrSends::leastIntervalMs($plan, $endpoint, $protocols) : 0,
        ];
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
