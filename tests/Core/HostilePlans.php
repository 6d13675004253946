<?php

declare(strict_types=1);

namespace Tests\Core;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Edit\Editor;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Tie;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\TextType;

/** Plans in which every text that anybody may type is meant to act in some file that is made of it. */
final class HostilePlans
{
    public const PIECES = [
        'P *\\ int pwned(void){return 42;} \\*',
        '*/ int pwned; /*',
        '*/*/ int pwned; /*/*',
        "*\r/ int pwned; /\r*",
        "*\n/ int pwned; /\n*",
        '????/',
        '???/',
        "\\\n#error no",
        "\n#error no\n",
        '"; int pwned; char *x = "',
        '\\"; int pwned; "',
        '??/"; int pwned; "',
        "web\"\rATD0900123456;\rAT+X=\"",
        '=cmd|\'/C calc\'!A0',
        ' =1+1',
        "\n=1+1",
        "\t @SUM(1)",
        "\u{FF1D}1+1",
        "\u{200B}=1+1",
        "'+1",
        '"""',
        "'''",
        "x\"\npwned = \"y",
        '[[protocols]]',
        ']]>',
        '</text><script>pwned()</script>',
        '" onload="pwned()',
        '../../etc/passwd',
        "a\r\nSet-Cookie: pwned=1",
        '%s%n%d',
        "\u{202E}*/ int pwned; /*",
        "\u{2028}#error no",
        'a/#',
        '+/+',
        '$SYS/x',
        'con',
        '..',
    ];

    private readonly Randomizer $random;

    public function __construct(int $seed, private readonly Knowledge $knowledge)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** The plan with a hostile text wherever the shapes take one. */
    public function of(Plan $plan): Plan
    {
        foreach (ThingKind::cases() as $kind) {
            foreach ($plan->all($kind) as $thing) {
                foreach ($this->texts($thing) as $values) {
                    try {
                        $plan = (new Editor($this->knowledge))->apply($plan, [Operation::change($kind, $thing->id(), $values)])->plan;
                    } catch (PlanRefused) {
                        // As well: what is refused is in no file.
                    }
                }
            }
        }
        $plan = $this->describedOtherwise($plan);
        $own = ['name' => mb_substr($this->piece(), 0, 80), 'note' => $this->piece()];

        return (new Editor($this->knowledge))->apply($plan, [Operation::changeProperties($plan->properties->id, $own)])->plan;
    }

    /** The pins and terminals of the classes that the plan describes, called otherwise, with the wires that are on them. */
    private function describedOtherwise(Plan $plan): Plan
    {
        $editor = new Editor($this->knowledge);
        foreach ([ThingKind::OwnBoard, ThingKind::OwnModule] as $kind) {
            foreach ($plan->all($kind) as $own) {
                $called = [];
                $description = $this->renamed($own->values()['description'], $called);
                $uses = array_filter($plan->pinUses(), static function (PinUse $use) use ($plan, $own, $kind): bool {
                    $module = $plan->module($use->moduleId);

                    return ($kind === ThingKind::OwnBoard ? $plan->node($module->nodeId)->board : $module->class) === Tie::OWN.$own->id();
                });
                $field = $kind === ThingKind::OwnBoard ? 'pin' : 'terminal';
                $plan = $editor->apply($plan, [
                    Operation::change($kind, $own->id(), ['description' => $description]),
                    ...array_map(static fn (PinUse $use): Operation => Operation::change(ThingKind::PinUse, $use->id, [$field => $called[$use->{$field}] ?? $use->{$field}]), array_values($uses)),
                ])->plan;
            }
        }

        return $plan;
    }

    /**
     * @param  array<string, string>  $called  gathers the new names by the old
     */
    private function renamed(mixed $description, array &$called): mixed
    {
        foreach (is_array($description) ? $description : [] as $key => $value) {
            if (is_array($value)) {
                $description[$key] = $this->renamed($value, $called);
            } elseif (is_string($value) && in_array($key, ['doc', 'note', 'advice'], true)) {
                $description[$key] = $this->piece();
            } elseif (is_string($value) && $key === 'name') {
                $called[$value] = $description[$key] = mb_substr($this->piece(), 0, 20).count($called);
            }
        }

        return $description;
    }

    /** @return iterable<array<string, mixed>> changes of one text each */
    private function texts(Thing $thing): iterable
    {
        foreach ($thing::kind()->shape()->fields as $name => $field) {
            // What parts and wires are called is chosen from a list, and a rule says when it is not; names and notes are typed.
            if ($field->type instanceof TextType && $field->refers === null && ! in_array($name, ['id', 'class', 'board', 'medium', 'terminal', 'pin', 'channel'], true)) {
                yield [$name => mb_substr($this->piece(), 0, $field->type->longest)];
            }
        }
        $settings = $thing->values()['settings'] ?? [];
        foreach (is_array($settings) ? $settings : [] as $name => $value) {
            if (is_string($value)) {
                yield ['settings' => [$name => mb_substr($this->piece(), 0, 24)]];
                yield ['settings' => [$name => $this->piece()]];
            }
        }
    }

    private function piece(): string
    {
        return self::PIECES[$this->random->getInt(0, count(self::PIECES) - 1)];
    }
}
