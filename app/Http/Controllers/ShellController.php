<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;

/** The one page: everything else is drawn by the front end. */
final class ShellController
{
    public function __invoke(): View
    {
        return view('shell');
    }
}
