<?php

declare(strict_types=1);

namespace Tests\Feature;

use Rundfunk\Demo\LindenHollow;
use Rundfunk\Knowledge;

final class NodeSheetTest extends FeatureTestCase
{
    public function test_a_sheet_has_the_wiring_and_the_header_that_the_downloads_have(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $node = LindenHollow::plan(app(Knowledge::class))->nodes()[2]->id;
        $sheet = $this->actingAs($user)->getJson("/api/plans/{$plan->id}/nodes/{$node}/sheet")->assertOk();
        $header = $this
            ->get("/api/plans/{$plan->id}/nodes/{$node}/header")
            ->assertOk()
            ->assertHeader('Content-Disposition', 'attachment; filename="bench.h"');
        self::assertSame($sheet->json('header'), $header->getContent());
        $csv = $this->get("/api/plans/{$plan->id}/nodes/{$node}/wiring.csv")->assertOk();
        self::assertSame(count($sheet->json('wiring')) + 1, substr_count((string) $csv->getContent(), "\r\n"));
        $this->getJson("/api/plans/{$plan->id}/nodes/nothing/sheet")->assertNotFound();
    }

    public function test_the_catalogue_offers_every_board_and_module(): void
    {
        $catalogue = $this->actingAs(self::user())->getJson('/api/catalogue')->assertOk();
        self::assertCount(6, $catalogue->json('boards'));
        self::assertSame(['packet-radio'], array_column($catalogue->json('media'), 'key'));
    }
}
