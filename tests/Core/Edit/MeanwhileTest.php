<?php

declare(strict_types=1);

namespace Tests\Core\Edit;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Edit\Editor;
use Rundfunk\Edit\Meanwhile;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

final class MeanwhileTest extends CoreTestCase
{
    private static function plan(): Plan
    {
        return self::sketch()->node('a', 'A', NodeKind::Controller, null, null)->node('b', 'B', NodeKind::Controller, null, null)
            ->link('air', 'Air', 'packet-radio')->join('air', 'a', Role::Both)->join('air', 'b', Role::Both)
            ->control('key', 'a', 'Key')->output('lamp', 'b', 'Lamp')->route('key', Action::On, 'lamp')->plan();
    }

    /** @return iterable<string, array{Closure(Plan): list<Operation>, Closure(Plan): list<Operation>, string|null}> theirs, mine, what is said */
    public static function cases(): iterable
    {
        $node = static fn (Plan $plan, int $at): string => $plan->nodes()[$at]->id;
        $change = static fn (int $at, array $values): Closure => static fn (Plan $plan): array => [Operation::change(ThingKind::Node, $node($plan, $at), $values)];
        $link = static fn (array $values): Closure => static fn (Plan $plan): array => [Operation::change(ThingKind::Link, $plan->links()[0]->id, $values)];
        $route = static fn (array $values): Closure => static fn (Plan $plan): array => [Operation::change(ThingKind::Route, $plan->routes()[0]->id, $values)];
        $gone = static fn (int $at): Closure => static fn (Plan $plan): array => [Operation::remove(ThingKind::Node, $node($plan, $at))];
        $new = static fn (int $at, string $id = '01HZZZZZZZZZZZZZZZZZZZZZZZ'): Closure => static fn (Plan $plan): array => [Operation::from(['op' => 'add', 'kind' => 'control', 'id' => $id, 'values' => ['nodeId' => $node($plan, $at), 'name' => 'New', 'kind' => 'button', 'order' => 9]], '')];
        $property = static fn (array $values): Closure => static fn (Plan $plan): array => [Operation::changeProperties($plan->properties->id, $values)];

        yield 'another thing' => [$change(0, ['name' => 'X']), $change(1, ['name' => 'Y']), null];
        yield 'another field' => [$change(0, ['name' => 'X']), $change(0, ['note' => 'Y']), null];
        yield 'the same field' => [$change(0, ['name' => 'X']), $change(0, ['name' => 'Y']), 'The same of X was changed.'];
        yield 'another setting' => [$link(['settings' => ['channel' => 40]]), $link(['settings' => ['rateKbps' => 1000]]), null];
        yield 'the same setting' => [$link(['settings' => ['channel' => 40]]), $link(['settings' => ['channel' => 41]]), 'The same of Air was changed.'];
        yield 'what is gone' => [$gone(0), $change(0, ['name' => 'Y']), 'The node is gone.'];
        yield 'what went with another' => [$gone(1), $route(['action' => 'off']), 'The route is gone.'];
        yield 'something for what is gone' => [$gone(0), $new(0), 'The node that it is about is gone.'];
        yield 'something for another' => [$gone(0), $new(1), null];
        yield 'something for what became another' => [$change(0, ['kind' => 'fixture']), $new(0), 'A became something else.'];
        yield 'something for what was renamed' => [$change(0, ['name' => 'X']), $new(0), null];
        yield 'the same id' => [$new(0), $new(0), 'There is something by that id already: it was proposed to somebody else as well.'];
        yield 'a removal of what was changed' => [$change(0, ['name' => 'X']), $gone(0), 'X was changed, or something of it.'];
        yield 'a removal of what was added to' => [$new(0), $gone(0), 'A was changed, or something of it.'];
        yield 'a removal beside' => [$new(0), $gone(1), null];
        yield 'both removed it' => [$gone(0), $gone(0), 'The node is gone.'];
        yield 'another of the plan' => [$property(['busyWifi' => [6]]), $property(['note' => 'x']), null];
        yield 'the same of the plan' => [$property(['note' => 'y']), $property(['note' => 'x']), 'The same of the plan was changed.'];
        yield 'nothing of theirs' => [static fn (): array => [], $gone(0), null];
        yield 'what the edit itself adds' => [$change(1, ['name' => 'X']), static fn (Plan $plan): array => [...$new(0)($plan), Operation::change(ThingKind::Control, '01HZZZZZZZZZZZZZZZZZZZZZZZ', ['name' => 'Newer'])], null];
    }

    /**
     * @param  Closure(Plan): list<Operation>  $theirs
     * @param  Closure(Plan): list<Operation>  $mine
     */
    #[DataProvider('cases')]
    public function test_an_edit_is_at_odds_with_what_touches_the_same_and_with_nothing_else(Closure $theirs, Closure $mine, ?string $said): void
    {
        $plan = self::plan();
        $editor = new Editor(self::knowledge());
        $now = $editor->apply($plan, $theirs($plan))->plan;
        self::assertSame($said, (new Meanwhile($now, $theirs($plan)))->against($mine($plan)));
        if ($said === null) {
            // And then it can be made.
            $editor->apply($now, $mine($plan));
        }
    }
}
