<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\SafeState;
use Rundfunk\Plan\SecondBreak;
use Rundfunk\Shape\Values;

/** What an output's load does in every phase, held against what it must be. */
final readonly class Judgement
{
    private function __construct(public Output $output, public Setup $setup, private Look $look)
    {
    }

    /** @return self|null null for what no level of a pin switches */
    public static function of(Look $look, Output $output): ?self
    {
        $setup = $look->once(AllSetups::class, static fn (): AllSetups => new AllSetups($look))->of($output);

        return $setup === null ? null : new self($output, $setup, $look);
    }

    /** As if the output were said to be such. */
    public function declared(SafeState $safe): self
    {
        return new self(Output::from(new Values([...$this->output->values(), 'safe' => $safe->value])), $this->setup, $this->look);
    }

    public function in(Phase $phase): Standing
    {
        return (new Chain($this->setup))->in($phase);
    }

    /** @return list<Phase> those in which it may not be what it must be */
    public function unsafe(): array
    {
        return array_values(array_filter(Phase::cases(), fn (Phase $phase): bool => $this->isUnsafe($phase, $this->setup)));
    }

    /** A weld is asked about only where a load that stays on can hurt. */
    public function isUnsafe(Phase $phase, Setup $setup): bool
    {
        if (! $phase->isJudged() || ($phase === Phase::Welded && ! ($this->output->isDangerous() && $this->output->safe === SafeState::Off))) {
            return false;
        }

        return match ($this->output->safe) {
            SafeState::Off => (new Chain($setup))->mayBe($phase, true),
            SafeState::On => (new Chain($setup))->mayBe($phase, false),
            SafeState::Any, null => false,
        };
    }

    /**
     * The cheapest sets of remedies that make it safe in those phases and unsafe in none in which it was safe.
     *
     * @param  list<Phase>  $wanted
     * @return list<list<Remedy>>
     */
    public function ways(array $wanted): array
    {
        if ($wanted === []) {
            return [];
        }
        $remedies = Remedies::for($this->look, $this->output, $this->setup);
        $known = $this->look->once(KnownWays::class, static fn (): KnownWays => new KnownWays);

        return $known->of($this->setup, [$this->output->safe, $this->isUnsafe(Phase::Welded, $this->setup->with(['secondBreak' => SecondBreak::None]))], $wanted, $remedies, function (array $remedies) use ($wanted): array {
            $mustBe = array_values(array_filter(Phase::cases(), fn (Phase $phase): bool => in_array($phase, $wanted, true) || ! $this->isUnsafe($phase, $this->setup)));

            return Search::cheapest($this->setup, $remedies, function (Setup $setup) use ($mustBe): bool {
                foreach ($mustBe as $phase) {
                    if ($this->isUnsafe($phase, $setup)) {
                        return false;
                    }
                }

                return true;
            });
        });
    }
}
