<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Behaviour\NeverTogether;
use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Check\Wire;
use Rundfunk\Exchange\Csv;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Pins\OnLevel;
use Rundfunk\Plan\ContactForm;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\SecondBreak;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\Levels\WireLevels;
use Rundfunk\Power\SupplyTree;

/** Every wire of one node: its supplies first, then module by module, with the parts between. What its builder solders by. */
final class WiringTable
{
    /** @var list<WiringRow> */
    public readonly array $rows;

    private readonly SupplyTree $tree;

    private readonly Catalogue $catalogue;

    private function __construct(private readonly Plan $plan, private readonly Node $node, private readonly Knowledge $knowledge)
    {
        $this->catalogue = $knowledge->catalogue;
        $catalogue = $this->catalogue;
        $this->tree = new SupplyTree($plan, $catalogue);
        $board = $catalogue->boardOf($node);
        // What was bought has no pins of ours; it is set by hand, and wires come to it all the same.
        $this->rows = [...($board === null ? $this->setUp() : [...$this->supplies($board), ...$this->modules($board)]), ...($board === null && ! $node->kind->isBought() ? [] : CableRows::of($plan, $node, $knowledge))];
    }

    /** @return list<WiringRow> what to set on a bought thing by hand */
    private function setUp(): array
    {
        $rows = [];
        foreach ($this->node->kind->isBought() ? $this->plan->endpointsOf($this->node) : [] as $endpoint) {
            $link = $this->plan->link($endpoint->linkId);
            foreach ($this->knowledge->media->offering(SetsUp::class, $link->medium)?->settingUp($this->plan, $endpoint) ?? [] as $what) {
                $rows[] = new WiringRow($link->name, 'set it to', '', '', '', $what);
            }
        }

        return $rows;
    }

    public static function of(Plan $plan, Node $node, Knowledge $knowledge): self
    {
        return new self($plan, $node, $knowledge->of($plan));
    }

    /** @return string RFC 4180, with a header line; cells that a spreadsheet would take for a formula are quoted with an apostrophe */
    public function csv(): string
    {
        return Csv::write([
            ['module', 'terminal', 'pin', 'carries', 'level', 'note'],
            ...array_map(static fn (WiringRow $row): array => array_values($row->jsonSerialize()), $this->rows),
        ]);
    }

    /** @return list<WiringRow> what the supplies of the node hang on, and where the board gets its own */
    private function supplies(Board $board): array
    {
        $rows = [];
        foreach ($this->plan->suppliesOf($this->node) as $supply) {
            $class = $this->tree->classOf($supply);
            if ($class->isBoardPin()) {
                continue;
            }
            $parent = $this->tree->parent($supply);
            if ($class->sort->isFed()) {
                $rows[] = new WiringRow($supply->name, 'in +', $parent === null ? '?' : $this->at($parent), '', $parent === null ? '' : $this->tree->volts($parent)?->words() ?? '', $parent === null ? 'Nothing feeds it yet.' : $class->advice);
                $rows[] = new WiringRow($supply->name, 'in −', 'GND', '', '0 V', '');
            }
            if ($supply->feedsAt !== null) {
                $input = $board->input($supply->feedsAt);
                $fuse = $supply->fuseA === null ? '' : 'Behind a fuse of '.Figures::significant($supply->fuseA).' A. ';
                $rows[] = new WiringRow($supply->name, 'out +', $input->name ?? '?', $this->node->name, $this->tree->volts($supply)?->words() ?? '', $fuse.$class->advice);
            }
        }

        return $rows;
    }

    /** @return list<WiringRow> */
    private function modules(Board $board): array
    {
        $rows = [];
        foreach ($this->plan->modulesOf($this->node) as $module) {
            $class = $this->catalogue->classOf($module);
            foreach ($class->supplyTerminals as $name => $goes) {
                $rows[] = match ($goes) {
                    'ground' => $this->ground($module, $name),
                    'load' => new WiringRow($module->name, $name, 'plus of the load', '', '', 'From a supply of its own for what it drives, fused at its terminal; grounds joined.'),
                    default => $this->feed($board, $module, $class, $name),
                };
                $rows = [...$rows, ...$this->parts($module, $name, null)];
            }
            if ($module->signalSupplyId !== null) {
                $signal = $this->plan->supply($module->signalSupplyId);
                $rows[] = new WiringRow($module->name, 'signal side', $this->at($signal), '', $this->tree->volts($signal)?->words() ?? '', 'Its jumper off: the diodes live on this, the coils on the other.');
            }
            $uses = [];
            foreach ($this->plan->pinUsesOf($module) as $use) {
                $uses[$use->terminal] ??= $use;
            }
            $carried = OnTerminal::carried($this->plan, $module, $class);
            foreach ($class->terminals as $terminal) {
                $things = $carried[$terminal->name] ?? [];
                if (isset($uses[$terminal->name]) || $things !== [] || ($terminal->carries === null && $terminal->with === null)) {
                    $rows = [...$rows, ...$this->signal($board, $module, $class, $terminal, $uses[$terminal->name] ?? null, $things)];
                }
            }
            $rows = [...$rows, ...$this->ofItsLink($module)];
        }

        return $rows;
    }

