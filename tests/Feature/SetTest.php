<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRecord;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Plan\Node;
use Symfony\Component\HttpFoundation\Response;
use Tests\Demos;

final class SetTest extends FeatureTestCase
{
    public function test_a_set_is_laid_out_and_what_it_answers_can_be_applied_as_it_stands(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $answer = $this->actingAs($user)->layOut($plan, 'Toy diggers', ['medium' => 'infrared', 'values' => ['functions' => 'Scoop', 'channels' => 2, 'lowest' => 0, 'highest' => 4, 'address' => 0x31, 'command' => 0x20]])->assertOk();
        $answer->assertJsonPath('added', 10)->assertJsonCount(10, 'cells')->assertJsonPath('leftOut', []);
        self::assertSame(1, $plan->refresh()->version);
        $this->postJson("/api/plans/{$plan->id}/operations", ['version' => 1, 'label' => 'Lay out', 'operations' => $answer->json('operations')])->assertOk();
        $node = array_column(self::document($this->getJson("/api/plans/{$plan->id}")->assertOk())['nodes'], 'id', 'name')['Toy diggers'];
        $this->getJson("/api/plans/{$plan->id}/views/code-grid?of={$node}")->assertOk()->assertJsonFragment(['name' => 'Scoop 2']);
        $this->layOut($plan, 'Toy diggers', ['medium' => 'infrared', 'values' => ['functions' => 'Scoop', 'channels' => 2, 'lowest' => 0, 'highest' => 4, 'address' => 0x31, 'command' => 0x20]])
            ->assertJsonPath('added', 0)->assertJsonPath('leftOut', ['10 are there already'])->assertJsonPath('operations', []);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function refusals(): iterable
    {
        yield 'a medium without sets' => ['Toy diggers', ['medium' => 'packet-radio', 'values' => []], '/medium'];
        yield 'no medium of ours' => ['Toy diggers', ['medium' => 'telepathy', 'values' => []], '/medium'];
        yield 'a board of ours' => ['Stick box', ['medium' => 'infrared', 'values' => []], '/node'];
        yield 'values that are none' => ['Toy diggers', ['medium' => 'infrared', 'values' => 'seven'], '/values'];
        yield 'a protocol nobody knows' => ['Toy diggers', ['medium' => 'infrared', 'values' => ['protocol' => 'smoke']], '/values/protocol'];
        yield 'a set of hundreds of thousands' => ['Toy diggers', ['medium' => 'infrared', 'values' => ['lowest' => -1000, 'highest' => 1000, 'channels' => 16]], '/values/highest'];
        yield 'a thousand channels' => ['Toy diggers', ['medium' => 'infrared', 'values' => ['channels' => 1000]], '/values/channels'];
    }

    /** @param  array<string, mixed>  $order */
    #[DataProvider('refusals')]
    public function test_what_is_no_set_is_refused_with_its_place(string $node, array $order, string $place): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user)->layOut($plan, $node, $order)->assertUnprocessable()->assertJsonPath('problems.0.place', $place);
    }

    public function test_nobody_lays_out_in_another_s_plan(): void
    {
        $plan = $this->linden(self::user());
        $this->actingAs(self::user('Bo'))->layOut($plan, 'Toy diggers', ['medium' => 'infrared', 'values' => []])->assertNotFound();
    }

    /**
     * @param  array<string, mixed>  $order
     * @return TestResponse<Response>
     */
    private function layOut(PlanRecord $plan, string $name, array $order): TestResponse
    {
        $node = array_values(array_filter(Demos::lindenHollow()->nodes(), static fn (Node $node): bool => $node->name === $name))[0];

        return $this->postJson("/api/plans/{$plan->id}/nodes/{$node->id}/set", $order);
    }
}
