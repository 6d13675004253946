<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\Rail;
use Rundfunk\Shape\ListOf;

/** A class of board, as screens offer it. */
final readonly class BoardOffered
{
    /**
     * @param  list<string>  $media  for which it needs no module
     * @param  list<string>  $pins
     * @param  list<RailOffered>  $rails
     */
    public function __construct(
        public string $key,
        public string $name,
        #[ListOf('string')] public array $media,
        public float $logicV,
        #[ListOf('string')] public array $pins,
        #[ListOf(RailOffered::class)] public array $rails,
        public string $basis,
    ) {
    }

    public static function of(Board $board): self
    {
        return new self(
            $board->key,
            $board->name,
            $board->media,
            $board->logicV,
            array_map(strval(...), array_keys($board->pins)),
            array_map(static fn (Rail $rail): RailOffered => new RailOffered($rail->supply, $rail->name, $rail->volts, $rail->limitMa), $board->rails),
            $board->basis,
        );
    }
}
