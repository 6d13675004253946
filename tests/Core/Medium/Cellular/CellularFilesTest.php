<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Cellular;

use Rundfunk\Build\Artefacts;
use Rundfunk\Build\CHeader;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** What a phone's owner and a modem's builder are given to print. */
final class CellularFilesTest extends CoreTestCase
{
    public function test_the_owner_of_a_phone_is_told_whom_to_call_and_what_to_text(): void
    {
        $card = self::file(self::linden(), 'Rowan\'s phone', 'phone-card');
        self::assertStringContainsString('Gate: pulse 1 s', $card);
        self::assertStringContainsString('and your secret"', $card);
        self::assertStringContainsString('It hangs up; nothing is answered.', $card);
        self::assertStringNotContainsString('and a number', $card);
    }

    public function test_a_text_that_sets_a_value_is_followed_by_a_number(): void
    {
        $plan = self::sketch()
            ->link('m', 'Mobile', 'cellular', ['country' => 'GB'])->link('r', 'Room', 'infrared')
            ->node('post', 'Post', NodeKind::Controller, null, '32bit-3v3-26io')->module('x', 'post', 'modem-lte-eu', 'Modem', FedFrom::Own)->module('led', 'post', 'infrared-emitter', 'LED')
            ->node('ann', 'Ann', NodeKind::Phone, null, null)->node('fan', 'Fan', NodeKind::Fixture, null, null)
            ->join('m', 'post', Role::Both, 'x')->join('m', 'ann', Role::Both, null, ['listed' => true])->address('m', 'ann', 0, '+442079460123')
            ->join('r', 'post', Role::Sends, 'led')->join('r', 'fan', Role::Receives)
            ->output('speed', 'fan', 'Speed', OutputKind::Function, more: ['settings' => ['lowest' => 0, 'highest' => 3]])
            ->control('t', 'ann', 'Set the fan', ControlKind::Text)->route('t', Action::Set, 'speed')->assigned();
        self::assertStringContainsString('Text "SPEED SET and a number"', self::file($plan, 'Ann', 'phone-card'));
        $node = array_values(array_filter($plan->nodes(), static fn (Node $one): bool => $one->name === 'Post'))[0];
        $header = (new CHeader(self::knowledge()))->write($plan, $node);
        self::assertStringContainsString('{ "SPEED SET", 0, 1, 1, 1 }', $header);
        self::assertStringContainsString('uint8_t number; /* a number follows the word */', $header);
    }

    public function test_the_dialogue_has_every_part_and_what_the_lamp_says(): void
    {
        $text = self::file(self::linden(), 'Gate post', 'modem-dialogue');
        foreach (['Until it is ready', 'Then', 'Every 30 minutes', 'What its lamp says'] as $part) {
            self::assertStringContainsString($part, $text);
        }
        self::assertStringContainsString('AT+HTTPPARA="URL","https://station.example/gate?frost=<frost>"', $text);
        self::assertStringContainsString('once a second: It looks for a network.', $text);
        self::assertLessThan(strpos($text, 'AT+HTTPINIT'), strpos($text, 'AT+CGACT=1,1'), 'first onto the network, then to the web');
    }

    public function test_those_who_are_obeyed_are_listed_in_full_and_nobody_else(): void
    {
        $csv = self::file(self::linden(), 'Gate post', 'allow-list');
        self::assertSame("name,number\r\nRowan's phone,+442079460321\r\n", $csv);
        self::assertStringNotContainsString('Ann', self::file(self::faulty(), 'Lane gate', 'allow-list'), 'Ann is on nobody\'s list');
    }

    private static function file(Plan $plan, string $node, string $key): string
    {
        $found = array_values(array_filter($plan->nodes(), static fn (Node $one): bool => $one->name === $node))[0];

        return Artefacts::named($plan, $found, self::knowledge(), $key)->content;
    }
}
