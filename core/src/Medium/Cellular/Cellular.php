<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Assign\Proposes;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\ExportsFiles;
use Rundfunk\Build\WritesC;
use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Check\HasRules;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Calculator\Gsm7Pack;
use Rundfunk\Medium\Cellular\Calculator\ModemLampMeaning;
use Rundfunk\Medium\Cellular\Calculator\ModemRegistration;
use Rundfunk\Medium\Cellular\Calculator\ModemSignalStrength;
use Rundfunk\Medium\Cellular\Calculator\PhoneForm;
use Rundfunk\Medium\Cellular\Calculator\SmsLength;
use Rundfunk\Medium\Cellular\Rule\CallerUnlisted;
use Rundfunk\Medium\Cellular\Rule\CallOpens;
use Rundfunk\Medium\Cellular\Rule\CallsAlike;
use Rundfunk\Medium\Cellular\Rule\LevelTooHigh;
use Rundfunk\Medium\Cellular\Rule\LevelTooLow;
use Rundfunk\Medium\Cellular\Rule\NetworkClosing;
use Rundfunk\Medium\Cellular\Rule\NoAnswer;
use Rundfunk\Medium\Cellular\Rule\NumberShared;
use Rundfunk\Medium\Cellular\Rule\NumberWrong;
use Rundfunk\Medium\Cellular\Rule\ObeysAnyone;
use Rundfunk\Medium\Cellular\Rule\RateOff;
use Rundfunk\Medium\Cellular\Rule\ReportAddressWrong;
use Rundfunk\Medium\Cellular\Rule\ReportEmpty;
use Rundfunk\Medium\Cellular\Rule\ReportInClear;
use Rundfunk\Medium\Cellular\Rule\SupplySags;
use Rundfunk\Medium\Cellular\Rule\TextTooLong;
use Rundfunk\Medium\Cellular\Rule\TextUnproved;
use Rundfunk\Medium\Cellular\Rule\ToggleByText;
use Rundfunk\Medium\Cellular\Rule\WordMissing;
use Rundfunk\Medium\Cellular\Rule\WordsClash;
use Rundfunk\Medium\Cellular\Rule\WrongVariant;
use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Routes\HasAddresses;
use Rundfunk\Routes\SaysCommands;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;
use Rundfunk\Timing\TimesHops;
use Rundfunk\View\DrawsPanel;
use Rundfunk\View\MarksStops;

/** Calls and texts over a mobile network: phones on one side, modems of ours on the other. */
final readonly class Cellular implements DescribesEnds, DrawsPanel, ExportsFiles, HasAddresses, HasRules, MarksStops, Medium, OffersCalculators, Proposes, SaysCommands, TimesHops, WritesC
{
    public const KEY = 'cellular';

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return 'cellular';
    }

    public function part(): string
    {
        return 'modem';
    }

    public function usualRole(): Role
    {
        return Role::Both;
    }

    public function form(): LineForm
    {
        return LineForm::DashDot;
    }

    public function linkSettings(): Shape
    {
        return Shape::of(Field::label('country', 2, 'Country of numbers that are written without one, two letters; empty when all begin with +.')->titled('Country'));
    }

    public function endpointSettings(): Shape
    {
        return CellularEnd::shape();
    }

    public function rules(): array
    {
        return [
            new NumberWrong,
            new NumberShared,
            new CallerUnlisted,
            new ObeysAnyone,
            new CallOpens,
            new TextUnproved,
            new ToggleByText,
            new CallsAlike,
            new WordMissing,
            new WordsClash,
            new NoAnswer,
            new TextTooLong,
            new SupplySags,
            new LevelTooHigh,
            new LevelTooLow,
            new RateOff,
            new NetworkClosing,
            new WrongVariant,
            new ReportAddressWrong,
            new ReportInClear,
            new ReportEmpty,
        ];
    }

    public function calculators(): array
    {
        return [new SmsLength, new Gsm7Pack, new PhoneForm, new ModemSignalStrength, new ModemRegistration, new ModemLampMeaning];
    }

    public function steps(): array
    {
        return [new WordStep];
    }

    public function addressFor(Plan $plan, Hop $hop): ?Address
    {
        return $plan->addressesOf($plan->endpoint($hop->toId))[0] ?? null;
    }

    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $node = $plan->node($endpoint->nodeId);
        $number = Commands::number($plan, $endpoint)?->e164;

        return match (true) {
            $node->kind !== NodeKind::Phone => 'modem',
            $number === null => null,
            default => '…'.substr($number, -3),
        };
    }

    public function saying(Plan $plan, Hop $hop): ?string
    {
        $route = $plan->route($hop->routeId);
        $control = $plan->control($route->controlId);
        $output = $plan->output($route->outputId);

        return match (true) {
            $control->kind === ControlKind::Call => 'a call',
            $control->kind === ControlKind::Text => Commands::word($control),
            $output->kind === OutputKind::Message => 'text: '.(new Values($output->settings))->text('words'),
            default => null,
        };
    }

    public function segments(Plan $plan, Hop $hop, int $turn): array
    {
        return CellularTiming::segments($plan, $hop, $turn);
    }

    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        return CellularHeader::defines($plan, $endpoint);
    }

    public function cLines(Plan $plan, Endpoint $endpoint, string $prefix, Knowledge $knowledge): array
    {
        return CellularHeader::tables($plan, $endpoint, $prefix, $knowledge->catalogue);
    }

    public function artefacts(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        return CellularFiles::of($plan, $endpoint, $knowledge->catalogue);
    }

    public function panelSchema(): array
    {
        return CellularPanel::schema();
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): array
    {
        return CellularPanel::of($plan, $link, $knowledge);
    }
}
