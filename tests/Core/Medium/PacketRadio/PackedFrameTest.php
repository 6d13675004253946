<?php

declare(strict_types=1);

namespace Tests\Core\Medium\PacketRadio;

use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Build\CHeader;
use Rundfunk\Build\Fingerprint;
use Rundfunk\Frame\FrameCodec;
use Rundfunk\Frame\PlacedField;
use Rundfunk\Medium\PacketRadio\PacketFrame;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;
use Tests\Core\RunsPrograms;

/** Commands in as few bits as a link needs: laid out from its routes, and the same at both ends and in the core. */
final class PackedFrameTest extends CoreTestCase
{
    use RunsPrograms;

    private static function plan(bool $stick, bool $packed = true): Plan
    {
        $sketch = self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')
            ->node('boat', 'Boat', NodeKind::Controller, null, '8bit-5v-20io')->module('boat-radio', 'boat', 'packet-radio-plain', 'Radio')
            ->link('air', 'Air', 'packet-radio', ['packed' => $packed])->join('air', 'hand', Role::Sends, 'hand-radio')->join('air', 'boat', Role::Receives, 'boat-radio');
        foreach (range(1, 5) as $key) {
            $sketch->control("k{$key}", 'hand', "Key {$key}")->output("o{$key}", 'boat', "Lamp {$key}")->route("k{$key}", Action::Toggle, "o{$key}");
        }
        if ($stick) {
            $sketch->control('s', 'hand', 'Throttle', ControlKind::Axis)->output('m', 'boat', 'Screw', OutputKind::Motor)->route('s', Action::Set, 'm');
        }

        return $sketch->assigned();
    }

    /** @return list<string> */
    private static function places(Plan $plan): array
    {
        return array_map(static fn (PlacedField $one): string => "{$one->field->name} {$one->words()}", PacketFrame::of($plan, $plan->links()[0])->placed());
    }

    public function test_it_takes_as_few_bits_as_the_link_needs(): void
    {
        // Five codes in three bits, and no key says how much; six and −100 to 100 in three and eight.
        self::assertSame(['sender byte 0', 'sequence byte 1', 'code byte 2, bits 0–2'], self::places(self::plan(false)));
        self::assertSame(['sender byte 0', 'sequence byte 1', 'code byte 2, bits 0–2', 'argument byte 2, bit 3, to byte 3, bit 2'], self::places(self::plan(true)));
        self::assertSame(['sender byte 0', 'sequence byte 1', 'code byte 2', 'argument bytes 3–4'], self::places(self::plan(true, false)));
    }

    public function test_a_value_that_the_plan_says_goes_along_for_whoever_hands_it_on(): void
    {
        $plan = self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')
            ->node('boat', 'Boat', NodeKind::Controller, null, '8bit-5v-20io')->module('boat-radio', 'boat', 'packet-radio-plain', 'Radio')
            ->link('air', 'Air', 'packet-radio', ['packed' => true])->join('air', 'hand', Role::Sends, 'hand-radio')->join('air', 'boat', Role::Receives, 'boat-radio')
            ->control('k', 'hand', 'Key')->control('l', 'hand', 'Less')->output('m', 'boat', 'Screw', OutputKind::Motor)->route('k', Action::Set, 'm', null, 40)->route('l', Action::Step, 'm', null, -5)->assigned();
        $placed = PacketFrame::of($plan, $plan->links()[0])->placed();
        self::assertSame(['argument', -5, 40], [$placed[3]->field->name, $placed[3]->field->size->lowest, $placed[3]->field->size->highest]);
    }

    public function test_both_ends_are_flashed_again_when_it_is_laid_out_anew(): void
    {
        [$without, $with] = [self::plan(false), self::plan(true)];
        $prints = array_map(static fn (Plan $plan): string => Fingerprint::ofLink($plan, $plan->links()[0], self::knowledge()), [$without, $with, self::plan(true, false)]);
        self::assertCount(3, array_unique($prints));
    }

    public function test_what_one_end_says_the_other_hears(): void
    {
        foreach ([false, true] as $stick) {
            $plan = self::plan($stick);
            $layout = PacketFrame::of($plan, $plan->links()[0]);
            $expected = $rows = '';
            foreach ([[1, 0], [5, 0], [6, -100], [6, 99], [6, 300]] as $number => [$code, $value]) {
                if ($code === 6 && ! $stick) {
                    continue;
                }
                $heard = max(-100, min(100, $value));
                $bytes = (new FrameCodec($layout))->encode(['sender' => 1, 'sequence' => $number, 'code' => $code, ...($stick ? ['argument' => $heard] : [])]);
                $rows .= "{ 0, 2, {$code}, {$value} }, ";
                $expected .= bin2hex($bytes)." {$code} {$heard}\n";
            }
            foreach ($plan->nodes() as $node) {
                file_put_contents("{$this->folder}/".(new CHeader(self::knowledge()))->fileName($node), (new CHeader(self::knowledge()))->write($plan, $node));
                $behaviour = BehaviourFiles::of($plan, $node, self::knowledge())[0];
                file_put_contents("{$this->folder}/{$behaviour->fileName}", $behaviour->content);
            }
            file_put_contents("{$this->folder}/hand.c", "#include <stdio.h>\n#include \"hand_behaviour.h\"\nint main(void) { struct node_message told[] = { {$rows} }; for (unsigned n = 0; n < sizeof told / sizeof told[0]; n++) { uint8_t bytes[AIR_FRAME_BYTES]; node_to_air(&told[n], (uint8_t)n, bytes); for (unsigned b = 0; b < AIR_FRAME_BYTES; b++) printf(\"%02x\", bytes[b]); printf(\"\\n\"); } return 0; }\n");
            file_put_contents("{$this->folder}/boat.c", "#include <stdio.h>\n#include \"boat_behaviour.h\"\nint main(void) { char text[2 * AIR_FRAME_BYTES + 1]; while (scanf(\"%s\", text) == 1) { uint8_t bytes[AIR_FRAME_BYTES]; struct node_message heard; for (unsigned b = 0; b < AIR_FRAME_BYTES; b++) { unsigned byte; sscanf(text + 2 * b, \"%2x\", &byte); bytes[b] = (uint8_t)byte; } if (node_from_air(bytes, AIR_FRAME_BYTES, &heard)) printf(\"%s %d %d\\n\", text, heard.code, heard.value); } return 0; }\n");
            foreach (['hand', 'boat'] as $end) {
                $this->execute('gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-fsanitize=address,undefined', '-o', $end, "{$end}.c");
            }
            self::assertSame($expected, $this->execute('sh', '-c', './hand | ./boat'));
        }
    }
}
