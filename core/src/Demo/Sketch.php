<?php

declare(strict_types=1);

namespace Rundfunk\Demo;

use LogicException;
use Rundfunk\Assign\Assigner;
use Rundfunk\Catalogue\OwnClass;
use Rundfunk\DerivedId;
use Rundfunk\Format\ThingReader;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\PlanDraft;
use Rundfunk\Plan\PlanProperties;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Sleep;
use Rundfunk\Plan\Supply;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Tie;
use Rundfunk\Shape\Problems;

/** Puts a plan together by short names. For the plans that ship with the program, and for tests. */
final class Sketch
{
    private readonly PlanDraft $draft;

    /** @var array<string, int> */
    private array $orders = [];

    /** @param  list<int>  $busyWifi */
    public function __construct(private readonly string $seed, string $name, private readonly Assigner $assigner, string $region = 'eu', array $busyWifi = [], string $note = '')
    {
        $this->draft = new PlanDraft(new PlanProperties(DerivedId::of('plan', $seed), $name, $region, $busyWifi, $note));
    }

    public function id(string $key): string
    {
        return DerivedId::of($this->seed, $key);
    }

    public function place(string $key, string $name): self
    {
        return $this->put(ThingKind::Place, $key, ['name' => $name]);
    }

    /** @param  array<string, mixed>  $more further fields */
    public function node(string $key, string $name, NodeKind $kind, ?string $place, ?string $board, array $more = []): self
    {
        return $this->put(ThingKind::Node, $key, ['name' => $name, 'kind' => $kind->value, 'placeId' => $place === null ? null : $this->id($place), 'board' => $board, ...$more]);
    }

    /**
     * @param  string  $copyOf  a class of board or module of the catalogue
     * @param  array<string, mixed>  $otherwise  what of its description is not as there
     */
    public function describe(ThingKind $kind, string $key, string $name, string $copyOf, array $otherwise = []): self
    {
        return $this->put($kind, $key, ['name' => $name, 'copyOf' => $copyOf, 'description' => [...OwnClass::description($copyOf, $this->assigner->knowledge->catalogue), ...$otherwise]]);
    }

    /**
     * What a bought device speaks.
     *
     * @param  array<string, mixed>  $values
     */
    public function protocol(string $key, string $name, array $values): self
    {
        return $this->put(ThingKind::Protocol, $key, ['name' => $name, ...$values]);
    }

    /**
     * A kind of lamp that obeys slots.
     *
     * @param  array<string, mixed>  $values
     */
    public function fixtureType(string $key, string $name, array $values): self
    {
        return $this->put(ThingKind::FixtureType, $key, ['name' => $name, ...$values]);
    }

    /** @return string the key of such a class, for a node or a module */
    public function classOf(string $own): string
    {
        return Tie::OWN.$this->id($own);
    }

    /** Its board sleeps: between readings, if nothing else is said. */
    public function sleeping(string $node, Sleep $how = Sleep::Between): self
    {
        return $this->change(ThingKind::Node, $node, ['sleep' => $how->value]);
    }

    /** Another supply than was said at first: as two that live on each other. */
    public function refeed(string $supply, string $parent): self
    {
        return $this->change(ThingKind::Supply, $supply, ['parentId' => $this->id($parent)]);
    }

    /** @param  array<string, mixed>  $values  but its parent, which is a key */
    public function circuit(string $key, string $name, array $values = [], ?string $parent = null): self
    {
        return $this->put(ThingKind::Circuit, $key, ['name' => $name, 'parentId' => $parent === null ? null : $this->id($parent), ...$values]);
    }

    /**
     * @param  string|null  $output  a key
     * @param  string|null  $circuit  a key
     * @param  array<string, mixed>  $values  further fields
     */
    public function load(string $key, string $name, ?string $output, ?string $circuit, LoadKind $sort, ?float $watts, array $values = []): self
    {
        return $this->put(ThingKind::Load, $key, ['name' => $name, 'outputId' => $output === null ? null : $this->id($output), 'circuitId' => $circuit === null ? null : $this->id($circuit), 'sort' => $sort->value, 'watts' => $watts, ...$values]);
    }

