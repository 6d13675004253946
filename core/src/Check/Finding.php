<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use JsonSerializable;
use stdClass;

/** Something in a plan that will go wrong, or could be better: what, where, how much, why, and what to do. */
final readonly class Finding implements JsonSerializable
{
    /**
     * @param  string  $title  states the fault as a fact
     * @param  array<string, bool|float|int|string|list<int|string>|null>  $numbers
     * @param  string  $detail  what is so, and why it matters
     * @param  string  $remedy  what to do
     * @param  list<string>  $about  ids of everything it is about; with the rule they make its own id
     */
    public function __construct(
        public string $rule,
        public Severity $severity,
        public string $title,
        public Subject $at,
        public array $numbers,
        public string $detail,
        public string $remedy,
        public ?Fix $fix = null,
        public array $about = [],
    ) {
    }

    /** The same fault of the same things has the same id in every version of a plan. */
    public function id(): string
    {
        $about = $this->about === [] ? [$this->at->id, (string) $this->at->field] : $this->about;
        sort($about, SORT_STRING);

        return $this->rule.'-'.substr(hash('sha256', implode(' ', $about)), 0, 12);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id(),
            'rule' => $this->rule,
            'severity' => $this->severity->value,
            'title' => $this->title,
            'at' => $this->at,
            'numbers' => $this->numbers === [] ? new stdClass : $this->numbers,
            'detail' => $this->detail,
            'remedy' => $this->remedy,
            'fix' => $this->fix,
            'about' => $this->about,
        ];
    }
}
