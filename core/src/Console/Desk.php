<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use Rundfunk\Build\NoSuchArtefact;
use Rundfunk\Calculator\BadInput;
use Rundfunk\Learn\HearsRecordings;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\OutOfRange;
use Rundfunk\Plan\NotInPlan;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shipped;
use Rundfunk\View\NoSuchView;
use Symfony\Component\Console\Application;
use Symfony\Component\Console\Exception\ExceptionInterface as ConsoleException;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** The command line: the core alone, without a database. */
final readonly class Desk
{
    public static function application(): Application
    {
        $application = new Application('rundfunk');
        $application->setAutoExit(false);
        $application->setCatchExceptions(false);
        $knowledge = Shipped::knowledge();
        $application->add(new CheckCommand($knowledge, Shipped::checker()));
        $application->add(new AssignCommand(Shipped::assigner()));
        $application->add(new ShowCommand($knowledge, Shipped::views()));
        $application->add(new ExportCommand($knowledge));
        $application->add(new SecretsCommand($knowledge));
        $application->add(new CalcCommand(Shipped::calculators()));
        foreach ($knowledge->media->everyOffering(HearsRecordings::class) as $hears) {
            $application->add(new HearCommand($hears));
        }

        return $application;
    }

    /** @return int 0 fine, 1 findings at or above the level, 2 bad input */
    public static function run(InputInterface $input, OutputInterface $output, OutputInterface $errors): int
    {
        try {
            return self::application()->run($input, $output);
        } catch (PlanRefused $refused) {
            foreach ($refused->problems as $problem) {
                $errors->writeln("{$problem->place} {$problem->message}", OutputInterface::OUTPUT_RAW);
            }
        } catch (BadInput|OutOfRange|NotInPlan|NoSuchArtefact|NoSuchView|BadCommand|LearningRefused|ConsoleException $error) {
            $errors->writeln($error->getMessage(), OutputInterface::OUTPUT_RAW);
        }

        return 2;
    }
}
