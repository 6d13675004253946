<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\PartsList;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Medium\Serial\SerialPanel;
use Rundfunk\Medium\Serial\Shown\SerialEndFigures;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** A row a case: how a line is set up, and what each rule of serial lines must say of it. */
final class SerialRulesTest extends CoreTestCase
{
    /**
     * @param  array<string, bool|float|int|string|null>  $link
     * @param  array{0: string, 1?: array<string, bool|float|int|string|null>, 2?: Role, 3?: string, 4?: list<string>}  ...$ends  board, settings, role, class of its part, what is meant
     */
    private static function line(array $link, array ...$ends): Sketch
    {
        $sketch = self::sketch()->link('l', 'Line', 'serial', ['timeoutMs' => 200, 'lengthM' => 0.5, ...$link]);
        foreach (array_values($ends) as $at => $end) {
            $number = $at + 1;
            $class = $end[3] ?? (($link['levels'] ?? 'logic') === 'rs-485' ? 'rs485-5v' : 'serial-wire');
            $sketch->node("n{$number}", "Node {$number}", NodeKind::Controller, null, $end[0])
                ->module("w{$number}", "n{$number}", $class, 'Port', $class === 'serial-wire' ? null : FedFrom::Board5V)
                ->join('l', "n{$number}", $end[2] ?? Role::Both, "w{$number}", ['station' => $number, 'asks' => $number === 1, ...$end[1] ?? []], $end[4] ?? []);
        }

        return $sketch;
    }

    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        [$old, $big, $three, $wifi] = ['8bit-5v-20io', '8bit-5v-70io', '32bit-3v3-26io', 'wifi-3v3-26io'];
        $polled = ['topology' => 'polled', 'returning' => 'let-go'];
        $bus = ['topology' => 'polled', 'levels' => 'rs-485', 'lengthM' => 40.0];
        $ended = ['terminated' => true];
        $held = ['terminated' => true, 'biased' => true];

        yield 'ends agree' => ['serial-ends-disagree', static fn () => self::line([], [$big, ['baud' => 9600]], [$big]), []];
        foreach (['baud' => [4800, '4800 baud', '9600 baud'], 'parity' => ['even', 'even parity', 'no parity'], 'stopBits' => [2, '2 stop bits', '1 stop bit'], 'check' => ['sum-8', 'sum-8', 'crc-16/modbus']] as $setting => [$value, $own, $line]) {
            yield "{$setting} is another" => ['serial-ends-disagree', static fn () => self::line([], [$big], [$big, [$setting => $value]]), ["Node 2 is set to {$own}, Line to {$line}"]];
        }

        yield 'one asks' => ['serial-asker-missing', static fn () => self::line($polled, [$big], [$big], [$big]), []];
        yield 'nobody asks' => ['serial-asker-missing', static fn () => self::line($polled, [$big, ['asks' => false]], [$big]), ['Nobody asks on Line']];
        yield 'two ask' => ['serial-asker-missing', static fn () => self::line($polled, [$big], [$big, ['asks' => true]]), ['Node 1 and Node 2 both ask on Line']];
        yield 'between two nobody asks' => ['serial-asker-missing', static fn () => self::line([], [$big, ['asks' => false]], [$big]), []];

        yield 'no id' => ['serial-id-missing', static fn () => self::line([], [$big], [$big, ['station' => null]]), ['Node 2 has no id on Line']];
        yield 'an id twice' => ['serial-id-shared', static fn () => self::line($polled, [$big], [$big, ['station' => 5]], [$big, ['station' => 5]]), ['Node 2 and Node 3 are both id 5']];
        yield 'the id of all' => ['serial-id-impossible', static fn () => self::line([], [$big], [$big, ['station' => 0]]), ['Node 2 has the id that everybody hears']];
        yield 'beyond the custom' => ['serial-id-impossible', static fn () => self::line([], [$big], [$big, ['station' => 248]]), ['Node 2 cannot be id 248']];
        yield 'the highest' => ['serial-id-impossible', static fn () => self::line([], [$big], [$big, ['station' => 247]]), []];
        foreach ([[3, 7, false], [3, 8, true], [1, 2, true], [8, 247, false]] as [$switches, $id, $wrong]) {
            yield "id {$id} by {$switches} switches" => ['serial-id-impossible', static fn () => self::line([], [$big], [$big, ['station' => $id, 'idBy' => 'switches', 'switches' => $switches]]), $wrong ? ["Node 2 cannot be id {$id}"] : []];
        }

