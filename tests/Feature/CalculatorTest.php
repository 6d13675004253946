<?php

declare(strict_types=1);

namespace Tests\Feature;

final class CalculatorTest extends FeatureTestCase
{
    public function test_every_calculator_listed_answers_its_own_examples(): void
    {
        $calculators = $this->actingAs(self::user())->getJson('/api/calculators')->assertOk()->json('calculators');
        self::assertIsArray($calculators);
        foreach ($calculators as $calculator) {
            self::assertIsArray($calculator);
            $inputs = [];
            foreach ((array) $calculator['inputs'] as $input) {
                self::assertIsArray($input);
                if ($input['example'] !== '') {
                    $inputs[(string) $input['name']] = $input['example'];
                }
            }
            $answer = $this->postJson("/api/calculators/{$calculator['name']}", ['inputs' => $inputs])->assertOk();
            self::assertSame(array_column((array) $calculator['outputs'], 'name'), array_keys((array) $answer->json('outputs')));
        }
    }

    public function test_a_curve_comes_with_the_answer(): void
    {
        $answer = $this->actingAs(self::user())->postJson('/api/calculators/quarter-wave', ['inputs' => ['freq_mhz' => '433.92']])->assertOk();
        // 0.95 · 299 792 458 / (4 · 433 920 000)
        self::assertEqualsWithDelta(164.087, $answer->json('outputs.length_mm'), 0.001);
        self::assertSame('freq_mhz', $answer->json('curve.input'));
        self::assertEqualsWithDelta(237.336, $answer->json('curve.points.0.1'), 0.001);
    }

    public function test_what_cannot_be_worked_out_is_refused_at_its_input(): void
    {
        $this->actingAs(self::user());
        $this->postJson('/api/calculators/quarter-wave', ['inputs' => ['freq_mhz' => 'high']])->assertUnprocessable()->assertJsonPath('problems.0.place', '/inputs/freq_mhz');
        $this->postJson('/api/calculators/quarter-wave', ['inputs' => ['freq_mhz' => 433]])->assertUnprocessable()->assertJsonPath('problems.0.place', '/inputs/freq_mhz');
        $this->postJson('/api/calculators/perpetual-motion', ['inputs' => []])->assertNotFound();
    }
}
