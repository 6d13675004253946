<?php

declare(strict_types=1);

namespace Tests\Core\Catalogue;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Plan\NodeKind;
use Tests\Core\CoreTestCase;

final class CatalogueTest extends CoreTestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function files(): iterable
    {
        $folder = dirname(__DIR__, 3).'/core/catalogue';
        foreach (['boards' => 'board', 'modules' => 'module', 'supplies' => 'supply', 'regions' => 'region'] as $kind => $schema) {
            foreach ((array) glob("{$folder}/{$kind}/*.json") as $path) {
                yield basename((string) $path) => [(string) $path, "{$folder}/schema/{$schema}.schema.json"];
            }
        }
    }

    #[DataProvider('files')]
    public function test_every_data_file_obeys_its_schema_and_is_named_by_its_key(string $path, string $schema): void
    {
        $data = json_decode((string) file_get_contents($path), false, 16, JSON_THROW_ON_ERROR);
        self::assertTrue((new Validator)->validate($data, (string) file_get_contents($schema))->isValid());
        self::assertSame(basename($path, '.json'), $data->key);
    }

    /** @return iterable<string, array{string, int}> */
    public static function boards(): iterable
    {
        // As many I/O pins as the class's name says; analogue-only pins come on top. From memory.
        yield '20 I/O' => ['8bit-5v-20io', 20];
        yield '70 I/O' => ['8bit-5v-70io', 70];
        yield '11 I/O' => ['wifi-3v3-11io', 11];
        yield '13 I/O' => ['wifi-3v3-13io', 13];
        yield '26 I/O Wi-Fi' => ['wifi-3v3-26io', 26];
        yield '26 I/O' => ['32bit-3v3-26io', 26];
        yield '40 pins, 26 I/O' => ['computer-40pin', 26];
    }

    #[DataProvider('boards')]
    public function test_a_board_has_as_many_pins_as_its_name_says(string $key, int $pins): void
    {
        $board = self::knowledge()->catalogue->boards[$key];
        self::assertCount($pins, array_filter($board->pins, static fn (BoardPin $pin): bool => $pin->can('digital-in')));
    }

    public function test_every_board_can_carry_a_packet_radio(): void
    {
        foreach (self::knowledge()->catalogue->boards as $board) {
            $plan = self::sketch()
                ->node('n', 'N', NodeKind::Controller, null, $board->key)
                ->module('r', 'n', 'packet-radio-plain', 'Radio')
                ->assigned();
            self::assertCount(5, $plan->pinUses(), $board->name);
        }
    }
}
