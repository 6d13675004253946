<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\ReportForm;
use Rundfunk\Knowledge;
use Rundfunk\Plan\OwnModule;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Rundfunk\View\Shown\ReportChannel;
use Rundfunk\View\Shown\ReportTrial;

/**
 * What a pad's report says, as the header reads it: to see whether a description of one's own is right before anything is built
 * on it. Asked as in an address: module, and came for the bytes, as hexadecimal digits.
 */
final readonly class ReportTrialView implements View
{
    public function key(): string
    {
        return 'report-trial';
    }

    public function owner(): null
    {
        return null;
    }

    public function shape(): string
    {
        return ReportTrial::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?ReportTrial
    {
        parse_str($of, $asked);
        $text = static fn (string $name): string => is_string($asked[$name] ?? null) ? $asked[$name] : '';
        $form = self::form($text('module'), $plan, $knowledge->catalogue);
        if ($form === null) {
            return null;
        }
        $digits = (string) preg_replace('/0x|[\s,:.-]+/i', '', $text('came'));
        if ($digits === '') {
            return new ReportTrial([], null);
        }
        if (preg_match('/^([0-9a-f]{2})+$/iD', $digits) !== 1) {
            return new ReportTrial([], 'It is no row of hexadecimal bytes.');
        }
        $bytes = (string) hex2bin($digits);
        $read = $form->read($bytes);

        return $read === null ? new ReportTrial([], self::lost($form, $bytes)) : new ReportTrial(self::channels($form, $read), null);
    }

    /** Where nothing is said, the first that there is. */
    private static function form(string $module, Plan $plan, Catalogue $catalogue): ?ReportForm
    {
        $own = $plan->find(ThingKind::OwnModule, $module);
        if ($module !== '') {
            return $own instanceof OwnModule ? $catalogue->modules[$own->key()]->report : null;
        }
        foreach ($catalogue->modules as $class) {
            if ($class->report !== null) {
                return $class->report;
            }
        }

        return null;
    }

    private static function lost(ReportForm $form, string $bytes): string
    {
        if (strlen($bytes) !== $form->bytes) {
            return 'It has '.strlen($bytes)." bytes, and a report {$form->bytes}.";
        }
        foreach ($form->proofs as $byte => $may) {
            if (! in_array(ord($bytes[$byte]), $may, true)) {
                return sprintf('Byte %d is %02X and must be %s: as if nothing were attached.', $byte, ord($bytes[$byte]), implode(' or ', array_map(static fn (int $one): string => sprintf('%02X', $one), $may)));
            }
        }

        return 'No byte proves it: what comes while nothing is attached would count.';
    }

    /**
     * @param  array<array-key, int>  $read
     * @return list<ReportChannel>
     */
    private static function channels(ReportForm $form, array $read): array
    {
        $channels = [];
        foreach ($read as $name => $value) {
            $channels[] = isset($form->keys[$name])
                ? new ReportChannel((string) $name, $value === 1 ? 'pressed' : 'let go', $value === 1)
                : new ReportChannel((string) $name, "{$value} of ".ReportForm::MOST, abs($value - ReportForm::MIDDLE) > 1);
        }

        return $channels;
    }
}
