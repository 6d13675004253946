<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Values;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;

/** How long one message takes from one end to the other. Source: data sheet of the class, from memory; the upload at 4 MHz bus clock is common practice. */
final readonly class PacketExchange
{
    /** Eight bits at 4 MHz. */
    private const UPLOAD_NS_PER_BYTE = 2_000;

    /** A tag of such a frame takes 12,386 clocks of an 8-bit board (measured in its simulator: avr-gcc -Os), which has 8 or 16 MHz; a 32-bit one is quicker by far. */
    private const PROOF_NS = 774_000;

    private const PROOF_SLOW_NS = 1_548_000;

    public function __construct(private PacketSettings $settings, private int $retryDelayUs, private int $retries)
    {
    }

    public static function of(Plan $plan, Hop $hop): self
    {
        return self::over($plan->link($hop->linkId), $plan->endpoint($hop->fromId));
    }

    public static function over(Link $link, Endpoint $from): self
    {
        $settings = PacketSettings::of($link);
        $sender = new Values($from->settings);

        return new self(
            $settings,
            $sender->wholeOrNull('retryDelayUs') ?? RetryDelay::minimumUs($settings->rate, 0),
            $sender->whole('retries'),
        );
    }

    /** @return list<Span> until the receiver has the message */
    public function spans(int $turn): array
    {
        $spans = [];
        if ($turn > 0) {
            $label = $turn === 1 ? 'another node first' : "{$turn} nodes first";
            $spans[] = Span::between(SpanKind::Waiting, $label, $turn * $this->bestNs(), $turn * $this->bestNs(), $turn * $this->worstNs());
        }
        $startNs = $this->uploadNs() + PacketAir::TURN_NS;
        $frameNs = $this->frameNs();
        $spans[] = Span::fixed(SpanKind::Waiting, 'upload and turn', $startNs);
        $spans[] = Span::fixed(SpanKind::Airtime, 'frame', $frameNs);
        if ($this->settings->acknowledge && $this->retries > 0) {
            $onceNs = $frameNs + $this->retryDelayUs * 1_000;
            $spans[] = Span::again('retries', $this->retries, $onceNs);
        }

        if ($this->settings->sends() > 1) {
            $spans[] = Span::again('sent again, unasked', $this->settings->sends() - 1, $startNs + $frameNs);
        }
        if ($this->settings->proven) {
            $spans[] = Span::between(SpanKind::Processing, 'proof, made and checked', 0, 2 * self::PROOF_NS, 2 * self::PROOF_SLOW_NS);
        }

        return $spans;
    }

    /** The sender's whole time for a message that arrives at once, its acknowledge included; one that is not acknowledged goes out so often, whatever arrives. */
    public function bestNs(): int
    {
        $sentNs = $this->uploadNs() + PacketAir::TURN_NS + $this->frameNs();

        return $this->settings->acknowledge ? $sentNs + PacketAir::TURN_NS + $this->settings->air()->acknowledgeNs() : $this->settings->sends() * $sentNs;
    }

    /** The sender's whole time until it gives up: upload + turn + (n+1) frames + n delays + the last wait. */
    public function worstNs(): int
    {
        if (! $this->settings->acknowledge) {
            return $this->bestNs();
        }

        return $this->uploadNs() + PacketAir::TURN_NS + ($this->retries + 1) * ($this->frameNs() + $this->retryDelayUs * 1_000);
    }

    private function frameNs(): int
    {
        return $this->settings->air()->frameNs($this->settings->payloadBytes);
    }

    private function uploadNs(): int
    {
        return (1 + $this->settings->payloadBytes) * self::UPLOAD_NS_PER_BYTE;
    }
}
