<?php

declare(strict_types=1);

namespace Tests\Client;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;
use Rundfunk\Medium\Ip\ThingDescription;
use Rundfunk\Shipped;
use Tests\Demos;

/** Thing Descriptions against the published JSON Schema of W3C's Thing Description 1.1, as the npm package wot-thing-description-types carries it. */
final class ThingDescriptionTest extends TestCase
{
    private const SCHEMA = '/node_modules/wot-thing-description-types/schema/td-json-schema-validation.json';

    public function test_every_thing_of_both_demos_obeys_the_published_schema(): void
    {
        $schema = (string) file_get_contents(dirname(__DIR__, 2).self::SCHEMA);
        $knowledge = Shipped::knowledge();
        $things = 0;
        foreach ([Demos::lindenHollow(), Shipped::assigner()->assign(Demos::faultyOnPurpose())->plan] as $plan) {
            foreach ($plan->linksOver('ip') as $link) {
                foreach ($plan->endpointsOn($link) as $endpoint) {
                    $text = ThingDescription::of($plan, $link, $plan->node($endpoint->nodeId));
                    $result = self::draft07()->validate(json_decode($text, false, 32, JSON_THROW_ON_ERROR), $schema);
                    self::assertTrue($result->isValid(), json_encode($result->error() === null ? null : (new ErrorFormatter)->format($result->error()), JSON_THROW_ON_ERROR));
                    $things++;
                }
            }
        }
        self::assertGreaterThan(5, $things);
    }

    public function test_the_schema_refuses_what_is_no_thing(): void
    {
        $schema = (string) file_get_contents(dirname(__DIR__, 2).self::SCHEMA);
        $knowledge = Shipped::knowledge();
        $plan = Demos::lindenHollow();
        $link = $plan->linksOver('ip')[0];
        $thing = json_decode(ThingDescription::of($plan, $link, $plan->node($plan->endpointsOn($link)[0]->nodeId)), true, 32, JSON_THROW_ON_ERROR);
        self::assertIsArray($thing);
        unset($thing['security']);
        self::assertFalse(self::draft07()->validate(json_decode(json_encode($thing, JSON_THROW_ON_ERROR)), $schema)->isValid());
    }

    /** The schema is written for draft 07, and its `$schema` key carries a stray space, so the draft is named here. */
    private static function draft07(): Validator
    {
        $validator = new Validator;
        $validator->parser()->setDefaultDraftVersion('07');

        return $validator;
    }
}
