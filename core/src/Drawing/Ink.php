<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

/** What a drawing is drawn with. */
enum Ink
{
    /** The colours of the page, as it names them: they follow its theme. */
    case Screen;

    /** Black on white: lines are told apart by their form, so that any printer will do. */
    case Paper;

    public function ink(): string
    {
        return $this === self::Screen ? 'var(--ink)' : '#000000';
    }

    /** Of what stands back. */
    public function soft(): string
    {
        return $this === self::Screen ? 'var(--soft)' : '#444444';
    }

    public function rule(): string
    {
        return $this === self::Screen ? 'var(--rule)' : '#bbbbbb';
    }

    /** Within stops and bars. */
    public function sheet(): string
    {
        return $this === self::Screen ? 'var(--sheet)' : '#ffffff';
    }

    /** Around marks that stand on a line. */
    public function paper(): string
    {
        return $this === self::Screen ? 'var(--paper)' : '#ffffff';
    }

    /** Of a path that is followed. */
    public function trace(): string
    {
        return $this === self::Screen ? 'var(--trace)' : '#dddddd';
    }

    public function medium(string $key): string
    {
        return $this === self::Screen ? "var(--medium-{$key})" : '#000000';
    }
}
