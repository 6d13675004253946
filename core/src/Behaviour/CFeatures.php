<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Action;

/** What of the engine a node's tables ask for: the rest is not in its header. */
final readonly class CFeatures
{
    /** Messages that one step takes. */
    public const HEARD_MOST = 4;

    /** @param  int  $masterBits  8, 16 or 32: a bit for each master that holds an output */
    private function __construct(
        public bool $feels,
        public bool $reads,
        public bool $thresholds,
        public bool $scales,
        public bool $sticks,
        public bool $travels,
        public bool $mixes,
        public bool $zones,
        public bool $timesOfDay,
        public bool $drives,
        public bool $puts,
        public bool $pulses,
        public bool $feeds,
        public bool $tells,
        public bool $repeats,
        public bool $shows,
        public bool $answers,
        public bool $time,
        public int $masterBits,
    ) {
    }

    public static function of(NodeTables $tables): self
    {
        $contacts = array_filter($tables->contacts, static fn (Contact $contact, int $index): bool => self::felt($tables, $index), ARRAY_FILTER_USE_BOTH);
        $switched = array_filter($tables->gauges, static fn (Gauge $gauge, int $index): bool => self::weighed($tables, $index), ARRAY_FILTER_USE_BOTH);
        $saying = array_filter($tables->gauges, self::saysValue(...));
        $sticks = array_filter($tables->sticks, static fn (Stick $stick): bool => self::anything($stick->does));
        $clocks = array_filter($tables->clocks, self::strikes(...));
        $does = [
            ...array_map(static fn (Contact|Stick|Clock $source): Does => $source->does, [...$contacts, ...$sticks, ...$clocks]),
            // Without a threshold a reading switches nothing.
            ...array_map(static fn (Gauge $gauge): Does => self::turned($gauge->does), $switched),
            ...array_map(static fn (Gauge $gauge): Does => self::says($gauge->does), $saying),
            ...array_merge(...array_map(static fn (Sequence $sequence): array => [$sequence->stopped, ...array_map(static fn (Moment $moment): Does => $moment->does, $sequence->moments)], $tables->sequences)),
            ...array_map(static fn (Group|Report $one): Does => $one->does, [...$tables->groups, ...$tables->reports]),
        ];
        $drives = array_merge(...array_map(static fn (Does $one): array => $one->drives, $does), ...array_map(static fn (Heard $heard): array => $heard->drives, $tables->heard));
        $tells = array_merge(...array_map(static fn (Does $one): array => $one->tells, $does), ...array_map(static fn (Heard $heard): array => $heard->passes, $tables->heard));
        $pulses = array_filter($drives, static fn (Drive $drive): bool => $drive->action === Action::Pulse);
        $feeds = array_filter($tables->heard, static fn (Heard $heard): bool => array_filter($heard->drives, static fn (Drive $drive): bool => self::feeds($tables, $drive)) !== []) !== [];
        $shows = array_filter($tables->outputs, static fn (Driven $output): bool => $output->unheardMs > 0) !== [];
        $told = array_filter($tables->reports, static fn (Report $report): bool => $report->everyMs > 0) !== [];
        $every = array_filter($clocks, static fn (Clock $clock): bool => $clock->everyMs > 0);
        $masters = max([0, ...array_map(static fn (Driven $output): int => $output->masters, $tables->outputs)]);

        return new self(
            $contacts !== [],
            $switched !== [] || $saying !== [],
            $switched !== [],
            array_filter([...$switched, ...$saying], static fn (Gauge $gauge): bool => $gauge->scale !== null) !== [],
            $sticks !== [],
            array_filter($sticks, self::travels(...)) !== [],
            array_filter($sticks, self::mixes(...)) !== [],
            array_filter($sticks, self::steps(...)) !== [],
            array_filter($clocks, static fn (Clock $clock): bool => $clock->atMinute >= 0) !== [],
            $drives !== [],
            count($pulses) < count($drives),
            $pulses !== [],
            $feeds,
            $tells !== [],
            array_filter($tables->contacts, static fn (Contact $contact): bool => $contact->repeatMs > 0) !== [],
            $shows,
            array_filter($tables->reports, static fn (Report $report): bool => $report->always) !== [],
            array_filter($switched, static fn (Gauge $gauge): bool => $gauge->rests() || self::tellsAgain($gauge)) !== [] || $contacts !== [] || $shows || $told || $saying !== [] || $sticks !== [] || $every !== [] || $pulses !== [] || $feeds || $tables->sequences !== [],
            $masters > 16 ? 32 : ($masters > 8 ? 16 : 8),
        );
    }

    /** Whether something follows from a contact, or a state is sensed by it. */
    public static function felt(NodeTables $tables, int $contact): bool
    {
        return self::anything($tables->contacts[$contact]->does) || array_filter($tables->reports, static fn (Report $report): bool => $report->contact === $contact) !== [];
    }

    /** Whether something hangs on the threshold of a reading, or a state is sensed by it. */
    public static function weighed(NodeTables $tables, int $gauge): bool
    {
        return $tables->gauges[$gauge]->hasThreshold && (self::anything(self::turned($tables->gauges[$gauge]->does)) || array_filter($tables->reports, static fn (Report $report): bool => $report->gauge === $gauge) !== []);
    }

    public static function anything(Does $does): bool
    {
        return $does->drives !== [] || $does->tells !== [];
    }

    /** A message to an output which goes off, or comes on, when it is unheard of. */
    public static function feeds(NodeTables $tables, Drive $drive): bool
    {
        return $tables->outputs[$drive->output]->silenceMs > 0;
    }

    /** What of a reading hangs on its threshold. */
    public static function turned(Does $does): Does
    {
        return new Does(
            array_values(array_filter($does->drives, static fn (Drive $drive): bool => $drive->action !== Action::Set || $drive->value !== null)),
            array_values(array_filter($does->tells, static fn (Tell $tell): bool => $tell->action !== Action::Set || $tell->value !== null)),
        );
    }

    /** What of it takes the value as it is. */
    public static function says(Does $does): Does
    {
        return new Does(
            array_values(array_filter($does->drives, static fn (Drive $drive): bool => $drive->action === Action::Set && $drive->value === null)),
            array_values(array_filter($does->tells, static fn (Tell $tell): bool => $tell->action === Action::Set && $tell->value === null)),
        );
    }

    /** What it holds is told again and again. */
    public static function tellsAgain(Gauge $gauge): bool
    {
        return $gauge->hasThreshold && $gauge->repeatMs > 0 && array_filter($gauge->does->tells, static fn (Tell $tell): bool => $tell->action->holds()) !== [];
    }

    public static function saysValue(Gauge $gauge): bool
    {
        return self::anything(self::says($gauge->does));
    }

    /** It has a time at all, and something follows. */
    public static function strikes(Clock $clock): bool
    {
        return self::anything($clock->does) && ($clock->atMinute >= 0 || $clock->everyMs > 0);
    }

    public static function travels(Stick $stick): bool
    {
        return array_filter([...$stick->does->drives, ...$stick->does->tells], static fn (Drive|Tell $one): bool => $one->travel !== null) !== [];
    }

    public static function mixes(Stick $stick): bool
    {
        return array_filter([...$stick->does->drives, ...$stick->does->tells], static fn (Drive|Tell $one): bool => $one->travel !== null && $one->travel->mixedWith >= 0) !== [];
    }

    public static function steps(Stick $stick): bool
    {
        return array_filter([...$stick->does->drives, ...$stick->does->tells], static fn (Drive|Tell $one): bool => $one->travel === null) !== [];
    }
}
