<?php

declare(strict_types=1);

namespace App\Http;

use App\Plans\PlanStore;
use Illuminate\Http\Request;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** The node of a plan of the user's that a request is about, and the medium it names. */
final readonly class AskedNode
{
    private function __construct(public Plan $plan, public Node $node, public string $medium)
    {
    }

    public static function of(Request $request, string $plan, string $node, PlanStore $store): self
    {
        $loaded = $store->look(SignedIn::user($request), $plan)->plan;
        $key = $request->input('medium');

        return new self($loaded, $loaded->node($node), is_string($key) ? $key : '');
    }
}
