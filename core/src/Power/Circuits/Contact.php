<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Catalogue\SwitchedBy;
use Rundfunk\Catalogue\Switching;
use Rundfunk\Electrical\ContactRating;

/** What the contact or semiconductor of an output bears of the loads on it. */
final readonly class Contact
{
    /** Between the open contacts of a small power relay, and across a semiconductor relay. Data sheets of such, from memory. */
    public const MOST_AC_V = 250.0;

    /** However little flows. Data sheets of small power relays, from memory. */
    public const MOST_DC_V = 110.0;

    public function __construct(public Switching $switching)
    {
    }

    /** @return float amperes of such a load alone, at most */
    public function mostA(Drawn $drawn): float
    {
        $most = $this->switching->by->isContact()
            ? (new ContactRating($this->switching->ratedA, $drawn->load->sort, $drawn->direct ? max(0.1, min(400.0, $drawn->volts ?? 0.1)) : null))->mostA()
            : $this->switching->ratedA;

        return $drawn->isDangerous() && $this->switching->mainsA !== null ? min($most, $this->switching->mainsA) : $most;
    }

    /**
     * How much of what it bears is taken, each load by its own kind; 1 for all of it.
     *
     * @param  list<Drawn>  $loads
     */
    public function share(array $loads): float
    {
        $share = 0.0;
        foreach ($loads as $drawn) {
            $share += ($drawn->amperes ?? 0.0) / $this->mostA($drawn);
        }

        return $share;
    }

    /** @return float|null the largest fuse that may stand before it, amperes; null for a transistor, which no fuse saves */
    public function mostFuseA(Drawn $drawn): ?float
    {
        return match ($this->switching->by) {
            SwitchedBy::Relay => $drawn->isDangerous() ? min($this->switching->ratedA, $this->switching->mainsA ?? INF) : $this->switching->ratedA,
            SwitchedBy::Triac => $this->switching->fuseA ?? $this->switching->ratedA,
            SwitchedBy::Transistor => null,
        };
    }
}
