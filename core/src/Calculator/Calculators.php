<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

/** Every calculator, by name. */
final readonly class Calculators
{
    /** @param  array<string, Calculator>  $byName */
    private function __construct(private array $byName)
    {
    }

    public static function of(Calculator ...$calculators): self
    {
        $byName = [];
        foreach ($calculators as $calculator) {
            $byName[$calculator->name()] = $calculator;
        }

        return new self($byName);
    }

    /** @return list<Calculator> */
    public function all(): array
    {
        return array_values($this->byName);
    }

    public function has(string $name): bool
    {
        return isset($this->byName[$name]);
    }

    public function named(string $name): Calculator
    {
        return $this->byName[$name] ?? throw BadInput::noCalculator($name, array_keys($this->byName));
    }

    /**
     * @param  array<string, string>  $given
     * @return array<string, bool|float|int|string|list<bool|float|int|string|null>|null>
     */
    public function calculate(string $name, array $given): array
    {
        $calculator = $this->named($name);

        return $calculator->calculate(Inputs::for($calculator, $given));
    }
}
