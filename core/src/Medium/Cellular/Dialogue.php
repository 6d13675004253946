<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;

/** What a node's program says to its modem, drawn from the plan. Sources: ITU-T V.250, 3GPP TS 27.007 and 27.005. */
final readonly class Dialogue
{
    private const V250 = 'ITU-T V.250';

    private const GENERAL = '3GPP TS 27.007';

    private const TEXTS = '3GPP TS 27.005';

    /** @return list<DialogueStep> from power on until it is ready for calls and texts */
    public static function bringUp(Plan $plan, Modem $modem): array
    {
        $kinds = array_map(static fn (array $command): ControlKind => $command['control']->kind, Commands::to($plan, $modem->endpoint));
        $calls = in_array(ControlKind::Call, $kinds, true);
        $steps = [
            new DialogueStep('AT', 'OK', 500, 20, 'Check power, ground and the crossing of RXD and TXD; press PWRKEY.', 'Wakes it, and tells a modem that finds the rate by itself which it is.', self::V250),
            new DialogueStep('ATE0', 'OK', 500, 3, 'Start again.', 'No echo: what comes is the modem\'s own word.', self::V250),
            new DialogueStep("AT+IPR={$modem->end->baud}", 'OK', 500, 3, 'Ask AT+IPR=? for the rates it has.', 'Fixes the rate, so that it comes up with it next time.', self::V250),
            new DialogueStep('AT+CPIN?', '+CPIN: READY', 5_000, 10, $modem->end->simPin ? 'SIM PIN: send AT+CPIN="…" once, never thrice: three wrong ones lock the card.' : 'SIM PIN: take the PIN off the card in a phone. Anything else: no card, or not seated.', 'The card is there and open.', self::GENERAL),
            new DialogueStep('AT+CCID', '+CCID:', 2_000, 2, 'Try AT+CICCID; go on without.', 'The card\'s number, for the log: some modems know it by another name.', 'maker\'s own'),
            ...self::registration($modem),
            new DialogueStep('AT+CSQ', '+CSQ:', 1_000, 10, '99,99: wait. Below 10: a better antenna or place.', 'How strong the network is: −113 + 2n dBm.', self::GENERAL),
            new DialogueStep('AT+CMGF=1', 'OK', 1_000, 3, 'Start again.', 'Texts as text, not as bytes.', self::TEXTS),
            new DialogueStep('AT+CSCS="GSM"', 'OK', 1_000, 3, 'Go on: it is the usual setting.', 'In the alphabet of the network.', self::GENERAL),
            new DialogueStep('AT+CNMI=2,2,0,0,0', 'OK', 1_000, 3, 'Try AT+CNMI=1,2,0,0,0.', 'A text comes at once, as +CMT:, and is not stored.', self::TEXTS),
        ];
        if ($calls) {
            $steps[] = new DialogueStep('AT+CLIP=1', 'OK', 15_000, 3, 'Ask the operator to show who calls.', 'Says who calls, before anybody answers.', self::GENERAL);
        }

        return $steps;
    }

    /** @return list<DialogueStep> what happens then: a call, a text, an answer */
    public static function service(Plan $plan, Modem $modem): array
    {
        $kinds = array_map(static fn (array $command): ControlKind => $command['control']->kind, Commands::to($plan, $modem->endpoint));
        $steps = [];
        if (in_array(ControlKind::Call, $kinds, true)) {
            $steps[] = new DialogueStep('', '+CLIP: "<number>",', 6_000, 1, 'RING without a number: withheld. Never obey it.', 'Somebody calls: compare the number with the list, all of it.', self::GENERAL);
            $steps[] = new DialogueStep('ATH', 'OK', 5_000, 3, 'Try AT+CHUP.', 'Hangs up: nothing is answered, the call costs nothing.', self::V250);
        }
        if (in_array(ControlKind::Text, $kinds, true)) {
            $steps[] = new DialogueStep('', '+CMT: "<number>",,"<time>"', 0, 1, '', 'A text: number, time, then the text on a line of its own. Too old, not listed, or no such word: say nothing and do nothing.', self::TEXTS);
        }
        if ($plan->hopsFrom($modem->endpoint) !== [] || self::answersAny($plan, $modem)) {
            $steps[] = new DialogueStep('AT+CMGS="<number>"', '> ', 5_000, 2, 'Esc (0x1B), then once more.', 'Opens a text to that number.', self::TEXTS);
            $steps[] = new DialogueStep('<text>^Z', '+CMGS:', 60_000, 1, 'ERROR: wait a minute, try once more, then log it.', 'Ctrl-Z (0x1A) sends it, Esc gives it up; OK follows.', self::TEXTS);
        }

        return $steps;
    }

    /** @return list<DialogueStep> */
    private static function registration(Modem $modem): array
    {
        $step = static fn (string $command): DialogueStep => new DialogueStep("AT+{$command}?", "+{$command}: 0,1", 2_000, 60, '0,5 is registered abroad and will do; 0,2 searches; 0,3 is refused: ask the operator.', 'Registered at home.', self::GENERAL);

        return $modem->isLte() ? [$step('CEREG')] : [$step('CREG')];
    }

    private static function answersAny(Plan $plan, Modem $modem): bool
    {
        foreach (Commands::to($plan, $modem->endpoint) as $command) {
            if (Commands::answers($command['control'])) {
                return true;
            }
        }

        return false;
    }
}
