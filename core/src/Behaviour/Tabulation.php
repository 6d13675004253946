<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Arbitration\Range;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Routes\Paths;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Shape\Values;

/** Draws a node's tables from its plan. */
final class Tabulation
{
    /** Masters that hold one output are told apart by a bit each. */
    private const MOST_MASTERS = 32;

    private readonly Paths $paths;

    private readonly MessageNumbers $numbers;

    /** @var array<string, int> the node's links by end */
    private array $links = [];

    /** @var array<string, int> the node's outputs */
    private array $outputs = [];

    /** @var array<string, list<string>> by output, the controls that hold it */
    private array $masters = [];

    /** @var array<string, int> contacts by their control */
    private array $contacts = [];

    /** @var array<string, int> readings with a threshold, by their control */
    private array $gauges = [];

    /** @var array<string, Control> readings of bought things that it asks for, by their id */
    private readonly array $fetched;

    /** @var list<string> */
    private array $leftOut = [];

    private function __construct(private readonly Plan $plan, private readonly Node $node, private readonly Knowledge $knowledge)
    {
        $this->paths = new Paths($plan);
        $this->numbers = new MessageNumbers($plan, $knowledge->media);
        $this->fetched = array_column(array_column(Fetched::by($plan, $node, $knowledge->media), 'control'), null, 'id');
        foreach ($plan->endpointsOf($node) as $index => $endpoint) {
            $this->links[$endpoint->id] = $index;
        }
        foreach ($plan->outputsOf($node) as $output) {
            // A message is sent and gone: nothing of it stands.
            if ($output->kind->stands()) {
                $this->outputs[$output->id] = count($this->outputs);
                $this->masters[$output->id] = $this->holders($output);
            }
        }
    }

    /** Bought things do what their makers made them do: their tables are empty. */
    public static function of(Plan $plan, Node $node, Knowledge $knowledge): NodeTables
    {
        return (new self($plan, $node, $knowledge->of($plan)))->tables();
    }

    private function tables(): NodeTables
    {
        if ($this->node->kind->isBought()) {
            return new NodeTables(NodeTables::FORM, $this->node->name, [], [], [], [], [], [], [], [], [], [], [], []);
        }
        $contacts = $gauges = $sticks = $clocks = [];
        foreach ([...$this->plan->controlsOf($this->node), ...array_values($this->fetched)] as $control) {
            $made = $this->source($control);
            if ($made instanceof Contact && $made->kind !== ContactKind::Notice) {
                $this->contacts[$control->id] = count($contacts);
            } elseif ($made instanceof Gauge && $made->hasThreshold) {
                $this->gauges[$control->id] = count($gauges);
            }
            match (true) {
                $made instanceof Contact => $contacts[] = $made,
                $made instanceof Gauge => $gauges[] = $made,
                $made instanceof Stick => $sticks[] = $made,
                $made instanceof Clock => $clocks[] = $made,
                default => null,
            };
        }

        $heard = $this->heard();

        return new NodeTables(NodeTables::FORM, $this->node->name, $this->ends(), $contacts, $gauges, $sticks, $clocks, $heard, $this->told(), $this->driven($heard), $this->sequences(), $this->groups(), $this->reports(), array_values(array_unique($this->leftOut)));
    }

    /** @return list<LinkEnds> */
    private function ends(): array
    {
        $ends = [];
        foreach ($this->plan->endpointsOf($this->node) as $endpoint) {
            $link = $this->plan->link($endpoint->linkId);
            $nodes = array_map(fn (Endpoint $end): string => $this->plan->node($end->nodeId)->name, $this->plan->endpointsOn($link));
            $all = $this->knowledge->media->offering(SaysAllAtOnce::class, $link->medium);
            $ends[] = new LinkEnds($link->name, $link->medium, EndNumber::of($this->plan, $endpoint), $nodes, $this->knowledge->media->offering(SaysWhoIsGone::class, $link->medium)?->noticesGone($this->plan, $endpoint) ?? false, $all?->saysAll($link) === true ? $all->statedFrames($this->plan, $link) : []);
        }

        return $ends;
    }

