<?php

declare(strict_types=1);

namespace App\Limits;

/** What may be worked out at once. */
enum Turns: string
{
    /** What can take seconds: a plan read from a file, a capture, an assignment of everything, an archive of all plans. */
    case Heavy = 'heavy';
    /** An edit waits in its worker for those before it of the same plan: so many windows of one person, and no more. */
    case Edit = 'edit';

    /** @return int of one account */
    public function ofAccount(): int
    {
        return match ($this) {
            self::Heavy => 1,
            self::Edit => 3,
        };
    }

    /** @return int|null of all together; null where there is no limit */
    public function ofAll(): ?int
    {
        return match ($this) {
            self::Heavy => 2,
            self::Edit => null,
        };
    }

    /** How long one may take, s of the processor: longer is given up, and said to be. */
    public const SECONDS = 15;
}
