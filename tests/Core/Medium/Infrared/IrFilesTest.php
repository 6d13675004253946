<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Infrared;

use Rundfunk\Medium\Infrared\IrFiles;
use Rundfunk\Medium\Infrared\IrLearning;
use Rundfunk\Medium\Infrared\Protocols;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** What is exported of a remote is learned again as the same remote, key by key. */
final class IrFilesTest extends CoreTestCase
{
    public function test_a_keymap_that_was_exported_is_learned_again_with_every_key(): void
    {
        $plan = self::remote();
        $rows = IrLearning::from(self::file($plan, 'ir-keymap'), $plan->keyCodes(), Protocols::standard());
        $known = array_column($rows, 'known');
        // Those that are timings alone are in the other file.
        foreach ($plan->keyCodes() as $code) {
            self::assertSame($code->protocol !== 'raw', in_array($code->name, $known, true), $code->name);
        }
        self::assertCount(count($plan->keyCodes()) - 1, $rows);
    }

    public function test_marks_and_spaces_that_were_exported_are_learned_again_as_the_same_keys(): void
    {
        $plan = self::remote();
        // Keys are pressed one after another, not at once.
        $pressed = implode("space 500000\n", array_map(static fn (string $press): string => "{$press}\n", explode("\n\n", trim(self::file($plan, 'ir-timings')))));
        $rows = IrLearning::from($pressed, $plan->keyCodes(), Protocols::standard());
        $known = array_values(array_filter(array_column($rows, 'known')));
        sort($known);
        $names = array_map(static fn (KeyCode $code): string => $code->name, $plan->keyCodes());
        sort($names);
        self::assertSame($names, $known);
    }

    public function test_what_names_hold_does_no_harm_to_the_files(): void
    {
        $plan = self::sketch()->node('r', "Old \"remote\"\nof ours", NodeKind::Remote, null, null)->link('l', 'Room', 'infrared')->join('l', 'r', Role::Sends)
            ->control('k', 'r', '= "x"', ControlKind::Key)->keyCode('r', "Key \"1\" # \\ \n[protocols]", 'nec', 4, 8, control: 'k')->plan();
        $rows = IrLearning::from(self::file($plan, 'ir-keymap'), [], Protocols::standard());
        self::assertCount(1, $rows);
        self::assertSame(['nec', 4, 8], [$rows[0]['code']['protocol'], $rows[0]['code']['address'], $rows[0]['code']['command']]);
    }

    private static function remote(): Plan
    {
        $sketch = self::sketch()->node('r', 'Remote', NodeKind::Remote, null, null)->link('l', 'Room', 'infrared')->join('l', 'r', Role::Sends);
        foreach (['nec' => [4, 8], 'necx' => [0x1234, 9], 'rc5' => [5, 53], 'rc6' => [7, 33], 'sirc12' => [1, 21], 'sirc15' => [84, 22], 'sirc20' => [4000, 23]] as $protocol => [$address, $command]) {
            $sketch->control("k-{$protocol}", 'r', "Key {$protocol}", ControlKind::Key)->keyCode('r', "Key {$protocol}", $protocol, $address, $command, control: "k-{$protocol}");
        }

        return $sketch
            ->control('k-odd', 'r', 'Key odd', ControlKind::Key)
            ->keyCode('r', 'Key odd', 'pulse-distance', null, 0xE0E040BF, control: 'k-odd', more: ['format' => 'lead=4500/4500 zero=600/500 one=600/1600 stop=600 bits=32 order=msb carrier=38000 gap=40000'])
            ->control('k-raw', 'r', 'Key raw', ControlKind::Key)
            ->keyCode('r', 'Key raw', 'raw', control: 'k-raw', more: ['timings' => '300 900 1500 400 700 2500 1100 300 2000', 'carrierHz' => 38_000])
            ->plan();
    }

    private static function file(Plan $plan, string $key): string
    {
        foreach (IrFiles::of($plan, $plan->nodes()[0], Protocols::standard()) as $artefact) {
            if ($artefact->key === $key) {
                return $artefact->content;
            }
        }
        self::fail("no {$key}");
    }
}