    /** @return list<WiringRow> the parts that follow from the settings of a module's link: the resistor before an emitter */
    private function ofItsLink(Module $module): array
    {
        $rows = [];
        foreach ($this->plan->having(Endpoint::class, 'moduleId', $module->id) as $endpoint) {
            $link = $this->plan->link($endpoint->linkId);
            foreach ($this->knowledge->media->offering(ListsParts::class, $link->medium)?->partLines($this->plan, $endpoint, $this->knowledge) ?? [] as $line) {
                $rows[] = new WiringRow($module->name, $line->at, "{$line->what}, {$line->rating}", '', '', "Worked out of what {$link->name} says of this end.");
            }
        }

        return $rows;
    }

    /** Where a wire from a supply begins. */
    private function at(Supply $supply): string
    {
        return $this->tree->rail($supply)->name ?? "{$supply->name} +";
    }

    private function feed(Board $board, Module $module, ModuleClass $class, string $name): WiringRow
    {
        $supply = $this->tree->feeding($module);
        $note = match (true) {
            $supply === null => 'No supply chosen yet.',
            $board->logicV > 4.0 && $class->maxV < 4.0 && $class->levels !== null => "Its inputs stand 5 V only while this is 2.7 to 3.3 V; 5 V here kills it. {$class->advice}",
            default => $class->advice,
        };

        return new WiringRow($module->name, $name, $supply === null ? '?' : $this->at($supply), '', $supply === null ? '' : $this->tree->volts($supply)?->words() ?? 'not said', $note);
    }

    private function ground(Module $module, string $name): WiringRow
    {
        $supply = $this->tree->feeding($module);
        $shared = $supply === null || $this->tree->classOf($supply)->isBoardPin() || $this->hangsOnTheBoards($supply);

        return new WiringRow($module->name, $name, 'GND', '', '0 V', $shared ? '' : 'Join the grounds of both supplies.');
    }