        // 16 MHz makes 115,200 by + 2.12 % at best, and its resonator is half a percent off: data sheet and common practice.
        yield 'a resonator and a crystal at 115200' => ['serial-clocks-apart', static fn () => self::line(['baud' => 115_200], [$old], [$three]), ['Node 1 and Node 2 are 2.62 % apart at 115200 baud']];
        yield 'two that are off alike' => ['serial-clocks-apart', static fn () => self::line(['baud' => 115_200], [$old], [$old]), []];
        yield 'at 57600' => ['serial-clocks-apart', static fn () => self::line(['baud' => 57_600], [$old], [$three]), []];
        yield 'at 250000 all divide' => ['serial-clocks-apart', static fn () => self::line(['baud' => 250_000], [$old], [$three]), []];

        $soft = static fn (int $baud) => self::line(['baud' => $baud], [$old], [$old])->wire('w2', 'TXD', 'D8', false, true)->wire('w2', 'RXD', 'D9', false, true);
        yield 'by software, fast' => ['serial-software-too-fast', static fn () => $soft(57_600), ['57600 baud are too fast for a serial line by software']];
        yield 'by software, slow enough' => ['serial-software-too-fast', static fn () => $soft(38_400), []];

        foreach ([['logic', 9_600, 2.0, false], ['logic', 9_600, 2.1, true], ['logic', 19_200, 1.5, true], ['rs-232', 19_200, 15.0, false], ['rs-232', 19_200, 16.0, true], ['rs-485', 38_400, 1_200.0, false], ['rs-485', 38_400, 1_201.0, true], ['rs-485', 250_000, 400.0, false], ['rs-485', 250_000, 401.0, true]] as [$levels, $baud, $metres, $long]) {
            yield "{$metres} m of {$levels} at {$baud}" => ['serial-line-too-long', static fn () => self::line(['levels' => $levels, 'baud' => $baud, 'lengthM' => $metres], [$big], [$big]), $long ? ['* m of *'] : []];
        }
        yield 'no length' => ['serial-length-unknown', static fn () => self::line(['lengthM' => null], [$big], [$big]), ['Nobody said how long Line is']];
        yield 'no length of one end' => ['serial-length-unknown', static fn () => self::line(['lengthM' => null], [$big]), []];

        $network = static fn (array $link, int $boxes, int $at = 0): Sketch => self::line($link, ...array_map(static fn (int $place): array => [$big, [], Role::Both, $place === $at ? 'diode-or-8' : 'serial-wire'], range(0, $boxes)));
        yield 'a network that the line knows of' => ['serial-network-differs', static fn () => $network(['topology' => 'polled', 'returning' => 'schottky'], 8), []];
        yield 'a network that it does not' => ['serial-network-differs', static fn () => $network(['topology' => 'polled'], 2), ['Line is reckoned with answers that are simply joined, and Port of Node 1 has a Schottky diode at each']];
        yield 'too few inputs' => ['serial-network-differs', static fn () => $network(['topology' => 'polled', 'returning' => 'schottky'], 9), ['9 boxes answer into Port of Node 1, which has 8 inputs']];
        yield 'where nothing comes together' => ['serial-network-differs', static fn () => $network(['topology' => 'polled', 'returning' => 'schottky'], 2, 1), ['Port of Node 2 gathers answers that nobody sends it']];
        yield 'a thing from a shop' => ['serial-bought-unspoken', static fn () => self::line($bus, [$big])->node('shop', 'Scale', NodeKind::Fixture, null, null)->join('l', 'shop', Role::Both), ['Nobody knows what Scale on Line speaks']];
        yield 'boards of ours' => ['serial-bought-unspoken', static fn () => self::line($bus, [$big], [$big]), []];
        $cabled = static fn (array $link, float ...$metres) => array_reduce(array_keys($metres), static fn (Sketch $s, int $at): Sketch => $s->cable("c{$at}", 'n'.($at + 1), 'n'.($at + 2), "Cable {$at}", ['lengthM' => $metres[$at]], [['core' => 1, 'use' => ($link['topology'] ?? '') === 'ring' ? 'forward' : 'a', 'link' => 'l']]), self::line($link, ...array_fill(0, count($metres) + 1, [$big])));
        yield 'longer than it is said to be' => ['serial-length-differs', static fn () => $cabled($bus, 30.0, 20.0), ['Line runs in 50 m of cable and is said to be 40']];
        yield 'as long' => ['serial-length-differs', static fn () => $cabled($bus, 25.0, 15.0), []];
        yield 'around a ring the longest counts' => ['serial-length-differs', static fn () => $cabled(['topology' => 'ring', 'levels' => 'rs-232', 'lengthM' => 5.0], 6.0, 3.0), ['Line runs in 6 m of cable and is said to be 5']];
        yield 'nobody said, and it lies there' => ['serial-length-differs', static fn () => $cabled([...$bus, 'lengthM' => null], 30.0), ['Line runs in 30 m of cable']];

