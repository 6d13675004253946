<?php

declare(strict_types=1);

// The modem stand-in between two pipes: what comes in is heard, what it says goes out, what it sent is written down.

use Rundfunk\Medium\Cellular\ModemStandIn;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$modem = new ModemStandIn;
while (($bytes = fread(STDIN, 4096)) !== false && $bytes !== '') {
    fwrite(STDOUT, $modem->hear($bytes));
    fflush(STDOUT);
    file_put_contents((string) getenv('RUNDFUNK_OUTBOX'), json_encode($modem->sentTexts(), JSON_THROW_ON_ERROR));
}
