<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

use Rundfunk\Behaviour\AnswerRehearsal;

/** How an answer goes: what stands, what is told of it, what gets lost, and what is shown until nobody knows. */
final readonly class AnswerDrawing
{
    private const ROW = 24;

    private const HIGH = 17;

    private const TOP = 4;

    private TimeScale $scale;

    public float $height;

    public function __construct(private AnswerRehearsal $played, public int $width, private Ink $ink)
    {
        $this->scale = new TimeScale($played->totalMs, $width, $ink);
        $this->height = self::TOP + 3 * self::ROW + 26;
    }

    /** @return string markup, without its frame */
    public function markup(): string
    {
        $foot = self::TOP + 3 * self::ROW;

        return implode('', [...$this->scale->lines($foot), ...$this->stands(), ...$this->told(), ...$this->shown()]);
    }

    /** @return list<string> */
    private function stands(): array
    {
        return [$this->scale->label($this->played->of->name, self::TOP + 13), $this->bar($this->played->changesMs, $this->played->totalMs, self::TOP, 'on', false)];
    }

    /** @return list<string> a stroke for each message, and a cross where it is lost */
    private function told(): array
    {
        $y = self::TOP + self::ROW;
        $lines = [$this->scale->label('told', $y + 13)];
        foreach ($this->played->told as $message) {
            $x = $this->scale->x($message['atMs']);
            $lines[] = $message['lost']
                ? Svg::element('text', ['x' => $x, 'y' => $y + 13, 'text-anchor' => 'middle', 'font-size' => 14, 'fill' => $this->ink->soft()], Svg::text('×'))
                : Svg::element('path', ['d' => Svg::down($x, $y + 2, $y + self::HIGH), 'stroke' => $this->ink->ink(), 'stroke-width' => 2]);
        }

        return $lines;
    }

    /** @return list<string> */
    private function shown(): array
    {
        $y = self::TOP + 2 * self::ROW;
        $lines = [$this->scale->label($this->played->shows->name, $y + 13)];
        foreach ($this->played->shown as $stretch) {
            if ($stretch['value'] !== 0) {
                $lines[] = $this->bar($stretch['fromMs'], $stretch['toMs'], $y, $stretch['value'] === null ? 'nobody knows' : ($stretch['value'] === 1 ? 'on' : (string) $stretch['value']), $stretch['value'] === null);
            }
        }

        return $lines;
    }

    private function bar(int $fromMs, int $toMs, float $y, string $words, bool $unknown): string
    {
        $from = $this->scale->x($fromMs);
        $wide = max(2.0, $this->scale->x($toMs) - $from);
        $bar = Svg::element('rect', ['x' => $from, 'y' => $y, 'width' => $wide, 'height' => self::HIGH, 'fill' => $this->ink->sheet(), 'stroke' => $unknown ? $this->ink->soft() : $this->ink->ink(), 'stroke-width' => 1.5, 'stroke-dasharray' => $unknown ? '3 3' : null]);

        return $bar.($wide > 8 * mb_strlen($words) + 6 ? Svg::element('text', ['x' => $from + 6, 'y' => $y + 13, 'font-size' => 13, 'fill' => $unknown ? $this->ink->soft() : $this->ink->ink()], Svg::text($words)) : '');
    }
}
