<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Medium\Serial\Line\LineEnd;
use Rundfunk\Medium\Serial\Line\LineMessage;

/** Ends of a line on a cable that loses and turns bits: a bus on which all hear all, two wires that cross, or a ring. */
final class Wires
{
    private readonly Randomizer $chance;

    private int $nowMs = 0;

    /** @var list<array{int, int, LineMessage}> who heard, when, what */
    public array $heard = [];

    /**
     * @param  list<LineEnd>  $ends
     * @param  string  $form  "bus" or "ring"; two ends of a ring are a pair
     * @param  float  $harm  the share of bytes that are lost or turned
     */
    public function __construct(private readonly array $ends, private readonly string $form, private float $harm, int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    public function heal(): void
    {
        $this->harm = 0.0;
    }

    /** A step of each in turn; what one says the others hear before the next may speak. */
    public function run(int $steps, int $eachMs): void
    {
        for ($step = 0; $step < $steps; $step++) {
            $this->nowMs += $eachMs;
            foreach ($this->ends as $from => $end) {
                $bytes = $end->step($this->nowMs);
                foreach ($bytes === '' ? [] : str_split($bytes) as $byte) {
                    foreach ($this->hearers($from) as $to) {
                        $this->hear($to, ord($byte));
                    }
                }
            }
        }
    }

    /** Time goes by, and nobody is there but one. */
    public function leaveAlone(int $who, int $ms): void
    {
        $this->nowMs += $ms;
        $this->ends[$who]->step($this->nowMs);
    }

    /** @param  list<int>  $bytes  noise that all hear */
    public function disturb(array $bytes): void
    {
        foreach ($bytes as $byte) {
            foreach (array_keys($this->ends) as $to) {
                $this->hear($to, $byte);
            }
        }
    }

    public function nowMs(): int
    {
        return $this->nowMs;
    }

    /** @return list<int> */
    private function hearers(int $from): array
    {
        return $this->form === 'ring' ? [($from + 1) % count($this->ends)] : array_values(array_diff(array_keys($this->ends), [$from]));
    }

    private function hear(int $to, int $byte): void
    {
        $drawn = $this->chance->getInt(0, 999_999) / 1e6;
        if ($drawn < $this->harm / 2) {
            return;
        }
        if ($drawn < $this->harm) {
            $byte ^= 1 << $this->chance->getInt(0, 7);
        }
        $message = $this->ends[$to]->byte($byte, $this->nowMs);
        if ($message !== null) {
            $this->heard[] = [$to, $this->nowMs, $message];
        }
    }
}
