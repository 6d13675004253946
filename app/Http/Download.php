<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Response;
use Rundfunk\Text\FileName;

final class Download
{
    /** @param  string  $name  as {@see FileName} gives it */
    public static function of(string $content, string $type, string $name): Response
    {
        return new Response($content, 200, [
            'Content-Type' => $type.'; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.$name.'"',
        ]);
    }
}
