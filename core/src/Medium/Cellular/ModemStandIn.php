<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Medium\Cellular\Sms\SmsSubmit;
use Rundfunk\Rehearsal\Event;
use Rundfunk\Rehearsal\EventKind;
use Rundfunk\Rehearsal\Scheduled;
use Rundfunk\Rehearsal\StandsIn;

/**
 * A modem that is none: it takes what a board would say and answers as a modem would, with one card, one network and
 * nobody outside but whom the rehearsal lets call. Sources: ITU-T V.250, 3GPP TS 27.007, 27.005 and 23.040.
 */
final class ModemStandIn implements StandsIn
{
    private const MS = 1_000_000;

    /** How long a modem thinks: a few milliseconds for a command, some seconds for a text that the network takes. Common practice. */
    private const THINKS_NS = [1 * self::MS, 30 * self::MS];

    private const SENDS_NS = [2_000 * self::MS, 6_000 * self::MS];

    private readonly Randomizer $chance;

    /** When it is done with what it was told before: its answers keep their order. */
    private int $busyNs = 0;

    private const CTRL_Z = "\x1A";

    private const ESC = "\x1B";

    private bool $echo = true;

    private bool $textMode = false;

    private bool $showsCallers = false;

    private string $line = '';

    /** @var string|null what the text being written is for, while it is being written */
    private ?string $writingTo = null;

    private int $sent = 0;

    /** @var list<array{to: string, text: string}> */
    private array $outbox = [];

    /** @var array<string, string>|null parameters of the request being made, while one is */
    private ?array $request = null;

    private bool $online = false;

    /** @var list<string> */
    private array $asked = [];

    /** @param  int  $registration  as the network answers: 1 at home, 5 in another */
    public function __construct(private readonly int $csq = 18, private readonly string $own = '+442079460000', private readonly int $registration = 1, ?Randomizer $chance = null)
    {
        $this->chance = $chance ?? new Randomizer(new Mt19937(1));
    }

    public function react(int $atNs, Event $event): array
    {
        $sent = $this->sent;
        $said = match ($event->kind) {
            EventKind::Bytes => $this->hear($event->bytes),
            EventKind::Call => $this->ring($event->from),
            EventKind::Text => $this->deliver((string) $event->from, $event->at, $event->bytes),
        };
        if ($said === '') {
            return [];
        }
        [$least, $most] = $this->sent > $sent ? self::SENDS_NS : self::THINKS_NS;
        $this->busyNs = max($this->busyNs, $atNs) + $this->chance->getInt($least, $most);

        return [new Scheduled($this->busyNs, Event::bytes($said))];
    }

    /** @return list<array{to: string, text: string}> texts that were sent, in order */
    public function sentTexts(): array
    {
        return $this->outbox;
    }

    /** @return list<string> web addresses that were asked for, in order */
    public function askedAddresses(): array
    {
        return $this->asked;
    }

    /** @return string what the modem says to some bytes from the board */
    public function hear(string $bytes): string
    {
        $said = '';
        foreach (str_split($bytes) as $byte) {
            $said .= $this->writingTo === null ? $this->hearCommand($byte) : $this->hearText($byte);
        }

        return $said;
    }

    /** @return string what it says when somebody calls */
    public function ring(?string $from): string
    {
        return "\r\nRING\r\n".($this->showsCallers ? "\r\n+CLIP: ".($from === null ? '"",128' : "\"{$from}\",145")."\r\n" : '');
    }

    /** @return string what it says when a text arrives, in text mode */
    public function deliver(string $from, string $at, string $text): string
    {
        return "\r\n+CMT: \"{$from}\",,\"{$at}\"\r\n{$text}\r\n";
    }

    private function hearCommand(string $byte): string
    {
        $echo = $this->echo ? $byte : '';
        if ($byte === self::ESC || $byte === self::CTRL_Z || $byte === "\n") {
            $this->line = $byte === "\n" ? $this->line : '';

            return '';
        }
        if ($byte === "\x08" || $byte === "\x7F") {
            $this->line = substr($this->line, 0, -1);

            return $echo;
        }
        if ($byte !== "\r") {
            $this->line .= $byte;

            return $echo;
        }
        $line = trim($this->line);
        $this->line = '';

        return $echo.($line === '' ? '' : $this->answer($line));
    }

    private function hearText(string $byte): string
    {
        $to = (string) $this->writingTo;
        if ($byte === self::ESC) {
            $this->writingTo = null;
            $this->line = '';

            return "\r\nOK\r\n";
        }
        if ($byte !== self::CTRL_Z) {
            $this->line .= $byte;

            return $this->echo ? $byte : '';
        }
        $written = $this->line;
        $this->line = '';
        $this->writingTo = null;
        $text = $this->textMode ? ['to' => $to, 'text' => $written] : SmsSubmit::read(trim($written));
        if ($text === null) {
            return "\r\n+CMS ERROR: 304\r\n";
        }
        $this->outbox[] = $text;

        return "\r\n+CMGS: ".(++$this->sent)."\r\n\r\nOK\r\n";
    }