        // What a line remembers of each box counts: 21 bytes on an 8-bit board, as its compiler has it.
        yield 'a small board that asks many' => ['memory-short', static fn () => self::line($bus, [$old], ...array_fill(0, 70, [$old])), ['What Node 1 does leaves its board too little memory']];
        yield 'a small board that asks some' => ['memory-short', static fn () => self::line($bus, [$old], ...array_fill(0, 20, [$old])), []];

        yield 'two boxes joined' => ['serial-answers-collide', static fn () => self::line([...$polled, 'returning' => 'joined'], [$big], [$big], [$big]), ['The answers of 2 boxes on Line are simply joined']];
        yield 'one box' => ['serial-answers-collide', static fn () => self::line([...$polled, 'returning' => 'joined'], [$big], [$big]), []];
        yield 'two boxes with diodes' => ['serial-answers-collide', static fn () => self::line([...$polled, 'returning' => 'schottky'], [$big], [$big], [$big]), []];
        yield 'two boxes of RS-485' => ['serial-answers-collide', static fn () => self::line($bus, [$big], [$big], [$big]), []];

        yield 'three for two' => ['serial-ends-unfit', static fn () => self::line([], [$big], [$big], [$big]), ['Line has 3 ends and is set for two']];
        yield 'RS-232 for three' => ['serial-ends-unfit', static fn () => self::line(['topology' => 'polled', 'levels' => 'rs-232'], [$big], [$big], [$big]), ['RS-232 joins two ends, and Line has 3']];
        yield 'a ring of RS-232' => ['serial-ends-unfit', static fn () => self::line(['topology' => 'ring', 'levels' => 'rs-232'], [$big], [$big], [$big]), []];
        yield 'a ring of RS-485' => ['serial-ends-unfit', static fn () => self::line(['topology' => 'ring', 'levels' => 'rs-485'], [$big], [$big]), ['Line is a ring of RS-485']];

        yield 'a box that cannot answer' => ['serial-one-way', static fn () => self::line($polled, [$big], [$big, [], Role::Receives]), ['Node 2 is asked and cannot answer']];
        yield 'a box that hears nothing' => ['serial-one-way', static fn () => self::line($polled, [$big], [$big, [], Role::Sends]), ['Node 2 cannot be asked: it hears nothing']];
        yield 'a ring that ends' => ['serial-one-way', static fn () => self::line(['topology' => 'ring'], [$big], [$big, [], Role::Receives], [$big]), ['The ring ends at Node 2, which says nothing']];
        // Whoever tells waits for the answer: our programs take nothing as said that nobody answers.
        yield 'one way between two' => ['serial-one-way', static fn () => self::line([], [$big, [], Role::Sends], [$big, [], Role::Receives]), ['Node 1 hears no answer', 'Node 2 hears and cannot answer']];
        yield 'both ways between two' => ['serial-one-way', static fn () => self::line([], [$big], [$big]), []];
        yield 'two that speak when they like on one pair' => ['serial-ends-unfit', static fn () => self::line(['levels' => 'rs-485'], [$big], [$big]), ['Both ends of Line speak when they like, on one pair']];
        yield 'one of the two asks' => ['serial-ends-unfit', static fn () => self::line($bus, [$big], [$big]), []];

