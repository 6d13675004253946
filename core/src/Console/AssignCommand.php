<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use Rundfunk\Assign\Assigner;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

final class AssignCommand extends Command
{
    public function __construct(private readonly Assigner $assigner)
    {
        parent::__construct('assign');
    }

    protected function configure(): void
    {
        $this->setDescription('Proposes every value that is missing or cannot stay')
            ->addArgument('plan', InputArgument::REQUIRED, 'A plan file')
            ->addOption('out', null, InputOption::VALUE_REQUIRED, 'Where to write the plan with everything accepted')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'text or json', 'text');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = Options::choice($input, 'format', ['text', 'json']);
        $assignment = $this->assigner->assign(PlanFile::read(Options::argument($input, 'plan'), $this->assigner->knowledge));
        if ($format === 'json') {
            $output->writeln(Options::json(['proposals' => $assignment->proposals]), OutputInterface::OUTPUT_RAW);
        } else {
            foreach ($assignment->proposals as $proposal) {
                $output->writeln("{$proposal->what}: ".($proposal->before ?? 'none')." → {$proposal->after}  ({$proposal->reason})", OutputInterface::OUTPUT_RAW);
            }
            $output->writeln($assignment->proposals === [] ? 'Nothing to assign.' : count($assignment->proposals).' proposed.');
        }
        if ($input->getOption('out') !== null) {
            PlanFile::write(Options::text($input, 'out'), $assignment->plan);
        }

        return 0;
    }
}
