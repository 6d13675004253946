<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\LineTime;
use Rundfunk\Medium\Serial\Shown\DeviceTrial;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolForm;
use Rundfunk\Plan\ProtocolItemKind;
use Rundfunk\Plan\ThingKind;
use Rundfunk\View\View;

/**
 * A frame to try by hand. How it is wanted is said as in an address: protocol, item, id, figure; and came for bytes that came, as
 * hexadecimal digits, or the text itself.
 */
final readonly class TrialView implements View
{
    public function key(): string
    {
        return 'device-trial';
    }

    public function owner(): null
    {
        return null;
    }

    public function shape(): string
    {
        return DeviceTrial::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?DeviceTrial
    {
        parse_str($of, $asked);
        $text = static fn (string $name): string => is_string($asked[$name] ?? null) ? $asked[$name] : '';
        // Nothing said: the first that there is.
        $protocol = $text('protocol') === '' ? $plan->of(Protocol::class)[0] ?? null : $plan->find(ThingKind::Protocol, $text('protocol'));
        if (! $protocol instanceof Protocol) {
            return null;
        }
        $id = max(0, min(255, (int) $text('id')));
        $item = $text('item') === '' ? $protocol->items[0] ?? null : $protocol->item($text('item'));
        $heard = $text('came') === '' ? null : self::meaning($protocol, self::bytes($protocol, $text('came')));
        if ($item === null) {
            return new DeviceTrial(null, null, null, $heard);
        }
        $saying = Saying::sent($item);
        $value = $saying->given();
        $figure = max(-32_768, min(32_767, (int) $text('figure')));
        $bytes = Forms::of($protocol)->encode($saying, $id, $value === null ? 0 : ($value->isSwitch() ? ($figure === 0 ? 0 : 1) : Figure::wire($value, $figure)));

        return new DeviceTrial(BoughtSayings::hex($bytes), $protocol->form === ProtocolForm::Words ? Escaped::shown($bytes) : null, round(LineTime::of(9_600, 10)->ms(strlen($bytes)), 2), $heard);
    }

    private static function bytes(Protocol $protocol, string $came): string
    {
        $digits = (string) preg_replace('/(0x)|[\s,:]/i', '', $came);
        if (preg_match('/^([0-9a-f]{2})+$/iD', $digits) === 1 && ($protocol->form === ProtocolForm::Packet || preg_match('/^\s*([0-9a-f]{2}\s+)+[0-9a-f]{2}\s*$/iD', $came) === 1)) {
            return (string) hex2bin(substr($digits, 0, 240));
        }
        $text = substr(Escaped::bytes(strtr($came, ['<CR>' => '\r', '<LF>' => '\n'])), 0, 120);
        $ending = Escaped::bytes($protocol->ending);

        // Who types a line by hand does not type its end.
        return $protocol->form === ProtocolForm::Words && $ending !== '' && ! str_ends_with($text, $ending) ? $text.$ending : $text;
    }

    /** Whoever sent it: any id that there can be is tried. */
    private static function meaning(Protocol $protocol, string $bytes): string
    {
        $form = Forms::of($protocol);
        for ($id = 0; $id <= ($protocol->hasIds() ? $protocol->highestId() : 0); $id++) {
            foreach ($protocol->items as $item) {
                foreach ([$item->kind === ProtocolItemKind::Says ? 'says' : 'is told' => Saying::sent($item), 'answers' => Saying::answer($item)] as $how => $saying) {
                    if ($how === 'answers' && $item->kind === ProtocolItemKind::Says) {
                        continue;
                    }
                    $received = Forms::received($protocol, max($form->keptBytes($saying), strlen($bytes)));
                    foreach ($bytes === '' ? [] : str_split($bytes) as $byte) {
                        $received->push(ord($byte));
                    }
                    $heard = $form->decode($saying, $id, $received);
                    if ($heard !== null) {
                        return ($protocol->hasIds() && ! ($protocol->bare && $saying->isAnswer) ? "device {$id} " : 'it ').$how." {$item->name}".self::figure($saying, $heard);
                    }
                }
            }
        }

        return 'nothing that is written down here, or not whole';
    }

    private static function figure(Saying $saying, Heard $heard): string
    {
        $value = $saying->given();

        return match (true) {
            $value === null || $heard->wire === null => '',
            $value->isSwitch() => $heard->wire === 1 ? ': on' : ': off',
            default => ': '.Figures::significant(Figure::thousandths($value, $heard->wire) / 1_000).($value->unit === '' ? '' : " {$value->unit}"),
        };
    }
}