    private function source(Control $control): Contact|Gauge|Stick|Clock|null
    {
        $settings = new Values($control->settings);
        $contact = ContactKind::of($control);

        return match ($control->kind) {
            ControlKind::Button, ControlKind::Switch => new Contact($control->name, $contact ?? ContactKind::Key, $control->debounceMs, $settings->whole('repeatMs'), $this->does($control)),
            ControlKind::Axis => new Stick($control->name, $this->axis($control), $settings->whole('everyMs'), $settings->whole('repeatMs'), $this->does($control)),
            ControlKind::Reading => $this->gauge($control, $settings),
            ControlKind::Timer => new Clock($control->name, self::minute($settings->textOrNull('at')), ($settings->wholeOrNull('everyMin') ?? 0) * 60_000, $this->does($control)),
            ControlKind::Widget, ControlKind::Phrase, ControlKind::Gesture, ControlKind::Trigger => $contact === null
                ? new Stick($control->name, new Axis(0, 512, 1_024), 50, 0, $this->does($control))
                : new Contact($control->name, $contact, 0, 0, $this->does($control)),
            ControlKind::Key, ControlKind::Call, ControlKind::Text, ControlKind::Step, ControlKind::State => null,
        };
    }

    private function axis(Control $control): Axis
    {
        $axis = Axes::of($this->plan, $control, $this->knowledge->catalogue);
        if ($axis === null) {
            $this->leftOut[] = "{$control->name}: its middle is at one of its ends, so it is taken as not calibrated.";
        }

        return $axis ?? new Axis(0, 512, 1_023);
    }

    private function gauge(Control $control, Values $settings): Gauge
    {
        $threshold = $settings->numberOrNull('threshold');
        if ($threshold === null && array_filter($this->plan->routesFrom($control), static fn (Route $route): bool => $route->action !== Action::Set || $route->value !== null) !== []) {
            $this->leftOut[] = "{$control->name}: it has no threshold, so nothing is switched by it.";
        }

        return new Gauge(
            $control->name,
            $threshold !== null,
            (int) round(($threshold ?? 0) * 1_000),
            (int) round($settings->number('hysteresis') * 1_000),
            $settings->text('beyond') === 'above',
            $settings->whole('intervalS') * 1_000,
            $settings->choice('onFailure', OnFailure::class),
            $this->does($control),
            $settings->whole('leastOnS') * 1_000,
            $settings->whole('leastOffS') * 1_000,
            $settings->whole('repeatMs'),
            Scales::of($control),
        );
    }

    private static function minute(?string $at): int
    {
        return $at !== null && preg_match('/^([01]?\d|2[0-3]):([0-5]\d)$/D', $at, $match) === 1 ? 60 * (int) $match[1] + (int) $match[2] : Clock::UNKNOWN;
    }

    private function does(Control $control): Does
    {
        $drives = [];
        $tells = [];
        foreach ($this->plan->routesFrom($control) as $route) {
            $hops = $this->paths->holds($route) ? $this->plan->hopsOf($route) : null;
            if ($hops !== null && $hops !== [] && $control->nodeId !== $this->node->id) {
                // What it asks of another has come when it is looked at: the rest of the way is its own.
                $hops = array_slice($hops, 1);
            }
            if ($hops === null) {
                $this->leftOut[] = RouteNames::of($this->plan, $route).': it has no way yet.';
            } elseif ($hops === []) {
                $drive = $this->drive($control, $route);
                if ($drive !== null) {
                    $drives[] = $drive;
                }
            } else {
                $tell = $this->tell($control, $route, $hops[0]);
                if ($tell !== null) {
                    // Two routes that go out as one message are told once.
                    $tells["{$tell->link} {$tell->to} {$tell->code}"] ??= $tell;
                }
            }
        }

        return new Does($drives, array_values($tells));
    }

    private function drive(Control $control, Route $route): ?Drive
    {
        $output = $this->plan->output($route->outputId);
        if (! isset($this->outputs[$output->id])) {
            return null;
        }
        $master = $route->action->holds() ? array_search($control->id, $this->masters[$output->id], true) : false;

        return new Drive(
            $this->outputs[$output->id],
            $route->action,
            $master === false ? -1 : min($master, self::MOST_MASTERS - 1),
            $control->kind->isByHand(),
            $this->fixed($control, $route),
            $route->action === Action::Pulse ? $route->pulseMs ?? 1_000 : 0,
            $this->travel($control, $route),
            $control->kind === ControlKind::State,
        );
    }

    private function tell(Control $control, Route $route, Hop $hop): ?Tell
    {
        $code = $this->numbers->told($hop);
        if ($code === null) {
            $this->leftOut[] = RouteNames::of($this->plan, $route).': nothing says yet what it is asked by.';

            return null;
        }

        return new Tell($this->links[$hop->fromId], EndNumber::addressed($this->plan, $hop, $this->knowledge->media), $code, $route->action, $this->fixed($control, $route), $this->travel($control, $route), $route->action->holds() && $this->plan->output($route->outputId)->comesOnUnheard() ? true : null);
    }

    /** The value that the plan says; null where its source does. */
    private function fixed(Control $control, Route $route): ?int
    {
        return match ($route->action) {
            Action::Set => $control->saysValue() && $route->value === null ? null : $route->value ?? 0,
            Action::Step => $route->value ?? 1,
            default => null,
        };
    }

