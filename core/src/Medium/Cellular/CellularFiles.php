<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Build\Artefact;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Exchange\Csv;
use Rundfunk\Figures;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Text\CNames;
use Rundfunk\Text\FileName;
use Rundfunk\Text\OneLine;

/** For a modem's node the dialogue and the list; for a phone's owner a card of what to call and text. */
final readonly class CellularFiles
{
    /** @return list<Artefact> */
    public static function of(Plan $plan, Endpoint $endpoint, Catalogue $catalogue): array
    {
        $node = $plan->node($endpoint->nodeId);
        $name = CNames::lower($node->name);
        if ($node->kind === NodeKind::Phone) {
            return [new Artefact('phone-card', 'What to call and text', FileName::of($name, '-card.txt'), 'text/plain', self::card($plan, $endpoint))];
        }
        $modem = Modem::of($plan, $endpoint, $catalogue);

        return $modem === null ? [] : [
            new Artefact('modem-dialogue', 'Dialogue with the modem', FileName::of($name, '-modem.txt'), 'text/plain', self::dialogue($plan, $modem)),
            new Artefact('allow-list', 'Whom it obeys', FileName::of($name, '-allowed.csv'), 'text/csv', Csv::write([
                ['name', 'number'],
                ...array_map(static fn (array $one): array => [$one['name'], $one['number']], Commands::allowed($plan, $modem->link)),
            ])),
        ];
    }

    private static function dialogue(Plan $plan, Modem $modem): string
    {
        $lines = ["Dialogue of {$modem->node->name} with its modem, {$modem->end->baud} baud 8N1. Wait for each reply, not for a time.", ''];
        $parts = ['Until it is ready' => Dialogue::bringUp($plan, $modem), 'Then' => Dialogue::service($plan, $modem), "Every {$modem->end->reportMin} minutes" => Dialogue::report($plan, $modem)];
        foreach (array_filter($parts, static fn (array $steps): bool => $steps !== []) as $title => $steps) {
            $lines[] = $title;
            foreach ($steps as $number => $step) {
                $lines[] = sprintf('%2d  send    %s', $number + 1, $step->send === '' ? '(nothing: it speaks first)' : $step->send);
                $lines[] = "    expect  {$step->expect}".($step->orExpect === null ? '' : "  or  {$step->orExpect}").($step->timeoutMs > 0 ? sprintf('   within %s s, %s', Figures::significant($step->timeoutMs / 1000), Figures::counted($step->tries, 'time')) : '');
                $lines[] = "    why     {$step->why} [{$step->source}]";
                if ($step->ifNot !== '') {
                    $lines[] = "    if not  {$step->ifNot}";
                }
            }
            $lines[] = '';
        }
        $lines[] = 'What its lamp says by how often it flashes';
        foreach (ModemLamp::cases() as $lamp) {
            $lines[] = "    {$lamp->flashes()}: {$lamp->words()}";
        }
        $lines[] = '';

        return self::written($lines);
    }

    private static function card(Plan $plan, Endpoint $endpoint): string
    {
        $lines = ["{$plan->node($endpoint->nodeId)->name}: what to call and text", ''];
        foreach ($plan->hopsFrom($endpoint) as $hop) {
            $route = $plan->route($hop->routeId);
            $control = $plan->control($route->controlId);
            $to = $plan->endpoint($hop->toId);
            $number = Commands::number($plan, $to)->e164 ?? $plan->node($to->nodeId)->name;
            $word = Commands::word($control);
            $does = RouteNames::does($plan, $route);
            $lines[] = match (true) {
                Commands::callsBack($control) => "Call {$number}: it hangs up and calls back. Answer, and press 1: {$does}.",
                $control->kind === ControlKind::Call => "Call {$number}: {$does}. It hangs up; nothing is answered.",
                $word === null => "{$control->name}: no command word yet.",
                default => "Text \"{$word}".(Commands::takesNumber($control, $route) ? ' and a number' : '').(Commands::needsSecret($control) ? ' and your secret' : '')."\" to {$number}: {$does}.".(Commands::answers($control) ? ' It answers with the state afterwards.' : ''),
            };
        }

        return self::written([...$lines, '', 'Texts can come late. No answer within a few minutes means that you do not know.', '']);
    }

    /** @param  list<string>  $lines  which hold names */
    private static function written(array $lines): string
    {
        return implode("\n", array_map(OneLine::of(...), $lines));
    }
}
