<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Medium\Infrared\Protocol\Nec;
use Rundfunk\Medium\Infrared\Protocol\NecExtended;
use Rundfunk\Medium\Infrared\Protocol\NecPlain;
use Rundfunk\Medium\Infrared\Protocol\Rc5;
use Rundfunk\Medium\Infrared\Protocol\Rc6;
use Rundfunk\Medium\Infrared\Protocol\Sirc;
use Rundfunk\OutOfRange;
use Rundfunk\Signal\Signal;
use Rundfunk\Signal\TimingDistance;

/** The infrared protocols this program knows. A new one is one line in standard(). */
final readonly class Protocols
{
    /** @param  non-empty-array<string, Protocol>  $byKey */
    private function __construct(private array $byKey)
    {
    }

    public static function standard(): self
    {
        $byKey = [];
        foreach ([new Nec, new NecExtended, new NecPlain, new Rc5, new Rc6, Sirc::ofBits(12), Sirc::ofBits(15), Sirc::ofBits(20)] as $protocol) {
            $byKey[$protocol->key()] = $protocol;
        }

        return new self($byKey);
    }

    public function find(string $key): ?Protocol
    {
        return $this->byKey[$key] ?? null;
    }

    /** @throws OutOfRange */
    public function named(string $key): Protocol
    {
        return $this->byKey[$key] ?? throw OutOfRange::because('protocol', 'protocol must be one of '.implode(', ', array_keys($this->byKey)).'.');
    }

    /** @return list<Protocol> */
    public function all(): array
    {
        return array_values($this->byKey);
    }

    /** @return non-empty-array<string, string> names by key */
    public function names(): array
    {
        return array_map(static fn (Protocol $protocol): string => $protocol->name(), $this->byKey);
    }

    /** Where more than one protocol can read it, the one whose own signal for that command is most like it: the first that can may be far off. */
    public function decode(Signal $signal): ?IrCommand
    {
        $best = null;
        $least = INF;
        foreach ($this->byKey as $protocol) {
            $command = $protocol->decode($signal);
            $off = $command === null ? INF : TimingDistance::between($signal, $protocol->encode($command));
            if ($off < $least) {
                [$best, $least] = [$command, $off];
            }
        }

        return $best;
    }
}
