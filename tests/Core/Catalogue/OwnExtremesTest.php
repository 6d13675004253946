<?php

declare(strict_types=1);

namespace Tests\Core\Catalogue;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\Artefacts;
use Rundfunk\Build\CHeader;
use Rundfunk\Build\PartsList;
use Rundfunk\Build\WiringTable;
use Rundfunk\Catalogue\OwnClass;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\Described;
use Rundfunk\Shipped;
use Tests\Core\CoreTestCase;

/** Every figure of every class at the least and at the most that a plan may describe: judged, assigned, shown and exported without a stumble. ALL=1 tries all of them. */
final class OwnExtremesTest extends CoreTestCase
{
    /** Of so many one, to be done in seconds. */
    private const OF = 5;

    /** @return iterable<string, array{ThingKind, string, list<int|string>, float|int}> kind, copied from, where, value */
    public static function extremes(): iterable
    {
        $catalogue = self::knowledge()->catalogue;
        $number = 0;
        foreach ([[ThingKind::OwnBoard, Described::Board, array_keys($catalogue->boards)], [ThingKind::OwnModule, Described::Module, array_keys($catalogue->modules)]] as [$kind, $described, $keys]) {
            foreach ($keys as $key) {
                $seen = [];
                foreach (self::figures(OwnClass::description($key, $catalogue), $described->schema(), []) as [$path, $least, $most]) {
                    $name = implode('/', array_filter($path, is_string(...)));
                    foreach (isset($seen[$name]) ? [] : array_unique([$least, $most]) as $value) {
                        if ($number++ % self::OF === 0 || getenv('ALL') !== false) {
                            yield "{$key} {$name} = {$value}" => [$kind, $key, $path, $value];
                        }
                    }
                    $seen[$name] = true;
                }
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $description
     * @param  array<array-key, mixed>  $schema
     * @param  list<int|string>  $path
     * @return iterable<array{list<int|string>, float|int, float|int}> where, the least and the most
     */
    private static function figures(array $description, array $schema, array $path): iterable
    {
        foreach ($description as $name => $value) {
            $of = is_int($name) ? $schema['items'] ?? [] : ((array) ($schema['properties'] ?? []))[$name] ?? [];
            if (is_array($value) && is_array($of)) {
                yield from self::figures($value, $of, [...$path, $name]);
            } elseif (is_array($of) && is_numeric($of['minimum'] ?? null) && is_numeric($of['maximum'] ?? null)) {
                yield [[...$path, $name], $of['minimum'] + 0, $of['maximum'] + 0];
            }
        }
    }

    /** @param  list<int|string>  $path */
    #[DataProvider('extremes')]
    public function test_nothing_stumbles_over_it(ThingKind $kind, string $key, array $path, float|int $value): void
    {
        $sketch = self::sketch()->describe($kind, 'own', 'Own', $key, self::with(OwnClass::description($key, self::knowledge()->catalogue), $path, $value));
        $own = $sketch->classOf('own');
        $sketch->node('n', 'N', NodeKind::Controller, null, $kind === ThingKind::OwnBoard ? $own : '8bit-5v-20io')->supply('cell', 'n', 'li-ion-cell', 'Cell', null, FeedsAt::Vin);
        $kind === ThingKind::OwnBoard ? self::onBoard($sketch) : self::asModule($sketch, $own);
        $plan = $sketch->plan();
        $assigned = self::assigner()->assign($plan)->plan;
        foreach ([$plan, $assigned] as $one) {
            $found = self::checker()->check($one);
            foreach ($found->all() as $finding) {
                if ($finding->fix !== null) {
                    (new Editor(self::knowledge()))->apply($one, $finding->fix->operations);
                }
            }
            self::assertJson(json_encode($found->all(), JSON_THROW_ON_ERROR));
            self::exported($one);
        }
    }

    /** Of each sort of module one, so that every figure of a board is asked for. */
    private static function onBoard(Sketch $sketch): void
    {
        $sketch->module('b', 'n', 'buzzer', 'Buzzer')->output('bo', 'n', 'Beep', OutputKind::Tone, 'b', 'SIG')
            ->module('s', 'n', 'strip-pixels', 'Strip')->output('so', 'n', 'Stairs', OutputKind::Strip, 's', 'DIN')
            ->module('r', 'n', 'relay-bank-1-low', 'Relay')->output('ro', 'n', 'Lamp', OutputKind::Relay, 'r', 'IN1')
            ->module('d', 'n', 'display-i2c', 'Face')
            ->module('e', 'n', 'infrared-emitter-pin', 'Emitter')->link('ir', 'Light', 'infrared')->join('ir', 'n', Role::Sends, 'e')
            ->module('m', 'n', 'modem-2g', 'Modem')->link('mob', 'Mobile', 'cellular')->join('mob', 'n', Role::Both, 'm');
    }

    private static function asModule(Sketch $sketch, string $own): void
    {
        $sketch->module('m', 'n', $own, 'Module');
        $class = self::knowledge()->of($sketch->plan())->catalogue->modules[$own];
        foreach ($class->terminals as $terminal) {
            if ($terminal->carries === 'output' && $class->carries !== null) {
                $sketch->output("o{$terminal->name}", 'n', "O{$terminal->name}", OutputKind::from($class->carries), 'm', $terminal->name);
            }
        }
        if ($class->medium !== null) {
            $sketch->link('l', 'Link', $class->medium)->join('l', 'n', $class->role ?? Role::Both, 'm');
        }
    }

    private static function exported(Plan $plan): void
    {
        foreach ($plan->nodes() as $node) {
            self::assertNotSame('', (new CHeader(self::knowledge()))->write($plan, $node));
            self::assertNotSame('', WiringTable::of($plan, $node, self::knowledge())->csv());
            Artefacts::of($plan, $node, self::knowledge());
        }
        self::assertNotSame('', PartsList::of($plan, self::knowledge())->csv());
        foreach (Shipped::views()->all() as $view) {
            $owner = $view->owner();
            $of = $owner === null ? [] : array_map(static fn (Thing $thing): string => $thing->id(), $plan->of($owner));
            self::assertJson(json_encode(Shipped::views()->show($view->key(), $of, $plan), JSON_THROW_ON_ERROR));
        }
    }

    /**
     * @param  array<array-key, mixed>  $description
     * @param  list<int|string>  $path
     * @return array<string, mixed>
     */
    private static function with(array $description, array $path, float|int $value): array
    {
        $name = array_shift($path);
        if ($name === null) {
            return [];
        }
        $held = $description[$name] ?? null;
        $description[$name] = $path === [] || ! is_array($held) ? $value : self::with($held, $path, $value);

        /** @var array<string, mixed> $description */
        return $description;
    }
}
