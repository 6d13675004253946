<?php

declare(strict_types=1);

namespace Tests\Core\Frame;

use Rundfunk\Frame\FrameFault;
use Rundfunk\Frame\SipHash;
use Tests\Core\CoreTestCase;

final class SipHashTest extends CoreTestCase
{
    private static function bytes(int $count): string
    {
        return implode('', array_map(chr(...), range(0, max(0, $count - 1))));
    }

    /** The worked example of the paper (appendix A) and the first of its authors' vectors: key 00 to 0f, message 00, 01, 02 … */
    public function test_published_vectors(): void
    {
        $key = self::bytes(16);
        foreach (['310e0edd47db6f72', 'fd67dc93c539f874', '5a4fa9d909806c0d', '2d7efbd796666785', 'b7877127e09427cf', '8da699cd64557618', 'cee3fe586e46c9cb', '37d1018bf50002ab', '6224939a79f5f593'] as $length => $hash) {
            self::assertSame($hash, bin2hex(SipHash::of($key, $length === 0 ? '' : self::bytes($length))), "{$length} bytes");
        }
        // 0xa129ca6149be45e5
        self::assertSame('e545be4961ca29a1', bin2hex(SipHash::of($key, self::bytes(15))));
    }

    /** Against the reference library that PHP brings: libsodium's short-input hash is this one. */
    public function test_it_is_what_the_reference_library_says(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 400; $round++) {
            $key = implode('', array_map(static fn (): string => chr(mt_rand(0, 255)), range(1, 16)));
            $message = implode('', array_map(static fn (): string => chr(mt_rand(0, 255)), range(0, mt_rand(0, 40))));
            self::assertSame(bin2hex(sodium_crypto_shorthash($message, $key)), bin2hex(SipHash::of($key, $message)));
        }
    }

    public function test_a_key_of_another_length_is_refused(): void
    {
        $this->expectException(FrameFault::class);
        SipHash::of('short', '');
    }
}
