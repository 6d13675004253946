<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use Rundfunk\Build\Artefacts;
use Rundfunk\Build\CHeader;
use Rundfunk\Build\PartsList;
use Rundfunk\Build\WiringTable;
use Rundfunk\Drawing\LineMapDrawing;
use Rundfunk\Drawing\SequenceDrawing;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

final class ExportCommand extends Command
{
    public function __construct(private readonly Knowledge $knowledge)
    {
        parent::__construct('export');
    }

    protected function configure(): void
    {
        $this->setDescription("Prints what a node's builder needs")
            ->addArgument('plan', InputArgument::REQUIRED, 'A plan file')
            ->addOption('node', null, InputOption::VALUE_REQUIRED, "The node's name or id, unless it is of the whole plan")
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'c-header, c-behaviour, node-json, wiring-csv, or a file of one of its links, such as ir-keymap; of the whole plan, line-map-svg; of a sequence, sequence-svg; of either, parts-csv')
            ->addOption('of', null, InputOption::VALUE_REQUIRED, "The sequence's id, for its strip");
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = Options::text($input, 'format');
        $plan = PlanFile::read(Options::argument($input, 'plan'), $this->knowledge);
        if ($format === 'line-map-svg') {
            $output->write(LineMapDrawing::toPrint($plan, $this->knowledge->media), false, OutputInterface::OUTPUT_RAW);

            return 0;
        }
        if ($format === 'sequence-svg') {
            $output->write(SequenceDrawing::toPrint($plan, $plan->output(Options::text($input, 'of'))), false, OutputInterface::OUTPUT_RAW);

            return 0;
        }
        if ($format === 'parts-csv') {
            $only = $input->getOption('node');
            $output->write(PartsList::of($plan, $this->knowledge, is_string($only) ? self::node($plan, $only) : null)->csv(), false, OutputInterface::OUTPUT_RAW);

            return 0;
        }
        $node = self::node($plan, Options::text($input, 'node'));
        $output->write(match ($format) {
            'c-header' => (new CHeader($this->knowledge))->write($plan, $node),
            'wiring-csv' => WiringTable::of($plan, $node, $this->knowledge)->csv(),
            default => Artefacts::named($plan, $node, $this->knowledge, $format)->content,
        }, false, OutputInterface::OUTPUT_RAW);

        return 0;
    }

    /** @throws BadCommand when no node is called so, or several are */
    private static function node(Plan $plan, string $called): Node
    {
        $byId = $plan->find(ThingKind::Node, $called);
        if ($byId instanceof Node) {
            return $byId;
        }
        $named = array_values(array_filter($plan->nodes(), static fn (Node $node): bool => mb_strtolower($node->name) === mb_strtolower(trim($called))));

        return match (count($named)) {
            1 => $named[0],
            0 => throw BadCommand::noNode($called, array_map(static fn (Node $node): string => $node->name, $plan->nodes())),
            default => throw BadCommand::severalNodes($called, array_map(static fn (Node $node): string => $node->id, $named)),
        };
    }
}