    private function answer(string $line): string
    {
        if (! str_starts_with(strtoupper($line), 'AT')) {
            return self::error();
        }
        $command = substr($line, 2);
        if (preg_match('/^\+CMGS=(.*)$/i', $command, $match) === 1) {
            $this->writingTo = trim($match[1], '"');

            return "\r\n> ";
        }
        if (strtoupper($command) === '+HTTPACTION=0' && isset($this->request['URL'])) {
            // OK comes at once, what became of it afterwards.
            $this->asked[] = $this->request['URL'];

            return "\r\nOK\r\n\r\n+HTTPACTION: ".($this->online ? '0,200,2' : '0,601,0')."\r\n";
        }
        $said = $this->obey($command);

        return $said === null ? self::error() : ($said === '' ? "\r\nOK\r\n" : "\r\n{$said}\r\n\r\nOK\r\n");
    }

    /** @return string|null what it says before OK; null for what it does not know */
    private function obey(string $command): ?string
    {
        $upper = strtoupper($command);
        switch (true) {
            case $upper === 'E0' || $upper === 'E1':
                $this->echo = $upper === 'E1';

                return '';
            case str_starts_with($upper, '+CMGF='):
                $this->textMode = $upper === '+CMGF=1';

                return '';
            case str_starts_with($upper, '+CLIP='):
                $this->showsCallers = $upper === '+CLIP=1';

                return '';
            case str_starts_with($upper, '+HTTP'):
                return $this->ask($command);
            case $upper === '+CGACT=1,1' || $upper === '+CGACT=0,1':
                $this->online = $upper === '+CGACT=1,1';

                return '';
            default:
                return $this->tell($upper);
        }
    }

    /** Asking for an address on the web, in the commonest of the makers' forms. The other machine takes everything. */
    private function ask(string $command): ?string
    {
        $upper = strtoupper($command);
        if ($upper === '+HTTPINIT') {
            $open = $this->request !== null;
            $this->request ??= [];

            return $open ? null : '';
        }
        if ($this->request === null) {
            return null;
        }
        if (preg_match('/^\+HTTPPARA="(CID|URL)",(.+)$/iD', $command, $match) === 1) {
            $this->request[strtoupper($match[1])] = trim($match[2], '"');

            return '';
        }
        if ($upper === '+HTTPTERM') {
            $this->request = null;

            return '';
        }
        $address = $this->request['URL'] ?? null;

        return $upper === '+HTTPREAD' && $address !== null && $this->online ? "+HTTPREAD: 2\r\nok" : null;
    }

    private function tell(string $command): ?string
    {
        return match (true) {
            in_array($command, ['', 'Z', 'H', 'A', '+CHUP', '&F', 'V1', 'S0=0', '+DDET=1'], true), preg_match('/^D\+?\d+;$/D', $command) === 1 => '',
            preg_match('/^\+(IPR|CMEE|CSCS|CNMI|CPMS|CSMP|CSDH|CREG|CGREG|CEREG|CGDCONT|CGATT|CLIR|CCLK|CSCA|CFUN)=[^?]*$/D', $command) === 1 => str_starts_with($command, '+CPMS=') ? '+CPMS: 0,20,0,20,0,20' : '',
            $command === '+CPIN?' => '+CPIN: READY',
            $command === '+CCID' || $command === '+CICCID' => '+CCID: "8944200000000000000"',
            preg_match('/^\+(CREG|CGREG|CEREG)\?$/D', $command, $match) === 1 => "+{$match[1]}: 0,{$this->registration}",
            $command === '+CSQ' => "+CSQ: {$this->csq},0",
            $command === '+CGMI', $command === 'I' => 'Rundfunk',
            $command === '+CGMM' => 'modem stand-in',
            $command === '+CGMR' => '1',
            $command === '+CGSN' => '000000000000000',
            $command === '+CIMI' => '001010000000000',
            $command === '+CNUM' => "+CNUM: ,\"{$this->own}\",145",
            $command === '+CSCA?' => '+CSCA: "+442079460001",145',
            $command === '+COPS?' => '+COPS: 0,2,"00101"',
            $command === '+CSCS?' => '+CSCS: "GSM"',
            $command === '+CSCS=?' => '+CSCS: ("GSM","IRA","HEX","UCS2")',
            $command === '+CMGF=?' => '+CMGF: (0,1)',
            $command === '+CMGF?' => '+CMGF: '.(int) $this->textMode,
            $command === '+CPMS=?' => '+CPMS: ("SM"),("SM"),("SM")',
            $command === '+CPMS?' => '+CPMS: "SM",0,20,"SM",0,20,"SM",0,20',
            $command === '+CNMI=?' => '+CNMI: (0-2),(0-3),(0-2),(0-2),(0,1)',
            $command === '+CNMI?' => '+CNMI: 2,2,0,0,0',
            $command === '+CIPR=?', $command === '+IPR=?' => '+IPR: (0,1200,2400,4800,9600,19200,38400,57600,115200)',
            default => null,
        };
    }

    private static function error(): string
    {
        return "\r\nERROR\r\n";
    }
}
