<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\DerivedId;
use Rundfunk\Shape\ListType;

/**
 * The whole of a plan. It never changes: an edit makes another. Every check, proposal and export is a function of it.
 */
final class Plan
{
    /** The version of the file format that this program writes, and the newest it reads. */
    public const FORMAT = 2;

    /** @var array<class-string<Thing>, array<string, Thing>> things by class, then by id: those that were asked for */
    private array $byClass = [];

    /** @var array<class-string<Thing>, list<Thing>> things by class, in order */
    private array $sorted = [];

    /** @var array<class-string<Thing>, array<string, Grouping<Thing>>> things by class and field: those that were asked for */
    private array $groupings = [];

    /** @var array<string, array<string, list<Thing>>> things by "kind field" of lists of ids, then by what is in the list */
    private array $lists = [];

    /** @var array<string, list<Hop>> sound hops by id of the link */
    private array $over = [];

    /** @var array<string, list<Hop>> sound hops by the end that they go to */
    private array $to = [];

    /** @var array<string, list<Hop>> sound hops by the end that they come from */
    private array $from = [];

    /**
     * @param  array<string, Things<Thing>>  $things  by kind; kinds of which there are none may be left out
     */
    public function __construct(public readonly PlanProperties $properties, private readonly array $things)
    {
    }

    /**
     * What an edit makes of the plan. What was listed of it already is not listed again where it is still so.
     *
     * @param  array<string, Things<Thing>>  $things  all that there is now, by kind
     * @param  array<string, list<string>>  $touched  ids by kind: whatever came, changed or went
     */
    public function edited(PlanProperties $properties, array $things, array $touched): self
    {
        $plan = new self($properties, $things);
        foreach ($this->groupings as $class => $groupings) {
            $kind = $class::kind()->value;
            foreach ($groupings as $field => $grouping) {
                $plan->groupings[$class][$field] = isset($touched[$kind]) ? $grouping->edited($things[$kind], $touched[$kind]) : $grouping;
            }
        }
        foreach ($this->sorted as $class => $sorted) {
            if (! isset($touched[$class::kind()->value])) {
                $plan->sorted[$class] = $sorted;
            }
        }
        foreach ($this->lists as $key => $lists) {
            if (! isset($touched[strstr($key, ' ', true)])) {
                $plan->lists[$key] = $lists;
            }
        }

        return $plan;
    }

    public static function empty(PlanProperties $properties): self
    {
        return new self($properties, []);
    }

    public function find(ThingKind $kind, string $id): ?Thing
    {
        return ($this->things[$kind->value] ?? null)?->find($id);
    }

    /** @return string an id for something new. It follows from what that is for, so that the same plan gets the same; where one of before has it already, from that too. */
    public function newId(string ...$for): string
    {
        $id = DerivedId::of(...$for);
        for ($more = 1; $this->holds($id); $more++) {
            $id = DerivedId::of('another', (string) $more, ...$for);
        }

        return $id;
    }

    private function holds(string $id): bool
    {
        foreach ($this->things as $things) {
            if ($things->has($id)) {
                return true;
            }
        }

        return false;
    }

    /** @return Things<Thing> */
    public function things(ThingKind $kind): Things
    {
        return $this->things[$kind->value] ?? Things::of($kind->thing(), []);
    }

    /** @return array<string, Thing> */
    public function all(ThingKind $kind): array
    {
        return $this->things($kind)->all();
    }

    /**
     * Everything of one kind, in order.
     *
     * @template T of Thing
     *
     * @param  class-string<T>  $class
     * @return list<T>
     */
    public function of(string $class): array
    {
        $this->sorted[$class] ??= InOrder::of($class, array_values($this->all($class::kind())));
        /** @var list<T> $sorted */
        $sorted = $this->sorted[$class];

        return $sorted;
    }

    /**
     * The things of one kind whose field holds an id, in order.
     *
     * @template T of Thing
     *
     * @param  class-string<T>  $class
     * @param  string  $field  holds an id, or null for a thing that is in no group
     * @return list<T>
     */
    public function having(string $class, string $field, string $id): array
    {
        /** @var list<T> $group */
        $group = ($this->groupings[$class][$field] ?? $this->grouping($class, $field))->of($id);

        return $group;
    }

    /**
     * @param  class-string<Thing>  $class
     * @return Grouping<Thing>
     */
    private function grouping(string $class, string $field): Grouping
    {
        return $this->groupings[$class][$field] ??= Grouping::by($class, $field, $this->things($class::kind()), $this->sorted[$class] ?? null);
    }

    /**
     * @template T of Thing
     *
     * @param  class-string<T>  $class
     * @param  list<string>  $ids  those that there are no more are left out
     * @return list<T> in order
     */
    public function pick(string $class, array $ids): array
    {
        /** @var Things<T> $things */
        $things = $this->things($class::kind());
        $picked = [];
        foreach ($ids as $id) {
            $thing = $things->find($id);
            if ($thing !== null) {
                $picked[] = $thing;
            }
        }

        return InOrder::of($class, $picked);
    }

