<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/** What a modem's node reports to an address on the web: its readings, one after another behind the question mark. */
final readonly class WebReport
{
    /** What modems take as an address, at the least. Sheet of a common 2G module, from memory. */
    public const LONGEST = 256;

    /** As much as a reading takes: sign, four figures, point and two behind it. */
    private const VALUE_LETTERS = 8;

    /** @param  list<Control>  $readings */
    private function __construct(public string $address, public string $accessPoint, public int $everyMin, public array $readings)
    {
    }

    /** @return self|null null when nothing is to be reported */
    public static function of(Plan $plan, Modem $modem): ?self
    {
        $readings = array_filter($plan->controlsOf($modem->node), static fn (Control $control): bool => $control->kind === ControlKind::Reading);

        return $modem->end->reportTo === '' ? null : new self($modem->end->reportTo, $modem->end->accessPoint, $modem->end->reportMin, array_values($readings));
    }

    /** @return string the address to ask for, "<frost>" standing for what the frost sensor says */
    public function template(): string
    {
        $names = new UniqueNames;
        $query = array_map(static function (Control $reading) use ($names): string {
            $name = $names->name(CNames::lower($reading->name));

            return "{$name}=<{$name}>";
        }, $this->readings);
        $joint = $query === [] ? '' : (str_contains($this->address, '?') ? '&' : '?');

        return $this->address.$joint.implode('&', $query);
    }

    /** @return int letters of the address with a value in every place */
    public function length(): int
    {
        return strlen((string) preg_replace('/<[^>]*>/', str_repeat('0', self::VALUE_LETTERS), $this->template()));
    }

    /** It names a machine, and holds nothing that would end the modem's quotes (RFC 3986; common practice). */
    public function isSound(): bool
    {
        $parts = parse_url($this->address);

        return is_array($parts) && in_array($parts['scheme'] ?? '', ['http', 'https'], true) && ($parts['host'] ?? '') !== '' && ! isset($parts['fragment'])
            && preg_match('/[^\x21\x23-\x7E]/', $this->address) === 0 && $this->length() <= self::LONGEST;
    }

    public function isSecret(): bool
    {
        return str_starts_with(strtolower($this->address), 'https:');
    }
}
