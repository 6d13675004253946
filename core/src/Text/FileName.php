<?php

declare(strict_types=1);

namespace Rundfunk\Text;

/** Names of files, as every system and every header of a download takes them. */
final class FileName
{
    /** Names that a common system keeps for devices, with any ending. Common practice. */
    private const DEVICES = ['con', 'prn', 'aux', 'nul', 'com1', 'com2', 'com3', 'com4', 'com5', 'com6', 'com7', 'com8', 'com9', 'lpt1', 'lpt2', 'lpt3', 'lpt4', 'lpt5', 'lpt6', 'lpt7', 'lpt8', 'lpt9'];

    private const LONGEST = 60;

    /**
     * @param  string  $ending  such as "-wiring.csv"
     * @return string of small letters, digits, hyphens and underscores, and its ending: "hen_house-wiring.csv"
     */
    public static function of(string $name, string $ending): string
    {
        $plain = substr(trim((string) preg_replace('/[^a-z0-9_-]+/', '-', strtolower($name)), '-'), 0, self::LONGEST);
        $device = in_array($plain, self::DEVICES, true) && str_starts_with($ending, '.');

        return ($plain === '' ? 'plan' : $plain).($device ? '_' : '').$ending;
    }
}
