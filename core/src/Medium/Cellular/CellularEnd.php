<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** The settings of one end of a cellular link, with their types. */
final readonly class CellularEnd
{
    public function __construct(
        public bool $listed,
        public bool $obeysAnyone,
        public bool $simPin,
        public int $baud,
        public string $reportTo,
        public string $accessPoint,
        public int $reportMin,
    ) {
    }

    public static function of(Endpoint $endpoint): self
    {
        $values = new Values($endpoint->settings);

        return new self(
            $values->flag('listed'),
            $values->text('obeys') === 'anyone',
            $values->flag('simPin'),
            $values->whole('baud'),
            $values->text('reportTo'),
            $values->text('accessPoint'),
            $values->whole('reportMin'),
        );
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::flag('listed', 'Whether modems on this link obey it.')->titled('Obeyed'),
            Field::oneOf('obeys', ['listed', 'anyone'], 'Whom it obeys.', 'listed')->titled('Obeys')->named(['those on the list', 'anyone']),
            Field::flag('simPin', 'Whether its card asks for a PIN. The PIN itself is put in when the board is flashed; it is never kept here.')->titled('Card PIN'),
            Field::oneOf('baud', [1200, 2400, 4800, 9600, 19200, 38400, 57600, 115200], 'Rate of the serial port between board and modem.', 9600, 'baud')->titled('Serial'),
            Field::label('reportTo', 200, 'A web address that the node\'s readings are reported to, as http://station.example/report; the readings are put behind it.')->titled('Report to'),
            Field::label('accessPoint', 60, 'What the operator calls the access point of the card.')->titled('Access point'),
            Field::whole('reportMin', 1, 1_440, 'How often it reports.', 15, 'min')->titled('Every'),
        );
    }
}
