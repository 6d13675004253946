<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Assign\Proposal;
use Rundfunk\Build\Fingerprint;
use Rundfunk\Build\WiringRow;
use Rundfunk\Build\WiringTable;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Medium\Serial\Bought\Description;
use Rundfunk\Medium\Serial\Bought\ExamplesView;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** A row a case: what a device speaks and how it is used, and what each rule must say of it. */
final class BoughtRulesTest extends CoreTestCase
{
    private const PARTS = [['is' => 'fixed', 'value' => 0x55], ['is' => 'id'], ['is' => 'function'], ['is' => 'values'], ['is' => 'check']];

    private const SPAN = ['bits' => 8, 'given' => true, 'lowest' => 0, 'highest' => 100, 'unit' => '%'];

    /**
     * One device on a line, with a key and a switch of the board to work it.
     *
     * @param  list<array<string, mixed>>  $items
     * @param  array<string, mixed>  $protocol
     * @param  array<string, mixed>  $link
     */
    private static function device(array $items, array $protocol = [], array $link = [], int $count = 1, string $board = '8bit-5v-70io'): Sketch
    {
        $sketch = self::sketch()->protocol('p', 'Blind', ['parts' => self::PARTS, 'check' => 'crc-8', 'items' => $items, 'logicV' => 5.0, ...$protocol])
            ->link('l', 'Line', 'serial', ['topology' => 'polled', 'timeoutMs' => 200, 'lengthM' => 0.5, ...$link])
            ->node('n', 'Board', NodeKind::Controller, null, $board)->module('w', 'n', 'serial-wire', 'Line')->join('l', 'n', Role::Both, 'w', ['asks' => true])
            ->control('k', 'n', 'Key')->control('x', 'n', 'Stick', ControlKind::Axis)->output('o', 'n', 'Fan');
        for ($number = 1; $number <= $count; $number++) {
            $sketch->node("d{$number}", "Blind {$number}", NodeKind::Fixture, null, null, ['protocolId' => $sketch->id('p')])->join('l', "d{$number}", Role::Both, null, ['station' => $number]);
        }

        return $sketch;
    }

