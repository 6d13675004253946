<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** What stands at a wire once a finding about its levels was put right: what comes, what goes, what stays. */
final class LevelPartsTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<string>}> rule, plan, parts afterwards */
    public static function cases(): iterable
    {
        $told = static fn (array $in): Closure => static fn (Sketch $s): Sketch => $s->describe(ThingKind::OwnModule, 'c', 'Own', 'relay-bank-2-high', ['levels' => ['in' => $in]])
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('m', 'n', $s->classOf('c'), 'Part', FedFrom::Board5V)->wire('m', 'IN1', 'D4');
        $with = static fn (Closure $sketch, PartKind $kind, float $ohms, ?float $lower = null, string $terminal = 'IN1'): Closure => static fn (Sketch $s): Sketch => $sketch($s)->part('m', $terminal, $kind, ['ohms' => $ohms, 'lowerOhms' => $lower]);
        $tooHigh = $told(['highV' => 2.0, 'mostV' => 3.0]);
        $tooLow = $told(['highV' => 4.95, 'mostV' => 6.0]);
        $enough = $told(['highV' => 4.0, 'mostV' => 6.0]);
        $lowTooHigh = $told(['highV' => 2.0, 'lowV' => 0.01, 'mostV' => 3.0]);

        // 5 V · 1.3 / 2.3 = 2.83 of 3 V that it stands.
        yield 'a divider comes' => ['level-too-high', $tooHigh, ['IN1 divider 1000 1300']];
        yield 'a divider that leaves too much gets other values' => ['level-too-high', $with($tooHigh, PartKind::Divider, 1_000.0, 3_300.0), ['IN1 divider 1000 1300']];
        yield 'what stands at the next wire stays' => ['level-too-high', $with($tooHigh, PartKind::Divider, 1_000.0, 3_300.0, 'IN2'), ['IN1 divider 1000 1300', 'IN2 divider 1000 3300']];
        yield 'a pull-down stays' => ['level-too-high', $with($tooHigh, PartKind::PullDown, 10_000.0), ['IN1 divider 1000 1300', 'IN1 pull-down 10000']];
        // 4.9 V · 1.3 / 2.52 = 2.53 V are a high; with a kilohm more 1.93 are none.
        yield 'a resistor in series stays before a divider' => ['level-too-high', $with($tooHigh, PartKind::SeriesResistor, 220.0), ['IN1 divider 1000 1300', 'IN1 series-resistor 220']];
        yield 'and goes where both leave too little' => ['level-too-high', $with($tooHigh, PartKind::SeriesResistor, 1_000.0), ['IN1 divider 1000 1300']];
        yield 'a divider that leaves too little goes where nothing is wanted' => ['level-too-low', $with($enough, PartKind::Divider, 1_000.0, 1_000.0), []];
        yield 'a shifter comes' => ['level-too-low', $tooLow, ['IN1 shifter']];
        yield 'and takes the place of a divider' => ['level-too-low', $with($tooLow, PartKind::Divider, 1_000.0, 1_000.0), ['IN1 shifter']];
        yield 'and of a resistor that the wire does not ask for' => ['level-too-low', $with($tooLow, PartKind::SeriesResistor, 1_000.0), ['IN1 shifter']];
        yield 'what divides a high never divides a low enough' => ['low-too-high', $lowTooHigh, ['IN1 shifter']];
        yield 'nor does what divides it now' => ['low-too-high', $with($lowTooHigh, PartKind::Divider, 1_000.0, 1_000.0), ['IN1 shifter']];

        // The strip asks for a resistor itself, 390 Ω (common practice).
        yield 'a resistor that the wire asks for stays' => ['level-too-low', static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')
            ->module('m', 'n', 'strip-pixels', 'Strip', FedFrom::Own)->output('o', 'n', 'Stairs', OutputKind::Strip, 'm', 'DIN')->wire('m', 'DIN', 'IO25')->part('m', 'DIN', PartKind::SeriesResistor, ['ohms' => 390]), ['DIN series-resistor 390', 'DIN shifter']];
    }

    /**
     * @param  Closure(Sketch): Sketch  $draw
     * @param  list<string>  $expected
     */
    #[DataProvider('cases')]
    public function test_what_is_put_there_is_what_is_wanted_and_no_more(string $rule, Closure $draw, array $expected): void
    {
        $plan = $draw(self::sketch())->plan();
        $found = self::found($plan, $rule);
        self::assertCount(1, $found);
        self::assertNotNull($found[0]->fix);
        $after = (new Editor(self::knowledge()))->apply($plan, $found[0]->fix->operations)->plan;
        self::assertSame([], self::found($after, $rule));
        $parts = array_map(static fn (Part $part): string => rtrim("{$part->terminal} {$part->kind->value} {$part->ohms} {$part->lowerOhms}"), $after->partsOf($after->modules()[0]));
        sort($parts);
        self::assertSame($expected, $parts);
    }
}
