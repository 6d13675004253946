<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Build\Artefact;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Signal\CaptureText;
use Rundfunk\Text\CNames;
use Rundfunk\Text\FileName;
use Rundfunk\Text\OneLine;

/** The codes of a fob or a socket as marks and spaces. */
final readonly class KeyedFiles
{
    /** @return list<Artefact> */
    public static function of(Plan $plan, Endpoint $endpoint): array
    {
        $node = $plan->node($endpoint->nodeId);
        $settings = KeyedSettings::of($plan->link($endpoint->linkId));
        $texts = [];
        foreach ($plan->keyCodesOf($node) as $code) {
            $bits = KeyedCodes::bits($code);
            if ($bits !== null) {
                $texts[] = '# '.OneLine::of($code->name).": {$bits->text()} ".($bits->trits() ?? '')."\n"
                    .str_replace("carrier 0\n", '', CaptureText::write(KeyedFrame::encode($bits->bits, $settings->pulseUs))).'space '.(31 * $settings->pulseUs)."\n";
            }
        }

        return $texts === [] ? [] : [new Artefact('keyed-timings', 'Marks and spaces', FileName::of(CNames::lower($node->name), '-keyed.txt'), 'text/plain', implode("\n", $texts))];
    }
}
