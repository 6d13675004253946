<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A packet-radio link's settings, with their types. */
final readonly class PacketSettings
{
    /** Settings that must be the same at both ends. */
    public const SHARED = ['channel', 'rateKbps', 'addressBytes', 'payloadBytes', 'crcBytes', 'acknowledge'];

    public function __construct(
        public ?int $channel,
        public PacketRate $rate,
        public int $addressBytes,
        public int $payloadBytes,
        public int $crcBytes,
        public bool $acknowledge,
        public int $powerDbm,
        public bool $senderId,
        public bool $proven = false,
        public bool $wholeState = false,
        public bool $packed = false,
    ) {
    }

    public static function of(Link $link): self
    {
        return self::from($link->settings);
    }

    public static function saysAll(Link $link): bool
    {
        return ($link->settings['wholeState'] ?? false) === true;
    }

    /** As one end has them: the link's, but for what is known to be set otherwise there. */
    public static function at(Link $link, Endpoint $endpoint): self
    {
        return self::from($endpoint->over($link, self::SHARED));
    }

    public static function linkShape(): Shape
    {
        return Shape::of(
            Field::whole('channel', 0, 125, 'Channel; the frequency is 2400 + channel MHz.')->nullable()->titled('Channel')->assigned(),
            Field::oneOf('rateKbps', [250, 1000, 2000], 'Data rate. The lowest reaches farthest.', 250, 'kbit/s')->titled('Rate'),
            Field::oneOf('addressBytes', [3, 4, 5], 'Length of addresses, bytes.', 5, 'bytes')->titled('Address'),
            Field::whole('payloadBytes', 1, 32, 'Length of a message.', 8, 'bytes')->titled('Payload')->assigned(),
            Field::oneOf('crcBytes', [0, 1, 2], 'Length of the check sum.', 2, 'bytes')->titled('CRC'),
            Field::flag('acknowledge', 'Whether the receiver acknowledges each message by itself.', true)->titled('Acknowledge'),
            Field::oneOf('powerDbm', [-18, -12, -6, 0], "The transceiver's power setting, before any amplifier.", 0, 'dBm')->titled('Power'),
            Field::flag('senderId', 'Whether each message carries the sender and a sequence number, so that many senders can share one address.', true)->titled('Sender number'),
            Field::flag('proven', 'Whether each message proves who made it and that it is new: a counter, and a tag that nobody makes without the key of the link. The key is put in when the boards are flashed; it is never kept here.')->titled('Proven'),
            Field::flag('wholeState', 'Whether each frame says how all of its sender stands, in as few bits as that takes, and not one command: what was lost is made up by the next frame that is heard, and one frame carries all that changes at once.')->titled('Whole state'),
            Field::flag('packed', 'Whether a command takes as few bits as the commands of this link need, and not whole bytes: a shorter payload will do, and less time on the air. A frame that says all is packed in any case.')->titled('Packed')->seldom(),
        );
    }

    public static function endShape(): Shape
    {
        $own = [
            Field::whole('retryDelayUs', 250, 4000, 'Wait before sending again, in steps of 250.', null, 'µs')->nullable()->titled('Retry delay'),
            Field::whole('retries', 0, 15, 'How often to send again.', 12)->titled('Retries'),
        ];
        $found = [];
        foreach (self::linkShape()->fields as $name => $field) {
            if (in_array($name, self::SHARED, true)) {
                $found[] = $field->nullable();
            }
        }

        return Shape::of(...$own, ...$found);
    }

    /** @return int how often a message goes out that nobody acknowledges: three times with one sequence number, by which the receiver knows it again. Common practice. */
    public function sends(): int
    {
        return ! $this->acknowledge && $this->senderId ? 3 : 1;
    }

    public function air(): PacketAir
    {
        return new PacketAir($this->rate, $this->addressBytes, $this->acknowledge ? max(1, $this->crcBytes) : $this->crcBytes);
    }

    /** A setting as people read it. */
    public static function words(string $setting, bool|float|int|string|null $value): string
    {
        return match (true) {
            $value === null => 'none yet',
            $setting === 'rateKbps' => PacketRate::from((int) $value)->words(),
            $setting === 'channel' => "channel {$value}",
            $setting === 'acknowledge' => $value === true ? 'acknowledge on' : 'acknowledge off',
            $setting === 'addressBytes' => "{$value}-byte addresses",
            $setting === 'payloadBytes' => "{$value}-byte payload",
            $setting === 'crcBytes' => "{$value}-byte CRC",
            default => (string) $value,
        };
    }

    /** @param  array<string, bool|float|int|string|null>  $raw accepted by the link shape */
    private static function from(array $raw): self
    {
        $values = new Values($raw);

        return new self(
            $values->wholeOrNull('channel'),
            $values->choice('rateKbps', PacketRate::class),
            $values->whole('addressBytes'),
            $values->whole('payloadBytes'),
            $values->whole('crcBytes'),
            $values->flag('acknowledge'),
            $values->whole('powerDbm'),
            $values->flag('senderId') || $values->flag('proven') || $values->flag('wholeState'),
            $values->flag('proven'),
            $values->flag('wholeState'),
            $values->flag('packed'),
        );
    }
}
