<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\Signal;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;

/** A serial line whose bits the program times itself, on any two pins: where a board has no port for it but its console, and it is slow enough. */
final readonly class SoftwareSerial
{
    /** Beyond that the interrupts that run besides are longer than a bit. Common practice. */
    public const FASTEST_BAUD = 38_400;

    /** Under an operating system nobody times bits. */
    private const BARE_MHZ = 600.0;

    public function __construct(private Plan $plan, private Knowledge $knowledge)
    {
    }

    /** @return Module|null whose line goes by software; null where all have ports, or none can */
    public function wanted(Node $node): ?Module
    {
        $board = $this->catalogue()->boardOf($node);
        if ($board === null || $board->clockMhz >= self::BARE_MHZ || ! $this->isQuiet($node)) {
            return null;
        }
        foreach ((new PinPlanner($this->catalogue()))->plan($this->plan, $node)->placed ?? [] as ['demand' => $demand, 'pin' => $pin]) {
            $module = $demand->wants[0]['module'];
            if ($pin->console && str_starts_with((string) $demand->busLine, 'uart') && $this->canBe($module)) {
                return $module;
            }
        }

        return null;
    }

    /** @return list<Rewire> the wires of such a module, where pins are left for them that are not the console's */
    public function rewired(Node $node, Module $module): array
    {
        $draft = $this->plan->draft();
        foreach ($this->wires($node, $module) as $use) {
            $old = $this->plan->find(PinUse::kind(), $use->id);
            $old === null ? $draft->put($use) : $draft->change($old, ['bySoftware' => true]);
        }
        $planned = (new PinPlanner($this->catalogue()))->plan($draft->plan(), $node);
        $before = (new PinPlanner($this->catalogue()))->plan($this->plan, $node);
        $changes = [];
        foreach ($planned->placed ?? [] as ['demand' => $demand, 'pin' => $pin]) {
            ['module' => $of, 'terminal' => $terminal] = $demand->wants[0];
            if ($of->id === $module->id && $terminal->canBeSoftware()) {
                if ($pin->console) {
                    return [];
                }
                $changes[] = new Rewire($node, $module, $terminal, self::first($this->plan, $module, $terminal->name), $pin);
            }
        }

        return $changes !== [] && array_diff(self::left($planned), self::left($before)) === [] ? $changes : [];
    }

    /** @return list<string> terminals that no pin is left for */
    private static function left(?PinPlan $planned): array
    {
        return array_map(static fn (Demand $demand): string => "{$demand->wants[0]['module']->id} {$demand->wants[0]['terminal']->name}", $planned->unplaced ?? []);
    }

    /** @return list<PinUse> of the module's serial terminals: as they are, or for the planner to move */
    private function wires(Node $node, Module $module): array
    {
        $board = $this->catalogue()->boardOf($node);
        $uses = [];
        foreach ($this->catalogue()->classOf($module)->terminals as $terminal) {
            if (str_starts_with($terminal->needs, 'uart.')) {
                $uses[] = self::first($this->plan, $module, $terminal->name)
                    ?? new PinUse($this->plan->newId('pin-use', $module->id, $terminal->name), $module->id, $terminal->name, self::consolePin($board, $terminal->needs), bySoftware: true);
            }
        }

        return $uses;
    }

    /** Where nothing stays that can go elsewhere. */
    private static function consolePin(?Board $board, string $needs): string
    {
        foreach ($board->pins ?? [] as $pin) {
            if ($pin->console && $pin->serves($needs)) {
                return $pin->name;
            }
        }

        return '?';
    }

    private static function first(Plan $plan, Module $module, string $terminal): ?PinUse
    {
        foreach ($plan->pinUsesOf($module) as $use) {
            if ($use->terminal === $terminal) {
                return $use;
            }
        }

        return null;
    }

    /** Nothing else of the node is timed by its program, or must be heard when it comes. */
    private function isQuiet(Node $node): bool
    {
        foreach ($this->plan->modulesOf($node) as $module) {
            foreach ($this->catalogue()->classOf($module)->terminals as $terminal) {
                if (in_array($terminal->signal, [Signal::Pixels, Signal::Servo, Signal::Marks], true) || $terminal->isBySoftware(self::first($this->plan, $module, $terminal->name))) {
                    return false;
                }
            }
        }

        return true;
    }

    private function canBe(Module $module): bool
    {
        foreach ($this->plan->pinUsesOf($module) as $use) {
            if ($use->pinned) {
                return false;
            }
        }
        foreach ($this->plan->having(Endpoint::class, 'moduleId', $module->id) as $endpoint) {
            $baud = $this->knowledge->media->offering(SetsBaud::class, $this->plan->link($endpoint->linkId)->medium)?->baud($this->plan, $endpoint);
            if ($baud !== null) {
                return $baud <= self::FASTEST_BAUD;
            }
        }

        return false;
    }

    private function catalogue(): Catalogue
    {
        return $this->knowledge->catalogue;
    }
}
