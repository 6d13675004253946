<?php

declare(strict_types=1);

namespace Tests\Core\Medium\KeyedRadio;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;
use Rundfunk\Medium\KeyedRadio\KeyedRules;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** A row a case: a fob and a board, and what each rule of keyed radio must say of them. */
final class KeyedRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $air = static fn (array $link = [], array $end = [], string $part = 'keyed-receiver', string $region = 'eu', array $hazards = []): Sketch => self::sketch($region)
            ->link('l', 'Fob', 'keyed-radio', $link)
            ->node('board', 'Board', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('ear', 'board', $part, 'Ear')
            ->module('relays', 'board', 'relay-bank-2-low', 'Relays', FedFrom::Own)
            ->output('lamp', 'board', 'Lamp', more: ['hazards' => $hazards])
            ->output('fan', 'board', 'Fan')
            ->node('fob', 'Fob', NodeKind::Remote, null, null)
            ->control('a', 'fob', 'A', ControlKind::Key)
            ->control('b', 'fob', 'B', ControlKind::Key)
            ->join('l', 'board', Role::Receives, 'ear', $end)
            ->join('l', 'fob', Role::Sends);
        $press = static fn (Sketch $s, Action $action = Action::On, ?int $code = 0x3C71E1, string $key = 'a', string $output = 'lamp'): Sketch => ($code === null ? $s : $s->keyCode('fob', $key, 'keyed', null, $code, control: $key))
            ->route($key, $action, $output)->hop("{$key} {$output} {$action->value}", 'l', 'fob', 'board', null);
        $pressPair = static fn (Sketch $s, Action $action): Sketch => $s->keyCode('fob', 'a', 'keyed-button', null, 0, control: 'a')->route('a', $action, 'lamp')->hop("a lamp {$action->value}", 'l', 'fob', 'board', null);

        yield '433.92 MHz in Europe' => ['keyed-outside-band', static fn () => $air(), []];
        yield '315 MHz in Europe' => ['keyed-outside-band', static fn () => $air(['freqKhz' => 315_000]), ['315 MHz is not free to use in Europe']];
        yield '315 MHz in the United States' => ['keyed-outside-band', static fn () => $air(['freqKhz' => 315_000], region: 'us'), []];
        yield '868.35 MHz in the United States' => ['keyed-outside-band', static fn () => $air(['freqKhz' => 868_350], region: 'us'), ['868 MHz is not free to use in United States']];

        // ERC/REC 70-03: 10 mW e.r.p. is 12.15 dBm e.i.r.p.; 47 CFR 15.231 about −14 dBm. From memory.
        yield '12 dBm at 433 MHz in Europe' => ['keyed-power-over-limit', static fn () => $air(['powerDbm' => 12]), []];
        yield '13 dBm at 433 MHz in Europe' => ['keyed-power-over-limit', static fn () => $air(['powerDbm' => 13]), ['Fob sends with more than 12.1 dBm']];
        yield '0 dBm in the United States' => ['keyed-power-over-limit', static fn () => $air(['powerDbm' => 0], region: 'us'), ['Fob sends with more than -14 dBm']];

        yield 'a lamp' => ['keyed-replay', static fn () => $press($air()), []];
        yield 'a gate' => ['keyed-replay', static fn () => $press($air(hazards: ['motion'])), ['Whoever records Fob can work Lamp']];
        yield 'a gate that it only shuts off' => ['keyed-replay', static fn () => $press($air(hazards: ['motion']), Action::Off), []];
        yield 'a lamp on the mains' => ['keyed-replay', static fn () => $press($air(hazards: ['mains'])), []];

        yield 'a learned key' => ['keyed-code-unknown', static fn () => $press($air()), []];
        yield 'a key that was never learned' => ['keyed-code-unknown', static fn () => $press($air(), Action::On, null), ['The code of A for Lamp is not known']];
        yield 'a button of a pair' => ['keyed-code-unknown', static fn () => $pressPair($air(['coding' => 'pair'], [], 'keyed-receiver-4-momentary'), Action::On), []];
        yield 'a key that is no button yet' => ['keyed-code-unknown', static fn () => $press($air(['coding' => 'pair'], [], 'keyed-receiver-4-momentary'), Action::On, null), ['A is no button of its fob yet']];

        yield 'two keys, two codes' => ['keyed-codes-collide', static fn () => $press($press($air()), Action::On, 0x3C71E2, 'b', 'fan'), []];
        yield 'two keys, one code, two lamps' => ['keyed-codes-collide', static fn () => $press($press($air()), Action::On, 0x3C71E1, 'b', 'fan'), ['0x3C71E1 means two things']];
        $pulse = static fn (Sketch $s, string $key, int $ms): Sketch => $s->keyCode('fob', $key, 'keyed', null, 0x3C71E1, control: $key)
            ->route($key, Action::Pulse, 'lamp', $ms)->hop("{$key} lamp pulse", 'l', 'fob', 'board', null);
        yield 'two keys, one code, a short pulse and a long one' => ['keyed-codes-collide', static fn () => $pulse($pulse($air(), 'a', 1_000), 'b', 20_000), ['0x3C71E1 means two things']];
        yield 'two keys, one code, one pulse' => ['keyed-codes-collide', static fn () => $pulse($pulse($air(), 'a', 1_000), 'b', 1_000), []];
        yield 'two keys, one code, one meaning' => ['keyed-codes-collide', static fn () => $press($press($air()), Action::On, 0x3C71E1, 'b', 'lamp'), []];

        yield 'a sender of its own' => ['keyed-factory-code', static fn () => $press($air()), []];
        foreach (['no switch set' => 0x000001, 'every switch set' => 0xFFFFF1, 'every switch floating' => 0x555551] as $words => $code) {
            yield $words => ['keyed-factory-code', static fn () => $press($air(), Action::On, $code), ['Fob sends as it came from the factory']];
        }

        $own = static fn (?string $number): Sketch => $air()
            ->node('tx', 'Sender', NodeKind::Controller, null, '8bit-5v-20io')->module('txm', 'tx', 'keyed-transmitter', 'Tx')->module('pad', 'tx', 'button-pad-1', 'Pad')
            ->control('push', 'tx', 'Push')->join('l', 'tx', Role::Sends, 'txm')->address('l', 'tx', 0, $number)
            ->route('push', Action::On, 'fan')->hop('push fan on', 'l', 'tx', 'board', 1);
        yield 'a transmitter of ours with a number' => ['keyed-sender-unnumbered', static fn () => $own('3C71E'), []];
        yield 'a transmitter of ours without' => ['keyed-sender-unnumbered', static fn () => $own(null), ['Sender has no sender number on Fob']];
        yield 'a number that is none' => ['keyed-sender-unnumbered', static fn () => $own('3C71'), ['Sender has no sender number on Fob']];

        foreach ([['momentary', Action::Toggle, false], ['momentary', Action::Pulse, false], ['toggle', Action::Toggle, false], ['toggle', Action::On, true], ['latched', Action::On, false], ['latched', Action::Toggle, true]] as [$answers, $action, $wrong]) {
            yield "a {$answers} receiver asked to {$action->value}" => [
                'keyed-receiver-cannot',
                static fn () => $pressPair($air(['coding' => 'pair'], [], "keyed-receiver-4-{$answers}"), $action),
                $wrong ? ["A {$answers} receiver cannot do \"{$action->value}\""] : [],
            ];
        }

        $keys = static fn (int $count, string $coding): Sketch => array_reduce(range(1, $count), static fn (Sketch $s, int $key): Sketch => $s->control("k{$key}", 'fob', "K{$key}", ControlKind::Key), $air(['coding' => $coding]));
        yield 'four keys on a pair' => ['keyed-too-many-buttons', static fn () => $keys(2, 'pair'), []];
        yield 'five keys on a pair' => ['keyed-too-many-buttons', static fn () => $keys(3, 'pair'), ['Fob has 5 keys, and a pair has 4']];
        yield 'five keys, coded' => ['keyed-too-many-buttons', static fn () => $keys(3, 'bits24'), []];

        yield 'four repeats' => ['keyed-repeats-too-few', static fn () => $air(['repeats' => 4]), []];
        yield 'three repeats' => ['keyed-repeats-too-few', static fn () => $air(['repeats' => 3]), ['Fob sends each code 3 times']];
        yield 'once' => ['keyed-repeats-too-few', static fn () => $air(['repeats' => 1]), ['Fob sends each code once']];

        yield 'a code that switches on' => ['keyed-repeats-flip', static fn () => $press($air()), []];
        yield 'a code that toggles' => ['keyed-repeats-flip', static fn () => $press($air(), Action::Toggle), ['One press may flip Lamp several times']];

        yield 'a quarter wave' => ['keyed-antenna-off', static fn () => $air([], ['antennaMm' => 164]), []];
        yield 'nearly a quarter wave' => ['keyed-antenna-off', static fn () => $air([], ['antennaMm' => 175]), []];
        yield 'a quarter wave of another band' => ['keyed-antenna-off', static fn () => $air([], ['antennaMm' => 82]), ['The antenna of Board is 82 mm long and should be 164']];
        yield 'no antenna' => ['keyed-antenna-off', static fn () => $air([], ['antenna' => 'none']), ['Board has no antenna on Fob']];
        yield 'a coil' => ['keyed-antenna-off', static fn () => $air([], ['antenna' => 'coil']), []];

        yield 'as the link' => ['keyed-ends-disagree', static fn () => $air([], ['freqKhz' => 433_920]), []];
        yield 'otherwise than the link' => ['keyed-ends-disagree', static fn () => $air([], ['freqKhz' => 315_000]), ['Board is tuned to 315 MHz, Fob to 434']];
    }

    /**
     * @param  Closure(): Sketch  $sketch
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_the_rule_finds_this_and_no_more(string $rule, Closure $sketch, array $titles): void
    {
        self::assertSame($titles, array_map(static fn (Finding $finding): string => $finding->title, self::found($sketch()->plan(), $rule)));
    }

    public function test_assign_numbers_our_transmitters_gives_buttons_and_cuts_wires(): void
    {
        $plan = self::sketch()
            ->link('l', 'Own', 'keyed-radio')
            ->node('board', 'Board', NodeKind::Controller, null, '8bit-5v-20io')->module('ear', 'board', 'keyed-receiver', 'Ear')->module('relays', 'board', 'relay-bank-2-low', 'Relays', FedFrom::Own)
            ->output('lamp', 'board', 'Lamp')
            ->node('tx', 'Sender', NodeKind::Controller, null, '8bit-5v-20io')->module('txm', 'tx', 'keyed-transmitter', 'Tx')->module('pad', 'tx', 'button-pad-2', 'Pad')
            ->control('on', 'tx', 'On')->control('off', 'tx', 'Off')
            ->join('l', 'board', Role::Receives)->join('l', 'tx', Role::Sends)
            ->route('on', Action::On, 'lamp')->route('off', Action::Off, 'lamp')
            ->link('p', 'Pair', 'keyed-radio', ['coding' => 'pair'])->node('fob', 'Fob', NodeKind::Remote, null, null)
            ->control('a', 'fob', 'A', ControlKind::Key)->control('b', 'fob', 'B', ControlKind::Key)
            ->join('p', 'fob', Role::Sends)->module('ear2', 'board', 'keyed-receiver-4-momentary', 'Pair ear')->join('p', 'board', Role::Receives)
            ->route('a', Action::Toggle, 'lamp')->assigned();
        $sent = KeyedCodes::sentOver($plan, $plan->links()[0]);
        self::assertCount(2, $sent);
        self::assertSame($sent[0]['bits']->sender(), $sent[1]['bits']->sender());
        self::assertFalse($sent[0]['bits']->isFactorySet());
        self::assertSame([1, 2], array_map(static fn (array $one): int => $one['bits']->bits & 0xF, $sent));
        self::assertSame(['A', 'B'], array_map(KeyedCodes::button(...), $plan->keyCodes()));
        self::assertSame(164, $plan->endpointsOn($plan->links()[0])[0]->settings['antennaMm']);
        foreach ((new KeyedRules)->rules() as $rule) {
            self::assertSame([], self::found($plan, Finds::of($rule)->key), $rule::class);
        }
    }
}
