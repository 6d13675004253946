<?php

declare(strict_types=1);

namespace Rundfunk\Demo\Faulty;

use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;

/** What can go wrong with on-off keyed radio: two drives and a fob too many. */
final readonly class KeyedFaults
{
    public static function add(Sketch $sketch): void
    {
        $sketch
            ->place('drive', 'Drive')
            // keyed-outside-band, keyed-power-over-limit is on the other link; keyed-repeats-too-few
            ->link('drive-radio', 'Drive fob', 'keyed-radio', ['freqKhz' => 315_000, 'repeats' => 2])
            ->node('drive-node', 'Drive', NodeKind::Controller, 'drive', '8bit-5v-20io')
            ->module('drive-ear', 'drive-node', 'keyed-receiver', 'Ear')
            ->module('drive-relays', 'drive-node', 'relay-bank-2-low', 'Relays', FedFrom::Own)
            ->output('drive-gate', 'drive-node', 'Gate', OutputKind::Relay, 'drive-relays', 'IN1', 'gate drive', ['hazards' => ['motion', 'access']])
            ->output('drive-lamp', 'drive-node', 'Drive lamp', OutputKind::Relay, 'drive-relays', 'IN2')
            // keyed-antenna-off, keyed-ends-disagree
            ->join('drive-radio', 'drive-node', Role::Receives, 'drive-ear', ['antennaMm' => 300, 'freqKhz' => 433_920])
            ->node('drive-fob', 'Drive fob', NodeKind::Remote, null, null)
            ->join('drive-radio', 'drive-fob', Role::Sends)
            ->control('drive-a', 'drive-fob', 'A', ControlKind::Key)
            ->control('drive-b', 'drive-fob', 'B', ControlKind::Key)
            ->control('drive-c', 'drive-fob', 'C', ControlKind::Key)
            // keyed-factory-code, keyed-codes-collide; C was never learned: keyed-code-unknown
            ->keyCode('drive-fob', 'A', 'keyed', null, 0x000001, control: 'drive-a')
            ->keyCode('drive-fob', 'B', 'keyed', null, 0x000001, control: 'drive-b')
            // keyed-replay, keyed-repeats-flip
            ->route('drive-a', Action::Pulse, 'drive-gate', 1_000)->hop('drive-a drive-gate pulse', 'drive-radio', 'drive-fob', 'drive-node', null)
            ->route('drive-b', Action::Toggle, 'drive-lamp')->hop('drive-b drive-lamp toggle', 'drive-radio', 'drive-fob', 'drive-node', null)
            ->route('drive-c', Action::On, 'drive-lamp')->hop('drive-c drive-lamp on', 'drive-radio', 'drive-fob', 'drive-node', null)
            // keyed-receiver-cannot, keyed-too-many-buttons, keyed-power-over-limit, asleep-when-told
            ->link('shed-pair', 'Shed pair', 'keyed-radio', ['coding' => 'pair', 'powerDbm' => 20])
            ->node('pair-node', 'Wood shed', NodeKind::Controller, 'drive', '8bit-5v-20io')->sleeping('pair-node')
            ->module('pair-ear', 'pair-node', 'keyed-receiver-4-toggle', 'Ear')
            ->module('pair-relays', 'pair-node', 'relay-bank-1-low', 'Relay', FedFrom::Board5V)
            ->output('wood-lamp', 'pair-node', 'Wood lamp', OutputKind::Relay, 'pair-relays', 'IN1')
            ->join('shed-pair', 'pair-node', Role::Receives, 'pair-ear')
            ->node('pair-fob', 'Five keys', NodeKind::Remote, null, null)
            ->join('shed-pair', 'pair-fob', Role::Sends);
        foreach (range(0, 4) as $button) {
            $sketch->control("pair-{$button}", 'pair-fob', 'Key '.($button + 1), ControlKind::Key);
        }
        $sketch
            ->keyCode('pair-fob', 'Key 1', 'keyed-button', null, 0, control: 'pair-0')
            ->route('pair-0', Action::Off, 'wood-lamp')->hop('pair-0 wood-lamp off', 'shed-pair', 'pair-fob', 'pair-node', null)
            // keyed-sender-unnumbered
            ->node('own-sender', 'Own sender', NodeKind::Controller, 'drive', '8bit-5v-20io')
            ->module('own-tx', 'own-sender', 'keyed-transmitter', 'Sender')
            ->module('own-key', 'own-sender', 'button-pad-1', 'Key')
            ->control('own-k', 'own-sender', 'Key', ControlKind::Button, 'own-key', 'K1')
            ->join('drive-radio', 'own-sender', Role::Sends, 'own-tx', ['antenna' => 'coil'])
            ->route('own-k', Action::Off, 'drive-lamp')->hop('own-k drive-lamp off', 'drive-radio', 'own-sender', 'drive-node', 3);
    }
}
