<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use Random\Engine\Secure;
use Random\Randomizer;
use Rundfunk\Build\SecretsFile;
use Rundfunk\Knowledge;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

final class SecretsCommand extends Command
{
    public function __construct(private readonly Knowledge $knowledge)
    {
        parent::__construct('secrets');
    }

    protected function configure(): void
    {
        $this->setDescription('Draws the keys of links whose messages prove themselves, as secrets.h')
            ->addArgument('plan', InputArgument::REQUIRED, 'A plan file')
            ->addOption('keep', null, InputOption::VALUE_REQUIRED, 'An earlier secrets.h, whose keys stay as they are');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $plan = PlanFile::read(Options::argument($input, 'plan'), $this->knowledge);
        $keep = $input->getOption('keep');
        $kept = '';
        if (is_string($keep)) {
            $read = @file_get_contents($keep);
            $kept = $read === false ? throw BadCommand::unreadable($keep) : $read;
        }
        $output->write(SecretsFile::of($plan, $this->knowledge, new Randomizer(new Secure), $kept), false, OutputInterface::OUTPUT_RAW);

        return 0;
    }
}
