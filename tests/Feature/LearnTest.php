<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRecord;
use Illuminate\Testing\TestResponse;
use Rundfunk\Plan\Node;
use Symfony\Component\HttpFoundation\Response;
use Tests\Demos;

final class LearnTest extends FeatureTestCase
{
    public function test_a_keymap_is_read_and_nothing_of_the_plan_changes(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $keymap = "[[protocols]]\nname = \"made_up\"\nprotocol = \"nec\"\n[protocols.scancodes]\n0x0408 = \"KEY_POWER\"\n0x0409 = \"KEY_FAN\"\n";
        $rows = $this->actingAs($user)->learn($plan, ['medium' => 'infrared', 'text' => $keymap])->assertOk()->json('rows');
        self::assertIsArray($rows);
        self::assertCount(2, $rows);
        self::assertStringContainsStringIgnoringCase('power', (string) json_encode($rows[0]));
        self::assertSame(1, $plan->refresh()->version);
    }

    public function test_what_cannot_be_learned_from_is_refused_with_the_reason(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user)->learn($plan, ['medium' => 'infrared', 'text' => 'nothing of the kind'])->assertUnprocessable()->assertJsonPath('problems.0.place', '/text');
        $this->learn($plan, ['medium' => 'infrared'])->assertUnprocessable()->assertJsonPath('problems.0.place', '/text');
        $this->learn($plan, ['medium' => 'packet-radio', 'text' => 'pulse 1'])->assertUnprocessable()->assertJsonPath('problems.0.place', '/medium');
        $this->learn($plan, ['medium' => 'telepathy', 'text' => 'pulse 1'])->assertUnprocessable()->assertJsonPath('problems.0.place', '/medium');
    }

    public function test_nobody_teaches_another_s_remote(): void
    {
        $plan = $this->linden(self::user());
        $this->actingAs(self::user('Bo'))->learn($plan, ['medium' => 'infrared', 'text' => 'pulse 1'])->assertNotFound();
    }

    /**
     * @param  array<string, string>  $lesson
     * @return TestResponse<Response>
     */
    private function learn(PlanRecord $plan, array $lesson): TestResponse
    {
        $remote = array_values(array_filter(Demos::lindenHollow()->nodes(), static fn (Node $node): bool => $node->name === 'Heater remote'))[0];

        return $this->postJson("/api/plans/{$plan->id}/nodes/{$remote->id}/learn", $lesson);
    }
}