    /** @param  array<string, mixed>  $values */
    public function change(ThingKind $kind, string $key, array $values): self
    {
        $thing = $this->draft->find($kind, $this->id($key)) ?? throw new LogicException("Nothing was sketched as {$key}.");
        $this->draft->change($thing, $values);

        return $this;
    }

    /**
     * @param  FedFrom|string|null  $supply  a string is the key of a supply
     * @param  array<string, mixed>  $more  further fields: prefix
     */
    public function module(string $key, string $node, string $class, string $name, FedFrom|string|null $supply = null, array $more = []): self
    {
        $supplyId = $supply === null ? null : (is_string($supply) ? $this->id($supply) : $this->fedBy($supply, $key, $node, $class, $name));

        return $this->put(ThingKind::Module, $key, ['nodeId' => $this->id($node), 'class' => $class, 'name' => $name, 'supplyId' => $supplyId, ...$more]);
    }

    /**
     * @param  string|null  $parent  the key of the supply it lives on
     * @param  array<string, mixed>  $more  further fields: volts, fuseA
     */
    public function supply(string $key, string $node, string $class, string $name, ?string $parent = null, ?FeedsAt $feedsAt = null, array $more = []): self
    {
        return $this->put(ThingKind::Supply, $key, [
            'nodeId' => $this->id($node), 'class' => $class, 'name' => $name,
            'parentId' => $parent === null ? null : $this->id($parent), 'feedsAt' => $feedsAt?->value, ...$more,
        ]);
    }

    /** @return string the key of a pin of the node's board, as a supply */
    public function pin(string $node, string $class): string
    {
        $key = "{$node} {$class}";
        if ($this->draft->find(ThingKind::Supply, $this->id($key)) === null) {
            $this->supply($key, $node, $class, $class === 'board-5v' ? '5V pin' : '3V3 pin');
        }

        return $key;
    }

    /**
     * @param  array<string, float|int|bool>  $values  ohms, lowerOhms, microfarads, esrOhm, owned
     * @param  string  $more  tells it from another of its kind at the terminal
     */
    public function part(string $module, string $terminal, PartKind $kind, array $values = [], string $more = ''): self
    {
        return $this->put(ThingKind::Part, "{$module} {$terminal} {$kind->value}{$more}", ['moduleId' => $this->id($module), 'terminal' => $terminal, 'kind' => $kind->value, ...$values]);
    }

    private function fedBy(FedFrom $from, string $module, string $node, string $class, string $name): string
    {
        return $this->id(match ($from) {
            FedFrom::Board3V3 => $this->pin($node, 'board-3v3'),
            FedFrom::Board5V => $this->pin($node, 'board-5v'),
            FedFrom::Adapter => $this->adapter($node),
            FedFrom::Own => $this->own($module, $node, $class, $name),
        });
    }

    private function adapter(string $node): string
    {
        $key = "{$node} adapter";
        if ($this->draft->find(ThingKind::Supply, $this->id($key)) === null) {
            $this->supply($key, $node, 'regulator-adapter', 'Adapter', $this->pin($node, 'board-5v'));
        }

        return $key;
    }

    private function own(string $module, string $node, string $class, string $name): string
    {
        $wants = $this->assigner->knowledge->of($this->draft->plan())->catalogue->modules[$class];
        $volts = $wants->minV <= 4.75 && $wants->maxV >= 5.25 ? 5.0 : round(($wants->minV + $wants->maxV) / 2, 1);
        $this->supply("{$module} supply", $node, 'other', "Supply of {$name}", more: ['volts' => $volts]);

        return "{$module} supply";
    }

    public function wire(string $module, string $terminal, string $pin, bool $pinned = false, bool $bySoftware = false): self
    {
        return $this->put(ThingKind::PinUse, "{$module} {$terminal}", ['moduleId' => $this->id($module), 'terminal' => $terminal, 'pin' => $pin, 'pinned' => $pinned, 'bySoftware' => $bySoftware]);
    }