        yield 'ends with 120 Ω' => ['serial-terminators', static fn () => self::line($bus, [$big, $held], [$big], [$big, $ended]), []];
        yield 'no 120 Ω' => ['serial-terminators', static fn () => self::line($bus, [$big], [$big]), ['Nothing ends Line']];
        yield '120 Ω in the middle' => ['serial-terminators', static fn () => self::line($bus, [$big, $held], [$big, $ended], [$big]), ['Node 3 is an end of Line without its 120 Ω']];
        yield 'three of them' => ['serial-terminators', static fn () => self::line($bus, [$big, $held], [$big, $ended], [$big, $ended]), ['3 resistors of 120 Ω on Line, and not at its two ends']];
        yield 'none at logic levels' => ['serial-terminators', static fn () => self::line($polled, [$big], [$big]), []];
        yield 'no bias' => ['serial-bias-missing', static fn () => self::line($bus, [$big, $ended], [$big, $ended]), ['Nothing holds Line quiet while nobody speaks']];
        yield 'bias twice' => ['serial-bias-missing', static fn () => self::line($bus, [$big, $held], [$big, $held]), ['2 places hold Line quiet, and one is enough']];
        yield 'bias once' => ['serial-bias-missing', static fn () => self::line($bus, [$big, $held], [$big, $ended]), []];

        yield '32 loads' => ['serial-too-many-loads', static fn () => self::line($bus, ...array_fill(0, 32, [$big])), []];
        yield '33 loads' => ['serial-too-many-loads', static fn () => self::line($bus, ...array_fill(0, 33, [$big])), ['33 unit loads on Line, where a driver moves 32']];

        yield 'far, and bare' => ['serial-not-isolated', static fn () => self::line([...$bus, 'lengthM' => 120.0], [$big], [$big]), ['120 m of Line join the grounds of 2 nodes']];
        yield 'far, all but one isolated' => ['serial-not-isolated', static fn () => self::line([...$bus, 'lengthM' => 120.0], [$big], [$big, [], Role::Both, 'rs485-isolated'], [$big, [], Role::Both, 'rs485-isolated']), []];
        yield 'near' => ['serial-not-isolated', static fn () => self::line([...$bus, 'lengthM' => 100.0], [$big], [$big]), []];

        yield 'logic on RS-232' => ['serial-part-unfit', static fn () => self::line(['levels' => 'rs-232'], [$big, [], Role::Both, 'rs232-converter'], [$big]), ['Port of Node 2 speaks logic levels, Line is RS-232']];
        yield 'as it should be' => ['serial-part-unfit', static fn () => self::line($bus, [$big], [$big]), []];
        yield 'a converter at 250000' => ['serial-part-too-slow', static fn () => self::line(['levels' => 'rs-232', 'baud' => 250_000], [$big, [], Role::Both, 'rs232-converter'], [$big, [], Role::Both, 'rs232-converter']), ['Port of Node 1 passes 120000 baud, Line runs at 250000', 'Port of Node 2 passes 120000 baud, Line runs at 250000']];
        yield 'a converter at 115200' => ['serial-part-too-slow', static fn () => self::line(['levels' => 'rs-232', 'baud' => 115_200], [$big, [], Role::Both, 'rs232-converter'], [$big, [], Role::Both, 'rs232-converter']), []];

