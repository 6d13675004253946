<?php

declare(strict_types=1);

namespace Rundfunk\Cables;

use Rundfunk\Plan\CableCore;
use Rundfunk\Plan\CoreUse;

/** One core that something between two nodes wants, and where it goes at each end. */
final readonly class CoreWant
{
    /**
     * @param  string  $atFrom  the terminal at the first end
     * @param  string  $atTo  the terminal at the other
     * @param  bool|null  $crosses  it goes from what speaks to what hears; false where it must not cross; null where the question does not arise
     */
    public function __construct(public CoreUse $use, public string $atFrom, public string $atTo, public ?bool $crosses = null, public ?string $linkId = null, public ?string $supplyId = null)
    {
    }

    public static function ground(): self
    {
        return new self(CoreUse::Ground, 'GND', 'GND');
    }

    public function isMetBy(CableCore $core): bool
    {
        return $core->use === $this->use && ($this->use === CoreUse::Ground || ($core->linkId === $this->linkId && $core->supplyId === $this->supplyId));
    }

    public function on(int $core): CableCore
    {
        return new CableCore($core, $this->use, $this->linkId, $this->supplyId);
    }

    public function words(): string
    {
        return $this->atFrom === $this->atTo ? $this->atFrom : "{$this->atFrom} to {$this->atTo}";
    }
}
