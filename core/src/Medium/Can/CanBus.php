<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Values;

/** A bus as it is spoken on: who is there, in the order along the cable, and what comes over it again and again. */
final readonly class CanBus
{
    /** A key that does nothing for longer is pressed again. Common practice. */
    private const KEY_MS = 250;

    /** What is dangerous is to come sooner. */
    private const HAZARD_MS = 100;

    private const CALM_MS = 1_000;

    /** Nobody works one key faster, with what it bounces left out. */
    private const AGAIN_MS = 100;

    /**
     * @param  list<Endpoint>  $ends
     * @param  array<string, CanEnd>  $settingsOf  by end
     * @param  array<string, bool>  $bought  by end
     * @param  array<string, list<Hop>>  $hopsFrom  by end
     */
    private function __construct(private Plan $plan, public Link $link, public CanSettings $settings, public array $ends, private array $settingsOf, private array $bought, private array $hopsFrom)
    {
    }

    public static function of(Plan $plan, Link $link): self
    {
        $ends = $plan->endpointsOn($link);
        $settings = $bought = $hops = [];
        foreach ($ends as $end) {
            $settings[$end->id] = CanEnd::of($plan, $end);
            $bought[$end->id] = $plan->node($end->nodeId)->kind->isBought();
            $hops[$end->id] = [];
        }
        foreach ($plan->hopsOver($link) as $hop) {
            if (isset($hops[$hop->fromId], $hops[$hop->toId])) {
                $hops[$hop->fromId][] = $hop;
            }
        }

        return new self($plan, $link, CanSettings::of($link), $ends, $settings, $bought, $hops);
    }

    public function end(Endpoint $endpoint): CanEnd
    {
        return $this->settingsOf[$endpoint->id];
    }

    public function isBought(Endpoint $endpoint): bool
    {
        return $this->bought[$endpoint->id];
    }

    /** Whether an end of ours never speaks: it is set to listen, or the bus is not ours. */
    public function isMute(Endpoint $endpoint): bool
    {
        return $this->settings->foreign || $this->settingsOf[$endpoint->id]->listenOnly;
    }

    /** @return list<Hop> what an end is to say */
    public function told(Endpoint $endpoint): array
    {
        return $this->hopsFrom[$endpoint->id];
    }

    /** @return list<Hop> commands of this plan that an end sends to other boards of ours */
    public function commands(Endpoint $endpoint): array
    {
        return $this->bought[$endpoint->id] ? [] : array_values(array_filter($this->hopsFrom[$endpoint->id], fn (Hop $hop): bool => ! $this->bought[$hop->toId]));
    }

    /** @return list<Control> what bought ends say that an end of ours acts on, each once, in the order of ends and controls */
    public function read(Endpoint $endpoint): array
    {
        $read = [];
        foreach ($this->ends as $end) {
            foreach ($this->bought[$end->id] ? $this->hopsFrom[$end->id] : [] as $hop) {
                $control = $this->plan->control($this->plan->route($hop->routeId)->controlId);
                [$message, $signal] = $this->settingsOf[$end->id]->signal($control->terminal) ?? [null, null];
                $isRead = $signal !== null && $message !== null && $signal->of->bits <= CanSignal::BITS_READ && $signal->fits($message->of->bytes);
                if ($isRead && $hop->toId === $endpoint->id && $control->kind === ControlKind::Reading) {
                    $read[$control->id] = $control;
                }
            }
        }

        return array_values($read);
    }

    /** @return array{Endpoint, CanMessage, CanSignal}|null what a reading of a bought end is */
    public function meant(Control $control): ?array
    {
        foreach ($this->ends as $end) {
            $found = $end->nodeId === $control->nodeId ? $this->settingsOf[$end->id]->signal($control->terminal) : null;
            if ($found !== null) {
                return [$end, ...$found];
            }
        }

        return null;
    }

    /** How soon what an end of ours says has to be there, milliseconds. */
    public function deadlineMs(Endpoint $endpoint): int
    {
        $soonest = self::CALM_MS;
        foreach ($this->commands($endpoint) as $hop) {
            $soonest = min($soonest, $this->deadlineOf($hop));
        }

        return $soonest;
    }

    private function deadlineOf(Hop $hop): int
    {
        $route = $this->plan->route($hop->routeId);
        $control = $this->plan->control($route->controlId);
        if ($this->plan->output($route->outputId)->hazards !== []) {
            return self::HAZARD_MS;
        }

        return match ($control->kind) {
            ControlKind::Axis => $this->intervalMs($control),
            ControlKind::Reading, ControlKind::Timer, ControlKind::State => self::CALM_MS,
            default => self::KEY_MS,
        };
    }

    private function intervalMs(Control $control): int
    {
        return max(10, (new Values($control->settings))->wholeOrNull('everyMs') ?? self::AGAIN_MS);
    }

    /** @return list<Traffic> all that comes again and again, the most urgent first */
    public function traffic(): array
    {
        $traffic = [];
        foreach ($this->ends as $end) {
            $settings = $this->settingsOf[$end->id];
            foreach ($settings->messages as $message) {
                // What comes by itself only when something changes comes no oftener than somebody works a key.
                $periodMs = $message->of->periodMs === 0 ? self::AGAIN_MS : $message->of->periodMs;
                $traffic[] = new Traffic($end, $message->of->name, new Sent($message->of->identifier, $message->of->extended, $message->of->bytes, $periodMs * 1_000_000, $periodMs * 1_000_000), $message);
            }
            $commands = $this->commands($end);
            if ($commands !== [] && $settings->identifier !== null && ! $this->isMute($end)) {
                $everyMs = min([self::AGAIN_MS, ...array_map(fn (Hop $hop): int => $this->everyMs($hop), $commands)]);
                $traffic[] = new Traffic($end, 'commands', new Sent($settings->identifier, false, OwnFrame::BYTES, $everyMs * 1_000_000, $this->deadlineMs($end) * 1_000_000), null);
            }
        }
        usort($traffic, static fn (Traffic $one, Traffic $other): int => $one->sent->rank() <=> $other->sent->rank());

        return $traffic;
    }

    private function everyMs(Hop $hop): int
    {
        $control = $this->plan->control($this->plan->route($hop->routeId)->controlId);

        return $control->kind === ControlKind::Axis ? $this->intervalMs($control) : self::AGAIN_MS;
    }

    /** @return list<Traffic> one of each identifier: where two send it, that is said elsewhere */
    public function apart(): array
    {
        $apart = [];
        foreach ($this->traffic() as $one) {
            $apart[$one->sent->rank()] ??= $one;
        }

        return array_values($apart);
    }

    /** @return float how much of the time the bus is taken, at worst stuffing */
    public function load(): float
    {
        $load = 0.0;
        foreach ($this->traffic() as $one) {
            $load += CanFrame::worstBits($one->sent->extended, $one->sent->bytes) / $this->settings->bitrate / ($one->sent->periodNs / 1_000_000_000);
        }

        return $load;
    }

    public function responses(): ?ResponseTimes
    {
        $sent = array_map(static fn (Traffic $one): Sent => $one->sent, $this->apart());

        return $sent === [] ? null : new ResponseTimes($this->settings->bitrate, array_slice($sent, 0, ResponseTimes::MOST_MESSAGES));
    }

    /** @return list<float> the resistors that are on */
    public function terminators(): array
    {
        $ohms = [];
        foreach ($this->ends as $end) {
            if ($this->settingsOf[$end->id]->terminated) {
                $ohms[] = (float) $this->settingsOf[$end->id]->terminatorOhm;
            }
        }

        return $ohms;
    }

    /** @return list<int> identifiers that an end of ours must hear, as recordings have them */
    public function wanted(Endpoint $endpoint): array
    {
        $wanted = [];
        foreach ($this->read($endpoint) as $control) {
            $meant = $this->meant($control);
            if ($meant !== null) {
                $wanted[] = $meant[1]->key();
            }
        }
        foreach ($this->ends as $end) {
            $id = $this->settingsOf[$end->id]->identifier;
            foreach ($this->commands($end) as $hop) {
                if ($hop->toId === $endpoint->id && $id !== null) {
                    $wanted[] = $id;
                }
            }
        }
        $wanted = array_values(array_unique($wanted));
        sort($wanted);

        return $wanted;
    }
}