    /** @param  array<string, mixed>  $more */
    private static function worked(Sketch $sketch, Action $action, ?string $function, array $more = [], string $control = 'k', ?int $value = null): Sketch
    {
        return $sketch->output('f', 'd1', 'Slats', OutputKind::Function, null, $function, more: $more)->route($control, $action, 'f', value: $value)->hop("{$control} f {$action->value}", 'l', 'n', 'd1', null);
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function item(string $name, string $kind, int $code, array $more = []): array
    {
        return ['name' => $name, 'kind' => $kind, 'code' => $code, ...$more];
    }

    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $set = self::item('Position', 'does', 1, ['sends' => [self::SPAN], 'answered' => true]);
        $lamp = self::item('Lamp', 'does', 2, ['sends' => [['bits' => 8, 'given' => true, 'on' => '1', 'off' => '0']]]);
        $home = self::item('Home', 'does', 3);
        $moving = self::item('Moving', 'answers', 4, ['answers' => [['bits' => 8, 'given' => true]], 'everyMs' => 500]);
        $card = self::item('Card', 'says', 5, ['sends' => [['bits' => 16, 'given' => true]]]);

        yield 'nobody knows what it speaks' => ['serial-bought-unspoken', static fn () => self::device([$set])->node('s', 'Scale', NodeKind::Fixture, null, null)->join('l', 's', Role::Both), ['Nobody knows what Scale on Line speaks']];
        yield 'it is known' => ['serial-bought-unspoken', static fn () => self::device([$set]), []];

        yield 'two boards of ours' => ['serial-bought-mixed', static fn () => self::device([$set])->node('n2', 'Other', NodeKind::Controller, null, '8bit-5v-70io')->join('l', 'n2', Role::Both), ['Board and Other share Line with what was bought']];
        yield 'no board of ours' => ['serial-bought-mixed', static fn () => self::sketch()->protocol('p', 'Blind', ['items' => []])->link('l', 'Line', 'serial', [])->node('d', 'Blind', NodeKind::Fixture, null, null)->join('l', 'd', Role::Both), ['No board of yours is on Line']];
        yield 'one board of ours' => ['serial-bought-mixed', static fn () => self::device([$set]), []];

        $second = static fn (array $protocol) => static fn () => self::device([$set])->protocol('q', 'Scale', $protocol + ['items' => []])->node('s', 'Scale', NodeKind::Fixture, null, null, ['protocolId' => self::sketch()->id('q')])->join('l', 's', Role::Both, null, ['station' => 7]);
        yield 'words beside packets' => ['serial-framed-apart', $second(['form' => 'words']), ['Blind and Scale cannot share Line']];
        yield 'checked otherwise' => ['serial-framed-apart', $second(['parts' => self::PARTS, 'check' => 'sum-8']), ['Blind and Scale cannot share Line']];
        yield 'framed alike' => ['serial-framed-apart', $second(['parts' => self::PARTS, 'check' => 'crc-8']), []];

        yield 'a packet that ends in the midst of a byte' => ['serial-protocol-broken', static fn () => self::device([self::item('Go', 'does', 1, ['sends' => [['bits' => 5, 'fixed' => '1']]])], ['parts' => [['is' => 'id'], ['is' => 'function'], ['is' => 'values']], 'check' => 'none']), ['What Blind speaks does not hold together: Go: its 21 bits end in the midst of a byte']];
        yield 'a check with no place' => ['serial-protocol-broken', static fn () => self::device([$home], ['parts' => [['is' => 'id'], ['is' => 'function']]]), ['What Blind speaks does not hold together: its packets have a check and no place for it']];
        yield 'words without an end' => ['serial-protocol-broken', static fn () => self::device([$home], ['form' => 'words', 'check' => 'none', 'ending' => '']), ['What Blind speaks does not hold together: nothing says where a line of it ends']];
        yield 'two that look the same' => ['serial-protocol-broken', static fn () => self::device([$home, self::item('Stop', 'does', 3)]), ['What Blind speaks does not hold together: Home and Stop look the same on the line']];
        yield 'two of a name' => ['serial-protocol-broken', static fn () => self::device([$home, self::item('Home', 'does', 4)]), ['What Blind speaks does not hold together: two are called Home']];
        yield 'a number that its bits do not hold' => ['serial-protocol-broken', static fn () => self::device([self::item('Go', 'does', 1, ['sends' => [['bits' => 8, 'given' => true, 'lowest' => 0, 'highest' => 300]]])]), ['What Blind speaks does not hold together: Go: a value has 8 bits and does not hold 300']];
        yield 'a word where a number belongs' => ['serial-protocol-broken', static fn () => self::device([self::item('Go', 'does', 1, ['sends' => [['bits' => 8, 'fixed' => 'x7']]])]), ['What Blind speaks does not hold together: Go: a value is to be "x7", which is no number']];
        yield 'several without ids' => ['serial-protocol-broken', static fn () => self::device([$home], ['parts' => [['is' => 'function'], ['is' => 'check']]], [], 2), ['What Blind speaks does not hold together: several share a line, and it has no ids to tell them apart']];
        yield 'all is well' => ['serial-protocol-broken', static fn () => self::device([$set, $lamp, $home, $moving, $card], [], [], 2), []];

        yield 'an id that does not fit its field' => ['serial-id-impossible', static fn () => self::device([$home], ['parts' => [['is' => 'id', 'bits' => 4], ['is' => 'function', 'bits' => 4], ['is' => 'check']]])->node('s', 'Far', NodeKind::Fixture, null, null, ['protocolId' => self::sketch()->id('p')])->join('l', 's', Role::Both, null, ['station' => 16]), ['Far cannot be id 16']];
        yield 'no ids are asked for where there are none' => ['serial-id-missing', static fn () => self::device([$home], ['parts' => [['is' => 'function'], ['is' => 'check']]], [], 0)->node('d', 'One', NodeKind::Fixture, null, null, ['protocolId' => self::sketch()->id('p')])->join('l', 'd', Role::Both), []];

        yield 'an output that is no function' => ['serial-function-missing', static fn () => self::device([$set, $home])->output('f', 'd1', 'Slats', OutputKind::Function), ['Slats of Blind 1 is none of its functions yet']];
        yield 'a function that there is not' => ['serial-function-missing', static fn () => self::device([$set, $moving])->output('f', 'd1', 'Slats', OutputKind::Function, null, 'Moving'), ['Blind 1 has no function Moving']];
        yield 'a board that was a device once' => ['serial-function-missing', static fn () => self::device([$home])->node('was', 'Was', NodeKind::Controller, null, '8bit-5v-70io', ['protocolId' => self::sketch()->id('p')])->output('g', 'was', 'Gate'), []];
        yield 'a function' => ['serial-function-missing', static fn () => self::device([$set])->output('f', 'd1', 'Slats', OutputKind::Function, null, 'Position'), []];

        yield 'a reading that is nothing' => ['serial-reading-missing', static fn () => self::device([$moving])->control('r', 'd1', 'Warmth', ControlKind::Reading), ['Warmth of Blind 1 is nothing that it says yet']];
        yield 'a key that it does not say unasked' => ['serial-reading-missing', static fn () => self::device([$moving])->control('r', 'd1', 'Card', ControlKind::Key, null, 'Moving'), ['Blind 1 says no Moving unasked']];
        yield 'a reading of its own' => ['serial-reading-missing', static fn () => self::device([$moving])->control('r', 'd1', 'Motion', ControlKind::Reading, null, 'Moving'), []];

        yield 'a reading that a board asks for is compared by it' => ['reading-unjudged', static fn () => self::device([$moving])->control('r', 'd1', 'Moving', ControlKind::Reading, null, 'Moving', ['threshold' => 0.5])->route('r', Action::On, 'o')->hop('r o on', 'l', 'd1', 'n', null), []];

        yield 'what is set is not put on' => ['serial-function-cannot', static fn () => self::worked(self::device([$set]), Action::On, 'Position'), ['Slats cannot be put on']];
        yield 'what is put on is not toggled' => ['serial-function-cannot', static fn () => self::worked(self::device([$lamp]), Action::Toggle, 'Lamp'), ['Slats cannot be toggled']];
        yield 'what is done has no off' => ['serial-function-cannot', static fn () => self::worked(self::device([$home]), Action::Off, 'Home'), ['Slats cannot be put off']];
        yield 'what is put on is held' => ['serial-function-cannot', static fn () => self::worked(self::device([$lamp]), Action::Momentary, 'Lamp'), []];
        yield 'what is done is done' => ['serial-function-cannot', static fn () => self::worked(self::device([$home]), Action::On, 'Home'), []];

        yield 'set beyond' => ['serial-value-beyond', static fn () => self::worked(self::device([$set]), Action::Set, 'Position', value: 120), ['Slats is set to 120, and Blind 1 takes 0 to 100 %']];
        yield 'a stick that goes beyond' => ['serial-value-beyond', static fn () => self::worked(self::device([$set]), Action::Set, 'Position', ['settings' => ['lowest' => -100, 'highest' => 100]], 'x'), ['Slats goes from -100 to 100, and Blind 1 takes 0 to 100 %']];
        yield 'set within' => ['serial-value-beyond', static fn () => self::worked(self::device([$set]), Action::Set, 'Position', value: 100), []];

        $polled = static fn (string $by) => self::item('Position', 'does', 1, ['sends' => [self::SPAN], 'takesMs' => 9_000, 'done' => 'polled', 'doneBy' => $by]);
        yield 'done by nothing' => ['serial-done-unknown', static fn () => self::worked(self::device([$polled(''), $moving]), Action::Set, 'Position', value: 5), ['Nothing says when Position of Blind 1 is done']];
        yield 'done by no reading' => ['serial-done-unknown', static fn () => self::worked(self::device([$polled('Card'), $card]), Action::Set, 'Position', value: 5), ['Nothing says when Position of Blind 1 is done']];
        yield 'done by a reading' => ['serial-done-unknown', static fn () => self::worked(self::device([$polled('Moving'), $moving]), Action::Set, 'Position', value: 5), []];

        $done = static fn (array $settings) => static fn () => self::device([self::item('Home', 'does', 3, ['takesMs' => 5_000])])->control('r', 'd1', 'Home', ControlKind::Reading, null, 'Home', $settings)->route('r', Action::On, 'o')->hop('r o on', 'l', 'd1', 'n', null);
        yield 'done as every reading begins' => ['serial-done-unfelt', $done([]), ['Home of Blind 1 never turns']];
        yield 'done and never undone' => ['serial-done-unfelt', $done(['threshold' => 0.5, 'hysteresis' => 1]), ['Home of Blind 1 never turns']];
        yield 'done at a half' => ['serial-done-unfelt', $done(['threshold' => 0.5, 'hysteresis' => 0.3]), []];
        yield 'not done at a half' => ['serial-done-unfelt', $done(['threshold' => 0.5, 'hysteresis' => 0.5, 'beyond' => 'below']), []];

        yield 'nothing is answered' => ['serial-nobody-answers', static fn () => self::worked(self::device([$lamp]), Action::On, 'Lamp'), ['Nobody knows whether Blind 1 hears what it is told']];
        yield 'a command is answered' => ['serial-nobody-answers', static fn () => self::worked(self::device([$set]), Action::Set, 'Position', value: 1), []];
        yield 'a reading is answered' => ['serial-nobody-answers', static fn () => self::worked(self::device([$lamp, $moving]), Action::On, 'Lamp')->control('r', 'd1', 'Moving', ControlKind::Reading, null, 'Moving'), []];

        yield 'a reading says nothing of a command that can hurt' => ['serial-nobody-answers', static fn () => self::worked(self::device([$lamp, $moving]), Action::On, 'Lamp', ['hazards' => ['motion']])->control('r', 'd1', 'Moving', ControlKind::Reading, null, 'Moving'), ['Nobody knows whether Blind 1 hears what it is told of Slats']];
        yield 'what can hurt and answers' => ['serial-nobody-answers', static fn () => self::worked(self::device([$set]), Action::Set, 'Position', ['hazards' => ['motion']], value: 1), []];
        yield 'one that answers stands for no other' => ['serial-nobody-answers', static fn () => self::worked(self::device([$lamp, $set]), Action::On, 'Lamp', ['hazards' => ['motion']])->output('g', 'd1', 'Tilt', OutputKind::Function, null, 'Position')->route('k', Action::Set, 'g', value: 1)->hop('k g set', 'l', 'n', 'd1', null), ['Nobody knows whether Blind 1 hears what it is told of Slats']];

        $asked = static fn (int $everyMs) => static fn () => self::device([[...$moving, 'everyMs' => $everyMs]])->control('r', 'd1', 'Moving', ControlKind::Reading, null, 'Moving');
        // 4 bytes and 5, ten bits each at 9600: 9.4 ms, 2 to turn, 5 to rest.
        yield 'asked for at every moment' => ['serial-readings-crowd', $asked(20), ['Readings ask for 81.9 % of Line\'s time']];
        yield 'asked for now and then' => ['serial-readings-crowd', $asked(30), []];

        $echo = self::item('Home', 'does', 3, ['answered' => true]);
        yield 'an answer like the command on one pair' => ['serial-echo-taken', static fn () => self::worked(self::device([$echo], [], ['levels' => 'rs-485']), Action::On, 'Home'), ['The answer to Home of Blind 1 looks like what was sent']];
        yield 'on two wires' => ['serial-echo-taken', static fn () => self::worked(self::device([$echo]), Action::On, 'Home'), []];
        yield 'another answer' => ['serial-echo-taken', static fn () => self::worked(self::device([[...$echo, 'answerCode' => 0x83]], [], ['levels' => 'rs-485']), Action::On, 'Home'), []];

        // 8bit-5v-70io: V_IH 3.0, V_IL 1.5, stands 5.5, gives 4.9 to 5. A CMOS device of 3.3 V: 2.31, 0.99, 3.6, 3.2 to 3.3 (common practice).
        yield 'at how many volts nobody knows' => ['serial-bought-level-unknown', static fn () => self::device([$home], ['logicV' => null]), ['Nobody said how many volts Blind 1 puts on Line']];
        yield 'not where a part makes them' => ['serial-bought-level-unknown', static fn () => self::device([$home], ['logicV' => null], ['levels' => 'rs-485']), []];
        yield 'at how many somebody does' => ['serial-bought-level-unknown', static fn () => self::device([$home]), []];
        yield 'a board of five into a device of three' => ['serial-level-too-high', static fn () => self::device([$home], ['logicV' => 3.3]), ['5 V of Board go into Blind 1, which stands 3.6']];
        yield 'both of five' => ['serial-level-too-high', static fn () => self::device([$home]), []];
        yield 'a device of three into a board of five' => ['serial-level-too-low', static fn () => self::device([$home], ['logicV' => 2.5]), ['2.4 V of Blind 1 are no certain high for Board, which wants 3']];
        yield 'a device that half lives on a line' => ['serial-back-feed', static fn () => self::device([$home], [], [], 2), ['Board feeds Blind 1 through its serial line while that is off', 'Blind 1 feeds Board through its serial line while that is off']];
        yield 'one that speaks when it likes among others' => ['serial-says-unasked', static fn () => self::device([$card], [], [], 2)->control('c', 'd1', 'Card', ControlKind::Key, null, 'Card'), ['Blind 1 says Card when it likes, on a line that it shares']];
        yield 'alone' => ['serial-says-unasked', static fn () => self::device([$card])->control('c', 'd1', 'Card', ControlKind::Key, null, 'Card'), []];

        $mains = ['hazards' => ['motion']];
        yield 'what can hurt and is not checked' => ['serial-unchecked', static fn () => self::worked(self::device([$home], ['parts' => [['is' => 'id'], ['is' => 'function']], 'check' => 'none']), Action::On, 'Home', $mains), ['Nothing says whether what works Slats came whole']];
        yield 'what cannot' => ['serial-unchecked', static fn () => self::worked(self::device([$home], ['parts' => [['is' => 'id'], ['is' => 'function']], 'check' => 'none']), Action::On, 'Home'), []];
    }

