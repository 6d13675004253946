<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Build\Define;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\FramesMessages;
use Rundfunk\Build\WritesC;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Knowledge;
use Rundfunk\Pins\SetsBaud;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;

/** What the builder of an end needs: constants, the check, the frame. */
final readonly class SerialBuild implements DescribesEnds, FramesMessages, SetsBaud, WritesC
{
    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        $link = $plan->link($endpoint->linkId);
        $line = SerialLine::of($plan, $link);
        $settings = $line->settings;
        $end = SerialEnd::of($endpoint);
        $defines = [
            new Define('BAUD', (string) $settings->baud, $settings->format().', '.$settings->levels->words()),
            new Define('DATA_BITS', '8'),
            new Define('PARITY', (string) array_search($settings->parity, Parity::cases(), true), '0 none, 1 even, 2 odd'),
            new Define('STOP_BITS', (string) $settings->stopBits),
            new Define('TIMEOUT_MS', (string) $line->programTimeoutMs(), 'from the first byte of a frame until its answer counts as missed'),
            new Define('REST_MS', (string) $settings->gapMs, 'between one exchange and the next'),
            new Define('MISSED_MOST', (string) $settings->missedMost, 'after so many, nobody knows how that node stands'),
            new Define('FRAME_MS', (string) $line->frameMs(), 'a frame on the line, rounded up'),
        ];
        if ($end->station !== null) {
            $defines[] = new Define('ID', (string) $end->station, $end->asks ? 'this node asks the others' : 'this node');
        }
        foreach ($line->ends as $other) {
            $id = SerialEnd::of($other)->station;
            if ($other->id !== $endpoint->id && $id !== null) {
                $name = $plan->node($other->nodeId)->name;
                $defines[] = new Define('ID_OF_'.CNames::upper($name), (string) $id, $name.($line->isToldTogether($other) ? ', told together with others by id 0' : ''));
            }
        }

        return $defines;
    }

    public function baud(Plan $plan, Endpoint $endpoint): int
    {
        return SerialSettings::at($plan->link($endpoint->linkId), $endpoint)->baud;
    }

    public function layout(Link $link): FrameLayout
    {
        return SerialFrame::layout(SerialSettings::of($link));
    }

    public function cLines(Plan $plan, Endpoint $endpoint, string $prefix, Knowledge $knowledge): array
    {
        return CChecksum::lines(SerialSettings::of($plan->link($endpoint->linkId))->check, strtolower($prefix).'_check');
    }
}
