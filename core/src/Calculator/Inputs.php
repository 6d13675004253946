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
        foreach ($calculator->inputs() as $quantity) {
            if ($quantity->required && ! array_key_exists($quantity->name, $given)) {
                throw BadInput::missing($calculator->name(), $quantity->name);
            }
        }

        return new self($given);
    }

    /** A whole number, decimal or hexadecimal with 0x. */
    public function whole(string $name): int
    {
        $text = $this->text($name);
        $whole = filter_var($text, FILTER_VALIDATE_INT, FILTER_FLAG_ALLOW_HEX);

        return $whole === false ? throw BadInput::notWhole($name, $text) : $whole;
    }

    public function number(string $name): float
    {
        $text = $this->text($name);

        return is_numeric($text) && is_finite((float) $text) ? (float) $text : throw BadInput::notANumber($name, $text);
    }

    public function flagOr(string $name, bool $otherwise): bool
    {
        $text = strtolower($this->text($name));

        return match ($text) {
            '' => $otherwise,
            '1', 'true', 'yes', 'on' => true,
            '0', 'false', 'no', 'off' => false,
            default => throw BadInput::notAFlag($name, $text),
        };
    }

    public function text(string $name): string
    {
        return trim($this->given[$name] ?? '');
    }

    /** As it was typed, blanks and all. */
    public function verbatim(string $name): string
    {
        return $this->given[$name] ?? '';
    }
}
