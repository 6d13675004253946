<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Build\AgreesOn;
use Rundfunk\Build\Define;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\SetsUp;
use Rundfunk\Build\WritesC;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/** What the builder of an end needs: the rate and how its controller divides its clock, identifiers, filters. */
final readonly class CanBuild implements AgreesOn, DescribesEnds, SetsUp, WritesC
{
    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        $link = $plan->link($endpoint->linkId);
        $bus = CanBus::of($plan, $link);
        $end = $bus->end($endpoint);
        $defines = [new Define('BITRATE', (string) $bus->settings->bitrate), new Define('LISTEN_ONLY', $bus->isMute($endpoint) ? '1' : '0', $bus->isMute($endpoint) ? 'set its controller so before it joins the bus: it must not even acknowledge' : '')];
        if ($end->identifier !== null && $bus->commands($endpoint) !== [] && ! $bus->isMute($endpoint)) {
            $defines[] = new Define('ID', sprintf('0x%03X', $end->identifier), 'under which this node commands the others');
        }
        $names = new UniqueNames;
        foreach ($bus->ends as $other) {
            foreach ($bus->end($other)->messages as $message) {
                $of = $other->id === $endpoint->id ? '' : ' of '.$plan->node($other->nodeId)->name;
                $defines[] = new Define($names->name('ID_OF_'.CNames::upper($message->of->name)), sprintf('0x%X', $message->of->identifier), "{$message->of->name}{$of}".($message->of->extended ? ', 29 bits' : '').($message->of->periodMs > 0 ? ", every {$message->of->periodMs} ms" : ''));
            }
        }

        return $defines;
    }

    public function agreedOn(Plan $plan, Link $link): array
    {
        $said = [];
        foreach ($plan->endpointsOn($link) as $place => $end) {
            foreach ($plan->busMessagesOf($end) as $message) {
                $said[] = [$place, array_diff_key($message->values(), ['id' => true, 'endpointId' => true, 'name' => true, 'evidence' => true, 'order' => true])];
            }
        }

        return $said;
    }

    public function settingUp(Plan $plan, Endpoint $endpoint): array
    {
        $settings = CanSettings::of($plan->link($endpoint->linkId));
        $end = CanEnd::of($plan, $endpoint);
        $messages = array_map(static fn (CanMessage $message): string => "{$message->of->name} under {$message->hex()}".($message->of->periodMs > 0 ? ", every {$message->of->periodMs} ms" : ''), $end->messages);

        return ["{$settings->bitrate} bit/s", ...($settings->foreign ? [] : ['its resistor '.($end->terminated ? 'on' : 'off')]), ...$messages];
    }

    public function cLines(Plan $plan, Endpoint $endpoint, string $prefix, Knowledge $knowledge): array
    {
        $bus = CanBus::of($plan, $plan->link($endpoint->linkId));
        $end = $bus->end($endpoint);
        $class = $endpoint->moduleId === null ? null : $knowledge->of($plan)->catalogue->classOf($plan->module($endpoint->moduleId));
        $lines = [];
        $timing = $class === null ? null : Clock::timing($bus->settings, $end, $class);
        if ($timing !== null) {
            $crystal = rtrim(rtrim(sprintf('%.3f', $end->clockMHz), '0'), '.');
            $lines = [
                '', "/* The bit at {$crystal} MHz: {$timing->quanta()} quanta, sampled at {$timing->samplePointPercent()} %. */",
                "#define {$prefix}_PRESCALER {$timing->prescaler}", "#define {$prefix}_PROP_SEG {$timing->propSeg}", "#define {$prefix}_PHASE_SEG1 {$timing->phaseSeg1}", "#define {$prefix}_PHASE_SEG2 {$timing->phaseSeg2}", "#define {$prefix}_SJW {$timing->sjw}",
            ];
        }

        return isset($class->figures['filters']) ? [...$lines, ...self::filters($bus, $endpoint, $prefix)] : $lines;
    }

    /** @return list<string> */
    private static function filters(CanBus $bus, Endpoint $endpoint, string $prefix): array
    {
        $wanted = $bus->wanted($endpoint);
        if ($wanted === []) {
            return [];
        }
        $filters = Filters::for($wanted, Overheard::on($bus, $endpoint));
        $lines = ['', '/* What its controller lets through: '.($filters->strangers === [] ? 'what this node needs, and nothing else that is known to be sent. */' : 'what this node needs, and '.implode(', ', array_map(Recording::hex(...), $filters->strangers)).', which it must drop. */')];
        foreach ($filters->banks as $bank => $own) {
            // A bank that is not needed lets through what the other does: none may stay open.
            ['mask' => $mask, 'extended' => $extended, 'filters' => $values] = $own['filters'] === [] ? $filters->banks[1 - $bank] : $own;
            $lines[] = sprintf('#define %s_MASK_%d 0x%X%s', $prefix, $bank, $mask, $extended ? 'UL /* 29 bits */' : '');
            foreach (range(0, [1, 3][$bank] ?? 0) as $place) {
                $lines[] = sprintf('#define %s_FILTER_%d_%d 0x%X%s', $prefix, $bank, $place, $values[$place] ?? $values[0] ?? 0, $extended ? 'UL' : '');
            }
        }

        return $lines;
    }
}
