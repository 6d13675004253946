<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Cellular;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\Cellular\Sms\Gsm7;
use Rundfunk\Medium\Cellular\Sms\SmsSubmit;
use Tests\Core\CoreTestCase;

/** What a client hands to a modem in PDU mode, field by field as 3GPP TS 23.040 section 9.2.2.2 has them. */
final class SmsSubmitTest extends CoreTestCase
{
    /** The example that is printed wherever the format is explained. From memory. */
    private const EXAMPLE = '0011000B916407281553F80000AA0AE8329BFD4697D9EC37';

    /** @return iterable<string, array{string, string, string}> PDU, number, text */
    public static function messages(): iterable
    {
        yield 'the example in every tutorial' => [self::EXAMPLE, '+46708251358', 'hellohello'];
        yield 'in small letters' => [strtolower(self::EXAMPLE), '+46708251358', 'hellohello'];
        // First octet, reference, 12 digits of +442079460321, protocol, coding, then validity as the first octet says.
        $to = '0C9144029764301200';
        yield 'no validity period' => ["000100{$to}0004".self::packed('Lamp'), '+442079460321', 'Lamp'];
        yield 'a relative one' => ["001100{$to}00A704".self::packed('Lamp'), '+442079460321', 'Lamp'];
        yield 'an absolute one' => ["001900{$to}006252114125200404".self::packed('Lamp'), '+442079460321', 'Lamp'];
        yield 'an enhanced one' => ["000900{$to}000100000000000004".self::packed('Lamp'), '+442079460321', 'Lamp'];
        yield 'a service centre before it' => ["07914497730000F00100{$to}0004".self::packed('Lamp'), '+442079460321', 'Lamp'];
        yield 'a number of one country, of odd length' => ['0001000781021436F7000004'.self::packed('Lamp'), '2041637', 'Lamp'];
        yield 'letters of every script' => ["000100{$to}0808".bin2hex(mb_convert_encoding('Öl 5', 'UTF-16BE', 'UTF-8')), '+442079460321', 'Öl 5'];
        yield 'bytes' => ["000100{$to}0404".bin2hex('Lamp'), '+442079460321', 'Lamp'];
        // A header of 5 bytes and its length take 48 bits: 7 septets, one of them filled up with a bit.
        yield 'the second part of a long text' => ["004100{$to}000B050003070202".self::behindHeader('Lamp', 6), '+442079460321', 'Lamp'];
        yield 'a header with an escape in it' => ["004100{$to}000B050003B00101".self::behindHeader('Lamp', 6), '+442079460321', 'Lamp'];
        yield 'such a part in letters of every script' => ["004100{$to}080A050003070202".bin2hex(mb_convert_encoding('Öl', 'UTF-16BE', 'UTF-8')), '+442079460321', 'Öl'];
    }

    #[DataProvider('messages')]
    public function test_a_message_says_whom_it_is_for_and_what_it_says(string $pdu, string $to, string $text): void
    {
        self::assertSame(['to' => $to, 'text' => $text], SmsSubmit::read($pdu));
    }

    /** @return iterable<string, array{string}> */
    public static function others(): iterable
    {
        yield 'nothing' => [''];
        yield 'no hexadecimal' => ['hello'];
        yield 'half a byte' => [substr(self::EXAMPLE, 0, -1)];
        yield 'a message on its way to the phone' => ['07911326040000F0040B911346610089F60000208062917314080CC8F71D14969741F977FD07'];
        yield 'a service centre longer than all of it' => ['FF11000B91'];
        yield 'a text cut off' => [substr(self::EXAMPLE, 0, -4)];
    }

    #[DataProvider('others')]
    public function test_what_is_none_is_none(string $pdu): void
    {
        self::assertNull(SmsSubmit::read($pdu));
    }

    public function test_a_message_cut_off_anywhere_is_none_and_breaks_nothing(): void
    {
        foreach (self::messages() as $name => [$pdu]) {
            for ($bytes = 0; $bytes < intdiv(strlen($pdu), 2); $bytes++) {
                self::assertNull(SmsSubmit::read(substr($pdu, 0, 2 * $bytes)), "{$name}, {$bytes} bytes");
            }
        }
    }

    private static function packed(string $text): string
    {
        return bin2hex(Gsm7::pack(Gsm7::septets($text) ?? []));
    }

    /** Septets that begin on the next whole septet behind a header of so many bytes, counted with its length. */
    private static function behindHeader(string $text, int $headerBytes): string
    {
        $fill = (7 - $headerBytes * 8 % 7) % 7;
        $bits = str_repeat('0', $fill);
        foreach (str_split($text) as $letter) {
            $bits .= strrev(sprintf('%07b', ord($letter)));
        }
        $bytes = array_map(static fn (string $eight): string => sprintf('%02X', bindec(strrev(str_pad($eight, 8, '0')))), str_split($bits, 8));

        return implode('', $bytes);
    }
}
