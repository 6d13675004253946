<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Behaviour\CBehaviour;
use Rundfunk\Behaviour\CFieldNames;
use Rundfunk\Behaviour\ClassScale;
use Rundfunk\Behaviour\CSize;
use Rundfunk\Behaviour\Fetched;
use Rundfunk\Behaviour\FetchesReadings;
use Rundfunk\Behaviour\Heard;
use Rundfunk\Behaviour\LinkMemory;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\NodeTables;
use Rundfunk\Behaviour\Said;
use Rundfunk\Behaviour\SaysAllAtOnce;
use Rundfunk\Behaviour\Scales;
use Rundfunk\Behaviour\Tabulation;
use Rundfunk\Behaviour\WritesMessages;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;
use Rundfunk\Text\FileName;
use Rundfunk\Text\UniqueNames;

/** What a node does, for its builder: a header that is the whole of its behaviour, and the same tables for whoever programs in something else. */
final readonly class BehaviourFiles
{
    private HeaderPins $pins;

    private CFieldNames $names;

    private function __construct(private Plan $plan, private Node $node, private Knowledge $knowledge, private NodeTables $tables)
    {
        $this->pins = HeaderPins::of($plan, $node, $knowledge, new UniqueNames);
        $this->names = CFieldNames::of($tables);
    }

    /** @return list<Artefact> none for what was bought as it is */
    public static function of(Plan $plan, Node $node, Knowledge $knowledge): array
    {
        if ($node->kind->isBought()) {
            return [];
        }
        $knowledge = $knowledge->of($plan);
        $tables = Tabulation::of($plan, $node, $knowledge);
        $name = CNames::lower($node->name);

        return [
            new Artefact('c-behaviour', 'Behaviour', FileName::of($name, '_behaviour.h'), 'text/x-c', CBehaviour::write($tables, FileName::of($name, '.h'), (new self($plan, $node, $knowledge, $tables))->preface(), self::messages($plan, $node, $knowledge))),
            new Artefact('node-json', 'Behaviour as tables', FileName::of($name, '-behaviour.json'), 'application/json', json_encode($tables, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n"),
        ];
    }

    /** @return list<string> what turns that which comes and goes into messages and back */
    private static function messages(Plan $plan, Node $node, Knowledge $knowledge): array
    {
        $lines = [];
        $prefixes = (new CHeader($knowledge))->prefixes($plan, $node);
        $numbers = new MessageNumbers($plan, $knowledge->media);
        foreach ($plan->endpointsOf($node) as $link => $endpoint) {
            $writes = $knowledge->media->offering(WritesMessages::class, $plan->link($endpoint->linkId)->medium);
            $lines = [...$lines, ...$writes?->messageLines($plan, $endpoint, $link, $prefixes[$endpoint->id], $numbers) ?? []];
        }

        return $lines;
    }

    /** @return list<string> */
    private function preface(): array
    {
        return [
            "What {$this->node->name} does, of the plan \"{$this->plan->properties->name}\"",
            'Made by Rundfunk from the plan. Change the plan and export again; do not change this file.',
            '',
            ...$this->size(),
            '',
            'In your program, with whatever reads and writes pins and counts milliseconds on this board:',
            '',
            '  struct node_state me; struct node_inputs in; struct node_outputs out; struct node_told told;',
            ...$this->before(),
            '  node_start(&me, milliseconds());',
            ...$this->restoring(),
            ...($this->node->watchdog ? ['  start the watchdog of the chip, WATCHDOG_MS;'] : []),
            '  and then, again and again:',
            ...($this->node->watchdog ? ['  feed the watchdog, here and nowhere else;'] : []),
            ...$this->reading(),
            '  node_step(&me, milliseconds(), minute_of_day, &in, heard, count, &out, &told);',
            ...$this->writing(),
            ...($this->tables->told === [] && $this->tables->heard === [] ? [] : ['  for each of told.message: send it, as the table of what is told says; what comes in goes into heard.']),
            ...$this->whole(),
            ...($this->tables->leftOut === [] ? [] : ['', 'Your program must do without:', ...array_map(static fn (string $line): string => "  {$line}", $this->tables->leftOut)]),
            ...$this->codes('It tells', array_map(static fn (Said $said): array => [$said->link, $said->to, $said->code, "{$said->says} ({$said->for})"], $this->tables->told)),
            ...$this->codes('It obeys', array_map(static fn (Heard $heard): array => [$heard->link, $heard->from, $heard->code, $heard->says], $this->tables->heard)),
        ];
    }

    /** @return list<string> */
    private function size(): array
    {
        $board = $this->knowledge->catalogue->boardOf($this->node);
        $size = CSize::of($this->tables);
        $lines = LinkMemory::of($this->plan, $this->node, $this->knowledge);
        $memory = $board === null || $board->memoryKb > 16 ? ', a little more on this board' : " of the {$board->memoryKb} kB";

        $bytes = $size->memoryBytes() + $lines;
        $program = $size->programBytes() + LinkMemory::program($this->plan, $this->node, $this->knowledge->media);

        return ["Memory: {$bytes} bytes{$memory}.".($lines > 0 ? " {$lines} of them what its lines remember." : '').' Program: about '.Figures::significant($program / 1_000).' kB on an 8-bit board, not measured elsewhere.'];
    }

    /** @return list<string> */
    private function before(): array
    {
        $lines = [];
        foreach ($this->outputs() as [$field, $output, $pin, $switch]) {
            if ($output->kind->isWired()) {
                $on = $output->atStart === AtStart::On;
                $put = $switch === null ? "put {$pin} to {$field} ".($on ? 'on' : 'off') : 'write('.$pin.', '.($on ? $switch['on'] : $switch['off']).')';
                $lines[] = $output->levelFirst ? "  {$put}; then make it an output;" : "  make {$pin} an output; then {$put};";
            }
        }

        return array_values(array_unique($lines));
    }

    /** @return list<string> how outputs come to stand as before a power cut */
    private function restoring(): array
    {
        $lines = [];
        foreach ($this->tables->outputs as $index => $output) {
            if ($output->atStart === AtStart::Last) {
                $lines[] = "  node_restore(&me, {$index}, what {$output->name} was kept as);";
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private function writing(): array
    {
        $lines = [];
        foreach ($this->outputs() as [$field, $output, $pin, $switch]) {
            $known = $this->tables->outputs[count($lines)]->unheardMs > 0;
            $lines[] = match (true) {
                $output->kind === OutputKind::Display => '  show '.($known ? "out.{$this->names->known[count($lines)]} ? out.{$field} : \"nobody knows\"" : "out.{$field}").';',
                $output->kind->hasSteps() => "  out.{$field} is 1 while {$output->name} is on; nothing hangs on it;",
                $switch === null => "  bring {$pin} to out.{$field};",
                default => "  write({$pin}, out.{$field} ? {$switch['on']} : {$switch['off']});",
            };
        }

        return $lines;
    }

    /** @return list<string> what a program does about links whose frames say all */
    private function whole(): array
    {
        $lines = [];
        $prefixes = (new CHeader($this->knowledge))->prefixes($this->plan, $this->node);
        foreach ($this->plan->endpointsOf($this->node) as $endpoint) {
            $link = $this->plan->link($endpoint->linkId);
            $all = $this->knowledge->media->offering(SaysAllAtOnce::class, $link->medium);
            foreach ($all?->saysAll($link) === true ? $all->glue($this->plan, $endpoint, $prefixes[$endpoint->id]) : [] as $line) {
                $lines[] = "    {$line}";
            }
        }

        return $lines;
    }

    /** @return list<array{string, Output, string, array{on: string, off: string}|null}> field, pin and levels of each output, in the order of the tables */
    private function outputs(): array
    {
        $standing = array_values(array_filter($this->plan->outputsOf($this->node), static fn (Output $output): bool => $output->kind->stands()));

        return array_map(fn (string $field, Output $output): array => [$field, $output, $this->pins->pins["{$output->moduleId} {$output->channel}"] ?? 'its pin, when it has one', $this->pins->switches["{$output->moduleId} {$output->channel}"] ?? null], $this->names->outputs, $standing);
    }

    /** @return list<string> */
    private function reading(): array
    {
        $lines = [];
        foreach ($this->inputs() as [$field, $control]) {
            $pin = $this->pins->pins["{$control->moduleId} {$control->terminal}"] ?? 'its pin, when it has one';
            $module = $control->moduleId === null ? null : $this->plan->module($control->moduleId);
            $reported = $module !== null && $this->knowledge->catalogue->classOf($module)->report?->names($control->terminal ?? '') === true;
            $lines[] = "  in.{$field} = ".match (true) {
                $control->nodeId !== $this->node->id => "{$this->fetchedBy($control)};",
                $reported => CNames::lower($module->name).'.'.CNames::lower($control->terminal ?? '').', as '.CNames::lower($module->name).'_report_read gives it;',
                $control->kind === ControlKind::Reading && Scales::of($control) !== null => "what the converter reads at {$pin}; NODE_FAILED {$this->broken($module)};",
                $control->kind === ControlKind::Reading => 'what the sensor says, in thousandths; NODE_FAILED when it does not;',
                $control->kind === ControlKind::Axis => "what the converter reads at {$pin};",
                $control->kind === ControlKind::Button, $control->kind === ControlKind::Switch => "read({$pin}) == 0;",
                default => 'whatever notices it;',
            };
        }

        return $lines;
    }

    /** When what is read is not the sensor: where its class says how it reads, a short and a broken wire are known by it. */
    private function broken(?Module $module): string
    {
        $curve = $module === null ? null : $this->knowledge->catalogue->classOf($module)->thermistor;
        $board = $this->knowledge->catalogue->boardOf($this->node);
        $sound = $curve === null || $board === null ? null : ClassScale::sound($curve, $board);

        return $sound === null ? 'when that is no reading' : "below {$sound[0]} (a short) or above {$sound[1]} (a broken wire), or it passes for heat or cold";
    }

    private function fetchedBy(Control $control): string
    {
        foreach (Fetched::by($this->plan, $this->node, $this->knowledge->media) as $one) {
            if ($one['control']->id === $control->id) {
                $medium = $this->plan->link($one['endpoint']->linkId)->medium;
                $prefixes = (new CHeader($this->knowledge))->prefixes($this->plan, $this->node);

                return $this->knowledge->media->offering(FetchesReadings::class, $medium)?->fetchedBy($this->plan, $one['endpoint'], $control, $prefixes[$one['endpoint']->id]) ?? 'NODE_FAILED';
            }
        }

        return 'NODE_FAILED';
    }

    /** @return list<array{string, Control}> in the order of the tables: contacts, readings, sticks */
    private function inputs(): array
    {
        $sorted = ['contacts' => [], 'gauges' => [], 'sticks' => []];
        foreach ([...$this->plan->controlsOf($this->node), ...array_column(Fetched::by($this->plan, $this->node, $this->knowledge->media), 'control')] as $control) {
            $table = match (true) {
                $control->kind === ControlKind::Reading => 'gauges',
                $control->kind === ControlKind::Axis, $control->kind === ControlKind::Widget && $control->saysValue() => 'sticks',
                in_array($control->kind, [ControlKind::Timer, ControlKind::Step, ControlKind::State, ControlKind::Key, ControlKind::Call, ControlKind::Text], true) => null,
                default => 'contacts',
            };
            if ($table !== null) {
                $sorted[$table][] = $control;
            }
        }

        return array_map(static fn (string $field, Control $control): array => [$field, $control], [...$this->names->contacts, ...$this->names->gauges, ...$this->names->sticks], array_merge(...array_values($sorted)));
    }

    /**
     * @param  list<array{int, int, int, string}>  $rows  link, node (0 for anyone), code, words
     * @return list<string>
     */
    private function codes(string $title, array $rows): array
    {
        $lines = [];
        foreach ($rows as [$link, $node, $code, $words]) {
            $ends = $this->tables->links[$link];
            $lines[] = sprintf('  link %d, node %d, code %d: %s, %s: %s', $link, $node, $code, $ends->name, $ends->nodes[$node - 1] ?? 'from anyone', $words);
        }

        return $lines === [] ? [] : ['', "{$title}:", ...$lines];
    }
}
