<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

/** What was typed into a calculator: texts by name, each turned into what it should be when asked for. */
final readonly class Inputs
{
    /** @param  array<string, string>  $given */
    private function __construct(private array $given)
    {
    }

    /**
     * @param  array<string, string>  $given
     *
     * @throws BadInput when a name is missing or unknown
     */
    public static function for(Calculator $calculator, array $given): self
    {
        $names = array_map(static fn (Quantity $quantity): string => $quantity->name, $calculator->inputs());
        foreach (array_keys($given) as $name) {
            if (! in_array($name, $names, true)) {
                throw BadInput::unknown($calculator->name(), $name, $names);
            }
        }
        foreach ($names as $name) {
            if (! array_key_exists($name, $given)) {
                throw BadInput::missing($calculator->name(), $name);
            }
        }

        return new self($given);
    }

    public function whole(string $name): int
    {
        $text = $this->text($name);
        $whole = filter_var($text, FILTER_VALIDATE_INT);

        return $whole === false ? throw BadInput::notWhole($name, $text) : $whole;
    }

    public function text(string $name): string
    {
        return trim($this->given[$name] ?? '');
    }
}
