<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Build\Artefact;
use Rundfunk\Medium\Infrared\Keymap\KeymapCodes;
use Rundfunk\Medium\Infrared\Keymap\KeymapFile;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Signal\CaptureText;
use Rundfunk\Text\CNames;
use Rundfunk\Text\FileName;
use Rundfunk\Text\OneLine;

/** A remote's or an appliance's codes as open files. */
final readonly class IrFiles
{
    /** @return list<Artefact> */
    public static function of(Plan $plan, Node $node, Protocols $protocols): array
    {
        $codes = $plan->keyCodesOf($node);
        if ($codes === []) {
            return [];
        }
        $name = CNames::lower($node->name);
        $keymaps = KeymapCodes::keymaps($name, $codes);
        $artefacts = $keymaps === [] ? [] : [new Artefact('ir-keymap', 'Keymap', FileName::of($name, '.toml'), 'application/toml', KeymapFile::write($keymaps))];
        $texts = [];
        foreach ($codes as $code) {
            $signal = IrCodes::signal($code, $protocols);
            if ($signal !== null) {
                $texts[] = '# '.OneLine::of($code->name)."\n".CaptureText::write($signal).'space '.intdiv(max(20_000_000, IrCodes::periodNs($code, $protocols) - $signal->durationNs()), 1000)."\n";
            }
        }

        return $texts === [] ? $artefacts : [...$artefacts, new Artefact('ir-timings', 'Marks and spaces', FileName::of($name, '.txt'), 'text/plain', implode("\n", $texts))];
    }
}
