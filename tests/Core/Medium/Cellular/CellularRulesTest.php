<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Cellular;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** A row a case: a phone and a modem, and what each rule of cellular must say of them. */
final class CellularRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $lane = static fn (array $modem = [], array $phone = ['listed' => true], string $class = 'modem-lte-eu', string $board = '32bit-3v3-26io', array $hazards = [], ?string $number = '+442079460123', string $region = 'eu', ?array $supply = null, array $capacitor = []): Sketch => self::powered(self::sketch($region)
            ->link('m', 'Mobile', 'cellular', ['country' => 'GB'])
            ->node('post', 'Post', NodeKind::Controller, null, $board), $class, $supply, $capacitor)
            ->module('relays', 'post', 'relay-bank-2-high', 'Relays', FedFrom::Own)
            ->output('gate', 'post', 'Gate', more: ['hazards' => $hazards])->output('lamp', 'post', 'Lamp')
            ->node('ann', 'Ann', NodeKind::Phone, null, null)
            ->join('m', 'post', Role::Both, 'x', $modem)->join('m', 'ann', Role::Both, null, $phone)
            ->address('m', 'ann', 0, $number)
            ->control('call', 'ann', 'Call', ControlKind::Call)->control('call2', 'ann', 'Other call', ControlKind::Call);
        $says = static fn (Sketch $s, string $key, ?string $word, Action $action = Action::On, string $output = 'gate', array $more = []): Sketch => $s
            ->control($key, 'ann', ucfirst($key), ControlKind::Text, settings: ['word' => $word, ...$more])
            ->route($key, $action, $output)->hop("{$key} {$output} {$action->value}", 'm', 'ann', 'post', null);
        $calls = static fn (Sketch $s, Action $action = Action::Pulse, string $key = 'call', string $output = 'gate'): Sketch => $s
            ->route($key, $action, $output, $action === Action::Pulse ? 1000 : null)->hop("{$key} {$output} {$action->value}", 'm', 'ann', 'post', null);

        yield 'a number with its country' => ['cell-number-wrong', static fn () => $lane(), []];
        yield 'a number of the country' => ['cell-number-wrong', static fn () => $lane(number: '020 7946 0123'), []];
        yield 'no number' => ['cell-number-wrong', static fn () => $lane(number: null), ['Ann has no number yet']];
        yield 'a number that cannot be' => ['cell-number-wrong', static fn () => $lane(number: '12'), ['12 is no telephone number']];

        $bob = static fn (string $number): Sketch => $lane()->node('bob', 'Bob', NodeKind::Phone, null, null)->join('m', 'bob', Role::Both)->address('m', 'bob', 0, $number);
        yield 'two numbers' => ['cell-number-shared', static fn () => $bob('+442079460124'), []];
        yield 'one number written twice' => ['cell-number-shared', static fn () => $bob('(020) 7946-0123'), ['Ann and Bob have one number']];

        yield 'a caller on the list' => ['cell-caller-unlisted', static fn () => $calls($lane()), []];
        yield 'a caller who is not' => ['cell-caller-unlisted', static fn () => $calls($lane([], [])), ['Post does not obey Ann']];
        yield 'a caller who is not, of a modem that obeys anyone' => ['cell-caller-unlisted', static fn () => $calls($lane(['obeys' => 'anyone'], [])), []];

        $reads = static fn (array $modem): Sketch => $lane(['accessPoint' => 'internet.example', ...$modem])->control('frost', 'post', 'Frost', ControlKind::Reading, settings: ['unit' => '°C']);
        yield 'an address in full' => ['cell-report-address', static fn () => $reads(['reportTo' => 'https://station.example/a?key=1']), []];
        yield 'no address' => ['cell-report-address', static fn () => $reads([]), []];
        yield 'no scheme' => ['cell-report-address', static fn () => $reads(['reportTo' => 'station.example']), ['Post reports to what is no web address']];
        yield 'no machine' => ['cell-report-address', static fn () => $reads(['reportTo' => 'http:///report']), ['Post reports to what is no web address']];
        yield 'another scheme' => ['cell-report-address', static fn () => $reads(['reportTo' => 'ftp://station.example/']), ['Post reports to what is no web address']];
        yield 'a quote, which would end the command' => ['cell-report-address', static fn () => $reads(['reportTo' => 'http://station.example/"']), ['Post reports to what is no web address']];
        yield 'a blank' => ['cell-report-address', static fn () => $reads(['reportTo' => 'http://station.example/a b']), ['Post reports to what is no web address']];
        yield 'readings that make it too long' => [
            'cell-report-address',
            static fn () => array_reduce(range(1, 6), static fn (Sketch $s, int $n): Sketch => $s->control("r{$n}", 'post', str_repeat('Warm ', 6).$n, ControlKind::Reading), $reads(['reportTo' => 'https://station.example/'.str_repeat('a', 40)])),
            ['Post reports to an address of 325 letters'],
        ];
        foreach (['internet.example', 'a', 'web-2', 'internet.mnc015.mcc234.gprs'] as $name) {
            yield "access point {$name}" => ['cell-access-point', static fn () => $reads(['reportTo' => 'https://station.example/', 'accessPoint' => $name]), []];
        }
        foreach (['my operator', "web\"\rATD0900123456;\rAT+X=\"", '-web', 'web.', 'web..example'] as $name) {
            yield "access point {$name}" => ['cell-access-point', static fn () => $reads(['reportTo' => 'https://station.example/', 'accessPoint' => $name]), ['Post goes onto the web by what is no access point']];
        }
        yield 'an access point that nothing goes by' => ['cell-access-point', static fn () => $reads(['accessPoint' => 'my operator']), []];
        yield 'a report under lock' => ['cell-report-in-clear', static fn () => $reads(['reportTo' => 'https://station.example/']), []];
        yield 'a report in the clear' => ['cell-report-in-clear', static fn () => $reads(['reportTo' => 'http://station.example/']), ['Post reports in the clear']];
        yield 'a report of something' => ['cell-report-empty', static fn () => $reads(['reportTo' => 'https://station.example/']), []];
        yield 'a report of nothing' => ['cell-report-empty', static fn () => $lane(['reportTo' => 'https://station.example/', 'accessPoint' => 'a']), ['Post reports, and reads nothing']];
        yield 'a report by no way' => ['cell-report-empty', static fn () => $reads(['reportTo' => 'https://station.example/', 'accessPoint' => '']), ['Post has no access point for the web']];

        yield 'a list' => ['cell-obeys-anyone', static fn () => $calls($lane()), []];
        yield 'anyone' => ['cell-obeys-anyone', static fn () => $calls($lane(['obeys' => 'anyone'])), ['Post obeys anyone']];
        yield 'anyone, but there is nothing to obey' => ['cell-obeys-anyone', static fn () => $lane(['obeys' => 'anyone']), []];

        yield 'a call for a lamp' => ['cell-call-opens', static fn () => $calls($lane()), []];
        yield 'a call for a gate' => ['cell-call-opens', static fn () => $calls($lane(hazards: ['motion'])), ['A forged call works Gate']];
        yield 'a call that only switches it off' => ['cell-call-opens', static fn () => $calls($lane(hazards: ['heat']), Action::Off), []];

        yield 'a text for a gate, with a secret' => ['cell-text-unproved', static fn () => $says($lane(hazards: ['access']), 'open', 'OPEN', more: ['secret' => true]), []];
        yield 'a text for a gate, without' => ['cell-text-unproved', static fn () => $says($lane(hazards: ['access']), 'open', 'OPEN'), ['A text without a secret works Gate']];
        yield 'a text for a lamp, without' => ['cell-text-unproved', static fn () => $says($lane(), 'open', 'OPEN'), []];

        yield 'on by text' => ['cell-toggle-by-text', static fn () => $says($lane(), 'lamp-on', 'LAMP ON', Action::On, 'lamp'), []];
        yield 'toggled by text' => ['cell-toggle-by-text', static fn () => $says($lane(), 'flip', 'LAMP', Action::Toggle, 'lamp'), ['Lamp is toggled by text']];

        yield 'a word that says what is done' => ['cell-word-lies', static fn () => $says($lane(), 'on', 'LAMP ON', Action::On, 'lamp'), []];
        yield 'a word that says something else' => ['cell-word-lies', static fn () => $says($lane(), 'on', 'LAMP TOGGLE', Action::On, 'lamp'), ['LAMP TOGGLE does not toggle: it is on']];
        yield 'a word that says nothing of it' => ['cell-word-lies', static fn () => $says($lane(), 'on', 'LAMP', Action::On, 'lamp'), []];
        yield 'on by text, and by no text off' => ['cell-off-text-missing', static fn () => $says($lane(), 'on', 'LAMP ON', Action::On, 'lamp'), ['Lamp is put on by text, and by no text off']];
        yield 'on and off by text' => ['cell-off-text-missing', static fn () => $says($says($lane(), 'on', 'LAMP ON', Action::On, 'lamp'), 'off', 'LAMP OFF', Action::Off, 'lamp'), []];
        yield 'a pulse by text' => ['cell-off-text-missing', static fn () => $says($lane(), 'open', 'OPEN', Action::Pulse, 'lamp'), []];

        yield 'one call' => ['cell-calls-alike', static fn () => $calls($lane()), []];
        yield 'one call that does two things' => ['cell-calls-alike', static fn () => $calls($calls($lane()), Action::On, 'call', 'lamp'), []];
        yield 'two calls' => ['cell-calls-alike', static fn () => $calls($calls($lane()), Action::On, 'call2', 'lamp'), ['Two different calls from Ann look the same']];

        yield 'a word' => ['cell-word-missing', static fn () => $says($lane(), 'open', 'OPEN'), []];
        yield 'no word' => ['cell-word-missing', static fn () => $says($lane(), 'open', null), ['Open of Ann has no command word yet']];
        yield 'a word of blanks' => ['cell-word-missing', static fn () => $says($lane(), 'open', '  '), ['Open of Ann has no command word yet']];

        foreach ([['D1', 'D11', '"D11" begins with "D1"'], ['D2', 'D11', null], ['LAMP ON', 'lamp  on', '"LAMP ON" means two things'], ['ON', 'LAMP ON', '"LAMP ON" holds "ON"'], ['GATE OPEN', 'GATE SHUT', null]] as [$one, $other, $title]) {
            yield "{$one} and {$other}" => ['cell-words-clash', static fn () => $says($says($lane(), 'one', $one), 'other', $other, Action::On, 'lamp'), $title === null ? [] : [$title]];
        }

        yield 'an answer' => ['cell-no-answer', static fn () => $says($lane(), 'open', 'OPEN'), []];
        $stated = static fn (int $every, bool $reply): Sketch => $says($lane(), 'open', 'OPEN', output: 'lamp', more: ['reply' => $reply])->output('told', 'ann', 'Told', OutputKind::Message)->state('lamp', 'lamp-is', 'Lamp is', settings: ['everyS' => $every])->route('lamp-is', Action::Follow, 'told')->hop('lamp-is told follow', 'm', 'post', 'ann', null);
        yield 'the state by text is an answer' => ['cell-no-answer', static fn () => $stated(0, false), []];
        yield 'an answer and the state' => ['cell-answered-twice', static fn () => $stated(0, true), ['Open of Ann is answered twice']];
        yield 'the state alone' => ['cell-answered-twice', static fn () => $stated(0, false), []];
        yield 'a text a minute' => ['cell-state-by-text', static fn () => $stated(60, false), ['1440 texts a day say that nothing has changed']];
        yield 'a text an hour' => ['cell-state-by-text', static fn () => $stated(3_600, false), []];
        yield 'a text for a change' => ['cell-state-by-text', static fn () => $stated(0, false), []];
        yield 'no answer' => ['cell-no-answer', static fn () => $says($lane(), 'open', 'OPEN', more: ['reply' => false]), ['Nothing answers Open of Ann']];

        $told = static fn (string $words): Sketch => $lane()->output('told', 'ann', 'Told', OutputKind::Message, more: ['settings' => ['words' => $words]]);
        yield 'a short text' => ['cell-text-too-long', static fn () => $told('Frost: {value} C'), []];
        yield 'a long text' => ['cell-text-too-long', static fn () => $told(str_repeat('Frost! ', 23)), ['Told takes 2 texts']];
        yield 'a letter of another alphabet' => ['cell-text-too-long', static fn () => $told('Frost: −2 °C'), ['Told needs the long alphabet']];

        // 2 A for 577 µs every 4.615 ms; 3.4 V is the least. 4.0 V, 1.5 Ω and 2200 µF end below it.
        $fed = static fn (array $supply, array $capacitor = ['microfarads' => 2200], string $class = 'modem-2g'): Sketch => $lane(class: $class, supply: ['volts' => 4.0, ...$supply], capacitor: $capacitor);
        yield 'a stiff supply' => ['cell-supply-sags', static fn () => $fed(['sourceOhm' => 0.2]), []];
        yield 'a weak supply' => ['cell-supply-sags', static fn () => $fed(['sourceOhm' => 1.5], ['microfarads' => 2200, 'esrOhm' => 0]), ['The modem of Post sags to 3.36 V when it sends']];
        yield 'a weak supply with two capacitors' => ['cell-supply-sags', static fn () => $fed(['sourceOhm' => 1.5], ['microfarads' => 2200, 'esrOhm' => 0])->part('x', 'VBAT', PartKind::Capacitor, ['microfarads' => 4700, 'esrOhm' => 0], 'more'), []];
        yield 'no capacitor' => ['cell-supply-sags', static fn () => $fed([], []), ['Post has no capacitor at its modem']];
        // It is soldered as it stands, on a link or on none yet. An eighth of 2 A through 5 Ω leaves 2.65 V on average.
        $alone = static fn (array $supply): Sketch => self::sketch()->node('n', 'Post', NodeKind::Controller, null, '32bit-3v3-26io')->supply('s', 'n', 'bench', 'Feed', null, null, ['volts' => 3.9, ...$supply])->module('x', 'n', 'modem-2g', 'Modem', 's');
        yield 'a modem on no link, and no capacitor' => ['cell-supply-sags', static fn () => $alone([]), ['Post has no capacitor at its modem']];
        yield 'a modem on no link, and a weak supply' => ['cell-supply-sags', static fn () => $alone(['sourceOhm' => 5.0])->part('x', 'VBAT', PartKind::Capacitor, ['microfarads' => 2200]), ['The modem of Post sags to 2.33 V when it sends']];
        // 600 mA for as long as it sends, through 1.5 Ω, are 0.9 of 3.8 V: what a capacitor does not help.
        yield 'one without bursts on a weak supply' => ['supply-too-low', static fn () => $fed(['sourceOhm' => 1.5], [], 'modem-lte-eu'), ['Modem gets 2.9 V at the least from Feed and needs 3.4']];
        yield 'a modem without bursts' => ['cell-supply-sags', static fn () => $fed(['sourceOhm' => 1.5], [], 'modem-lte-eu'), []];

        yield '9600 baud from 16 MHz' => ['cell-rate-off', static fn () => $lane(board: '8bit-5v-70io'), []];
        yield '115200 baud from 16 MHz' => ['cell-rate-off', static fn () => $lane(['baud' => 115200], board: '8bit-5v-70io'), ['Post cannot make 115200 baud: it is +2.12 % off']];
        yield '115200 baud from a fast clock' => ['cell-rate-off', static fn () => $lane(['baud' => 115200]), []];

        $soft = static fn (int $baud): Closure => static fn () => $lane(['baud' => $baud], board: '8bit-5v-20io')->wire('x', 'RXD', 'D7', bySoftware: true)->wire('x', 'TXD', 'D8', bySoftware: true);
        yield '38400 baud by software' => ['cell-software-too-fast', $soft(38400), []];
        yield '57600 baud by software' => ['cell-software-too-fast', $soft(57600), ['57600 baud are too fast for a serial line by software']];
        yield '57600 baud on a port' => ['cell-software-too-fast', static fn () => $lane(['baud' => 57600]), []];

        yield 'an LTE modem' => ['cell-network-closing', static fn () => $lane(), []];
        yield 'a 2G modem' => ['cell-network-closing', static fn () => $lane(class: 'modem-2g'), ['Post lives on a network that is being closed']];
        yield 'the right variant' => ['cell-wrong-variant', static fn () => $lane(), []];
        yield 'the variant of another region' => ['cell-wrong-variant', static fn () => $lane(class: 'modem-lte-us'), ['The modem of Post is the variant for another region']];
        yield 'at home there' => ['cell-wrong-variant', static fn () => $lane(class: 'modem-lte-us', region: 'us'), []];
    }

    /**
     * @param  array<string, float|int>|null  $supply  its figures; null for one of its own
     * @param  array<string, float|int>  $capacitor  its figures; empty for none
     */
    private static function powered(Sketch $sketch, string $class, ?array $supply, array $capacitor): Sketch
    {
        $sketch = $supply === null ? $sketch : $sketch->supply('feed', 'post', 'other', 'Feed', more: $supply);
        $sketch->module('x', 'post', $class, 'Modem', $supply === null ? FedFrom::Own : 'feed');

        return $capacitor === [] ? $sketch : $sketch->part('x', 'VBAT', PartKind::Capacitor, $capacitor);
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

    public function test_assign_gives_each_text_a_word_of_which_none_holds_another(): void
    {
        $sketch = self::sketch()->link('m', 'Mobile', 'cellular')
            ->node('post', 'Post', NodeKind::Controller, null, '32bit-3v3-26io')->module('x', 'post', 'modem-lte-eu', 'Modem', FedFrom::Own)->module('relays', 'post', 'relay-bank-8-high', 'Relays', FedFrom::Own)
            ->node('ann', 'Ann', NodeKind::Phone, null, null)->join('m', 'post', Role::Both)->join('m', 'ann', Role::Both);
        foreach (['Lamp', 'Lamp', 'Lämp', 'Lamp on', 'Pump'] as $number => $name) {
            $sketch->output("o{$number}", 'post', $name)->control("t{$number}", 'ann', "Text {$number}", ControlKind::Text)->route("t{$number}", Action::On, "o{$number}");
        }
        $plan = $sketch->assigned();
        $words = array_map(Commands::word(...), $plan->controls());
        self::assertNotContains(null, $words);
        self::assertSame([], self::found($plan, 'cell-words-clash'));
        self::assertSame([], self::found($plan, 'cell-word-missing'));
    }
}
