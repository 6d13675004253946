<?php

declare(strict_types=1);

namespace Rundfunk\Learn;

use Rundfunk\Shape\Schema;

/** One press or key that was learned, as screens list it. */
final readonly class LearnedRow
{
    /**
     * @param  array<string, int|string|null>  $code  the fields of a key code
     * @param  list<int>  $lengthsUs
     * @param  array{says: string, code: array<string, int|string|null>}|null  $turned  the same bits read from the other end, where their order is anybody's guess
     * @return array<string, mixed>
     */
    public static function of(
        int $press,
        ?string $name,
        string $says,
        array $code,
        ?int $sameAs = null,
        ?string $known = null,
        ?bool $toggle = null,
        int $sends = 1,
        ?float $periodMs = null,
        array $lengthsUs = [],
        ?array $turned = null,
    ): array {
        return [
            'press' => $press, 'name' => $name, 'says' => $says, 'sameAs' => $sameAs, 'known' => $known, 'toggle' => $toggle,
            'sends' => $sends, 'periodMs' => $periodMs, 'lengthsUs' => $lengthsUs, 'code' => $code, 'turned' => $turned,
        ];
    }

    /** @return array<string, mixed> */
    public static function schema(): array
    {
        return Schema::object([
            'press' => Schema::whole(), 'name' => Schema::orNull(Schema::text()), 'says' => Schema::text(), 'sameAs' => Schema::orNull(Schema::whole()),
            'known' => Schema::orNull(Schema::text()), 'toggle' => Schema::orNull(Schema::flag()), 'sends' => Schema::whole(),
            'periodMs' => Schema::orNull(Schema::number()), 'lengthsUs' => Schema::listOf(Schema::whole()), 'code' => Schema::anyObject(),
            'turned' => Schema::orNull(Schema::object(['says' => Schema::text(), 'code' => Schema::anyObject()])),
        ]);
    }
}
