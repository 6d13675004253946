<?php

declare(strict_types=1);

namespace Tests\Core\Frame;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Frame\FieldSize;
use Rundfunk\Frame\FrameCodec;
use Rundfunk\Frame\FrameFault;
use Rundfunk\Frame\FrameField;
use Rundfunk\Frame\FrameLayout;
use Tests\Core\CoreTestCase;

final class FrameCodecTest extends CoreTestCase
{
    private static function layout(): FrameLayout
    {
        return new FrameLayout(
            12,
            [
                new FrameField('a', FieldSize::u8(), ''),
                new FrameField('b', FieldSize::i16(), ''),
                new FrameField('c', FieldSize::u32(), ''),
                new FrameField('d', FieldSize::u16(), ''),
            ],
        );
    }

    public function test_decoding_undoes_encoding(): void
    {
        $codec = new FrameCodec(self::layout());
        mt_srand(1);
        for ($round = 0; $round < 500; $round++) {
            $values = ['a' => mt_rand(0, 255), 'b' => mt_rand(-32768, 32767), 'c' => mt_rand(0, 0xFFFF_FFFF), 'd' => mt_rand(0, 65535)];
            self::assertSame($values, $codec->decode($codec->encode($values)));
        }
    }

    public function test_bytes_are_little_endian_and_filler_is_zero(): void
    {
        $bytes = (new FrameCodec(self::layout()))->encode(['a' => 0x11, 'b' => -2, 'c' => 0x04030201, 'd' => 0xBEEF]);
        self::assertSame('11feff01020304efbe000000', bin2hex($bytes));
    }

    /** @return iterable<string, array{array<string, int>}> */
    public static function unfit(): iterable
    {
        yield 'too large' => [['a' => 256, 'b' => 0, 'c' => 0, 'd' => 0]];
        yield 'negative' => [['a' => 0, 'b' => 0, 'c' => -1, 'd' => 0]];
        yield 'missing' => [['a' => 0, 'b' => 0, 'c' => 0]];
    }

    /** @param  array<string, int>  $values */
    #[DataProvider('unfit')]
    public function test_values_that_do_not_fit_are_refused(array $values): void
    {
        $this->expectException(FrameFault::class);
        (new FrameCodec(self::layout()))->encode($values);
    }

    public function test_a_frame_of_another_length_is_refused(): void
    {
        $this->expectException(FrameFault::class);
        (new FrameCodec(self::layout()))->decode('short');
    }
}