    /** @return list<Thing> those that refer to a thing by a tie */
    public function referring(Tie $tie, string $id): array
    {
        if ($tie->inRecord === null && ! $tie->from->shape()->fields[$tie->field]->type instanceof ListType) {
            return $this->having($tie->from->thing(), $tie->field, $tie->held($id));
        }
        $key = "{$tie->from->value} {$tie->field} {$tie->inRecord}";
        if (! isset($this->lists[$key])) {
            $this->lists[$key] = [];
            // Few things name others in lists, and the engine finds those few soonest.
            $naming = array_filter($this->things($tie->from)->column($tie->field), static fn (mixed $held): bool => $held !== null && $held !== []);
            foreach ($this->pick($tie->from->thing(), array_keys($naming)) as $thing) {
                foreach ($tie->ids($thing) as $other) {
                    $this->lists[$key][$other][] = $thing;
                }
            }
        }

        return $this->lists[$key][$id] ?? [];
    }

    public function count(): int
    {
        return array_sum(array_map(count(...), $this->things));
    }

    public function draft(): PlanDraft
    {
        return new PlanDraft($this->properties, $this->things);
    }

    /** @return list<Place> */
    public function places(): array
    {
        return $this->of(Place::class);
    }

    /** @return list<Node> */
    public function nodes(): array
    {
        return $this->of(Node::class);
    }

    /** @return list<Module> */
    public function modules(): array
    {
        return $this->of(Module::class);
    }

    /** @return list<PinUse> */
    public function pinUses(): array
    {
        return $this->of(PinUse::class);
    }

    /** @return list<Link> */
    public function links(): array
    {
        return $this->of(Link::class);
    }

    /** @return list<Link> */
    public function linksOver(string $medium): array
    {
        return array_values(array_filter($this->links(), static fn (Link $link): bool => $link->medium === $medium));
    }

    /** @return list<Endpoint> */
    public function endpoints(): array
    {
        return $this->of(Endpoint::class);
    }

    /** @return list<Address> */
    public function addresses(): array
    {
        return $this->of(Address::class);
    }

    /** @return list<Control> */
    public function controls(): array
    {
        return $this->of(Control::class);
    }

    /** @return list<Output> */
    public function outputs(): array
    {
        return $this->of(Output::class);
    }

    /** @return list<KeyCode> */
    public function keyCodes(): array
    {
        return $this->of(KeyCode::class);
    }

    /** @return list<Route> */
    public function routes(): array
    {
        return $this->of(Route::class);
    }

    /** @return list<Hop> */
    public function hops(): array
    {
        return $this->of(Hop::class);
    }

    /** @return list<Acceptance> */
    public function acceptances(): array
    {
        return $this->of(Acceptance::class);
    }

    public function node(string $id): Node
    {
        $node = $this->byClass[Node::class][$id] ?? null;

        return $node instanceof Node ? $node : $this->get(Node::class, $id);
    }

    public function module(string $id): Module
    {
        $module = $this->byClass[Module::class][$id] ?? null;

        return $module instanceof Module ? $module : $this->get(Module::class, $id);
    }

    public function link(string $id): Link
    {
        $link = $this->byClass[Link::class][$id] ?? null;

        return $link instanceof Link ? $link : $this->get(Link::class, $id);
    }

    public function endpoint(string $id): Endpoint
    {
        $endpoint = $this->byClass[Endpoint::class][$id] ?? null;

        return $endpoint instanceof Endpoint ? $endpoint : $this->get(Endpoint::class, $id);
    }

    public function control(string $id): Control
    {
        $control = $this->byClass[Control::class][$id] ?? null;

        return $control instanceof Control ? $control : $this->get(Control::class, $id);
    }

    public function output(string $id): Output
    {
        $output = $this->byClass[Output::class][$id] ?? null;

        return $output instanceof Output ? $output : $this->get(Output::class, $id);
    }

    public function route(string $id): Route
    {
        $route = $this->byClass[Route::class][$id] ?? null;

        return $route instanceof Route ? $route : $this->get(Route::class, $id);
    }

    /** @return list<Module> */
    public function modulesOf(Node $node): array
    {
        return $this->having(Module::class, 'nodeId', $node->id);
    }

    public function supply(string $id): Supply
    {
        return $this->get(Supply::class, $id);
    }

    public function protocol(string $id): Protocol
    {
        return $this->get(Protocol::class, $id);
    }

    public function fixtureType(string $id): FixtureType
    {
        return $this->get(FixtureType::class, $id);
    }

    public function circuit(string $id): Circuit
    {
        return $this->get(Circuit::class, $id);
    }

    /** @return list<Circuit> */
    public function circuits(): array
    {
        return $this->of(Circuit::class);
    }

    public function load(string $id): Load
    {
        return $this->get(Load::class, $id);
    }

    /** @return list<Load> */
    public function loads(): array
    {
        return $this->of(Load::class);
    }

