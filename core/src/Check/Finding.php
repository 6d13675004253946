<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use JsonSerializable;
use LogicException;
use Rundfunk\Plan\Spot;
use stdClass;

/** Something in a plan that will go wrong, or could be better: what, where, how much, why, and what to do. */
final readonly class Finding implements JsonSerializable
{
    /**
     * @param  string  $title  states the fault as a fact
     * @param  string  $detail  what is so, and why it matters
     * @param  string  $remedy  what to do
     * @param  array<string, bool|float|int|string|list<int|string>|null>  $numbers
     * @param  list<string>  $about  ids of everything it is about; with the rule they make its own id
     * @param  Finds|null  $finds  said by the checker, which knows whose finding it is
     * @param  list<Fix>  $otherFixes  where there are several ways to put it right
     * @param  string|null  $id  worked out once: lists of findings are compared and sorted by it
     */
    private function __construct(
        public Severity $severity,
        public string $title,
        public Spot $at,
        public string $detail,
        public string $remedy,
        public ?Fix $fix,
        public array $numbers,
        public array $about,
        public ?Finds $finds = null,
        public array $otherFixes = [],
        private ?string $id = null,
    ) {
    }

    /**
     * @param  array<string, bool|float|int|string|list<int|string>|null>  $numbers
     * @param  list<string>  $about
     */
    public static function of(Severity $severity, string $title, Spot $at, string $detail, string $remedy, ?Fix $fix = null, array $numbers = [], array $about = []): self
    {
        return new self($severity, $title, $at, $detail, $remedy, $fix, $numbers, $about);
    }

    /**
     * Someone or something can be hurt.
     *
     * @param  array<string, bool|float|int|string|list<int|string>|null>  $numbers
     * @param  list<string>  $about
     */
    public static function danger(string $title, Spot $at, string $detail, string $remedy, ?Fix $fix = null, array $numbers = [], array $about = []): self
    {
        return new self(Severity::Danger, $title, $at, $detail, $remedy, $fix, $numbers, $about);
    }

    /**
     * It will not work.
     *
     * @param  array<string, bool|float|int|string|list<int|string>|null>  $numbers
     * @param  list<string>  $about
     */
    public static function fault(string $title, Spot $at, string $detail, string $remedy, ?Fix $fix = null, array $numbers = [], array $about = []): self
    {
        return new self(Severity::Fault, $title, $at, $detail, $remedy, $fix, $numbers, $about);
    }

    /**
     * It will not always work.
     *
     * @param  array<string, bool|float|int|string|list<int|string>|null>  $numbers
     * @param  list<string>  $about
     */
    public static function warning(string $title, Spot $at, string $detail, string $remedy, ?Fix $fix = null, array $numbers = [], array $about = []): self
    {
        return new self(Severity::Warning, $title, $at, $detail, $remedy, $fix, $numbers, $about);
    }

    /**
     * It could be better.
     *
     * @param  array<string, bool|float|int|string|list<int|string>|null>  $numbers
     * @param  list<string>  $about
     */
    public static function advice(string $title, Spot $at, string $detail, string $remedy, ?Fix $fix = null, array $numbers = [], array $about = []): self
    {
        return new self(Severity::Advice, $title, $at, $detail, $remedy, $fix, $numbers, $about);
    }

    /** The same, of the rule that finds such. */
    public function foundBy(Finds $finds): self
    {
        $about = $this->about === [] ? [$this->at->id, (string) $this->at->field] : $this->about;
        sort($about, SORT_STRING);
        $id = $finds->key.'-'.substr(hash('sha256', implode(' ', $about)), 0, 12);

        return new self($this->severity, $this->title, $this->at, $this->detail, $this->remedy, $this->fix, $this->numbers, $this->about, $finds, $this->otherFixes, $id);
    }

    /** The same, with other ways to put it right. */
    public function orElse(?Fix ...$fixes): self
    {
        return new self($this->severity, $this->title, $this->at, $this->detail, $this->remedy, $this->fix, $this->numbers, $this->about, $this->finds, array_values(array_filter($fixes)), $this->id);
    }

    /** @return list<Fix> every way there is, the best first */
    public function fixes(): array
    {
        return $this->fix === null ? $this->otherFixes : [$this->fix, ...$this->otherFixes];
    }

    /** The key of its rule. */
    public function rule(): string
    {
        return $this->finds->key ?? '';
    }

    /** The same fault of the same things has the same id in every version of a plan. */
    public function id(): string
    {
        return $this->id ?? throw new LogicException('A finding has an id once its rule is known.');
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id(),
            'rule' => $this->rule(),
            'severity' => $this->severity->value,
            'title' => $this->title,
            'at' => $this->at,
            'numbers' => $this->numbers === [] ? new stdClass : $this->numbers,
            'detail' => $this->detail,
            'remedy' => $this->remedy,
            'fix' => $this->fix,
            'otherFixes' => $this->otherFixes,
            'about' => $this->about,
            'step' => $this->finds?->step->value,
        ];
    }
}