    /** Another pin for a terminal that has one, as only a faulty plan says. */
    public function wireAgain(string $module, string $terminal, string $pin): self
    {
        return $this->put(ThingKind::PinUse, "{$module} {$terminal} {$pin}", ['moduleId' => $this->id($module), 'terminal' => $terminal, 'pin' => $pin]);
    }

    /**
     * @param  array<string, bool|float|int|string|null>  $settings
     * @param  list<string>  $pinned
     */
    public function link(string $key, string $name, string $medium, array $settings = [], array $pinned = []): self
    {
        return $this->put(ThingKind::Link, $key, ['name' => $name, 'medium' => $medium, 'settings' => $settings, 'pinned' => $pinned]);
    }

    /**
     * @param  array<string, bool|float|int|string|null>  $settings
     * @param  list<string>  $deliberate
     */
    public function join(string $link, string $node, Role $role, ?string $module = null, array $settings = [], array $deliberate = []): self
    {
        return $this->put(ThingKind::Endpoint, "{$link} {$node}", [
            'linkId' => $this->id($link), 'nodeId' => $this->id($node), 'role' => $role->value,
            'moduleId' => $module === null ? null : $this->id($module), 'settings' => $settings, 'deliberate' => $deliberate,
        ]);
    }

    /**
     * @param  array<string, mixed>  $more  further fields: cores, lengthM, mm2, twisted
     * @param  list<array{core: int, use: string, link?: string, supply?: string, fromPin?: string, toPin?: string}>  $uses  by the keys of links and supplies
     */
    public function cable(string $key, string $from, string $to, string $name, array $more = [], array $uses = []): self
    {
        return $this->put(ThingKind::Cable, $key, [
            'fromId' => $this->id($from), 'toId' => $this->id($to), 'name' => $name, ...$more,
            'uses' => array_map(fn (array $use): array => ['core' => $use['core'], 'use' => $use['use'], 'linkId' => isset($use['link']) ? $this->id($use['link']) : null, 'supplyId' => isset($use['supply']) ? $this->id($use['supply']) : null, 'fromPin' => $use['fromPin'] ?? '', 'toPin' => $use['toPin'] ?? ''], $uses),
        ]);
    }

    /**
     * @param  array<string, mixed>  $more  further fields: extended, bytes, periodMs, evidence
     * @param  list<array<string, mixed>>  $signals
     */
    public function busMessage(string $key, string $link, string $node, string $name, int $identifier, array $more = [], array $signals = []): self
    {
        return $this->put(ThingKind::BusMessage, $key, ['endpointId' => $this->id("{$link} {$node}"), 'name' => $name, 'identifier' => $identifier, 'signals' => $signals, ...$more]);
    }

    public function address(string $link, string $node, int $pipe, ?string $value, bool $pinned = false): self
    {
        return $this->put(ThingKind::Address, "{$link} {$node} {$pipe}", ['endpointId' => $this->id("{$link} {$node}"), 'pipe' => $pipe, 'value' => $value, 'pinned' => $pinned]);
    }

    /** @param  array<string, bool|float|int|string|null>  $settings */
    public function control(string $key, string $node, string $name, ControlKind $kind = ControlKind::Button, ?string $module = null, ?string $terminal = null, array $settings = []): self
    {
        return $this->put(ThingKind::Control, $key, [
            'nodeId' => $this->id($node), 'name' => $name, 'kind' => $kind->value,
            'moduleId' => $module === null ? null : $this->id($module), 'terminal' => $terminal, 'settings' => $settings,
        ]);
    }

    /** @param  array<string, mixed>  $more further fields: hazards, precedence, settings */
    public function output(string $key, string $node, string $name, OutputKind $kind = OutputKind::Relay, ?string $module = null, ?string $channel = null, string $load = '', array $more = []): self
    {
        return $this->put(ThingKind::Output, $key, [
            'nodeId' => $this->id($node), 'name' => $name, 'kind' => $kind->value,
            'moduleId' => $module === null ? null : $this->id($module), 'channel' => $channel, 'load' => $load, ...$more,
        ]);
    }

