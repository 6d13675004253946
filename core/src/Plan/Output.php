<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** Something that is switched. */
final readonly class Output implements Thing
{
    /**
     * @param  list<string>  $deliberate  sharings that are meant, see {@see Deliberate}
     * @param  list<string>  $hazards  see {@see Hazard}
     * @param  array<string, bool|float|int|string|null>  $settings  obeying its kind's own shape
     * @param  list<string>  $stepIds  for a sequence or group: its steps, in their order
     * @param  list<string>  $stateIds  what tells others how it stands
     * @param  SafeState|null  $safe  what it must be whenever the network does not work; null while nobody has said
     * @param  bool  $levelFirst  the program writes its pin's level before it makes that an output
     * @param  list<string>  $neverWithIds  outputs that must never be on together with it
     * @param  bool  $interlocked  its line runs over the normally closed contacts of those
     */
    public function __construct(
        public string $id,
        public string $nodeId,
        public string $name,
        public OutputKind $kind,
        public ?string $moduleId = null,
        public ?string $channel = null,
        public bool $pinned = false,
        public string $load = '',
        public array $deliberate = [],
        public int $order = 0,
        public array $hazards = [],
        public Precedence $precedence = Precedence::LastWriter,
        public array $settings = [],
        public array $stepIds = [],
        public array $stateIds = [],
        public ContactForm $contact = ContactForm::NormallyOpen,
        public ?SafeState $safe = null,
        public AtStart $atStart = AtStart::Off,
        public bool $levelFirst = true,
        public SecondBreak $secondBreak = SecondBreak::None,
        public array $neverWithIds = [],
        public bool $interlocked = false,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Output;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::partOf('nodeId', ThingKind::Node, 'The node it is on.'),
            Field::name(),
            Field::choice('kind', OutputKind::class, 'What switches it.'),
            Field::mentions('moduleId', ThingKind::Module, 'The relay bank or lamp module that carries it.'),
            Field::text('channel', 24, 'Which channel of that module.')->nullable(),
            Field::flag('pinned', 'Whether the user fixed the channel.'),
            Field::longText('load', 200, 'What hangs on it, in the user\'s words.'),
            Field::texts('deliberate', 'Sharings that are meant.'),
            Field::order(),
            Field::choices('hazards', Hazard::class, 'How it can hurt or spoil something when it works unasked.'),
            Field::choiceOr('precedence', Precedence::LastWriter, 'Who wins when several controls drive it.'),
            Field::settings('settings', 'What it has besides; which settings there are depends on its kind.'),
            Field::holds('stepIds', ThingKind::Control, 60, 'For a sequence or a group: its steps, in their order.'),
            Field::holds('stateIds', ThingKind::Control, 4, 'The states that tell others how it stands.'),
            Field::choiceOr('contact', ContactForm::NormallyOpen, 'Which contact of its relay the load hangs on.'),
            Field::choice('safe', SafeState::class, 'What it must be whenever the network does not work.')->nullable(),
            Field::choiceOr('atStart', AtStart::Off, 'What the program puts it to when it starts.'),
            Field::flag('levelFirst', 'Whether the program writes the level of its pin before it makes that an output.', true),
            Field::choiceOr('secondBreak', SecondBreak::None, 'What else breaks its load\'s circuit, and hangs on neither this board nor the network.'),
            Field::mentionsAll('neverWithIds', ThingKind::Output, 10, 'Outputs that must never be on together with it.'),
            Field::flag('interlocked', 'Whether its line runs over the normally closed contacts of those.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('nodeId'),
            $values->text('name'),
            $values->choice('kind', OutputKind::class),
            $values->textOrNull('moduleId'),
            $values->textOrNull('channel'),
            $values->flag('pinned'),
            $values->text('load'),
            $values->texts('deliberate'),
            $values->whole('order'),
            $values->texts('hazards'),
            $values->choice('precedence', Precedence::class),
            $values->settings('settings'),
            $values->texts('stepIds'),
            $values->texts('stateIds'),
            $values->choice('contact', ContactForm::class),
            $values->choiceOrNull('safe', SafeState::class),
            $values->choice('atStart', AtStart::class),
            $values->flag('levelFirst'),
            $values->choice('secondBreak', SecondBreak::class),
            $values->texts('neverWithIds'),
            $values->flag('interlocked'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return $this->name;
    }

    public function means(Deliberate $sharing): bool
    {
        return in_array($sharing->value, $this->deliberate, true);
    }

    /** What it can be set to; null when it is only on or off, and while nobody has said. */
    public function span(): ?ValueSpan
    {
        if (! $this->kind->takesValues()) {
            return null;
        }
        $settings = new Values($this->settings);
        $lowest = $settings->wholeOrNull('lowest');
        $highest = $settings->wholeOrNull('highest');

        return $lowest === null || $highest === null || $highest <= $lowest ? null : new ValueSpan($lowest, $highest);
    }

    /** @return int a whole number of its settings, as it stands or as its kind has it; 0 where there is no such */
    public function setting(string $name): int
    {
        $set = $this->settings[$name] ?? $this->kind->settings()->field($name)?->default;

        return is_int($set) ? $set : 0;
    }

    /** When nobody on another node is heard any more it comes on, and does not go off. */
    public function comesOnUnheard(): bool
    {
        return ($this->settings['silenceOn'] ?? false) === true && $this->setting('silenceMs') > 0;
    }

    /** A lamp that shows a state blinks while nobody knows it; what can hurt is put to nothing that was not asked. */
    public function blinksWhenUnknown(): bool
    {
        return $this->kind === OutputKind::Lamp && ! $this->isDangerous() && ($this->settings['whenUnknown'] ?? 'blink') === 'blink';
    }

    /** Working it unasked can hurt. */
    public function isDangerous(): bool
    {
        return $this->proofHazards() !== [];
    }

    /** @return list<Hazard> those for which the word of a link is not enough */
    public function proofHazards(): array
    {
        // Asked of every route of a plan.
        if ($this->hazards === []) {
            return [];
        }
        $hazards = array_map(static fn (string $hazard): Hazard => Hazard::from($hazard), $this->hazards);

        return array_values(array_filter($hazards, static fn (Hazard $hazard): bool => $hazard->asksForProof()));
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'nodeId' => $this->nodeId,
            'name' => $this->name,
            'kind' => $this->kind->value,
            'moduleId' => $this->moduleId,
            'channel' => $this->channel,
            'pinned' => $this->pinned,
            'load' => $this->load,
            'deliberate' => $this->deliberate,
            'order' => $this->order,
            'hazards' => $this->hazards,
            'precedence' => $this->precedence->value,
            'settings' => $this->settings,
            'stepIds' => $this->stepIds,
            'stateIds' => $this->stateIds,
            'contact' => $this->contact->value,
            'safe' => $this->safe?->value,
            'atStart' => $this->atStart->value,
            'levelFirst' => $this->levelFirst,
            'secondBreak' => $this->secondBreak->value,
            'neverWithIds' => $this->neverWithIds,
            'interlocked' => $this->interlocked,
        ];
    }
}
