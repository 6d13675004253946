<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** The classes that a plan describes, offered beside those of the catalogue. */
final readonly class OwnClasses
{
    /**
     * @param  list<BoardOffered>  $boards
     * @param  list<ModuleOffered>  $modules
     */
    public function __construct(#[ListOf(BoardOffered::class)] public array $boards, #[ListOf(ModuleOffered::class)] public array $modules)
    {
    }
}
