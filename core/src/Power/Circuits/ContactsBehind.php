<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Catalogue\SwitchedBy;
use Rundfunk\Check\Look;
use Rundfunk\Plan\Circuit;
use Rundfunk\Plan\FusePlace;

/** What the contacts on a circuit would say to another fuse at its head. */
final readonly class ContactsBehind
{
    /**
     * @param  bool  $timeLag  slow: a semiconductor dies before it blows, however small it is
     * @return bool whether none that lives on this fuse alone would be saved by it no more
     */
    public static function bear(Look $look, Circuit $circuit, float $fuseA, bool $timeLag): bool
    {
        $all = AllLoads::in($look);
        foreach ($all->below($circuit) as $one) {
            foreach ($all->onCircuit($one) as $drawn) {
                $most = $all->mostFuseA($drawn);
                if ($most === null) {
                    continue;
                }
                $own = $drawn->load->fuseAt === FusePlace::Before ? $drawn->load->fuseA : null;
                $saved = $own !== null && $own <= $most + 1e-9;
                if (! $saved && ($fuseA > $most + 1e-9 || ($timeLag && $all->switching($drawn)?->by === SwitchedBy::Triac))) {
                    return false;
                }
            }
        }

        return true;
    }
}
