<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Shape\ListOf;

/**
 * What one node does, as tables: what it reads, what it hears, what it drives and tells. The machine runs them, the header
 * of a node's behaviour and its JSON are written from them, so that all three do the same.
 */
final readonly class NodeTables
{
    /** The edition of these tables' form: what reads them can tell whether it knows them. */
    public const FORM = 2;

    /**
     * @param  list<LinkEnds>  $links
     * @param  list<Contact>  $contacts
     * @param  list<Gauge>  $gauges
     * @param  list<Stick>  $sticks
     * @param  list<Clock>  $clocks
     * @param  list<Heard>  $heard
     * @param  list<Said>  $told  what each code that it sends is on the air
     * @param  list<Driven>  $outputs
     * @param  list<Sequence>  $sequences
     * @param  list<Group>  $groups
     * @param  list<Report>  $reports
     * @param  list<string>  $leftOut  what the plan asks of this node and these tables cannot say yet, with the reason
     */
    public function __construct(
        public int $form,
        public string $node,
        #[ListOf(LinkEnds::class)] public array $links,
        #[ListOf(Contact::class)] public array $contacts,
        #[ListOf(Gauge::class)] public array $gauges,
        #[ListOf(Stick::class)] public array $sticks,
        #[ListOf(Clock::class)] public array $clocks,
        #[ListOf(Heard::class)] public array $heard,
        #[ListOf(Said::class)] public array $told,
        #[ListOf(Driven::class)] public array $outputs,
        #[ListOf(Sequence::class)] public array $sequences,
        #[ListOf(Group::class)] public array $groups,
        #[ListOf(Report::class)] public array $reports,
        #[ListOf('string')] public array $leftOut,
    ) {
    }

    /** @return int the most messages that one step can have the node send, where it hears so many in that step */
    public function mostTold(int $heard): int
    {
        $own = 0;
        foreach ([$this->contacts, $this->gauges, $this->sticks, $this->clocks] as $sources) {
            foreach ($sources as $source) {
                // A reading may turn and be due at once, and what it holds is told again in no step in which it turned; a clock may strike and have run round.
                $own += count($source->does->tells) * ($source instanceof Gauge || $source instanceof Clock ? 2 : 1);
            }
        }
        foreach ($this->sequences as $sequence) {
            $own += count($sequence->stopped->tells) + array_sum(array_map(static fn (Moment $moment): int => count($moment->does->tells), $sequence->moments));
        }
        foreach ([...$this->groups, ...$this->reports] as $one) {
            $own += count($one->does->tells);
        }
        $passed = array_map(static fn (Heard $one): int => count($one->passes), $this->heard);

        return $own + $heard * ($passed === [] ? 0 : max($passed));
    }
}