    /**
     * @param  Closure(): Sketch  $sketch
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_what_is_found_and_what_its_fix_mends(string $rule, Closure $sketch, array $titles): void
    {
        $plan = $sketch()->plan();
        $findings = self::checker()->check($plan)->byRule()[$rule] ?? [];
        self::assertSame($titles, array_map(static fn (Finding $finding): string => $finding->title, $findings));
        foreach ($findings as $finding) {
            if ($finding->fix !== null) {
                $after = (new Editor(self::knowledge()))->apply($plan, $finding->fix->operations)->plan;
                self::assertSame([], array_filter(self::checker()->check($after)->byRule()[$rule] ?? [], static fn (Finding $one): bool => $one->id() === $finding->id()), $finding->fix->label);
            }
        }
    }

    public function test_assign_puts_a_part_between_a_board_and_a_device_of_other_volts(): void
    {
        // 3.2 V are a high for 3.0, and none for 3.5.
        foreach ([['8bit-5v-70io', 3.3, ['TXD']], ['wifi-3v3-26io', 5.0, ['RXD', 'TXD']]] as [$board, $logicV, $terminals]) {
            $sketch = self::device([self::item('Home', 'does', 3)], ['logicV' => $logicV], [], 2, $board);
            $plan = $sketch->assigned();
            foreach (['serial-level-too-high', 'serial-level-too-low', 'serial-low-too-high'] as $rule) {
                self::assertSame([], self::checker()->check($plan)->byRule()[$rule] ?? [], "{$board} {$rule}");
            }
            // One at a terminal of the board is enough for both devices.
            self::assertEqualsCanonicalizing($terminals, array_map(static fn (Part $part): string => $part->terminal, $plan->partsOf($plan->module($sketch->id('w')))), $board);
        }
    }

    public function test_assign_chooses_functions_by_their_names_and_by_what_is_asked(): void
    {
        $set = self::item('Position', 'does', 1, ['sends' => [self::SPAN]]);
        $lamp = self::item('Lamp', 'does', 2, ['sends' => [['bits' => 8, 'given' => true, 'on' => '1', 'off' => '0']]]);
        $moving = self::item('Moving', 'answers', 4, ['answers' => [['bits' => 8, 'given' => true]]]);
        $sketch = self::device([$lamp, $set, $moving])->control('r', 'd1', 'Motion', ControlKind::Reading)
            ->output('a', 'd1', 'Slats', OutputKind::Function)->output('b', 'd1', 'lamp', OutputKind::Function)->route('k', Action::Set, 'a', value: 50)->route('k', Action::On, 'b');
        $plan = $sketch->assigned();
        self::assertSame('Position', $plan->output($sketch->id('a'))->channel);
        self::assertSame('Lamp', $plan->output($sketch->id('b'))->channel);
        self::assertSame('Moving', $plan->control($sketch->id('r'))->terminal);
        self::assertSame([], array_values(array_filter(self::assigner()->assign($plan)->proposals, static fn (Proposal $one): bool => str_starts_with($one->what, 'Function of'))));
    }

    public function test_assign_guesses_nothing_of_several(): void
    {
        $does = static fn (string $name, int $code): array => self::item($name, 'does', $code);
        $sketch = self::device([$does('Open', 1), $does('Shut', 2), self::item('Warmth', 'answers', 4, ['answers' => [['bits' => 8, 'given' => true]]]), self::item('Weight', 'answers', 5, ['answers' => [['bits' => 8, 'given' => true]]])])
            ->control('r', 'd1', 'Load', ControlKind::Reading)->output('a', 'd1', 'Slats', OutputKind::Function)->route('k', Action::On, 'a');
        $plan = $sketch->assigned();
        self::assertNull($plan->output($sketch->id('a'))->channel);
        self::assertNull($plan->control($sketch->id('r'))->terminal);
        self::assertSame(['serial-function-missing', 'serial-reading-missing'], array_values(array_intersect(array_keys(self::checker()->check($plan)->byRule()), ['serial-function-missing', 'serial-reading-missing'])));
        // What others are leaves one.
        $plan = $sketch->output('b', 'd1', 'shut', OutputKind::Function)->route('k', Action::On, 'b')->assigned();
        self::assertSame(['Open', 'Shut'], [$plan->output($sketch->id('a'))->channel, $plan->output($sketch->id('b'))->channel]);
    }

    public function test_a_board_wants_flashing_again_when_what_a_device_speaks_is_written_down_otherwise(): void
    {
        $moving = self::item('Moving', 'answers', 4, ['answers' => [['bits' => 8, 'given' => true]]]);
        $print = static function (array $item, array $protocol = []): string {
            $plan = self::device([$item], $protocol)->control('r', 'd1', 'Moving', ControlKind::Reading, null, 'Moving')->plan();

            return Fingerprint::ofLink($plan, $plan->links()[0], self::knowledge());
        };
        self::assertSame($print($moving), $print($moving, ['note' => 'Page 12.']));
        self::assertNotSame($print($moving), $print([...$moving, 'code' => 5]));
        self::assertNotSame($print($moving), $print([...$moving, 'everyMs' => 200]));
        self::assertNotSame($print($moving), $print($moving, ['check' => 'sum-8']));
    }

    public function test_its_sheet_says_what_to_set_on_it_and_where_its_wires_go(): void
    {
        $sketch = self::device([self::item('Home', 'does', 3)], [], ['levels' => 'rs-485'])->node('s', 'Far', NodeKind::Fixture, null, null, ['protocolId' => self::sketch()->id('p')])
            ->join('l', 's', Role::Both, null, ['station' => 5, 'idBy' => 'switches', 'switches' => 4, 'terminated' => true])->cable('c', 'd1', 's', 'Cable', ['cores' => 4], [['core' => 2, 'use' => 'a', 'link' => 'l', 'toPin' => '7']]);
        $plan = $sketch->plan();
        $rows = array_map(static fn (WiringRow $row): string => trim("{$row->terminal} {$row->pin} {$row->note}"), WiringTable::of($plan, $plan->node($sketch->id('s')), self::knowledge())->rows);
        self::assertSame(['set it to  id 5, by its switches: 0101, the highest first', 'set it to  9600 baud, 8N1', 'set it to  its 120 Ω on', 'core 2, plug 7 A To A of Blind 1, straight: this must not cross.'], $rows);
    }

    public function test_the_shipped_examples_hold_together(): void
    {
        foreach (ExamplesView::all() as $example) {
            $values = json_decode($example->values, true);
            self::assertIsArray($values);
            self::assertSame([], Description::faults(BoughtFramesTest::protocol($values), false), $example->name);
        }
        foreach (Devices::protocols() as $name => $values) {
            self::assertSame([], Description::faults(BoughtFramesTest::protocol($values), true), $name);
        }
    }
}