    /** The next step of a sequence or group that was sketched before. */
    public function step(string $whole, string $key, string $name, int $afterMs = 0, string $when = 'turn'): self
    {
        $output = $this->draft->find(ThingKind::Output, $this->id($whole));
        assert($output instanceof Output);
        $this->put(ThingKind::Control, $key, ['nodeId' => $output->nodeId, 'name' => $name, 'kind' => ControlKind::Step->value, 'settings' => ['afterMs' => $afterMs, 'when' => $when]]);
        $this->draft->change($output, ['stepIds' => [...$output->stepIds, $this->id($key)]]);

        return $this;
    }

    /**
     * What tells others how an output that was sketched before stands.
     *
     * @param  array<string, bool|float|int|string|null>  $settings
     */
    public function state(string $of, string $key, string $name, ?string $measured = null, array $settings = []): self
    {
        $output = $this->draft->find(ThingKind::Output, $this->id($of));
        assert($output instanceof Output);
        $this->put(ThingKind::Control, $key, ['nodeId' => $output->nodeId, 'name' => $name, 'kind' => ControlKind::State->value, 'settings' => $settings, 'measuredId' => $measured === null ? null : $this->id($measured)]);
        $this->draft->change($output, ['stateIds' => [...$output->stateIds, $this->id($key)]]);

        return $this;
    }

    /** @param  array<string, int|string|null>  $more further fields: timings, format, number, carrierHz, value */
    public function keyCode(string $node, string $name, string $protocol, ?int $address = null, ?int $command = null, ?string $control = null, ?string $output = null, ?Action $action = null, array $more = []): self
    {
        return $this->put(ThingKind::KeyCode, "{$node} code {$name}", [
            'nodeId' => $this->id($node), 'name' => $name, 'protocol' => $protocol, 'address' => $address, 'command' => $command,
            'controlId' => $control === null ? null : $this->id($control), 'outputId' => $output === null ? null : $this->id($output),
            'action' => $action?->value, ...$more,
        ]);
    }

    /** @param  array<string, bool|int|string|null>  $more further fields: reverse, trim, endLow, endHigh, mixedId, mixSubtracts */
    public function route(string $control, Action $action, string $output, ?int $pulseMs = null, ?int $value = null, array $more = []): self
    {
        return $this->put(ThingKind::Route, "{$control} {$output} {$action->value}", [
            'controlId' => $this->id($control), 'outputId' => $this->id($output), 'action' => $action->value, 'pulseMs' => $pulseMs, 'value' => $value, ...$more,
        ]);
    }

    public function hop(string $route, string $link, string $from, string $to, ?int $code, bool $pinned = false): self
    {
        return $this->put(ThingKind::Hop, "{$route} {$link}", [
            'routeId' => $this->id($route), 'linkId' => $this->id($link),
            'fromId' => $this->id("{$link} {$from}"), 'toId' => $this->id("{$link} {$to}"), 'code' => $code, 'pinned' => $pinned,
        ]);
    }

    public function plan(): Plan
    {
        return $this->draft->plan();
    }

    /** The plan with everything that Assign proposes. */
    public function assigned(): Plan
    {
        return $this->assigner->assign($this->plan())->plan;
    }

    /** @param  array<string, mixed>  $values */
    private function put(ThingKind $kind, string $key, array $values): self
    {
        if ($this->draft->find($kind, $this->id($key)) !== null) {
            throw new LogicException("Two are sketched as {$key}: the second would take the place of the first.");
        }
        $problems = new Problems;
        if (isset($kind->shape()->fields['order'])) {
            $values['order'] = $this->orders[$kind->value] = ($this->orders[$kind->value] ?? -1) + 1;
        }
        $thing = (new ThingReader($this->assigner->knowledge))->read($kind, ['id' => $this->id($key), ...$values], "/{$key}", $this->draft, $problems);
        $problems->settle();
        if ($thing !== null) {
            $this->draft->put($thing);
        }

        return $this;
    }
}
