<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use PHPUnit\Framework\Assert;
use Rundfunk\Behaviour\Contact;
use Rundfunk\Behaviour\Driven;
use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Behaviour\Gauge;
use Rundfunk\Behaviour\Inputs;
use Rundfunk\Behaviour\Machine;
use Rundfunk\Behaviour\Message;
use Rundfunk\Behaviour\NodeTables;
use Rundfunk\Behaviour\State;
use Rundfunk\Behaviour\Stick;
use Rundfunk\Behaviour\Tabulation;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\HeardTogether;

/** Nodes of a plan on a table, run by the machine: what one tells is what the other hears, at once and without loss. */
final class Rig
{
    public int $minute = -1;

    /** @var array<string, NodeTables> by name of the node */
    public array $tables = [];

    /** @var array<string, Machine> */
    private array $machines = [];

    /** @var array<string, State> */
    private array $states = [];

    /** @var array<string, array<string, int>> by node, by name of the control */
    private array $inputs = [];

    /** @var array<string, array<string, int>> by node, by name of the output */
    private array $outputs = [];

    /** @var array<string, array<string, bool>> by node, by name of the output */
    private array $known = [];

    /** @var array<string, true> nodes without power */
    private array $stopped = [];

    /** @var list<string> "Pocket A → Bench: 0x01 0" */
    public array $told = [];

    /** @var array<string, list<string>> by "link number", the nodes that hear what is sent there */
    private array $hearers = [];

    public function __construct(Plan $plan, Knowledge $knowledge, public int $now = 1_000)
    {
        foreach ($plan->endpoints() as $end) {
            $link = $plan->link($end->linkId);
            $together = $knowledge->media->offering(HeardTogether::class, $link->medium)?->hearers($plan, $end) ?? [$end];
            $this->hearers["{$link->name} ".EndNumber::of($plan, $end)] = array_map(static fn (Endpoint $one): string => $plan->node($one->nodeId)->name, $together);
        }
        foreach ($plan->nodes() as $node) {
            $tables = Tabulation::of($plan, $node, $knowledge);
            $this->tables[$node->name] = $tables;
            $this->machines[$node->name] = new Machine($tables);
            $this->states[$node->name] = $this->machines[$node->name]->start($now);
            foreach ($tables->sticks as $stick) {
                $this->inputs[$node->name][$stick->name] = $stick->axis->centre;
            }
            foreach ($tables->gauges as $gauge) {
                $this->inputs[$node->name][$gauge->name] = Gauge::FAILED;
            }
        }
        $this->pass(100);
    }

    /** Sets what a control reads, and lets some time pass. */
    public function put(string $node, string $control, int $value, int $ms = 100): self
    {
        $this->inputs[$node][$control] = $value;

        return $this->pass($ms);
    }

    /** Presses a key and lets go. */
    public function press(string $node, string $control): self
    {
        return $this->put($node, $control, 1)->put($node, $control, 0);
    }

    /** In steps of ten milliseconds. */
    public function pass(int $ms): self
    {
        for ($until = $this->now + $ms; $this->now < $until; $this->now = min($until, $this->now + 10)) {
            $this->step();
        }
        $this->step();

        return $this;
    }

    public function shows(string $node, string $output): int
    {
        Assert::assertArrayHasKey($output, $this->outputs[$node] ?? []);

        return $this->outputs[$node][$output];
    }

    /** Whether what an output shows of another node is known. */
    public function knows(string $node, string $output): bool
    {
        return $this->known[$node][$output];
    }

    /** What was told until now. */
    public function forget(): self
    {
        $this->told = [];

        return $this;
    }

    /** Takes a node's power away. */
    public function stop(string $node): self
    {
        $this->stopped[$node] = true;

        return $this;
    }

    /** And gives it back: the node begins anew. */
    public function start(string $node): self
    {
        unset($this->stopped[$node]);
        $this->states[$node] = $this->machines[$node]->start($this->now & 0xFFFF_FFFF);

        return $this;
    }

    /** Something that no node of the rig tells: a call, a key of a remote. By its words. */
    public function hear(string $node, string $says, int $value = 0, int $from = 0): self
    {
        foreach ($this->tables[$node]->heard as $heard) {
            if (str_contains($heard->says, $says) && ($from === 0 || $heard->from === $from)) {
                $this->run($node, [new Message($heard->link, $heard->from, $heard->code, $value)]);

                return $this;
            }
        }
        Assert::fail("{$node} does not understand {$says}.");
    }

    private function step(): void
    {
        foreach (array_keys($this->machines) as $node) {
            $this->run($node, []);
        }
    }

    /** @param  list<Message>  $heard */
    private function run(string $node, array $heard): void
    {
        if (isset($this->stopped[$node])) {
            return;
        }
        $tables = $this->tables[$node];
        $of = fn (string $name, int $rest): int => $this->inputs[$node][$name] ?? $rest;
        $outcome = $this->machines[$node]->step($this->states[$node], $this->now & 0xFFFF_FFFF, $this->minute, new Inputs(
            array_map(static fn (Contact $contact): int => $of($contact->name, 0), $tables->contacts),
            array_map(static fn (Gauge $gauge): int => $of($gauge->name, Gauge::FAILED), $tables->gauges),
            array_map(static fn (Stick $stick): int => $of($stick->name, 0), $tables->sticks),
        ), $heard);
        $this->states[$node] = $outcome->state;
        $this->outputs[$node] = array_combine(array_map(static fn (Driven $output): string => $output->name, $tables->outputs), $outcome->outputs);
        $this->known[$node] = array_combine(array_keys($this->outputs[$node]), $outcome->known);
        foreach ($outcome->messages as $message) {
            $this->carry($node, $message);
        }
    }

    private function carry(string $from, Message $message): void
    {
        $link = $this->tables[$from]->links[$message->link];
        $to = $link->nodes[$message->node - 1];
        $this->told[] = "{$from} → {$to}: {$message->code} {$message->value}";
        foreach ($this->hearers["{$link->name} {$message->node}"] as $hears) {
            foreach ($this->tables[$hears]->links as $index => $there) {
                if ($there->name === $link->name) {
                    $this->run($hears, [new Message($index, $link->own, $message->code, $message->value)]);
                }
            }
        }
    }
}
