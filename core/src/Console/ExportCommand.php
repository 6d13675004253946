<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use Rundfunk\Build\CHeader;
use Rundfunk\Build\WiringTable;
use Rundfunk\Knowledge;
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
            ->addOption('node', null, InputOption::VALUE_REQUIRED, "The node's id")
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'c-header or wiring-csv');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = Options::choice($input, 'format', ['c-header', 'wiring-csv']);
        $plan = PlanFile::read(Options::argument($input, 'plan'), $this->knowledge);
        $node = $plan->node(Options::text($input, 'node'));
        $output->write($format === 'c-header'
            ? (new CHeader($this->knowledge))->write($plan, $node)
            : WiringTable::of($plan, $node, $this->knowledge->catalogue)->csv(), false, OutputInterface::OUTPUT_RAW);

        return 0;
    }
}
