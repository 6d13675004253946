<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRecord;
use Illuminate\Testing\TestResponse;
use Rundfunk\Plan\Link;
use Symfony\Component\HttpFoundation\Response;
use Tests\Demos;
use ZipArchive;

/** Recordings of a bus and descriptions of one are read and not kept. */
final class HearTest extends FeatureTestCase
{
    private static function recording(bool $on): string
    {
        $lines = [];
        for ($frame = 0; $frame < 60; $frame++) {
            $lines[] = sprintf('(1700000000.%06d) can0 2A1#%02X0%d%02X', $frame * 10_000, 0x80, $on ? 4 : 0, $frame & 0xFF);
        }

        return implode("\n", $lines);
    }

    public function test_the_bit_that_two_recordings_differ_in_is_found_and_the_plan_stays_as_it_was(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $shown = $this->actingAs($user)->hear($plan, ['text' => self::recording(false), 'after' => self::recording(true), 'signal' => ['id' => '2A1', 'start' => 10, 'bits' => 1, 'highFirst' => false, 'signed' => false]])->assertOk();
        $shown->assertJsonPath('frames', 60)->assertJsonPath('rows.0.identifier', '2A1')->assertJsonPath('rows.0.periodMs', 10)->assertJsonPath('found.0.identifier', '2A1')->assertJsonPath('found.0.place', 10);
        self::assertSame([0, 1], array_values(array_unique((array) $shown->json('drawn'))));
        self::assertSame(1, $plan->refresh()->version);
    }

    public function test_marks_and_counts_say_by_what_to_look(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user)->hear($plan, ['text' => self::recording(false)])->assertOk()->assertJsonPath('way', null)->assertJsonPath('found', []);
        $this->hear($plan, ['text' => self::recording(false)."\nnow\n".str_replace('1700000000', '1700000001', self::recording(true))])->assertOk()->assertJsonPath('marksS.0', 0.59)->assertJsonPath('found.0.place', 10);
        $this->hear($plan, ['text' => self::recording(false)."\n".str_replace('1700000000', '1700000001', self::recording(true)), 'times' => 1])->assertOk()->assertJsonPath('found.0.place', 10);
    }

    public function test_a_description_comes_message_by_message(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $shown = $this->actingAs($user)->describe($plan, ['text' => "BO_ 673 State: 8 Box\n SG_ Charge : 0|10@1+ (0.1,0) [0|100] \"%\" Nobody__XXX\n SG_ More m1 : 16|8@1+ (1,0) [0|0] \"\" Nobody__XXX\n"])->assertOk();
        $shown->assertJsonPath('things.0.name', 'State')->assertJsonPath('things.0.sender', 'Box')->assertJsonPath('things.0.says', '2A1: Charge')->assertJsonPath('things.0.values.identifier', 673)->assertJsonPath('things.0.values.signals.0.scale', 0.1);
        self::assertStringContainsString('More of State', (string) json_encode($shown->json('leftOut')));
    }

    public function test_what_cannot_be_read_is_refused_with_the_reason(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user)->hear($plan, ['text' => 'It rained.'])->assertUnprocessable()->assertJsonPath('problems.0.place', '/text');
        $this->hear($plan, ['text' => 7])->assertUnprocessable()->assertJsonPath('problems.0.place', '/text');
        $this->hear($plan, ['text' => self::recording(false), 'after' => ['x']])->assertUnprocessable()->assertJsonPath('problems.0.place', '/after');
        $this->hear($plan, ['text' => self::recording(false), 'signal' => ['id' => '2A1', 'start' => 99]])->assertUnprocessable();
        $this->hear($plan, ['text' => str_repeat('x', 12_000_001)])->assertUnprocessable();
        $this->describe($plan, ['text' => 'Dear bus,'])->assertUnprocessable()->assertJsonPath('problems.0.place', '/text');
        $this->hear($plan, ['text' => self::recording(false)], 'House')->assertUnprocessable()->assertJsonPath('problems.0.place', '/link');
        $this->describe($plan, ['text' => 'BO_ 1 A: 8 B'], 'House')->assertUnprocessable()->assertJsonPath('problems.0.place', '/link');
    }

    public function test_a_fixture_s_file_is_read_and_what_is_no_such_file_is_refused(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $path = (string) tempnam(sys_get_temp_dir(), 'fixture');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        $zip->addFromString('description.xml', '<GDTF><FixtureType Name="Wash"><DMXModes><DMXMode Name="Two"><DMXChannels><DMXChannel Offset="1,2"><LogicalChannel Attribute="Dimmer"/></DMXChannel></DMXChannels></DMXMode></DMXModes></FixtureType></GDTF>');
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);
        $this->actingAs($user)->describe($plan, ['base64' => base64_encode($bytes)], 'Bench lamps')->assertOk()
            ->assertJsonPath('things.0.name', 'Wash')->assertJsonPath('things.0.values.modes.0.slots.0.fineAt', 2);
        $this->describe($plan, ['base64' => base64_encode(substr($bytes, 0, 60))], 'Bench lamps')->assertUnprocessable()->assertJsonPath('problems.0.place', '/text');
        $this->describe($plan, ['base64' => '*'], 'Bench lamps')->assertUnprocessable()->assertJsonPath('problems.0.place', '/base64');
        $this->describe($plan, ['base64' => ['x']], 'Bench lamps')->assertUnprocessable()->assertJsonPath('problems.0.place', '/base64');
        $this->describe($plan, ['base64' => str_repeat('A', 12_000_004)], 'Bench lamps')->assertUnprocessable();
        $this->describe($plan, ['text' => '<GDTF/>'], 'Bench lamps')->assertUnprocessable()->assertJsonPath('problems.0.place', '/text');
    }

    public function test_nobody_listens_to_another_s_bus(): void
    {
        $plan = $this->linden(self::user());
        $this->actingAs(self::user('Bo'))->hear($plan, ['text' => self::recording(false)])->assertNotFound();
        $this->describe($plan, ['text' => 'BO_ 1 A: 8 B'])->assertNotFound();
    }

    /**
     * @param  array<string, mixed>  $asked
     * @return TestResponse<Response>
     */
    private function hear(PlanRecord $plan, array $asked, string $link = 'Store bus'): TestResponse
    {
        return $this->postJson("/api/plans/{$plan->id}/links/".self::called($link).'/heard', $asked);
    }

    /**
     * @param  array<string, mixed>  $asked
     * @return TestResponse<Response>
     */
    private function describe(PlanRecord $plan, array $asked, string $link = 'Store bus'): TestResponse
    {
        return $this->postJson("/api/plans/{$plan->id}/links/".self::called($link).'/described', $asked);
    }

    private static function called(string $name): string
    {
        return array_values(array_filter(Demos::lindenHollow()->links(), static fn (Link $link): bool => $link->name === $name))[0]->id;
    }
}
