<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Build\Artefact;
use Rundfunk\Build\ExportsFiles;
use Rundfunk\Drawing\Ink;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;
use Rundfunk\Text\FileName;

/** The patch of a universe on paper, as a table for other programs and as a sheet for the wall; and what a bridge must do. */
final readonly class DmxFiles implements ExportsFiles
{
    public function artefacts(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        $link = $plan->link($endpoint->linkId);
        $universe = Universe::of($plan, $link);
        $name = CNames::lower($link->name);
        $files = [];
        if ($universe->patched !== []) {
            $files[] = new Artefact('dmx-patch', "Patch of {$link->name} (CSV)", FileName::of($name, '-patch.csv'), 'text/csv', PatchSheet::csv($universe));
            $files[] = new Artefact('dmx-patch-sheet', "Patch of {$link->name} (drawing)", FileName::of($name, '-patch.svg'), 'image/svg+xml', PatchSheet::svg($universe, Ink::Paper));
        }
        $end = DmxEnd::of($endpoint);
        if ($endpoint->role->sends() && $end->bridges) {
            try {
                $form = BridgeForm::from($end->template);
                $files[] = new Artefact('dmx-bridge', "Program of the bridge of {$link->name} (C)", FileName::of($name, '_bridge.h'), 'text/x-c', CBridge::text($form, $end->template, $universe->slotsSent(), $universe->settings->breakUs, $universe->settings->markUs));
            } catch (BridgeFormRefused) {
                // Said where it is typed.
            }
        }

        return $files;
    }
}
