<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use Rundfunk\Learn\HearsRecordings;
use Rundfunk\Learn\Shown\FoundBit;
use Rundfunk\Learn\Shown\RecordedRow;
use Rundfunk\Learn\Shown\RecordingShown;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Looks through a recording of a bus for what somebody did meanwhile, or writes it in the other form. */
final class HearCommand extends Command
{
    public function __construct(private readonly HearsRecordings $hears)
    {
        parent::__construct('hear');
    }

    protected function configure(): void
    {
        $this->setDescription('Looks through a recording of a bus for the bit that turned')
            ->addArgument('recording', InputArgument::REQUIRED, 'A recording; a line "now" in it is a mark')
            ->addOption('after', null, InputOption::VALUE_REQUIRED, 'A second recording, made after it was done')
            ->addOption('times', null, InputOption::VALUE_REQUIRED, 'How often it was done in the first')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'text, json, or another form of recording: '.implode(', ', $this->hears->forms()), 'text');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = Options::choice($input, 'format', ['text', 'json', ...$this->hears->forms()]);
        $after = $input->getOption('after');
        $times = $input->getOption('times');
        $text = self::read(Options::argument($input, 'recording'));
        if (in_array($format, $this->hears->forms(), true)) {
            $output->write($this->hears->rewritten($text, $format), false, OutputInterface::OUTPUT_RAW);

            return 0;
        }
        $shown = $this->hears->heard($text, is_string($after) ? self::read($after) : null, is_string($times) && ctype_digit($times) ? (int) $times : null, null);
        $output->writeln($format === 'json' ? Options::json($shown) : self::text($shown), OutputInterface::OUTPUT_RAW);

        return 0;
    }

    private static function read(string $path): string
    {
        $text = is_file($path) ? file_get_contents($path) : false;

        return $text === false ? throw BadCommand::noFile($path) : $text;
    }

    private static function text(RecordingShown $shown): string
    {
        $rows = array_map(static fn (RecordedRow $row): string => sprintf('%-8s %7d frames, %s', $row->identifier, $row->frames, $row->periodMs === null ? 'once' : "every {$row->periodMs} ms").($row->checks === [] ? '' : ', byte '.implode(', ', $row->checks).' checks the others'), $shown->rows);
        $found = array_map(static fn (FoundBit $bit): string => sprintf('%3d %%  %s byte %d bit %d: %s', (int) round(100 * $bit->score), $bit->identifier, intdiv($bit->place, 8), $bit->place % 8, $bit->evidence), $shown->found);

        return implode("\n", ["{$shown->frames} frames in {$shown->seconds} s", ...$rows, ...($shown->way === null ? [] : ['', "Looked {$shown->way}:", ...($found === [] ? ['no bit did that and nothing else'] : $found)])]);
    }
}
