<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

/**
 * Proves who made a frame and that it is new: a counter that only goes up, and four bytes that nobody makes without the link's
 * key. The tag is over the address that the frame is sent to as well, so that it counts at no other receiver.
 */
final readonly class FrameProof
{
    private const COUNTER = 'counter';

    private const TAG = 'tag';

    private function __construct(private FrameLayout $layout, private int $tagAt)
    {
    }

    /**
     * @param  int  $notBefore  byte at which they begin at the earliest
     * @return list<FrameField> what a frame bears besides, as its last fields
     */
    public static function fields(int $notBefore = 0): array
    {
        return [
            new FrameField(self::COUNTER, FieldSize::u32(), 'goes up with each new message and never back: what is not beyond the last is refused', $notBefore),
            new FrameField(self::TAG, FieldSize::u32(), 'SipHash-2-4 of address and bytes before, under the key of the link: its first four bytes'),
        ];
    }

    /** @return self|null null where the frames bear no proof */
    public static function of(FrameLayout $layout): ?self
    {
        foreach ($layout->placed() as $placed) {
            if ($placed->field->name === self::TAG) {
                return new self($layout, $placed->firstByte());
            }
        }

        return null;
    }

    /** @return int bytes before the tag */
    public function coveredBytes(): int
    {
        return $this->tagAt;
    }

    /**
     * @param  array<string, int>  $values  of the frame; its tag is worked out
     * @param  string  $address  as it goes over the air, the first byte first
     * @param  string  $key  16 bytes
     *
     * @throws FrameFault
     */
    public function seal(array $values, string $address, string $key): string
    {
        $bytes = (new FrameCodec($this->layout))->encode([...$values, self::TAG => 0]);

        return substr_replace($bytes, $this->tag($bytes, $address, $key), $this->tagAt, 4);
    }

    /**
     * @param  int  $last  the counter of the last frame that was believed of that sender; 0 before the first
     * @return array<string, int>|null the frame's values; null when nobody who has the key made it for this address, or it is not new
     *
     * @throws FrameFault when the length is not the layout's
     */
    public function open(string $bytes, string $address, string $key, int $last): ?array
    {
        $values = (new FrameCodec($this->layout))->decode($bytes);
        $proven = hash_equals($this->tag($bytes, $address, $key), substr($bytes, $this->tagAt, 4));

        return $proven && ($values[self::COUNTER] ?? 0) > $last ? $values : null;
    }

    private function tag(string $bytes, string $address, string $key): string
    {
        return substr(SipHash::of($key, $address.substr($bytes, 0, $this->tagAt)), 0, 4);
    }
}
