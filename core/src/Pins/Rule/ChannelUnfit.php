<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Spot;

/** A control or an output on a channel that carries another kind: a strip on a relay, a stick on a key. */
#[Finds('channel-unfit', WorkStep::PinsAndPower)]
final readonly class ChannelUnfit implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        foreach ([...$look->plan->outputsOf($node), ...$look->plan->controlsOf($node)] as $thing) {
            $channel = $thing instanceof Output ? $thing->channel : $thing->terminal;
            $module = $thing->moduleId === null || ! $thing->kind->isWired() ? null : $look->plan->module($thing->moduleId);
            $class = $module === null ? null : $look->catalogue->classOf($module);
            $terminal = $class?->terminal((string) $channel);
            if ($module === null || $class === null || $terminal === null || $class->takes($terminal, $thing) || $terminal->carries !== ($thing instanceof Output ? 'output' : 'control')) {
                continue;
            }
            $kind = self::a($thing instanceof Output ? $thing->kind->words() : $thing->kind->value);
            yield Finding::fault(
                "{$thing->name} of {$node->name} is {$kind}, and {$module->name} {$terminal->name} carries none",
                Spot::of($thing, "{$node->name}, {$thing->name}", 'kind'),
                "It is on a {$class->name}. What the program would send there, the part does not understand.",
                'Say what it is, or put it on a module that carries such; Assign does the latter where there is one.',
                self::fix($thing, $class),
                numbers: ['kind' => $thing->kind->value, 'carries' => $class->carries ?? ''],
                about: [$thing->id],
            );
        }
    }

    private static function a(string $word): string
    {
        return (in_array($word[0], ['a', 'e', 'i', 'o', 'u'], true) ? 'an ' : 'a ').$word;
    }

    /** An output is what its module carries. What a control is, its routes hang on. */
    private static function fix(Control|Output $thing, ModuleClass $class): ?Fix
    {
        $kind = OutputKind::tryFrom($class->carries ?? '');

        return ! $thing instanceof Output || $kind === null ? null : Fix::change("Make it a {$kind->words()}", $thing, ['kind' => $kind->value]);
    }
}
