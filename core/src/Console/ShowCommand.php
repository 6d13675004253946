<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\View\View;
use Rundfunk\View\Views;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

final class ShowCommand extends Command
{
    public function __construct(private readonly Knowledge $knowledge, private readonly Views $views)
    {
        parent::__construct('show');
    }

    protected function configure(): void
    {
        $keys = implode(', ', array_map(static fn (View $view): string => $view->key(), $this->views->all()));
        $this->setDescription('Prints what a screen would show')
            ->addArgument('plan', InputArgument::REQUIRED, 'A plan file')
            ->addArgument('view', InputArgument::REQUIRED, "One of {$keys}")
            ->addOption('of', null, InputOption::VALUE_REQUIRED, 'Of what: a name or an id; everything when left out')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'json', 'json');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        Options::choice($input, 'format', ['json']);
        $plan = PlanFile::read(Options::argument($input, 'plan'), $this->knowledge);
        $view = $this->views->named(Options::argument($input, 'view'));
        $asked = $input->getOption('of');
        $owner = $view->owner();
        $of = match (true) {
            $owner === null => is_string($asked) ? [$asked] : [],
            is_string($asked) => self::called($asked, $owner, $plan),
            default => array_map(static fn (Thing $thing): string => $thing->id(), $plan->of($owner)),
        };
        $output->writeln(Options::json($this->views->show($view->key(), $of, $plan)), OutputInterface::OUTPUT_RAW);

        return 0;
    }

    /**
     * @param  class-string<Thing>  $owner
     * @return list<string> ids of those that are called so
     */
    private static function called(string $name, string $owner, Plan $plan): array
    {
        $ids = [];
        foreach ($plan->of($owner) as $thing) {
            if ($thing->id() === $name || mb_strtolower($thing->label()) === mb_strtolower($name)) {
                $ids[] = $thing->id();
            }
        }

        return $ids === [] ? throw BadCommand::nobodyCalled($owner::kind()->value, $name) : $ids;
    }
}
