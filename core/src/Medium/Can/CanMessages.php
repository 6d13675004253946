<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Behaviour\FetchesReadings;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\TakesMemory;
use Rundfunk\Behaviour\WritesMessages;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;

/** Frames as messages and readings, and back. */
final readonly class CanMessages implements FetchesReadings, TakesMemory, WritesMessages
{
    public function messageLines(Plan $plan, Endpoint $endpoint, int $link, string $prefix, MessageNumbers $numbers): array
    {
        $tables = BoardTables::of($plan, $endpoint, $numbers);
        $name = CNames::comment($plan->link($endpoint->linkId)->name);
        if ($tables->isEmpty()) {
            return ["/* {$name}: nothing comes over it or goes, as far as this node is concerned. */", ''];
        }

        return explode("\n", strtr(implode("\n", CBoard::lines($tables)), ['{l}' => strtolower($prefix), '{L}' => $prefix, '{name}' => $name, '{link}' => (string) $link]));
    }

    public function fetched(Plan $plan, Endpoint $endpoint): array
    {
        return CanBus::of($plan, $plan->link($endpoint->linkId))->read($endpoint);
    }

    /** Only of what comes by itself is it known that it has stopped. */
    public function noticesSilence(Plan $plan, Endpoint $endpoint, Control $control): bool
    {
        $meant = CanBus::of($plan, $plan->link($endpoint->linkId))->meant($control);

        return $meant !== null && $meant[1]->silentMs() !== null;
    }

    public function fetchedBy(Plan $plan, Endpoint $endpoint, Control $control, string $prefix): string
    {
        $at = array_search($control->id, array_map(static fn (Control $one): string => $one->id, $this->fetched($plan, $endpoint)), true);

        return strtolower($prefix).'_value(&bus, '.(int) $at.', milliseconds()), of its struct '.strtolower($prefix).'_state';
    }

    public function memoryBytes(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): int
    {
        $tables = BoardTables::of($plan, $endpoint, $numbers);

        return $tables->isEmpty() ? 0 : CBoard::memoryBytes($tables);
    }

    public function programBytes(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): int
    {
        $tables = BoardTables::of($plan, $endpoint, $numbers);

        return $tables->isEmpty() ? 0 : CBoard::programBytes($tables);
    }
}