    private static function isStick(Control $control): bool
    {
        return $control->kind === ControlKind::Axis || ($control->kind === ControlKind::Widget && $control->saysValue());
    }

    private function travel(Control $control, Route $route): ?Travel
    {
        if (! self::isStick($control) || $route->action !== Action::Set || $route->value !== null) {
            return null;
        }
        $range = Range::of($this->plan->output($route->outputId));
        $sticks = array_keys(array_filter($this->plan->controlsOf($this->node), self::isStick(...)));
        $mixed = null;
        foreach ($sticks as $place => $index) {
            $mixed = $this->plan->controlsOf($this->node)[$index]->id === $route->mixedId ? $place : $mixed;
        }
        if ($route->mixedId !== null && $mixed === null) {
            $this->leftOut[] = RouteNames::of($this->plan, $route).': what is mixed with it is no stick of this node.';
        }

        return new Travel($range->lowest, $range->highest, $route->reverse, Axes::share($route->trim), Axes::share($route->endLow), Axes::share($route->endHigh), $mixed ?? -1, $route->mixSubtracts);
    }

    /** @return list<Heard> */
    private function heard(): array
    {
        $heard = [];
        foreach ($this->plan->endpointsOf($this->node) as $endpoint) {
            foreach ($this->plan->hopsTo($endpoint) as $hop) {
                $route = $this->plan->route($hop->routeId);
                if (! $this->paths->holds($route) || isset($this->fetched[$route->controlId])) {
                    continue;
                }
                $code = $this->numbers->heard($hop);
                if ($code === null) {
                    $this->leftOut[] = RouteNames::of($this->plan, $route).': nothing says yet what it is asked by.';

                    continue;
                }
                $from = $this->numbers->showsSender($hop) ? EndNumber::of($this->plan, $this->plan->endpoint($hop->fromId)) : 0;
                $key = "{$this->links[$endpoint->id]} {$from} {$code}";
                $heard[$key] ??= ['link' => $this->links[$endpoint->id], 'from' => $from, 'code' => $code, 'says' => $this->numbers->words($hop), 'drives' => [], 'passes' => []];
                $this->follow($heard[$key], $route, $hop);
            }
        }

        return array_map(static fn (array $one): Heard => new Heard($one['link'], $one['from'], $one['code'], $one['says'], array_values($one['drives']), array_values($one['passes'])), array_values($heard));
    }

    /**
     * Two routes that ask the same by one code are one message, which is obeyed once.
     *
     * @param  array{link: int, from: int, code: int, says: string, drives: array<string, Drive>, passes: array<string, Pass>}  $heard
     */
    private function follow(array &$heard, Route $route, Hop $hop): void
    {
        $hops = $this->plan->hopsOf($route);
        $next = null;
        foreach ($hops as $index => $one) {
            if ($one->id === $hop->id) {
                $next = $hops[$index + 1] ?? null;
            }
        }
        if ($next === null) {
            $drive = $this->drive($this->plan->control($route->controlId), $route);
            if ($drive !== null) {
                $heard['drives']["{$route->outputId} {$route->action->value} {$route->pulseMs} {$route->value}"] ??= new Drive($drive->output, $drive->action, $drive->master, $drive->byHand, $drive->value, $drive->pulseMs, null, $drive->answers);
            }

            return;
        }
        $code = $this->numbers->told($next);
        if ($code === null) {
            $this->leftOut[] = RouteNames::of($this->plan, $route).': it is not handed on, for nothing says yet what it is asked by there.';

            return;
        }
        $pass = new Pass($this->links[$next->fromId], EndNumber::addressed($this->plan, $next, $this->knowledge->media), $code);
        $heard['passes']["{$pass->link} {$pass->to} {$pass->code}"] ??= $pass;
    }

    /** @return list<Said> */
    private function told(): array
    {
        $told = [];
        foreach ($this->plan->endpointsOf($this->node) as $endpoint) {
            foreach ($this->plan->hopsFrom($endpoint) as $hop) {
                $route = $this->plan->route($hop->routeId);
                $code = $this->paths->holds($route) ? $this->numbers->told($hop) : null;
                if ($code !== null) {
                    $said = new Said($this->links[$endpoint->id], EndNumber::addressed($this->plan, $hop, $this->knowledge->media), $code, $this->numbers->words($hop), RouteNames::of($this->plan, $route).', '.RouteNames::asks($route));
                    $told["{$said->link} {$said->to} {$said->code}"] ??= $said;
                }
            }
        }

        return array_values($told);
    }

