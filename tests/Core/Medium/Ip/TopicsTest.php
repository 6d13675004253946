<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Ip;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\Ip\Topic;
use Rundfunk\Medium\Ip\TopicKind;
use Rundfunk\Medium\Ip\Topics;
use Rundfunk\Medium\Ip\Vocabulary;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Route;
use Tests\Core\CoreTestCase;

/** What is said over the network matches what the Thing Description lets others say. */
final class TopicsTest extends CoreTestCase
{
    /** @return iterable<string, array{Action, int|null, int|null, string}> action, pulse, value, payload */
    public static function routes(): iterable
    {
        yield 'on' => [Action::On, null, null, 'ON'];
        yield 'off' => [Action::Off, null, null, 'OFF'];
        yield 'toggle' => [Action::Toggle, null, null, 'TOGGLE'];
        yield 'a pulse' => [Action::Pulse, 1500, null, 'PULSE 1500'];
        yield 'a set' => [Action::Set, null, -3, 'SET -3'];
        yield 'a step' => [Action::Step, null, 1, 'STEP 1'];
    }

    #[DataProvider('routes')]
    public function test_each_action_is_a_payload_that_the_pattern_takes(Action $action, ?int $pulseMs, ?int $value, string $payload): void
    {
        $said = Topics::payload(new Route('r', 'c', 'o', $action, $pulseMs, 0, $value));
        self::assertSame($payload, $said);
        self::assertMatchesRegularExpression('/'.self::vocabulary(OutputKind::Function, ['lowest' => -3, 'highest' => 3])->commandPattern.'/', $said);
        $forRelay = preg_match('/'.self::vocabulary(OutputKind::Relay)->commandPattern.'/', $said);
        self::assertSame($action->takesValue() ? 0 : 1, $forRelay);
    }

    /** @return iterable<string, array{string, bool, bool}> state, whether a relay may say it, whether a function may */
    public static function states(): iterable
    {
        yield 'on' => ['ON', true, true];
        yield 'a value' => ['-2', false, true];
        yield 'a word of no meaning' => ['MAYBE', false, false];
        yield 'small letters' => ['on', false, false];
        yield 'nothing' => ['', false, false];
    }

    #[DataProvider('states')]
    public function test_a_state_is_what_the_pattern_takes(string $state, bool $relay, bool $function): void
    {
        self::assertSame($relay, preg_match('/'.self::vocabulary(OutputKind::Relay)->statePattern.'/D', $state) === 1);
        self::assertSame($function, preg_match('/'.self::vocabulary(OutputKind::Function)->statePattern.'/D', $state) === 1);
    }

    public function test_people_are_told_from_where_to_where_a_value_goes(): void
    {
        self::assertStringContainsString('SET value from -3 to 3', self::vocabulary(OutputKind::Function, ['lowest' => -3, 'highest' => 3])->commands);
        self::assertStringNotContainsString('SET', self::vocabulary(OutputKind::Relay)->commands);
    }

    public function test_a_lamp_on_the_network_has_a_command_a_state_and_its_node_a_presence_each_once(): void
    {
        $plan = self::linden();
        $link = $plan->linksOver('ip')[0];
        $topics = Topics::of($plan, $link);
        $names = array_map(static fn (Topic $topic): string => $topic->name, $topics);
        self::assertSame($names, array_unique($names));
        foreach (['linden-hollow/greenhouse/work-lamp/set', 'linden-hollow/greenhouse/work-lamp/state', 'linden-hollow/greenhouse/presence', 'linden-hollow/greenhouse/humidity'] as $name) {
            self::assertContains($name, $names);
        }
        foreach ($topics as $topic) {
            self::assertNull(Topic::fault($topic->name));
            self::assertSame($topic->kind !== TopicKind::Command, $topic->retained, "{$topic->name}: states are kept, momentary commands never");
        }
    }

    /** @param  array<string, int>  $settings */
    private static function vocabulary(OutputKind $kind, array $settings = []): Vocabulary
    {
        return Vocabulary::of(new Output('o', 'n', 'It', $kind, settings: $settings));
    }
}
