<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Behaviour\CConstants;
use Rundfunk\Build\Define;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Shape\Values;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/** What a node's program must know of its modem: the list, the words, the dialogue. Secrets are put in when it is flashed. */
final readonly class CellularHeader
{
    /** @return list<Define> */
    public static function defines(Plan $plan, Endpoint $endpoint): array
    {
        $end = CellularEnd::of($endpoint);
        $defines = [
            new Define('BAUD', $end->baud.'UL', 'between board and modem'),
            new Define('OBEYS_ANYONE', $end->obeysAnyone ? '1' : '0'),
            new Define('TEXT_MAX_AGE_S', '300', 'an older text is not obeyed: it may be last night\'s'),
        ];
        $names = new UniqueNames;
        foreach ($plan->hopsFrom($endpoint) as $hop) {
            $output = $plan->output($plan->route($hop->routeId)->outputId);
            $number = Commands::number($plan, $plan->endpoint($hop->toId))?->e164;
            if ($output->kind === OutputKind::Message && $number !== null) {
                $node = $plan->node($output->nodeId);
                $name = $names->name('TEXT_'.CNames::upper("{$node->name} {$output->name}"));
                $defines[] = new Define("{$name}_TO", CNames::text($number), $node->name);
                $defines[] = new Define($name, CNames::text((new Values($output->settings))->text('words')));
            }
        }

        return $defines;
    }

    /** @return list<string> */
    public static function tables(Plan $plan, Endpoint $endpoint, string $prefix, Catalogue $catalogue): array
    {
        $modem = Modem::of($plan, $endpoint, $catalogue);
        if ($modem === null) {
            return [];
        }

        return [...self::callers($plan, $modem, $prefix), ...self::commands($plan, $modem, $prefix), ...self::dialogue($plan, $modem, $prefix)];
    }

    /** @return int bytes that the tables take of an 8-bit board's memory, without a line of them being written: most plans ask for that and no more */
    public static function tableBytes(Plan $plan, Endpoint $endpoint, Catalogue $catalogue): int
    {
        $modem = Modem::of($plan, $endpoint, $catalogue);
        if ($modem === null) {
            return 0;
        }
        $texts = array_column(Commands::allowed($plan, $modem->link), 'number');
        $bytes = count($texts) * CConstants::POINTER;
        foreach ($plan->hopsTo($modem->endpoint) as $hop) {
            $word = Commands::word($plan->control($plan->route($hop->routeId)->controlId));
            if ($word !== null) {
                // Its word, and four that are a byte each: whether a secret, an answer, a number; which command.
                $bytes += CConstants::POINTER + 4;
                $texts[] = $word;
            }
        }
        foreach ([...Dialogue::bringUp($plan, $modem), ...Dialogue::report($plan, $modem)] as $step) {
            // What to send, to expect, or else to expect; how long, and how often.
            $bytes += 3 * CConstants::POINTER + 4 + 1;
            array_push($texts, $step->send, $step->expect, ...($step->orExpect === null ? [] : [$step->orExpect]));
        }

        return CConstants::bytes($bytes, $texts);
    }

    /** @return list<string> */
    private static function callers(Plan $plan, Modem $modem, string $prefix): array
    {
        $allowed = Commands::allowed($plan, $modem->link);
        if ($allowed === []) {
            return [];
        }
        $name = strtolower($prefix).'_allowed';

        return [
            '/* Whom it obeys, in E.164. Compare all of the number; a withheld one never matches, and a number can be forged. */',
            "static const char *const {$name}[] = {",
            ...array_map(static fn (array $one): string => '    '.CNames::text($one['number']).', /* '.CNames::comment($one['name']).' */', $allowed),
            '};', '',
        ];
    }

    /** @return list<string> */
    private static function commands(Plan $plan, Modem $modem, string $prefix): array
    {
        $rows = [];
        $secret = false;
        foreach (Commands::to($plan, $modem->endpoint) as $number => ['control' => $control, 'route' => $route]) {
            $word = Commands::word($control);
            if ($word !== null) {
                $secret = $secret || Commands::needsSecret($control);
                $rows[] = sprintf('    { %s, %d, %d, %d, %d }, /* %s */', CNames::text($word), (int) Commands::needsSecret($control), (int) Commands::answers($control), (int) Commands::takesNumber($control, $route), $number + 1, CNames::comment(RouteNames::of($plan, $route).', '.RouteNames::asks($route)));
            }
        }
        if ($rows === []) {
            return [];
        }
        $name = strtolower($prefix).'_command';
        $guard = ! $secret ? [] : [
            '/* The secret that must follow the word: give it on the compiler\'s command line, never in a file that is shared. */',
            "#ifndef {$prefix}_SECRET", "#define {$prefix}_SECRET \"\" /* empty: no text that needs a secret is obeyed */", '#endif', '',
        ];

        return [...$guard,
            '/* Command words: the text must begin with the word, whole, in capitals. */',
            "struct {$name} {", '    const char *word;', '    uint8_t secret;', '    uint8_t answer;', '    uint8_t number; /* a number follows the word */', '    uint8_t command;', '};',
            "static const struct {$name} {$name}[] = {", ...$rows, '};', '',
        ];
    }

    /** @return list<string> */
    private static function dialogue(Plan $plan, Modem $modem, string $prefix): array
    {
        $type = strtolower($prefix).'_dialogue';
        $report = Dialogue::report($plan, $modem);

        return [
            '/* From power on until it is ready: send, wait for the reply and not for a time, try so often. */',
            "struct {$type} {", '    const char *send;', '    const char *expect;', '    const char *or_expect; /* what will do as well; 0 for nothing */', '    uint32_t timeout_ms;', '    uint8_t tries;', '};',
            ...self::steps($type, $type, Dialogue::bringUp($plan, $modem)),
            ...($report === [] ? [] : ["/* Every {$modem->end->reportMin} minutes: put the reading in the place of its name. */", ...self::steps($type, strtolower($prefix).'_report', $report)]),
        ];
    }

    /**
     * @param  list<DialogueStep>  $steps
     * @return list<string>
     */
    private static function steps(string $type, string $name, array $steps): array
    {
        $rows = array_map(static fn (DialogueStep $step): string => sprintf(
            '    { %s, %s, %s, %dUL, %d }, /* %s */',
            CNames::text($step->send),
            CNames::text($step->expect),
            $step->orExpect === null ? '0' : CNames::text($step->orExpect),
            $step->timeoutMs,
            $step->tries,
            CNames::comment("{$step->why} If not: {$step->ifNot}"),
        ), $steps);

        return ["static const struct {$type} {$name}[] = {", ...$rows, '};', ''];
    }
}