    /** @return list<string> ids of the controls that hold an output, each once */
    private function holders(Output $output): array
    {
        $holders = [];
        foreach ($this->plan->routesTo($output) as $route) {
            if ($route->action->holds()) {
                $holders[$route->controlId] = true;
            }
        }

        return array_map(strval(...), array_keys($holders));
    }

    /** @return list<Sequence> */
    private function sequences(): array
    {
        $sequences = [];
        foreach ($this->plan->outputsOf($this->node) as $output) {
            if ($output->kind === OutputKind::Sequence) {
                $moments = [];
                $stopped = new Does([], []);
                foreach ($this->stepsOf($output) as $step) {
                    $settings = new Values($step->settings);
                    $does = $this->does($step);
                    if ($settings->text('when') === 'stopped') {
                        $stopped = new Does([...$stopped->drives, ...$does->drives], [...$stopped->tells, ...$does->tells]);
                    } else {
                        $moments[] = new Moment($step->name, $settings->whole('afterMs'), $does);
                    }
                }
                $sequences[] = new Sequence($this->outputs[$output->id], $output->setting('passes'), $output->setting('pauseMs'), $moments, $stopped);
            }
        }

        return $sequences;
    }

    /** @return list<Group> */
    private function groups(): array
    {
        $groups = [];
        foreach ($this->plan->outputsOf($this->node) as $output) {
            if ($output->kind === OutputKind::Group) {
                $all = array_map($this->does(...), $this->stepsOf($output));
                $groups[] = new Group($this->outputs[$output->id], new Does(array_merge(...array_map(static fn (Does $does): array => $does->drives, $all)), array_merge(...array_map(static fn (Does $does): array => $does->tells, $all))));
            }
        }

        return $groups;
    }

    /** @return list<Report> */
    private function reports(): array
    {
        $reports = [];
        $told = Answers::toldBy($this->plan, $this->node);
        foreach ($told as $control) {
            $contact = $this->contacts[$control->measuredId ?? ''] ?? null;
            $gauge = $this->gauges[$control->measuredId ?? ''] ?? null;
            if ($control->measuredId !== null && $contact === null && $gauge === null) {
                $this->leftOut[] = "{$control->name}: nothing here senses it, so it says what the output was told.";
            }
            $reports[] = new Report($control->name, $this->outputs[Answers::of($this->plan, $control)->id ?? ''], $contact, $gauge, Answers::everyMs($control), (new Values($control->settings))->flag('always'), $this->does($control));
        }
        foreach ($this->plan->controlsOf($this->node) as $control) {
            if ($control->kind === ControlKind::State && ! in_array($control, $told, true)) {
                $this->leftOut[] = "{$control->name}: it is the state of no output here.";
            }
        }

        return $reports;
    }

    /** @return list<Control> the steps of a sequence or group that are on its own node */
    private function stepsOf(Output $output): array
    {
        return array_values(array_filter(Steps::of($this->plan, $output), fn (Control $step): bool => $step->nodeId === $this->node->id));
    }

    /**
     * @param  list<Heard>  $heard
     * @return list<Driven>
     */
    private function driven(array $heard): array
    {
        // What nobody on another node works, nobody's silence puts on.
        $told = [];
        foreach ($heard as $one) {
            $told += array_flip(array_map(static fn (Drive $drive): int => $drive->output, $one->drives));
        }
        $driven = [];
        foreach ($this->plan->outputsOf($this->node) as $output) {
            if (! isset($this->outputs[$output->id])) {
                continue;
            }
            $range = Range::of($output);
            $far = 0;
            foreach ($this->masters[$output->id] as $index => $control) {
                if ($this->plan->control($control)->nodeId !== $this->node->id && ! isset($this->fetched[$control])) {
                    $far |= 1 << min($index, self::MOST_MASTERS - 1);
                }
            }
            $driven[] = new Driven($output->name, $range->lowest, $range->highest, $range->off, $range->on(), $output->precedence, $output->kind === OutputKind::Function ? 0 : $output->setting('silenceMs'), min(self::MOST_MASTERS, count($this->masters[$output->id])), $far, Answers::believedMs($this->plan, $output), $output->blinksWhenUnknown(), $output->kind->isWired() && $output->atStart !== AtStart::Off ? $output->atStart : null, $this->never($output), $output->kind !== OutputKind::Function && $output->comesOnUnheard() && isset($told[$this->outputs[$output->id]]) ? true : null);
        }

        return $driven;
    }

    /** @return list<int> which of the node's own outputs must be off while it is on */
    private function never(Output $output): array
    {
        $never = [];
        foreach (NeverTogether::with($this->plan, $output) as $other) {
            if (isset($this->outputs[$other->id])) {
                $never[] = $this->outputs[$other->id];
            }
        }

        return $never;
    }
}
