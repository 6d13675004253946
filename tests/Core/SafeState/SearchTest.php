<?php

declare(strict_types=1);

namespace Tests\Core\SafeState;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Catalogue\InputKind;
use Rundfunk\Catalogue\PinStart;
use Rundfunk\Catalogue\PinState;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\ContactForm;
use Rundfunk\Plan\SecondBreak;
use Rundfunk\SafeState\Chain;
use Rundfunk\SafeState\LinkLoss;
use Rundfunk\SafeState\Phase;
use Rundfunk\SafeState\Remedy;
use Rundfunk\SafeState\RemedyKind;
use Rundfunk\SafeState\Search;
use Rundfunk\SafeState\Setup;

/** The search for remedies against brute force: every set of up to ten, on drawn set-ups. */
final class SearchTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 60) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_no_cheaper_set_does_and_none_is_left_out(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $one = static fn (array $of): mixed => $of[$random->getInt(0, count($of) - 1)];
        $setup = ChainTest::relay(['input' => $one(InputKind::cases()), 'activeLow' => $one([true, false]), 'driver' => false, 'changeover' => $one([true, false]), 'keepsState' => $random->getInt(0, 9) === 0, 'start' => new PinStart($one(PinState::cases()), $one(PinState::cases()), $one(PinState::cases())), 'contact' => $one(ContactForm::cases()), 'levelFirst' => $one([true, false]), 'atStart' => $one(AtStart::cases()), 'linkLoss' => $one(LinkLoss::cases()), 'pullUpOhm' => $one([null, 10_000.0, 1_000.0]), 'pullDownOhm' => $one([null, 10_000.0]), 'watchdog' => $one([true, false]), 'signalDiesWithBoard' => $one([true, false])]);
        $wantsOn = $random->getInt(0, 3) === 0;
        $phases = array_values(array_filter(Phase::cases(), static fn (Phase $phase): bool => $phase->isJudged() && $random->getInt(0, 3) > 0));
        $does = static function (Setup $made) use ($phases, $wantsOn): bool {
            foreach ($phases as $phase) {
                if ((new Chain($made))->mayBe($phase, ! $wantsOn)) {
                    return false;
                }
            }

            return true;
        };
        $remedies = self::remedies($setup);
        $all = [];
        for ($bits = 1; $bits < 1 << count($remedies); $bits++) {
            $set = array_values(array_filter($remedies, static fn (int $index): bool => ($bits >> $index & 1) === 1, ARRAY_FILTER_USE_KEY));
            if ($does(Search::apply($setup, $set))) {
                $all[] = [array_sum(array_map(static fn (Remedy $remedy): int => $remedy->kind->cost(), $set)), count($set)];
            }
        }
        sort($all);
        $found = $does($setup) ? [] : Search::cheapest($setup, $remedies, $does);
        if ($does($setup)) {
            self::assertTrue($does($setup));

            return;
        }
        self::assertSame($all === [], $found === []);
        if ($found !== []) {
            self::assertSame($all[0], [Search::cost($found[0]), count($found[0])]);
            $costs = array_map(Search::cost(...), $found);
            $sorted = $costs;
            sort($sorted);
            self::assertSame($sorted, $costs);
            foreach ($found as $set) {
                self::assertTrue($does(Search::apply($setup, $set)));
                foreach (array_keys($set) as $without) {
                    // Nothing in a set is there for nothing.
                    self::assertFalse($does(Search::apply($setup, array_values(array_diff_key($set, [$without => true])))));
                }
            }
        }
    }

    /** The book's own figures (§12). */
    public function test_what_remedies_cost(): void
    {
        $costs = array_map(static fn (RemedyKind $kind): int => $kind->cost(), [RemedyKind::LevelFirst, RemedyKind::TimeOut, RemedyKind::PullUp, RemedyKind::PullDown, RemedyKind::SwapContact, RemedyKind::Driver, RemedyKind::Watchdog, RemedyKind::SecondBreak]);
        self::assertSame([1, 1, 2, 2, 3, 5, 8, 13], $costs);
    }

    /** @return list<Remedy> */
    private static function remedies(Setup $setup): array
    {
        return [
            new Remedy(RemedyKind::LevelFirst, '', ['levelFirst' => true], []),
            new Remedy(RemedyKind::StartSafe, '', ['atStart' => AtStart::Off], []),
            new Remedy(RemedyKind::TimeOut, '', ['linkLoss' => LinkLoss::GoesOff], []),
            new Remedy(RemedyKind::PullUp, '', ['pullUpOhm' => 10_000.0], []),
            new Remedy(RemedyKind::PullDown, '', ['pullDownOhm' => 10_000.0], []),
            new Remedy(RemedyKind::SwapContact, '', ['contact' => $setup->contact->other()], []),
            new Remedy(RemedyKind::FeedSignal, '', ['signalDiesWithBoard' => true], []),
            new Remedy(RemedyKind::Driver, '', ['driver' => true], []),
            new Remedy(RemedyKind::Watchdog, '', ['watchdog' => true], []),
            new Remedy(RemedyKind::SecondBreak, '', ['secondBreak' => SecondBreak::Contact], []),
        ];
    }
}