    /** @return list<Load> what hangs on an output */
    public function loadsOn(Output $output): array
    {
        return $this->having(Load::class, 'outputId', $output->id);
    }

    /** @return list<FixtureType> */
    public function fixtureTypes(): array
    {
        return $this->of(FixtureType::class);
    }

    /** @return list<Supply> */
    public function suppliesOf(Node $node): array
    {
        return $this->having(Supply::class, 'nodeId', $node->id);
    }

    /** @return list<Part> */
    public function partsOf(Module $module): array
    {
        return $this->having(Part::class, 'moduleId', $module->id);
    }

    /** @return list<PinUse> */
    public function pinUsesOf(Module $module): array
    {
        return $this->having(PinUse::class, 'moduleId', $module->id);
    }

    /** @return list<Endpoint> */
    public function endpointsOn(Link $link): array
    {
        return $this->having(Endpoint::class, 'linkId', $link->id);
    }

    /** @return list<Endpoint> ends that send, if only now and then */
    public function sendersOn(Link $link): array
    {
        return array_values(array_filter($this->endpointsOn($link), static fn (Endpoint $end): bool => $end->role->sends()));
    }

    /** @return list<Endpoint> ends that receive, if only now and then */
    public function receiversOn(Link $link): array
    {
        return array_values(array_filter($this->endpointsOn($link), static fn (Endpoint $end): bool => $end->role->receives()));
    }

    /** @return list<Endpoint> */
    public function endpointsOf(Node $node): array
    {
        return $this->having(Endpoint::class, 'nodeId', $node->id);
    }

    /** @return list<BusMessage> */
    public function busMessagesOf(Endpoint $endpoint): array
    {
        return $this->having(BusMessage::class, 'endpointId', $endpoint->id);
    }

    /** @return list<Address> */
    public function addressesOf(Endpoint $endpoint): array
    {
        return $this->having(Address::class, 'endpointId', $endpoint->id);
    }

    /** @return list<Control> */
    public function controlsOf(Node $node): array
    {
        return $this->having(Control::class, 'nodeId', $node->id);
    }

    /** @return list<Output> */
    public function outputsOf(Node $node): array
    {
        return $this->having(Output::class, 'nodeId', $node->id);
    }

    /** @return list<KeyCode> */
    public function keyCodesOf(Node $node): array
    {
        return $this->having(KeyCode::class, 'nodeId', $node->id);
    }

    /** @return list<KeyCode> */
    public function keyCodesFrom(Control $control): array
    {
        return $this->having(KeyCode::class, 'controlId', $control->id);
    }

    /** @return list<KeyCode> */
    public function keyCodesTo(Output $output): array
    {
        return $this->having(KeyCode::class, 'outputId', $output->id);
    }

    /** @return list<Route> */
    public function routesFrom(Control $control): array
    {
        return $this->having(Route::class, 'controlId', $control->id);
    }

    /** @return list<Route> */
    public function routesTo(Output $output): array
    {
        return $this->having(Route::class, 'outputId', $output->id);
    }

    /** @return list<Hop> in the order they are travelled */
    public function hopsOf(Route $route): array
    {
        return $this->having(Hop::class, 'routeId', $route->id);
    }

    /** @return list<Hop> both of whose ends are on the link */
    public function hopsOver(Link $link): array
    {
        return $this->over[$link->id] ??= $this->sound($this->having(Hop::class, 'linkId', $link->id));
    }

    /** @return list<Hop> over the link that the end is on */
    public function hopsTo(Endpoint $endpoint): array
    {
        return $this->to[$endpoint->id] ??= $this->sound($this->having(Hop::class, 'toId', $endpoint->id));
    }

    /** @return list<Hop> over the link that the end is on */
    public function hopsFrom(Endpoint $endpoint): array
    {
        return $this->from[$endpoint->id] ??= $this->sound($this->having(Hop::class, 'fromId', $endpoint->id));
    }

    /**
     * An end that was put on another link leaves hops behind that lead nowhere. They stay in the plan, and their routes are
     * said to have no way; no medium is asked what it makes of them.
     *
     * @param  list<Hop>  $hops
     * @return list<Hop>
     */
    private function sound(array $hops): array
    {
        // Asked of every hop of a plan several times: the engine's own list of a field answers soonest.
        $links = $this->grouping(Endpoint::class, 'linkId')->column();
        $sound = [];
        foreach ($hops as $hop) {
            if (($links[$hop->fromId] ?? null) === $hop->linkId && ($links[$hop->toId] ?? null) === $hop->linkId) {
                $sound[] = $hop;
            }
        }

        return $sound;
    }

    /**
     * @template T of Thing
     *
     * @param  class-string<T>  $class
     * @return T
     */
    private function get(string $class, string $id): Thing
    {
        $thing = $this->find($class::kind(), $id);
        if (! $thing instanceof $class) {
            throw NotInPlan::thing($class::kind(), $id);
        }
        $this->byClass[$class][$id] = $thing;

        return $thing;
    }
}
