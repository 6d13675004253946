<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Shown;

use Rundfunk\Medium\Cellular\DialogueStep;
use Rundfunk\Shape\ListOf;

/** A modem: its dialogue, its commands and its supply. */
final readonly class ModemShown
{
    public function __construct(
        public string $endpointId,
        public string $name,
        /** @var list<DialogueStep> */
        #[ListOf(DialogueStep::class)]
        public array $bringUp,
        /** @var list<DialogueStep> */
        #[ListOf(DialogueStep::class)]
        public array $service,
        /** @var list<DialogueStep> */
        #[ListOf(DialogueStep::class)]
        public array $report,
        /** @var list<ModemCommand> */
        #[ListOf(ModemCommand::class)]
        public array $commands,
        /** @var ModemSupply|null null where nothing is known of its bursts */
        public ?ModemSupply $supply,
        /** @var string|null the supply that feeds it */
        public ?string $fedBy,
        /** @var string|null what that gives: "4 V" */
        public ?string $volts,
    ) {
    }
}