        // Data sheets of the boards, from memory: 5 V out; 3.3 V boards stand 3.6 to 3.8 and give 3.2; an 8-bit board takes 3.0 for high.
        yield '5 V into 3.3' => ['serial-level-too-high', static fn () => self::line([], [$old], [$wifi]), ['5 V of Node 1 go into Node 2, which stands 3.6']];
        yield '5 V into 3.3, divided' => ['serial-level-too-high', static fn () => self::line([], [$old], [$wifi])->part('w2', 'RXD', PartKind::Divider, ['ohms' => 1_000.0, 'lowerOhms' => 2_000.0]), []];
        yield '5 V into 3.3, shifted' => ['serial-level-too-high', static fn () => self::line([], [$old], [$wifi])->part('w2', 'RXD', PartKind::Shifter), []];
        yield '5 V into 3.3 around a ring' => ['serial-level-too-high', static fn () => self::line(['topology' => 'ring'], [$old], [$old], [$three]), ['5 V of Node 2 go into Node 3, which stands 3.8']];
        yield '5 V boxes through diodes' => ['serial-level-too-high', static fn () => self::line([...$polled, 'returning' => 'schottky'], [$wifi], [$old], [$old]), []];
        yield '5 V boxes that let go' => ['serial-level-too-high', static fn () => self::line($polled, [$wifi], [$old], [$old]), ['5 V of Node 2 go into Node 1, which stands 3.6', '5 V of Node 3 go into Node 1, which stands 3.6']];
        yield '5 V on RS-485' => ['serial-level-too-high', static fn () => self::line($bus, [$old], [$wifi, [], Role::Both, 'rs485-3v3']), []];
        yield '3.3 V into 5' => ['serial-level-too-low', static fn () => self::line([], [$wifi], [$old]), []];
        yield 'divided for nothing' => ['serial-level-too-low', static fn () => self::line([], [$wifi], [$old])->part('w2', 'RXD', PartKind::Divider, ['ohms' => 1_000.0, 'lowerOhms' => 2_000.0]), ['2.13 V of Node 1 are no certain high for Node 2, which wants 3']];
        yield 'silicon at 3.3 V' => ['serial-low-too-high', static fn () => self::line([...$polled, 'returning' => 'diodes'], [$wifi], [$wifi], [$wifi]), ['A low of Node 2 comes as 0.85 V, and Node 1 takes 0.83 for low', 'A low of Node 3 comes as 0.85 V, and Node 1 takes 0.83 for low']];
        yield 'silicon at 5 V' => ['serial-low-too-high', static fn () => self::line([...$polled, 'returning' => 'diodes'], [$old], [$old], [$old]), []];
        yield 'Schottky at 3.3 V' => ['serial-low-too-high', static fn () => self::line([...$polled, 'returning' => 'schottky'], [$wifi], [$wifi], [$wifi]), []];
        yield 'nothing holds it back' => ['serial-back-feed', static fn () => self::line([], [$old, [], Role::Sends], [$old, [], Role::Receives]), ['Node 1 feeds Node 2 through its serial line while that is off']];
        yield 'a resistor does' => ['serial-back-feed', static fn () => self::line([], [$old, [], Role::Sends], [$old, [], Role::Receives])->part('w2', 'RXD', PartKind::SeriesResistor, ['ohms' => 1_000.0]), []];

        // Eleven bytes... a frame of 10 at 9600 is 10.4 ms; with 2 ms to turn, half as long again.
        yield 'nobody said how long to wait' => ['serial-timeout-short', static fn () => self::line(['timeoutMs' => null], [$big], [$big]), ['Nobody said how long Line waits for an answer']];
        yield 'too short a wait' => ['serial-timeout-short', static fn () => self::line(['timeoutMs' => 18], [$big], [$big]), ['Line waits 18 ms for an answer that takes longer']];
        yield 'long enough' => ['serial-timeout-short', static fn () => self::line(['timeoutMs' => 19], [$big], [$big]), []];

        $keys = static fn (array $link, int $boxes) => array_reduce(range(2, $boxes + 1), static fn (Sketch $s, int $n): Sketch => $s->module("k{$n}", "n{$n}", 'button-pad-1', 'Key')->control("key{$n}", "n{$n}", "Key {$n}")
            ->route("key{$n}", Action::On, 'lamp')->hop("key{$n} lamp on", 'l', "n{$n}", 'n1', $n), self::line([...$polled, ...$link], [$big], ...array_fill(0, $boxes, [$big]))->output('lamp', 'n1', 'Lamp', OutputKind::Lamp));
        yield 'a key waits long' => ['serial-cycle-slow', static fn () => $keys(['baud' => 1_200, 'timeoutMs' => 140], 2), ['A key on Line waits up to * until its box is asked']];
        yield 'so many that a higher rate is not enough' => ['serial-cycle-slow', static fn () => $keys(['baud' => 1_200, 'timeoutMs' => 140], 24), ['A key on Line waits up to * until its box is asked']];
        yield 'a key waits little' => ['serial-cycle-slow', static fn () => $keys(['baud' => 9_600, 'timeoutMs' => 20], 3), []];

