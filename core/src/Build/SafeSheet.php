<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Check\Look;
use Rundfunk\Exchange\Csv;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\SafeState\Judgement;
use Rundfunk\SafeState\Phase;
use Rundfunk\Text\CNames;
use Rundfunk\Text\FileName;

/** What a node's outputs do in every phase, to be tried out at the bench; and what hangs on which, for the lid of the box. */
final readonly class SafeSheet
{
    /** @return list<Artefact> */
    public static function of(Plan $plan, Node $node, Knowledge $knowledge): array
    {
        $look = new Look($plan, $knowledge);
        $name = CNames::lower($node->name);
        $phases = $loads = [];
        foreach ($plan->outputsOf($node) as $output) {
            $judgement = Judgement::of($look, $output);
            $phases = [...$phases, ...($judgement === null ? [] : [self::phases($output, $judgement)])];
            $loads = [...$loads, ...array_map(static fn (Load $load): array => self::load($look, $output, $load), $plan->loadsOn($output)), ...($plan->loadsOn($output) === [] && AllLoads::in($look)->classOf($output)?->switches !== null ? [self::bare($look, $output)] : [])];
        }

        return [
            ...($phases === [] ? [] : [new Artefact('safe-states', 'What each load does in every phase', FileName::of($name, '-safe-states.csv'), 'text/csv', Csv::write([['output', 'must be', ...array_map(static fn (Phase $phase): string => $phase->words(), Phase::cases()), 'tried on'], ...$phases]))]),
            ...($loads === [] ? [] : [new Artefact('loads', 'What hangs on each output', FileName::of($name, '-loads.csv'), 'text/csv', Csv::write([['output', 'channel', 'outlet', 'load', 'count', 'watts each', 'amperes', 'hangs on', 'fuse', 'connector', 'colour', 'use', 'note'], ...$loads]))]),
        ];
    }

    /** @return list<string> */
    private static function phases(Output $output, Judgement $judgement): array
    {
        $words = array_map(static fn (Phase $phase): string => $phase === Phase::Welded && ! $output->isDangerous() ? '' : $judgement->in($phase)->word.($judgement->isUnsafe($phase, $judgement->setup) ? ' (not safe)' : ''), Phase::cases());

        return [$output->name, $output->safe?->words() ?? 'nobody said', ...$words, ''];
    }

    /** @return list<string> */
    private static function load(Look $look, Output $output, Load $load): array
    {
        $drawn = AllLoads::in($look)->drawn($load);
        $fed = $drawn->circuit->name ?? ($load->supplyId === null ? '' : $look->plan->supply($load->supplyId)->name);

        return [
            $output->name, self::channel($look, $output), $load->outlet, $load->name, (string) $load->count,
            $load->watts === null ? '' : Figures::significant($load->watts), $drawn->amperes === null ? '' : Figures::significant($drawn->amperes), $fed,
            $load->fuseA === null ? '' : Figures::significant($load->fuseA).' A', $load->connector, $load->colour, $load->use->words(), $load->note,
        ];
    }

    /** @return list<string> an output on which nothing hangs: a place to spare */
    private static function bare(Look $look, Output $output): array
    {
        return [$output->name, self::channel($look, $output), '', $output->load, '', '', '', '', '', '', '', $output->load === '' ? LoadUse::Spare->words() : '', ''];
    }

    private static function channel(Look $look, Output $output): string
    {
        return $output->moduleId === null ? '' : "{$look->plan->module($output->moduleId)->name} {$output->channel}";
    }
}
