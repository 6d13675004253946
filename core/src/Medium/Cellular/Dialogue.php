<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\DeviceText;

/** What a node's program says to its modem, drawn from the plan. Sources: ITU-T V.250, 3GPP TS 27.007 and 27.005. */
final readonly class Dialogue
{
    private const V250 = 'ITU-T V.250';

    private const GENERAL = '3GPP TS 27.007';

    private const TEXTS = '3GPP TS 27.005';

    private const MAKER = 'maker\'s own';

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
            new DialogueStep('AT+CCID', '+CCID:', 2_000, 2, 'Try AT+CICCID; go on without.', 'The card\'s number, for the log: some modems know it by another name.', self::MAKER),
            ...self::registration($modem),
            new DialogueStep('AT+CSQ', '+CSQ:', 1_000, 10, '99,99: wait. Below 10: a better antenna or place.', 'How strong the network is: −113 + 2n dBm.', self::GENERAL),
            new DialogueStep('AT+CMGF=1', 'OK', 1_000, 3, 'Start again.', 'Texts as text, not as bytes.', self::TEXTS),
            new DialogueStep('AT+CSCS="GSM"', 'OK', 1_000, 3, 'Go on: it is the usual setting.', 'In the alphabet of the network.', self::GENERAL),
            new DialogueStep('AT+CNMI=2,2,0,0,0', 'OK', 1_000, 3, 'Try AT+CNMI=1,2,0,0,0.', 'A text comes at once, as +CMT:, and is not stored.', self::TEXTS),
        ];
        if ($calls) {
            $steps[] = new DialogueStep('AT+CLIP=1', 'OK', 15_000, 3, 'Ask the operator to show who calls.', 'Says who calls, before anybody answers.', self::GENERAL);
        }
        if (self::callsBack($plan, $modem)) {
            $steps[] = new DialogueStep('AT+DDET=1', 'OK', 1_000, 3, 'Look into the modem\'s book: some have no ear for keys.', 'Hears the keys that are pressed in a call.', self::MAKER);
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
            if (self::callsBack($plan, $modem)) {
                $steps[] = new DialogueStep('ATD<number>;', 'OK', 30_000, 1, 'Nobody answers: hang up, do nothing.', 'Calls back the number of the list, never the one that called: that may be forged.', self::V250);
                $steps[] = new DialogueStep('', '+DTMF: 1', 20_000, 1, 'Another key, or none: hang up, do nothing.', 'Who answers presses 1: now do what was asked, then hang up.', self::MAKER);
            }
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

    /**
     * One report of the readings to an address on the web. The way onto the network is the standard's; what asks for an
     * address is each maker's own, and this is the commonest form: look into the modem's book.
     *
     * @return list<DialogueStep> none when nothing is reported
     */
    public static function report(Plan $plan, Modem $modem): array
    {
        $report = WebReport::of($plan, $modem);
        if ($report === null) {
            return [];
        }

        return [
            new DialogueStep('AT+CGDCONT=1,"IP",'.DeviceText::quoted($report->accessPoint), 'OK', 1_000, 3, 'Ask the operator for the name of the access point.', 'By which access point it goes onto the network.', self::GENERAL),
            new DialogueStep('AT+CGATT=1', 'OK', 75_000, 2, 'Registered for calls is not yet attached for data: wait a minute.', 'Attaches it for data.', self::GENERAL),
            new DialogueStep('AT+CGACT=1,1', 'OK', 150_000, 2, 'AT+CGACT=0,1, then once more.', 'Opens the way.', self::GENERAL),
            new DialogueStep('AT+HTTPINIT', 'OK', 2_000, 2, 'It was left open: AT+HTTPTERM, then once more.', 'Begins.', self::MAKER),
            new DialogueStep('AT+HTTPPARA="CID",1', 'OK', 1_000, 2, 'Some modems have only one way and no such parameter: go on.', 'Over the way that was opened.', self::MAKER),
            new DialogueStep('AT+HTTPPARA="URL",'.DeviceText::quoted($report->template()), 'OK', 1_000, 2, 'Too long, or a sign it does not take.', 'What to ask for, the readings in place of the names.', self::MAKER),
            new DialogueStep('AT+HTTPACTION=0', '+HTTPACTION: 0,200,', 60_000, 2, 'OK comes at once, this later. 6xx is the network, 4xx the address, 5xx the other machine.', 'Asks for it; 200 says that it was taken.', self::MAKER),
            new DialogueStep('AT+HTTPREAD', '+HTTPREAD:', 5_000, 1, 'Go on: the answer is for the log.', 'What was answered. Never obey it: nobody has proved who answers.', self::MAKER),
            new DialogueStep('AT+HTTPTERM', 'OK', 2_000, 2, 'Go on.', "Ends; once more in {$report->everyMin} minutes.", self::MAKER),
        ];
    }

    /** @return list<DialogueStep> */
    private static function registration(Modem $modem): array
    {
        $step = static fn (string $command): DialogueStep => new DialogueStep("AT+{$command}?", "+{$command}: 0,1", 2_000, 60, '0,2 searches; 0,3 is refused: ask the operator.', 'Registered at home, or in another network, which will do.', self::GENERAL, "+{$command}: 0,5");

        return $modem->isLte() ? [$step('CEREG')] : [$step('CREG')];
    }

    private static function callsBack(Plan $plan, Modem $modem): bool
    {
        return array_filter(Commands::to($plan, $modem->endpoint), static fn (array $command): bool => Commands::callsBack($command['control'])) !== [];
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
