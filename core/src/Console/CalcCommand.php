<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Calculators;
use Rundfunk\Calculator\Quantity;
use Rundfunk\View\CalculatorView;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

final class CalcCommand extends Command
{
    public function __construct(private readonly Calculators $calculators)
    {
        parent::__construct('calc');
    }

    protected function configure(): void
    {
        $this->setDescription('Works out one formula')
            ->addArgument('name', InputArgument::OPTIONAL, 'Which calculator')
            ->addArgument('inputs', InputArgument::IS_ARRAY, 'key=value for each input')
            ->addOption('list', null, InputOption::VALUE_NONE, 'List the calculators')
            ->addOption('json', null, InputOption::VALUE_NONE, 'Print JSON');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $asJson = $input->getOption('json') === true;
        if ($input->getOption('list') === true) {
            $output->writeln($asJson ? Options::json(array_map(CalculatorView::of(...), $this->calculators->all())) : self::listed($this->calculators), OutputInterface::OUTPUT_RAW);

            return 0;
        }
        $name = Options::argument($input, 'name');
        $result = $this->calculators->calculate($name, self::pairs($input));
        $output->writeln($asJson ? Options::json($result) : self::printed($this->calculators->named($name), $result), OutputInterface::OUTPUT_RAW);

        return 0;
    }

    /** @return array<string, string> */
    private static function pairs(InputInterface $input): array
    {
        $given = $input->getArgument('inputs');
        $pairs = [];
        foreach (is_array($given) ? $given : [] as $text) {
            if (! is_string($text) || preg_match('/^([a-z0-9_]+)=(.*)$/s', $text, $match) !== 1) {
                throw BadCommand::notAPair(is_string($text) ? $text : '');
            }
            $pairs[$match[1]] = $match[2];
        }

        return $pairs;
    }

    private static function listed(Calculators $calculators): string
    {
        return implode("\n", array_map(
            static fn (Calculator $calculator): string => str_pad($calculator->name(), 24).' '.implode(' ', array_map(static fn (Quantity $input): string => $input->required ? $input->name : "[{$input->name}]", $calculator->inputs()))."\n".str_repeat(' ', 25)."{$calculator->title()}: ".lcfirst($calculator->plainly()),
            $calculators->all(),
        ));
    }

    /** @param  array<string, bool|float|int|string|list<bool|float|int|string|null>|null>  $result */
    private static function printed(Calculator $calculator, array $result): string
    {
        $lines = [];
        foreach ($calculator->outputs() as $quantity) {
            $value = $result[$quantity->name];
            $text = is_array($value) ? ($value === [] ? 'none' : implode(is_string($value[0]) ? '; ' : ' ', array_map(self::said(...), $value))) : self::said($value);
            $lines[] = trim("{$quantity->name} = {$text} {$quantity->unit}");
        }

        return implode("\n", $lines);
    }

    private static function said(bool|float|int|string|null $value): string
    {
        return match (true) {
            $value === null => 'none',
            is_bool($value) => $value ? 'yes' : 'no',
            default => (string) $value,
        };
    }
}
