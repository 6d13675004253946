<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Look;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Power\Levels\PartsFor;
use Tests\Core\CoreTestCase;

/**
 * The parts that come with a change, so that one click leaves nothing for the next. A 32-bit board stands 3.8 V; what hears it gives as much
 * as feeds it. Of five volts 1 kΩ and 1.8 leave 3.21, and 2 kΩ would leave 3.33.
 */
final class PartsForTest extends CoreTestCase
{
    private static function hearing(): Sketch
    {
        $sketch = self::sketch()->describe(ThingKind::OwnModule, 'own', 'Own', 'infrared-receiver', ['levels' => ['out' => ['highShare' => 1.0]]])
            ->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')->supply('feed', 'n', 'plug-5v-3a', 'Feed', null, FeedsAt::Usb)
            ->supply('five', 'n', 'bench', 'Five', null, null, ['volts' => 5.0])->supply('six', 'n', 'bench', 'Other five', null, null, ['volts' => 5.0])->supply('three', 'n', 'bench', 'Three', null, null, ['volts' => 3.3]);

        return $sketch->module('m', 'n', $sketch->classOf('own'), 'Ear', 'three')->wire('m', 'OUT', 'GP16');
    }

    /**
     * @param  list<Operation>  $operations
     * @return list<string> the parts that the plan has with them
     */
    private static function partsAfter(Plan $plan, array $operations): array
    {
        $parts = array_map(static fn (Part $part): string => trim("{$part->terminal} {$part->kind->value} {$part->ohms} {$part->lowerOhms}"), (new Editor(self::knowledge()))->apply($plan, $operations)->plan->of(Part::class));
        sort($parts);

        return $parts;
    }

    /** @return iterable<string, array{Closure(Sketch): Sketch, string, string, list<string>}> what else there is; what feeds it before and after; the parts then */
    public static function feeds(): iterable
    {
        $as = static fn (Sketch $s): Sketch => $s;
        yield 'from three volts to five' => [$as, 'three', 'five', ['OUT divider 1000 1800']];
        yield 'from five to five it is wrong as before, which is a finding of its own' => [$as, 'five', 'six', []];
        yield 'from five to three' => [$as, 'five', 'three', []];
        yield 'where a divider is already' => [static fn (Sketch $s): Sketch => $s->part('m', 'OUT', PartKind::Divider, ['ohms' => 1_000, 'lowerOhms' => 1_800]), 'three', 'five', ['OUT divider 1000 1800']];
        yield 'what was enough of five volts is too little of three' => [static fn (Sketch $s): Sketch => $s->part('m', 'OUT', PartKind::Divider, ['ohms' => 1_000, 'lowerOhms' => 1_000]), 'five', 'three', []];
        yield 'a wire that is there twice gets it once' => [static fn (Sketch $s): Sketch => $s->wireAgain('m', 'OUT', 'GP17'), 'three', 'five', ['OUT divider 1000 1800']];
        yield 'what it wanted before is not asked for anew' => [static fn (Sketch $s): Sketch => $s->module('d', 'n', 'sensor-climate', 'Climate', 'three')->wire('d', 'DATA', 'GP18'), 'three', 'five', ['OUT divider 1000 1800']];
    }

    /**
     * @param  Closure(Sketch): Sketch  $more
     * @param  list<string>  $expected
     */
    #[DataProvider('feeds')]
    public function test_what_is_fed_otherwise_gets_what_it_lacks_then(Closure $more, string $before, string $after, array $expected): void
    {
        $sketch = $more(self::hearing());
        $fed = static fn (Plan $plan, string $key, string $module = 'm'): Plan => (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::Module, $sketch->id($module), ['supplyId' => $sketch->id($key)])])->plan;
        $plan = $fed($sketch->plan(), $before);
        $node = $plan->node($sketch->id('n'));
        $look = new Look($plan, self::knowledge());
        self::assertSame($expected, self::partsAfter($plan, PartsFor::fed($look, $node, $fed($plan, $after), [$plan->module($sketch->id('m'))])));
        self::assertSame(self::partsAfter($plan, []), self::partsAfter($plan, PartsFor::fed($look, $node, $fed($plan, $after), [])), 'what is fed as before is left alone');
    }

    public function test_what_gets_a_pin_gets_what_it_lacks_there(): void
    {
        $sketch = self::hearing()->module('b', 'n', 'buzzer', 'Buzzer')->module('c', 'n', 'sensor-climate', 'Climate', FedFrom::Board3V3)->module('l', 'n', 'indicator-lamp', 'Lamp')
            ->node('bare', 'Bare', NodeKind::Controller, null, null)->module('x', 'bare', 'buzzer', 'Buzzer of no board');
        $plan = (new Editor(self::knowledge()))->apply($sketch->plan(), [Operation::change(ThingKind::Module, $sketch->id('m'), ['supplyId' => $sketch->id('five')])])->plan;
        $use = static fn (string $module, string $terminal, string $pin): PinUse => new PinUse($plan->newId('use', $module, $terminal), $sketch->id($module), $terminal, $pin);
        $look = new Look($plan, self::knowledge());
        $parts = static fn (PinUse ...$uses): array => self::partsAfter($plan, PartsFor::wired($look, array_values($uses)));
        self::assertSame(['OUT divider 1000 1800'], $parts($use('m', 'OUT', 'GP20')));
        // 30 mA of a base's fifteenfold: 2 mA of 2.62 − 0.7 V are 960 Ω, of E24 the next below 910.
        self::assertSame(['SIG driver 910'], $parts($use('b', 'SIG', 'GP21')));
        self::assertSame(['DATA pull-up 10000'], $parts($use('c', 'DATA', 'GP22')));
        self::assertSame([], $parts($use('l', 'LED', 'GP18')));
        self::assertSame([], $parts($use('x', 'SIG', 'GP18')), 'nobody knows its board');
        self::assertSame([], $parts($use('b', 'Nothing', 'GP18')), 'it has no such terminal');
        self::assertSame(['DATA pull-up 10000', 'OUT divider 1000 1800', 'SIG driver 910'], $parts($use('m', 'OUT', 'GP20'), $use('b', 'SIG', 'GP21'), $use('c', 'DATA', 'GP22')));
    }
}
