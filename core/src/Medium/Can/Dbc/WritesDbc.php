<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Dbc;

use Rundfunk\Medium\Can\CanSignal;
use Rundfunk\Plan\BusMessage;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/** Messages of a bus as a DBC file. */
final readonly class WritesDbc
{
    /** @param  list<DescribedMessage>  $messages */
    public static function text(array $messages): string
    {
        $nodes = new UniqueNames;
        $names = [];
        foreach ($messages as $one) {
            $names[$one->sender] ??= $nodes->name(self::name($one->sender));
        }
        $lines = ['VERSION ""', '', 'NS_ :', '', 'BS_:', '', rtrim('BU_: '.implode(' ', $names)), ''];
        $more = ['BA_DEF_ BO_ "GenMsgCycleTime" INT 0 3600000;', 'BA_DEF_DEF_ "GenMsgCycleTime" 0;'];
        $values = [];
        $unique = new UniqueNames;
        foreach ($messages as $one) {
            $message = $one->message;
            $key = self::key($message);
            $lines[] = "BO_ {$key} ".$unique->name(self::name($message->name)).": {$message->bytes} {$names[$one->sender]}";
            $ofMessage = new UniqueNames;
            foreach ($message->signals as $signal) {
                $name = $ofMessage->name(self::name($signal->name));
                $bits = new CanSignal($signal);
                [$least, $most] = $bits->range();
                $lines[] = " SG_ {$name} : {$signal->start}|{$signal->bits}@".($signal->highFirst ? '0' : '1').($signal->signed ? '-' : '+').' ('.self::figure($signal->scale).','.self::figure($signal->offset).') ['.self::figure(round($least, 9)).'|'.self::figure(round($most, 9)).'] "'.self::quoted($signal->unit).'" '.$names[$one->sender];
                if ($bits->valueNames() !== []) {
                    $values[] = "VAL_ {$key} {$name} ".implode(' ', array_map(static fn (int $figure, string $word): string => "{$figure} \"".self::quoted($word).'"', array_keys($bits->valueNames()), $bits->valueNames())).' ;';
                }
            }
            $lines[] = '';
            if ($message->periodMs > 0) {
                $more[] = "BA_ \"GenMsgCycleTime\" BO_ {$key} {$message->periodMs};";
            }
        }

        return implode("\n", [...$lines, ...$more, ...$values])."\n";
    }

    private static function key(BusMessage $message): int
    {
        return $message->identifier | ($message->extended ? 0x8000_0000 : 0);
    }

    /** A name of that form: letters, digits and underscores, none of them a digit at first. */
    private static function name(string $name): string
    {
        return preg_match('/^[A-Za-z_]\w*$/', $name) === 1 ? $name : CNames::upper($name);
    }

    private static function quoted(string $text): string
    {
        return str_replace(['\\', '"', "\n", "\r"], ['/', "'", ' ', ' '], $text);
    }

    /** As few digits as lead back to it. */
    private static function figure(float $figure): string
    {
        return $figure === floor($figure) && abs($figure) < 1e15 ? sprintf('%.0f', $figure) : (string) json_encode($figure, JSON_PRESERVE_ZERO_FRACTION);
    }
}
