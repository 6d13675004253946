<?php

declare(strict_types=1);

namespace Tests\Core\Calculator;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Quantity;
use Rundfunk\OutOfRange;
use Rundfunk\Shipped;
use Tests\Core\CoreTestCase;

/** Whatever is typed into a calculator, it answers with all that it promises, or says what is wrong with which input. */
final class CalculateAnythingTest extends CoreTestCase
{
    private const TYPED = [
        '', '0', '-1', '1', '5', '36', '1000000000000', '1e308', '-1e-308', 'NaN', 'INF', '0x10', 'abc', 'é', '250', '3.3', '1.2', '20',
        '9000,4500,560', ',', '1,2,3,', '-5,-6', 'nec', 'rc5', 'GB', '+442079460123', '020 7946 0123', 'true', 'off', '€', '[]', "\0", "\n",
        '9223372036854775807', '9223372036854775808', '2147483648',
    ];

    /** @return iterable<string, array{string}> */
    public static function calculators(): iterable
    {
        foreach (Shipped::calculators()->all() as $calculator) {
            yield $calculator->name() => [$calculator->name()];
        }
    }

    #[DataProvider('calculators')]
    public function test_it_answers_or_refuses(string $name): void
    {
        $calculators = Shipped::calculators();
        $calculator = $calculators->named($name);
        $promised = array_map(static fn (Quantity $output): string => $output->name, $calculator->outputs());
        $random = new Randomizer(new Mt19937(7));
        $answered = 0;
        for ($round = 0; $round < 250; $round++) {
            try {
                $found = $calculators->calculate($name, self::typed($calculator->inputs(), $random));
            } catch (BadInput|OutOfRange $refusal) {
                self::assertGreaterThan(10, strlen($refusal->getMessage()));
                // It is told at a field that whoever typed can see.
                if ($refusal instanceof OutOfRange) {
                    self::assertContains($refusal->field, array_map(static fn (Quantity $input): string => $input->name, $calculator->inputs()), $refusal->getMessage());
                }

                continue;
            }
            $answered++;
            self::assertSame($promised, array_keys($found));
            // JSON knows no infinity and no "not a number".
            self::assertJson(json_encode($found, JSON_THROW_ON_ERROR));
        }
        self::assertGreaterThan(0, $answered);
        self::assertLessThan(250, $answered);
    }

    /**
     * @param  list<Quantity>  $inputs
     * @return array<string, string>
     */
    private static function typed(array $inputs, Randomizer $random): array
    {
        $typed = [];
        foreach ($inputs as $input) {
            $odd = self::TYPED[$random->getInt(0, count(self::TYPED) - 1)];
            if ($random->getInt(0, 9) > 0) {
                $typed[$input->name] = $random->getInt(0, 2) > 0 && $input->example !== '' ? $input->example : $odd;
            }
        }

        return $typed;
    }
}
