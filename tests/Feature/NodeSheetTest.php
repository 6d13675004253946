<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\Demos;

final class NodeSheetTest extends FeatureTestCase
{
    public function test_a_sheet_has_the_wiring_and_the_header_that_the_downloads_have(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $node = Demos::lindenHollow()->nodes()[2]->id;
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

    public function test_each_file_of_a_sheet_can_be_fetched_as_it_is_shown(): void
    {
        $user = self::user();
        $record = $this->linden($user);
        $fetched = [];
        foreach (Demos::lindenHollow()->nodes() as $node) {
            $sheet = $this->actingAs($user)->getJson("/api/plans/{$record->id}/nodes/{$node->id}/sheet")->assertOk();
            foreach ((array) $sheet->json('artefacts') as $artefact) {
                self::assertIsArray($artefact);
                $file = $this
                    ->get("/api/plans/{$record->id}/nodes/{$node->id}/artefacts/{$artefact['key']}")
                    ->assertOk()
                    ->assertHeader('Content-Disposition', "attachment; filename=\"{$artefact['fileName']}\"");
                self::assertSame($artefact['content'], $file->getContent());
                $fetched[] = $artefact['key'];
            }
        }
        self::assertGreaterThan(5, count($fetched));
        $this->getJson("/api/plans/{$record->id}/nodes/".Demos::lindenHollow()->nodes()[0]->id.'/artefacts/nothing')->assertNotFound();
    }

    public function test_the_catalogue_offers_every_board_and_module(): void
    {
        $catalogue = $this->actingAs(self::user())->getJson('/api/catalogue')->assertOk();
        self::assertCount(7, $catalogue->json('boards'));
        self::assertSame(['packet-radio', 'infrared', 'keyed-radio', 'cellular', 'ip', 'serial', 'can', 'dmx'], array_column($catalogue->json('media'), 'key'));
    }
}
