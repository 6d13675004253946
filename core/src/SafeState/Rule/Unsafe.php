<?php

declare(strict_types=1);

namespace Rundfunk\SafeState\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\SafeState;
use Rundfunk\Plan\Spot;
use Rundfunk\SafeState\Judgement;
use Rundfunk\SafeState\Phase;
use Rundfunk\SafeState\Remedy;

/** What is said of an output that is not what it must be in some phases. */
final readonly class Unsafe
{
    /**
     * @param  list<Phase>  $phases  that one finding is about
     * @return list<Finding>
     */
    public static function in(Look $look, Output $output, array $phases, string $why): array
    {
        $judgement = $output->safe === null || $output->safe === SafeState::Any ? null : Judgement::of($look, $output);
        $unsafe = $judgement === null ? [] : array_values(array_filter($phases, static fn (Phase $phase): bool => $judgement->isUnsafe($phase, $judgement->setup)));
        if ($judgement === null || $unsafe === []) {
            return [];
        }
        $node = $look->plan->node($output->nodeId);
        $ways = $judgement->ways($unsafe);
        $is = $output->safe === SafeState::Off ? ($judgement->in($unsafe[0])->word === 'ON' ? 'is on' : 'may be on') : 'may be off';
        $fixes = array_map(self::fix(...), $ways);

        return [Finding::of(
            self::severity($output),
            "{$output->name} of {$node->name} {$is} {$unsafe[0]->when()}".(count($unsafe) > 1 ? ', and in '.(count($unsafe) - 1).' more' : ''),
            Spot::of($output, "{$node->name}, {$output->name}", 'safe'),
            self::sentence($output, $unsafe).' '.$why.' '.self::chain($judgement, $unsafe[0]),
            $ways === [] ? 'Nothing at this output makes it safe: put it on another pin or module, or a second break into its circuit, and accept this with that reason.' : 'The cheapest that is proven to do it, and does no harm in another phase.',
            $fixes[0] ?? null,
            numbers: ['phases' => implode(' ', array_map(static fn (Phase $phase): string => $phase->value, $unsafe))],
            about: [$output->id],
        )->orElse(...array_slice($fixes, 1))];
    }

    /** @param  list<Remedy>  $way */
    public static function fix(array $way): Fix
    {
        $operations = array_merge(...array_map(static fn (Remedy $remedy): array => $remedy->operations, $way));

        return new Fix(ucfirst(implode(' + ', array_map(static fn (Remedy $remedy): string => $remedy->label, $way))), ...$operations);
    }

    private static function severity(Output $output): Severity
    {
        return match (true) {
            $output->isDangerous() => Severity::Danger,
            $output->hazards !== [] => Severity::Fault,
            default => Severity::Warning,
        };
    }

    /** @param  list<Phase>  $unsafe */
    private static function sentence(Output $output, array $unsafe): string
    {
        return "It {$output->safe?->words()}, and is not: ".implode('; ', array_map(static fn (Phase $phase): string => $phase->words(), $unsafe)).'.';
    }

    private static function chain(Judgement $judgement, Phase $phase): string
    {
        $links = [];
        foreach ($judgement->in($phase)->chain as $link) {
            $links[] = "{$link->what}: {$link->is}".($link->why === '' ? '' : " ({$link->why})");
        }

        return ucfirst($phase->words()).' — '.implode(', ', $links).'.';
    }
}
