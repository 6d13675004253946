<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\Tabulation;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\UniqueNames;

/**
 * Eight hexadecimal digits over what must not differ: of a link, all that its ends share; of a node, what it does and on which
 * pins. Names are left out: who renames something need not flash it again.
 */
final readonly class Fingerprint
{
    /** Of the tables, their form, what is only said to people, and by which number the others go: that is their link's. */
    private const LEFT_OUT = ['form' => true, 'name' => true, 'says' => true, 'for' => true, 'node' => true, 'nodes' => true, 'leftOut' => true, 'own' => true, 'to' => true, 'from' => true, 'frames' => true];

    public static function ofLink(Plan $plan, Link $link, Knowledge $knowledge): string
    {
        $numbers = new MessageNumbers($plan, $knowledge->media);
        $places = [];
        $ends = [];
        foreach ($plan->endpointsOn($link) as $place => $end) {
            $places[$end->id] = $place;
            $ends[] = [$end->role->value, self::stated($end->settings), array_map(static fn (Address $address): array => [$address->pipe, $address->value], $plan->addressesOf($end))];
        }
        $hops = [];
        foreach ($plan->hopsOver($link) as $hop) {
            $route = $plan->route($hop->routeId);
            $hops[] = [$places[$hop->fromId] ?? -1, $places[$hop->toId] ?? -1, $numbers->heard($hop), $numbers->words($hop), $route->action->value, $route->pulseMs, $route->value];
        }

        $spoken = $knowledge->media->offering(AgreesOn::class, $link->medium)?->agreedOn($plan, $link) ?? [];

        // Where nothing is agreed on besides, the digits are those of a build that did not ask.
        return self::digits([$link->medium, self::stated($link->settings), $ends, $hops, ...($spoken === [] ? [] : [$spoken])]);
    }

    public static function ofNode(Plan $plan, Node $node, Knowledge $knowledge): string
    {
        $pins = [];
        foreach (HeaderPins::of($plan, $node, $knowledge, new UniqueNames)->lines as $line) {
            // The constant's value, without its name and its note.
            $pins[] = preg_match('/^#define \S+ (\S+)/', $line, $match) === 1 ? $match[1] : '';
        }
        $tables = json_decode(json_encode(Tabulation::of($plan, $node, $knowledge), JSON_THROW_ON_ERROR), true, 32, JSON_THROW_ON_ERROR);

        return self::digits([$node->board, $pins, self::bare($tables)]);
    }

    /** Tables, with what does not count left out, and what is off or empty: so a later build, which knows more of both, says the same of what was flashed before. */
    public static function bare(mixed $tables): mixed
    {
        if (! is_array($tables)) {
            return $tables;
        }
        $bare = array_map(self::bare(...), array_is_list($tables) ? $tables : array_diff_key($tables, self::LEFT_OUT));

        return array_is_list($tables) ? $bare : self::stated($bare);
    }

    /**
     * @template T
     *
     * @param  array<array-key, T>  $values
     * @return array<array-key, T>
     */
    private static function stated(array $values): array
    {
        return array_filter($values, static fn (mixed $value): bool => ! in_array($value, [null, false, 0, 0.0, '', []], true));
    }

    private static function digits(mixed $what): string
    {
        return substr(hash('sha256', json_encode($what, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)), 0, 8);
    }
}