        yield 'a ring of three' => ['serial-ring-opens', static fn () => self::line(['topology' => 'ring'], [$big], [$big], [$big]), ['One dead node opens Line']];
        yield 'a ring of two' => ['serial-ring-opens', static fn () => self::line(['topology' => 'ring'], [$big], [$big]), []];

        $works = static fn (array $link, array $hazards, Action $action = Action::On, array $end = [], array $deliberate = []) => self::line([...$polled, ...$link], [$big], [$big, $end, Role::Both, 'serial-wire', $deliberate])
            ->module('k', 'n1', 'button-pad-1', 'Key')->control('key', 'n1', 'Key')->output('gate', 'n2', 'Gate', more: ['hazards' => $hazards])->route('key', $action, 'gate')->hop("key gate {$action->value}", 'l', 'n1', 'n2', 1);
        yield 'a gate by CRC' => ['serial-unchecked', static fn () => $works([], ['motion']), []];
        yield 'a gate by a sum' => ['serial-unchecked', static fn () => $works(['check' => 'sum-8'], ['motion']), ['A mere sum says whether what works Gate came whole']];
        yield 'a lamp by a sum' => ['serial-unchecked', static fn () => $works(['check' => 'sum-8'], []), []];
        yield 'a lamp by nothing' => ['serial-unchecked', static fn () => $works(['check' => 'none'], []), ['Nothing says whether what works Gate came whole']];
        yield 'toggled while it moves' => ['serial-toggle-while-moving', static fn () => $works([], [], Action::Toggle, ['restMs' => 12_000]), ['Gate is toggled, and takes 12 s to be done']];
        yield 'opened while it moves' => ['serial-toggle-while-moving', static fn () => $works([], [], Action::On, ['restMs' => 12_000]), []];
        yield 'told together' => ['serial-broadcast-unanswered', static fn () => $works([], ['motion'], Action::On, [], ['broadcast']), ['Nobody says whether Node 2 heard what works Gate']];
        $both = static fn (int $code, Action $second, array $deliberate, string $topology = 'polled') => self::line([...$polled, 'topology' => $topology], [$big], [$big, [], Role::Both, 'serial-wire', ['broadcast']], [$big, [], Role::Both, 'serial-wire', $deliberate])
            ->module('k', 'n1', 'button-pad-2', 'Keys')->control('one', 'n1', 'One')->control('two', 'n1', 'Two')->output('lamp', 'n2', 'Lamp')->output('fan', 'n3', 'Fan')
            ->route('one', Action::On, 'lamp')->hop('one lamp on', 'l', 'n1', 'n2', 7)->route('one', Action::On, 'fan')->route('two', $second, 'fan')->hop("two fan {$second->value}", 'l', 'n1', 'n3', $code);
        yield 'one code, two presses, told together' => ['serial-broadcast-misunderstood', static fn () => $both(7, Action::Off, ['broadcast']), ['0x07 means two things to boxes that are told together']];
        yield 'around a ring' => ['serial-broadcast-misunderstood', static fn () => $both(7, Action::Off, ['broadcast'], 'ring'), ['0x07 means two things to boxes that are told together']];
        yield 'two codes, told together' => ['serial-broadcast-misunderstood', static fn () => $both(8, Action::Off, ['broadcast']), []];
        yield 'one code, one told together and one alone' => ['serial-broadcast-misunderstood', static fn () => $both(7, Action::Off, []), []];
        yield 'put off together' => ['serial-broadcast-unanswered', static fn () => $works([], ['motion'], Action::Off, [], ['broadcast']), []];
        yield 'a lamp told together' => ['serial-broadcast-unanswered', static fn () => $works([], [], Action::On, [], ['broadcast']), []];
    }

    /**
     * @param  Closure(): Sketch  $sketch
     * @param  list<string>  $titles  with * for what the row does not mind
     */
    #[DataProvider('cases')]
    public function test_what_is_found(string $rule, Closure $sketch, array $titles): void
    {
        $plan = $sketch()->plan();
        $found = array_map(static fn (Finding $finding): string => $finding->title, self::checker()->check($plan)->byRule()[$rule] ?? []);
        sort($found);
        self::assertCount(count($titles), $found, implode("\n", $found));
        foreach ($titles as $at => $title) {
            self::assertStringMatchesFormat(str_replace('\*', '%s', preg_quote($title, '/')) === $title ? $title : str_replace(['%', '*'], ['%%', '%s'], $title), $found[$at]);
        }
    }

    /** @param  Closure(): Sketch  $sketch */
    #[DataProvider('cases')]
    public function test_what_mends_it_does(string $rule, Closure $sketch): void
    {
        $plan = $sketch()->plan();
        $findings = self::checker()->check($plan)->byRule()[$rule] ?? [];
        foreach ($findings as $finding) {
            foreach ($finding->fixes() as $fix) {
                $after = (new Editor(self::knowledge()))->apply($plan, $fix->operations)->plan;
                self::assertNotContains($finding->id(), array_map(static fn (Finding $one): string => $one->id(), self::checker()->check($after)->byRule()[$rule] ?? []), "{$finding->title}: {$fix->label}");
            }
        }
        self::assertNotSame([], $plan->nodes());
    }

    public function test_a_bus_is_assigned_from_nothing_and_nothing_remains_but_advice(): void
    {
        $sketch = self::sketch()->link('l', 'Boxes', 'serial', ['topology' => 'polled', 'levels' => 'rs-485', 'lengthM' => 30.0]);
        $sketch->node('desk', 'Desk', NodeKind::Gateway, null, '8bit-5v-70io')->supply('desk plug', 'desk', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)->module('desk-w', 'desk', 'rs485-5v', 'Pair')
            ->module('desk-k', 'desk', 'button-pad-4', 'Keys');
        foreach (range(1, 4) as $box) {
            $sketch->node("box{$box}", "Box {$box}", NodeKind::Controller, null, '8bit-5v-20io')->supply("plug{$box}", "box{$box}", 'plug-5v-1a', 'Plug', null, FeedsAt::FiveVolt)->supply("coil{$box}", "box{$box}", 'plug-5v-1a', 'Coils')
                ->module("w{$box}", "box{$box}", 'rs485-5v', 'Pair')->module("r{$box}", "box{$box}", 'relay-bank-2-low', 'Relays', "coil{$box}")->output("out{$box}", "box{$box}", "Vent {$box}")
                ->control("key{$box}", 'desk', "Key {$box}")->route("key{$box}", Action::Toggle, "out{$box}");
        }
        $sketch->join('l', 'desk', Role::Both);
        foreach (range(1, 4) as $box) {
            $sketch->join('l', "box{$box}", Role::Both);
        }
        $plan = $sketch->assigned();
        $grave = array_filter(self::checker()->check($plan)->all(), static fn (Finding $finding): bool => $finding->severity->rank() > 0);
        self::assertSame([], array_map(static fn (Finding $finding): string => "{$finding->rule()}: {$finding->title}", array_values($grave)));
        self::assertSame([], self::assigner()->assign($plan)->proposals);
    }

    public function test_boards_of_two_voltages_get_what_belongs_between_them(): void
    {
        $sketch = self::line(['timeoutMs' => null], ['8bit-5v-70io'], ['32bit-3v3-26io']);
        $plan = $sketch->assigned();
        $parts = array_map(static fn ($part): string => "{$part->kind->value} {$part->ohms} {$part->lowerOhms}", $plan->partsOf($plan->module($sketch->id('w2'))));
        self::assertSame(['divider 1000 2000'], $parts);
        self::assertSame([], self::checker()->check($plan)->byRule()['serial-level-too-high'] ?? []);
    }

    public function test_the_parts_of_a_line_are_on_the_list(): void
    {
        $wants = static function (Sketch $sketch): array {
            $parts = [];
            foreach (PartsList::of($sketch->plan(), self::knowledge())->lines as $line) {
                if (preg_match('/^(resistor|Schottky|silicon)/', $line->what) === 1) {
                    $parts[$line->what] = $line->quantity;
                }
            }

            return $parts;
        };
        // A network has its diodes and its pull-up in it.
        self::assertSame([], $wants(self::line(['topology' => 'polled', 'returning' => 'schottky'], ['8bit-5v-70io', [], Role::Both, 'diode-or-8'], ['8bit-5v-70io'], ['8bit-5v-70io'])));
        $bus = ['topology' => 'polled', 'levels' => 'rs-485', 'lengthM' => 40.0];
        // TIA/EIA-485-A: 120 Ω at both ends; 680 Ω are the next below 713 for two terminators and three loads at 5 V.
        self::assertSame(['resistor 120 Ω' => 2, 'resistor 680 Ω' => 2], $wants(self::line($bus, ['8bit-5v-70io', ['terminated' => true, 'biased' => true]], ['8bit-5v-70io'], ['8bit-5v-70io', ['terminated' => true]])));
        self::assertSame(['resistor 1.5 kΩ' => 1, 'Schottky signal diode' => 2], $wants(self::line(['topology' => 'polled', 'returning' => 'schottky'], ['8bit-5v-70io'], ['8bit-5v-70io'], ['8bit-5v-70io'])));
        self::assertSame([], $wants(self::line(['topology' => 'polled', 'returning' => 'joined'], ['8bit-5v-70io'], ['8bit-5v-70io'], ['8bit-5v-70io'])));
    }

    public function test_outputs_are_numbered_along_the_line_in_the_order_of_ids(): void
    {
        $sketch = self::line(['topology' => 'polled', 'levels' => 'rs-485'], ['8bit-5v-70io'], ['8bit-5v-70io', ['station' => 9]], ['8bit-5v-70io', ['station' => 4]])
            ->module('k', 'n1', 'button-pad-2', 'Keys')->control('k1', 'n1', 'Key 1')->control('k2', 'n1', 'Key 2')
            ->output('a', 'n2', 'Nine')->output('b', 'n3', 'Four')->output('c', 'n3', 'Four too')
            ->route('k1', Action::On, 'a')->route('k1', Action::On, 'b')->route('k2', Action::Off, 'b')->route('k2', Action::On, 'c');
        $plan = $sketch->assigned();
        $owns = array_map(static fn (SerialEndFigures $end): array => $end->owns, (new SerialPanel)->panel($plan, $plan->links()[0], self::knowledge())->ends);
        self::assertSame([[], ['3 Nine'], ['1 Four', '2 Four too']], $owns);
    }

    public function test_a_part_that_two_ends_share_gets_once_what_suits_both(): void
    {
        // A module is named by two ends: a board of 3.3 V speaks to each. Two resistors for the one were too much for the other, and the next Assign said otherwise.
        $sketch = self::sketch()->link('wires', 'Wires', 'serial', ['topology' => 'polled', 'lengthM' => 1.0])
            ->node('desk', 'Desk', NodeKind::Controller, null, '32bit-3v3-26io')->module('desk-w', 'desk', 'serial-wire', 'Wires')
            ->node('mill', 'Mill', NodeKind::Controller, null, '8bit-5v-70io')->module('mill-w', 'mill', 'serial-wire', 'Wires')
            ->node('sieve', 'Sieve', NodeKind::Controller, null, 'wifi-3v3-26io')->module('sieve-w', 'sieve', 'serial-wire', 'Wires')
            ->join('wires', 'mill', Role::Both, 'mill-w', ['asks' => true, 'station' => 1])
            ->join('wires', 'desk', Role::Both, 'desk-w', ['station' => 2])
            ->join('wires', 'sieve', Role::Both, 'mill-w', ['station' => 3]);
        $once = $sketch->assigned();
        self::assertSame([], self::assigner()->assign($once)->proposals);
        self::assertCount(1, $once->partsOf($once->module($sketch->id('mill-w'))));
    }
}
