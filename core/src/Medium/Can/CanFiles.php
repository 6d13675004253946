<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Build\Artefact;
use Rundfunk\Build\ExportsFiles;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Can\Dbc\DescribedMessage;
use Rundfunk\Medium\Can\Dbc\WritesDbc;
use Rundfunk\Plan\BusMessage;
use Rundfunk\Plan\BusSignal;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;
use Rundfunk\Text\FileName;

/** All that is known to be sent on a bus, for whoever listens to it with a program of others. */
final readonly class CanFiles implements ExportsFiles
{
    public function artefacts(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        $link = $plan->link($endpoint->linkId);
        $bus = CanBus::of($plan, $link);
        $messages = [];
        foreach ($bus->ends as $end) {
            $node = $plan->node($end->nodeId)->name;
            $settings = $bus->end($end);
            foreach ($settings->messages as $message) {
                $messages[] = new DescribedMessage($node, $message->of);
            }
            if ($settings->identifier !== null && $bus->commands($end) !== []) {
                $messages[] = new DescribedMessage($node, new BusMessage('', $end->id, "Commands of {$node}", $settings->identifier, false, OwnFrame::BYTES, 0, [
                    new BusSignal('To', 0, 8), new BusSignal('Sequence', 8, 8), new BusSignal('Code', 16, 8), new BusSignal('Figure', 24, 16, false, true),
                ]));
            }
        }

        return $messages === [] ? [] : [new Artefact('dbc', "Messages of {$link->name} (DBC)", FileName::of(CNames::lower($link->name), '.dbc'), 'text/plain', WritesDbc::text($messages))];
    }
}
