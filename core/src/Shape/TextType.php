<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

final readonly class TextType implements FieldType
{
    private const ULID = '^[0-7][0-9A-HJKMNP-TV-Z]{25}$';

    private const KEY = '^[a-z0-9]+(-[a-z0-9]+)*$';

    private const CLASS_KEY = '^([a-z0-9]+(-[a-z0-9]+)*|own:[0-7][0-9A-HJKMNP-TV-Z]{25})$';

    public function __construct(
        public int $shortest,
        public int $longest,
        private ?string $pattern = null,
        private string $described = '',
    ) {
    }

    public static function ulid(): self
    {
        return new self(26, 26, self::ULID, 'an id (a ULID of 26 characters)');
    }

    public static function key(): self
    {
        return new self(1, 60, self::KEY, 'a key in small letters, digits and hyphens');
    }

    public static function classKey(): self
    {
        return new self(1, 60, self::CLASS_KEY, 'a key of the catalogue, or "own:" and the id of a class of this plan');
    }

    public function accept(mixed $value, string $place, Problems $problems): ?string
    {
        if (! is_string($value) || ! mb_check_encoding($value, 'UTF-8') || preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F]/', $value) === 1) {
            $problems->add($place, 'must be '.$this->wants());

            return null;
        }
        $length = mb_strlen($value);
        $fits = $length >= $this->shortest && $length <= $this->longest;
        if (! $fits || ($this->pattern !== null && preg_match('/'.$this->pattern.'/D', $value) !== 1)) {
            $problems->add($place, 'must be '.$this->wants());

            return null;
        }

        return $value;
    }

    public function wants(): string
    {
        return $this->described !== '' ? $this->described : "text of {$this->shortest} to {$this->longest} characters";
    }

    public function schema(): array
    {
        $schema = ['type' => 'string', 'minLength' => $this->shortest, 'maxLength' => $this->longest];

        return $this->pattern === null ? $schema : [...$schema, 'pattern' => $this->pattern];
    }
}
