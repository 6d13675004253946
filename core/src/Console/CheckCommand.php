<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use Rundfunk\Check\Checker;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Knowledge;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

final class CheckCommand extends Command
{
    public function __construct(private readonly Knowledge $knowledge, private readonly Checker $checker)
    {
        parent::__construct('check');
    }

    protected function configure(): void
    {
        $this->setDescription('Says what will go wrong with a plan')
            ->addArgument('plan', InputArgument::REQUIRED, 'A plan file')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'text or json', 'text')
            ->addOption('fail-on', null, InputOption::VALUE_REQUIRED, 'danger, fault or warning: the least grave finding that makes the exit code 1', 'fault');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = Options::choice($input, 'format', ['text', 'json']);
        $level = Severity::from(Options::choice($input, 'fail-on', ['danger', 'fault', 'warning']));
        $plan = PlanFile::read(Options::argument($input, 'plan'), $this->knowledge);
        $findings = $this->checker->check($plan);
        $open = $findings->open($plan);
        if ($format === 'json') {
            $output->writeln(Options::json(['findings' => $findings->all()]), OutputInterface::OUTPUT_RAW);
        } else {
            $this->print($findings->all(), $open, $output);
        }
        $grave = array_filter($open, static fn (Finding $finding): bool => $finding->severity->rank() >= $level->rank());

        return $grave === [] ? 0 : 1;
    }

    /**
     * @param  list<Finding>  $findings
     * @param  list<Finding>  $open
     */
    private function print(array $findings, array $open, OutputInterface $output): void
    {
        foreach ($findings as $finding) {
            $accepted = in_array($finding, $open, true) ? '' : ' (accepted)';
            $output->writeln(strtoupper($finding->severity->value)."{$accepted}  {$finding->title}  [{$finding->rule()}]", OutputInterface::OUTPUT_RAW);
            $output->writeln("    {$finding->at->where}", OutputInterface::OUTPUT_RAW);
            $output->writeln("    {$finding->detail}", OutputInterface::OUTPUT_RAW);
            $output->writeln("    → {$finding->remedy}", OutputInterface::OUTPUT_RAW);
            $output->writeln('');
        }
        $output->writeln($findings === [] ? 'Nothing found.' : count($findings).' found, '.count($open).' not accepted.');
    }
}
