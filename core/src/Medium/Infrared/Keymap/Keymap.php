<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Keymap;

/** One protocol's keys, as the open keymap files of the Linux remote-control core have them. */
final readonly class Keymap
{
    /**
     * @param  array<string, bool|float|int|string>  $parameters  timing of described protocols
     * @param  list<array{number: int, name: string}>  $keys  what each key sends, and what it is called
     */
    public function __construct(
        public string $name,
        public string $protocol,
        public ?string $variant,
        public array $parameters,
        public array $keys,
    ) {
    }
}
