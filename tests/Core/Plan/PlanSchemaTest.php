<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Opis\JsonSchema\Validator;
use Rundfunk\Format\PlanSchema;
use Rundfunk\Format\PlanWriter;
use Tests\Core\CoreTestCase;

/** The published schema, judged by an independent validator. */
final class PlanSchemaTest extends CoreTestCase
{
    private static function published(): string
    {
        return (string) file_get_contents(dirname(__DIR__, 3).'/docs/plan.schema.json');
    }

    private static function validates(string $json): bool
    {
        return (new Validator)->validate(json_decode($json), self::published())->isValid();
    }

    public function test_the_published_schema_is_the_one_the_reader_obeys(): void
    {
        $drawn = json_encode((new PlanSchema(self::knowledge()->media))->document(), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
        self::assertSame($drawn."\n", self::published(), 'run: php bin/docs');
    }

    public function test_both_demos_obey_it(): void
    {
        self::assertTrue(self::validates((new PlanWriter)->write(self::linden())));
        self::assertTrue(self::validates((new PlanWriter)->write(self::faulty())));
    }

    public function test_it_refuses_what_the_reader_refuses(): void
    {
        $document = json_decode((new PlanWriter)->write(self::linden()), true);
        foreach ([['links', 0, 'settings', 'channel', 126], ['endpoints', 0, 'settings', ['retryDelayUs' => 'soon']], ['endpoints', 0, 'settings', ['colour' => 'red']], ['nodes', 0, 'kind', 'wizard'], ['nodes', 0, 'colour', 'red']] as $spoil) {
            $value = array_pop($spoil);
            $spoiled = $document;
            $at = &$spoiled;
            foreach ($spoil as $key) {
                $at = &$at[$key];
            }
            $at = $value;
            unset($at);
            self::assertFalse(self::validates(json_encode($spoiled, JSON_THROW_ON_ERROR)));
        }
    }
}
