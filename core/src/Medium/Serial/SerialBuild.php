<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Build\AgreesOn;
use Rundfunk\Build\Define;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\FramesMessages;
use Rundfunk\Build\SetsUp;
use Rundfunk\Build\WritesC;
use Rundfunk\Frame\Checksum;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Knowledge;
use Rundfunk\Pins\SetsBaud;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;

/** What the builder of an end needs: constants, the check, the frame. */
final readonly class SerialBuild implements AgreesOn, DescribesEnds, FramesMessages, SetsBaud, SetsUp, WritesC
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
            ...($line->isBought() ? [] : [new Define('TIMEOUT_MS', (string) $line->programTimeoutMs(), 'from the first byte of a frame until its answer counts as missed')]),
            new Define('REST_MS', (string) $settings->gapMs, 'between one exchange and the next'),
            new Define('MISSED_MOST', (string) $settings->missedMost, 'after so many, nobody knows how that node stands'),
            ...($line->isBought() ? [] : [new Define('FRAME_MS', (string) $line->frameMs(), 'a frame on the line, rounded up')]),
        ];
        if ($end->station !== null && $line->hasId($endpoint)) {
            $defines[] = new Define('ID', (string) $end->station, $end->asks ? 'this node asks the others' : 'this node');
        }
        foreach ($line->ends as $other) {
            $id = $line->hasId($other) ? SerialEnd::of($other)->station : null;
            if ($other->id !== $endpoint->id && $id !== null) {
                $name = $plan->node($other->nodeId)->name;
                $defines[] = new Define('ID_OF_'.CNames::upper($name), (string) $id, $name.($line->isToldTogether($other) ? ', told together with others by id 0' : ''));
            }
        }

        return $defines;
    }

    public function agreedOn(Plan $plan, Link $link): array
    {
        $line = SerialLine::of($plan, $link);
        $spoken = [];
        foreach ($line->ends as $place => $end) {
            $protocol = $line->protocols[$end->id] ?? null;
            if ($protocol !== null) {
                $spoken[] = [$place, array_diff_key($protocol->values(), ['id' => true, 'name' => true, 'note' => true, 'order' => true, 'logicV' => true])];
            }
        }

        return $spoken;
    }

    public function settingUp(Plan $plan, Endpoint $endpoint): array
    {
        $line = SerialLine::of($plan, $plan->link($endpoint->linkId));
        $end = SerialEnd::of($endpoint);
        $id = match (true) {
            ! $line->hasId($endpoint) => [],
            $end->station === null => ['an id, which is not handed out yet'],
            $end->idBy === IdBy::Switches => ["id {$end->station}, by its switches: ".str_pad(decbin($end->station), $end->switches, '0', STR_PAD_LEFT).', the highest first'],
            default => ["id {$end->station}"],
        };

        return [
            ...$id,
            "{$line->settings->baud} baud, {$line->settings->format()}",
            ...($line->settings->levels === Levels::Rs485 ? ['its 120 Ω '.($end->terminated ? 'on' : 'off'), ...($end->biased ? ['its bias on'] : [])] : []),
        ];
    }

    public function baud(Plan $plan, Endpoint $endpoint): int
    {
        return SerialSettings::at($plan->link($endpoint->linkId), $endpoint)->baud;
    }

    public function layout(Plan $plan, Link $link): ?FrameLayout
    {
        return SerialLine::of($plan, $link)->isBought() ? null : SerialFrame::layout(SerialSettings::of($link));
    }

    public function insides(Plan $plan, Endpoint $endpoint): array
    {
        return [];
    }

    public function cLines(Plan $plan, Endpoint $endpoint, string $prefix, Knowledge $knowledge): array
    {
        $line = SerialLine::of($plan, $plan->link($endpoint->linkId));
        // Devices that share a line share its framing, and the first says what that is.
        $check = $line->isBought() ? ($line->spoken()[0] ?? null)->check ?? Checksum::None : $line->settings->check;

        return CChecksum::lines($check, strtolower($prefix).'_check');
    }
}