    /** It lives on what feeds the board, or on one of the board's pins. */
    private function hangsOnTheBoards(Supply $supply): bool
    {
        $feeder = $this->tree->feeder($this->node);
        foreach ([$supply, ...$this->tree->above($supply)] as $one) {
            if ($one->id === $feeder?->id || $this->tree->classOf($one)->isBoardPin()) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Control|Output>  $things  on the terminal
     * @return list<WiringRow>
     */
    private function signal(Board $board, Module $module, ModuleClass $class, Terminal $terminal, ?PinUse $use, array $things): array
    {
        $pin = $use === null ? null : $board->pin($use->pin);
        $levels = $use === null ? null : WireLevels::of(new Wire($this->node, $board, $module, $terminal, $use, $pin), $class, $this->tree->signalVoltsOf($module)?->nominalV, $this->plan->partsOf($module));
        $note = $terminal->doc;
        if ($pin?->header !== null) {
            $note .= " Pin {$pin->header} of the header.";
        }
        if ($pin !== null && $pin->note !== '' && ! $terminal->onBus()) {
            $note .= ' '.$pin->note;
        }
        if ($terminal->isBySoftware($use)) {
            $note .= ' The program makes this signal itself.';
        }
        $rows = [new WiringRow($module->name, $terminal->name, $use->pin ?? ($terminal->optional ? 'leave open' : '?'), OnTerminal::names($things), $use === null ? '' : $this->level($board, $module, $class, $terminal, $levels), $note)];
        $rows = [...$rows, ...$this->parts($module, $terminal->name, $levels)];
        foreach ($class->switches !== null && $class->carries !== 'relay' && $terminal->with === null ? $things : [] as $output) {
            foreach ($output instanceof Output ? $this->plan->loadsOn($output) : [] as $load) {
                $rows[] = $this->load($module, $load);
            }
        }
        foreach ($class->carries === 'relay' && $terminal->with === null ? $things : [] as $output) {
            if ($output instanceof Output) {
                $rows = [...$rows, ...$this->contacts($module, $terminal, $output)];
            }
        }

        return $rows;
    }

    private function level(Board $board, Module $module, ModuleClass $class, Terminal $terminal, ?WireLevels $levels): string
    {
        $high = $levels?->arrivesV() ?? ($levels?->isShifted() === true ? ($levels->driven ? $levels->supplyV : $board->logicV) : null) ?? $board->logicV;
        $volts = Figures::significant($high).' V';

        return match (true) {
            $terminal->carries === 'output' && $terminal->signal !== null => "{$volts}, {$terminal->signal->words()}",
            $class->keepsState => 'high for 20 ms',
            $terminal->carries === 'output' => OnLevel::switchesLow($this->plan, $module, $class, $terminal->name) ? 'low = on' : 'high = on',
            $terminal->contact => 'low = pressed',
            $terminal->needs === 'analogue' => "0–{$volts}",
            $terminal->open => 'low, or let go',
            $class->carries === 'reading' => "{$volts} data",
            default => "{$volts} logic",
        };
    }

    /** @return list<WiringRow> a line for each part at a terminal, with what it makes of the level */
    private function parts(Module $module, string $terminal, ?WireLevels $levels): array
    {
        $rows = [];
        foreach ($this->plan->partsOf($module) as $part) {
            if ($part->terminal === $terminal) {
                $arrives = $part->share() === null || $levels?->arrivesV() === null ? '' : Figures::significant($levels->arrivesV()).' V';
                $rows[] = new WiringRow($module->name, $terminal, PartWords::of($part), '', $arrives, self::how($part, $levels));
            }
        }

        return $rows;
    }

    private static function how(Part $part, ?WireLevels $levels): string
    {
        $hears = $levels?->driven === true ? 'the module' : 'the board';

        return match ($part->kind) {
            PartKind::Divider => 'The first in the wire, the second from behind it to ground, close to '.$hears.'.',
            PartKind::Shifter => 'One channel between; its two supply pins to the two voltages, grounds joined.',
            PartKind::PullUp => 'From the wire to the supply of '.($levels === null ? 'the board.' : 'the module.'),
            PartKind::PullDown => 'From the wire to ground.',
            PartKind::SeriesResistor => 'In the wire.',
            PartKind::Driver => 'Emitter to ground, collector to the terminal, base by its resistor to the pin: it turns the signal over. 10 kΩ from base to ground.',
            PartKind::Capacitor => 'Across supply and ground, right at the module. Mind which end is plus.',
            PartKind::FlybackDiode => 'Across the coil or motor, the ring towards plus.',
            PartKind::Snubber => 'Across the contact that switches the load.',
        };
    }

    /**
     * The contacts of a relay: on the sheet, for that is where the load is wired.
     *
     * @return list<WiringRow>
     */
    private function contacts(Module $module, Terminal $terminal, Output $output): array
    {
        $number = (string) preg_replace('/\D/', '', $terminal->name);
        $loads = $this->plan->loadsOn($output);
        $named = $loads === [] ? ($output->load === '' ? $output->name : "{$output->name}: {$output->load}") : implode(': ', array_unique([$output->name, implode(', ', array_map(static fn (Load $load): string => $load->name, $loads))]));
        $closed = $output->contact === ContactForm::NormallyClosed;
        $others = array_map(static fn (Output $other): string => $other->name, NeverTogether::with($this->plan, $output));
        $apart = $output->interlocked && $others !== [] ? ' Its line comes over the normally closed contact of '.implode(' and ', $others).'.' : '';
        $rows = [
            new WiringRow($module->name, "COM{$number}", 'plus, or the line', $output->name, '', 'The common contact: what comes from the supply of the load, behind its fuse.'.$apart),
            new WiringRow($module->name, "NO{$number}", $closed ? 'leave open' : 'the load', $closed ? '' : $output->name, '', $closed ? 'Normally open: on while the relay is.' : "Normally open, on while the relay is: {$named}."),
            new WiringRow($module->name, "NC{$number}", $closed ? 'the load' : 'leave open', $closed ? $output->name : '', '', $closed ? "Normally closed, on while the relay is not, and without power: {$named}." : 'Normally closed: on while the relay is not, and without power.'),
        ];
        if ($output->secondBreak !== SecondBreak::None) {
            $rows[] = new WiringRow($module->name, 'in the line', $output->secondBreak->words(), $output->name, '', 'In series with the contact: it opens when that welds, and hangs on neither this board nor the network.');
        }
        foreach ($loads as $load) {
            $rows[] = $this->load($module, $load);
        }

        return $rows;
    }

    private function load(Module $module, Load $load): WiringRow
    {
        $feed = $load->circuitId !== null ? 'circuit '.$this->plan->circuit($load->circuitId)->name : ($load->supplyId === null ? 'nobody said what' : $this->plan->supply($load->supplyId)->name);
        $what = implode(', ', array_filter([
            $load->count > 1 ? "{$load->count} of them" : '',
            $load->watts === null ? '' : Figures::significant((float) $load->allWatts()).' W',
            $load->sort->words(),
            $load->fuseA === null ? '' : 'its own fuse of '.Figures::significant($load->fuseA).' A '.$load->fuseAt->words(),
            $load->connector, $load->colour,
            $load->use->draws() ? '' : $load->use->words(),
        ], static fn (string $one): bool => $one !== ''));

        return new WiringRow($module->name, $load->outlet === '' ? 'load' : "outlet {$load->outlet}", $feed, $load->name, '', "{$what}.");
    }
}
