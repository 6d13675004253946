<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Shape\PlanRefused;
use Tests\Core\CoreTestCase;

final class PlanReaderTest extends CoreTestCase
{
    public function test_writing_undoes_reading_to_the_byte(): void
    {
        foreach ([self::linden(), self::faulty()] as $plan) {
            $json = (new PlanWriter)->write($plan);
            self::assertSame($json, (new PlanWriter)->write((new PlanReader(self::knowledge()))->read($json)));
        }
    }

    /** @return iterable<string, array{Closure(array<string, mixed>): mixed, string}> a spoiled document and the place that must be named */
    public static function spoiled(): iterable
    {
        $set = static fn (string $path, mixed $value): Closure => static function (array $document) use ($path, $value): array {
            $at = &$document;
            foreach (explode('/', $path) as $key) {
                $at = &$at[$key];
            }
            $at = $value;

            return $document;
        };
        yield 'no format' => [static fn (array $d): array => array_diff_key($d, ['format' => 1]), '/format'];
        yield 'newer format' => [$set('format', 3), '/format'];
        yield 'a list instead' => [static fn (): array => [1, 2], '/'];
        yield 'unknown list' => [$set('wizards', []), '/wizards'];
        yield 'nodes as text' => [$set('nodes', 'many'), '/nodes'];
        yield 'wrong type' => [$set('nodes/0/name', 12), '/nodes/0/name'];
        yield 'empty name' => [$set('nodes/0/name', ''), '/nodes/0/name'];
        yield 'unknown field' => [$set('nodes/0/colour', 'red'), '/nodes/0/colour'];
        yield 'unknown board' => [$set('nodes/0/board', 'no-such-board'), '/nodes/0/board'];
        yield 'unknown module class' => [$set('modules/0/class', 'no-such-class'), '/modules/0/class'];
        yield 'unknown region' => [$set('plan/region', 'mars'), '/plan/region'];
        yield 'unknown medium' => [$set('links/0/medium', 'smoke'), '/links/0/medium'];
        yield 'id of nothing' => [$set('modules/0/nodeId', '01ARZ3NDEKTSV4RRFFQ69G5FAV'), '/modules/0/nodeId'];
        yield 'not an id' => [$set('modules/0/nodeId', 'x'), '/modules/0/nodeId'];
        yield 'channel out of range' => [$set('links/0/settings/channel', 126), '/links/0/settings/channel'];
        yield 'rate that does not exist' => [$set('links/0/settings/rateKbps', 500), '/links/0/settings/rateKbps'];
        yield 'setting of another medium' => [$set('links/0/settings/baud', 9600), '/links/0/settings/baud'];
        yield 'setting of a wrong type' => [$set('links/0/settings/acknowledge', 'yes'), '/links/0/settings/acknowledge'];
        yield 'Wi-Fi 15' => [$set('plan/busyWifi', [15]), '/plan/busyWifi/0'];
        yield 'a null that may not be' => [$set('routes/0/action', null), '/routes/0/action'];
        yield 'a control character' => [$set('nodes/0/name', "a\x01b"), '/nodes/0/name'];
    }

    /** @param  Closure(array<string, mixed>): mixed  $spoil */
    #[DataProvider('spoiled')]
    public function test_a_bad_plan_is_refused_at_its_place(Closure $spoil, string $place): void
    {
        $document = json_decode((new PlanWriter)->write(self::linden()), true);
        self::assertIsArray($document);
        // The first link of the rows is a packet radio.
        usort($document['links'], static fn (array $one, array $other): int => ($other['medium'] === 'packet-radio') <=> ($one['medium'] === 'packet-radio'));
        try {
            (new PlanReader(self::knowledge()))->fromArray($spoil($document));
            self::fail('nothing was refused');
        } catch (PlanRefused $refused) {
            self::assertSame($place, $refused->problems[0]->place);
        }
    }

    public function test_the_same_id_twice_is_refused(): void
    {
        $document = json_decode((new PlanWriter)->write(self::linden()), true);
        $document['nodes'][1]['id'] = $document['nodes'][0]['id'];
        $this->expectException(PlanRefused::class);
        $this->expectExceptionMessage('used twice');
        (new PlanReader(self::knowledge()))->fromArray($document);
    }

    /** @return iterable<string, array{Closure(): string, string}> */
    public static function hostile(): iterable
    {
        yield 'ten megabytes of brackets' => [static fn (): string => str_repeat('[', 10_000_000), 'nested deeper'];
        yield 'larger than any plan' => [static fn (): string => str_repeat(' ', PlanReader::LARGEST + 1), 'larger than'];
        yield 'cut short' => [static fn (): string => substr((new PlanWriter)->write(self::linden()), 0, -40), 'cut short'];
        yield 'nothing' => [static fn (): string => '', 'not JSON'];
        yield 'not UTF-8' => [static fn (): string => "{\"format\":1,\"x\":\"\xFF\"}", 'not JSON'];
        yield 'a hundred thousand nodes' => [
            static fn (): string => '{"format":1,"plan":'.json_encode(self::linden()->properties->values()).',"nodes":['.rtrim(str_repeat('{},', 100_000), ',').']}',
            'at most 1000',
        ];
    }

    /** @param  Closure(): string  $text */
    #[DataProvider('hostile')]
    public function test_hostile_files_are_refused_with_a_reason(Closure $text, string $reason): void
    {
        $this->expectException(PlanRefused::class);
        $this->expectExceptionMessage($reason);
        (new PlanReader(self::knowledge()))->read($text());
    }

    public function test_at_most_a_hundred_problems_are_listed(): void
    {
        $document = json_decode((new PlanWriter)->write(self::linden()), true);
        $document['nodes'] = array_fill(0, 500, []);
        try {
            (new PlanReader(self::knowledge()))->fromArray($document);
            self::fail('nothing was refused');
        } catch (PlanRefused $refused) {
            self::assertCount(100, $refused->problems);
        }
    }
}
