<?php

declare(strict_types=1);

namespace App\OpenApi;

use Rundfunk\Assign\Stage;
use Rundfunk\Catalogue\ModuleGroup;
use Rundfunk\Check\Severity;
use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\Particulars;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Timing\SegmentKind;

/** The shapes that requests and answers are made of. */
final class Components
{
    /** @return array<string, mixed> schemas by name */
    public static function of(Media $media): array
    {
        return [
            ...self::plans($media),
            ...self::requests(),
            ...self::refusals(),
            ...self::answers(),
            ...self::workspace(),
            ...self::packetPanel(),
            ...self::catalogue(),
        ];
    }

    /** @return array<string, mixed> */
    private static function plans(Media $media): array
    {
        $schemas = [];
        $lists = [];
        foreach (ThingKind::cases() as $kind) {
            $name = ucfirst($kind->value);
            $schemas[$name] = self::whole($kind->shape()->schema());
            $lists[$kind->plural()] = S::listOf(S::ref($name));
        }
        $schemas['Particulars'] = self::whole(Particulars::shape()->schema());
        $schemas['PlanDocument'] = S::object(['format' => S::whole(), 'plan' => S::ref('Particulars'), ...$lists]);

        return $schemas;
    }

    /**
     * Answers hold every field, filled from its default.
     *
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function whole(array $schema): array
    {
        $properties = is_array($schema['properties'] ?? null) ? $schema['properties'] : [];
        unset($schema['additionalProperties']);

        return [...$schema, 'required' => array_keys($properties)];
    }

    /** @return array<string, mixed> */
    private static function requests(): array
    {
        $operation = S::object([
            'op' => S::oneOf('add', 'change', 'remove'),
            'kind' => S::oneOf('plan', ...array_map(static fn (ThingKind $kind): string => $kind->value, ThingKind::cases())),
            'id' => S::text(),
            'values' => S::anyObject(),
        ]);

        return [
            'Credentials' => S::object(['email' => S::text(), 'password' => S::text()]),
            'Registration' => S::object(['name' => S::text(), 'email' => S::text(), 'password' => S::text()]),
            'NewPlan' => S::object(['name' => S::text(), 'region' => S::text()]),
            'Operation' => $operation,
            'Edit' => S::object(['version' => S::whole(), 'label' => S::text(), 'operations' => S::listOf(S::ref('Operation'))]),
        ];
    }

    /** @return array<string, mixed> */
    private static function refusals(): array
    {
        return [
            'Refusal' => S::object(['message' => S::text()]),
            'FieldErrors' => S::object(['message' => S::text(), 'errors' => ['type' => 'object', 'additionalProperties' => S::listOf(S::text())]]),
            'PlanRefusal' => S::object(['message' => S::text(), 'problems' => S::listOf(S::object(['place' => S::text(), 'message' => S::text()]))]),
            'Stale' => S::object(['message' => S::text(), 'version' => S::whole(), 'since' => S::listOf(S::object(['version' => S::whole(), 'label' => S::text(), 'by' => S::text()]))]),
        ];
    }

    /** @return array<string, mixed> */
    private static function answers(): array
    {
        return [
            'Session' => S::object(['user' => S::orNull(S::object(['name' => S::text(), 'email' => S::text()]))]),
            'PlanMade' => S::object(['id' => S::text()]),
            'PlanList' => S::object(['plans' => S::listOf(S::object([
                'id' => S::text(), 'name' => S::text(), 'note' => S::text(), 'version' => S::whole(), 'nodes' => S::whole(), 'changedAt' => S::text(),
            ]))]),
            'History' => S::object(['edits' => S::listOf(S::object([
                'version' => S::whole(), 'label' => S::text(), 'by' => S::text(), 'at' => S::text(), 'state' => S::oneOf('done', 'undone', 'gone'),
            ]))]),
            'Proposal' => S::object([
                'id' => S::text(),
                'stage' => S::oneOf(...array_map(static fn (Stage $stage): string => $stage->value, Stage::cases())),
                'at' => S::ref('Subject'), 'what' => S::text(), 'before' => S::orNull(S::text()), 'after' => S::text(), 'reason' => S::text(),
                'operations' => S::listOf(S::ref('Operation')),
            ]),
            'Assignment' => S::object(['version' => S::whole(), 'proposals' => S::listOf(S::ref('Proposal'))]),
            'WiringRow' => S::object(['module' => S::text(), 'terminal' => S::text(), 'pin' => S::text(), 'carries' => S::text(), 'level' => S::text(), 'note' => S::text()]),
            'NodeSheet' => S::object(['wiring' => S::listOf(S::ref('WiringRow')), 'header' => S::text(), 'headerName' => S::text()]),
        ];
    }

    /** @return array<string, mixed> */
    private static function workspace(): array
    {
        $severities = array_map(static fn (Severity $severity): string => $severity->value, Severity::cases());
        $segments = array_map(static fn (SegmentKind $kind): string => $kind->value, SegmentKind::cases());

        return [
            'Subject' => S::object(['kind' => S::text(), 'id' => S::text(), 'field' => S::orNull(S::text()), 'where' => S::text()]),
            'Fix' => S::object(['label' => S::text(), 'operations' => S::listOf(S::ref('Operation'))]),
            'Finding' => S::object([
                'id' => S::text(), 'rule' => S::text(), 'severity' => S::oneOf(...$severities), 'title' => S::text(), 'at' => S::ref('Subject'),
                'numbers' => S::anyObject(), 'detail' => S::text(), 'remedy' => S::text(), 'fix' => S::orNull(S::ref('Fix')), 'about' => S::listOf(S::text()),
            ]),
            'LineMapPost' => S::object(['nodeId' => S::text(), 'placeId' => S::orNull(S::text())]),
            'LineMapLine' => S::object([
                'linkId' => S::text(), 'form' => S::ref('LineForm'), 'medium' => S::text(),
                'stops' => S::listOf(S::object(['endpointId' => S::text(), 'nodeId' => S::text(), 'mark' => S::orNull(S::text())])),
            ]),
            'LineForm' => S::oneOf(...array_map(static fn (LineForm $form): string => $form->value, LineForm::cases())),
            'LineMap' => S::object(['posts' => S::listOf(S::ref('LineMapPost')), 'lines' => S::listOf(S::ref('LineMapLine'))]),
            'TimeSegment' => S::object(['kind' => S::oneOf(...$segments), 'label' => S::text(), 'best' => S::text(), 'typical' => S::text(), 'worst' => S::text(), 'share' => S::number()]),
            'RouteView' => S::object([
                'routeId' => S::text(), 'name' => S::text(), 'arrives' => S::flag(),
                'hops' => S::listOf(S::object(['linkId' => S::text(), 'fromId' => S::text(), 'toId' => S::text(), 'code' => S::orNull(S::text()), 'address' => S::orNull(S::text())])),
                'time' => S::orNull(S::object(['best' => S::text(), 'typical' => S::text(), 'worst' => S::text(), 'segments' => S::listOf(S::ref('TimeSegment'))])),
            ]),
            'PinTable' => S::object([
                'nodeId' => S::text(),
                'pins' => S::listOf(S::object([
                    'name' => S::text(), 'can' => S::listOf(S::text()), 'inputOnly' => S::flag(), 'console' => S::flag(), 'strap' => S::orNull(S::text()), 'led' => S::flag(), 'note' => S::text(),
                    'uses' => S::listOf(S::object(['useId' => S::text(), 'moduleId' => S::text(), 'what' => S::text(), 'pinned' => S::flag()])),
                ])),
                'unwired' => S::listOf(S::object(['moduleId' => S::text(), 'terminal' => S::text(), 'what' => S::text()])),
            ]),
            'Panel' => S::object(['linkId' => S::text(), 'figures' => S::ref('PacketPanel')]),
            'Workspace' => S::object([
                'version' => S::whole(), 'document' => S::ref('PlanDocument'), 'findings' => S::listOf(S::ref('Finding')), 'lineMap' => S::ref('LineMap'),
                'routes' => S::listOf(S::ref('RouteView')), 'panels' => S::listOf(S::ref('Panel')), 'pinTables' => S::listOf(S::ref('PinTable')),
                'history' => S::object(['undo' => S::orNull(S::text()), 'redo' => S::orNull(S::text())]),
            ]),
        ];
    }

    /** @return array<string, mixed> */
    private static function packetPanel(): array
    {
        $stretch = ['from' => S::whole(), 'to' => S::whole()];

        return ['PacketPanel' => S::object([
            'channels' => S::object($stretch),
            'legal' => S::orNull(S::object([...$stretch, 'fromMhz' => S::number(), 'toMhz' => S::number(), 'rule' => S::text(), 'asOf' => S::text(), 'region' => S::text()])),
            'wifi' => S::listOf(S::object(['channel' => S::whole(), ...$stretch])),
            'here' => S::orNull(S::whole()),
            'freqMhz' => S::orNull(S::whole()),
            'others' => S::listOf(S::object(['name' => S::text(), 'channel' => S::whole()])),
            'exchange' => S::object([
                'parts' => S::listOf(S::object(['kind' => S::oneOf('turn', 'frame', 'acknowledge'), 'label' => S::text(), 'us' => S::number()])),
                'totalUs' => S::number(), 'leastRetryDelayUs' => S::whole(), 'sensitivityDbm' => S::number(),
            ]),
            'ends' => S::listOf(S::object([
                'endpointId' => S::text(), 'disagrees' => S::listOf(S::text()), 'sender' => S::orNull(S::whole()),
                'sendsTo' => S::listOf(S::object(['node' => S::text(), 'address' => S::orNull(S::text()), 'pipe' => S::orNull(S::whole())])),
            ])),
        ])];
    }

    /** @return array<string, mixed> */
    private static function catalogue(): array
    {
        return [
            'Board' => S::object([
                'key' => S::text(), 'name' => S::text(), 'logicV' => S::number(), 'pins' => S::listOf(S::text()), 'basis' => S::text(),
                'rails' => S::listOf(S::object(['supply' => S::text(), 'name' => S::text(), 'volts' => S::number(), 'limitMa' => S::number()])),
            ]),
            'ModuleClass' => S::object([
                'key' => S::text(), 'name' => S::text(), 'group' => S::oneOf(...array_map(static fn (ModuleGroup $group): string => $group->value, ModuleGroup::cases())),
                'medium' => S::orNull(S::text()), 'carries' => S::orNull(S::text()), 'peakMa' => S::number(), 'advice' => S::text(), 'basis' => S::text(),
                'terminals' => S::listOf(S::object(['name' => S::text(), 'needs' => S::text(), 'carries' => S::orNull(S::text()), 'doc' => S::text()])),
            ]),
            'Region' => S::object(['key' => S::text(), 'name' => S::text(), 'mainsV' => S::number(), 'asOf' => S::text(), 'wifi' => S::listOf(S::whole())]),
            'SettingField' => S::object([
                'name' => S::text(), 'title' => S::text(), 'kind' => S::oneOf('choice', 'whole', 'flag', 'text'),
                'choices' => S::listOf(['type' => ['integer', 'string']]), 'lowest' => S::orNull(S::whole()), 'highest' => S::orNull(S::whole()),
                'nullable' => S::flag(), 'unit' => S::orNull(S::text()), 'doc' => S::text(),
            ]),
            'Medium' => S::object(['key' => S::text(), 'name' => S::text(), 'form' => S::ref('LineForm'), 'linkSettings' => S::listOf(S::ref('SettingField')), 'endpointSettings' => S::listOf(S::ref('SettingField'))]),
            'Catalogue' => S::object([
                'boards' => S::listOf(S::ref('Board')), 'modules' => S::listOf(S::ref('ModuleClass')), 'regions' => S::listOf(S::ref('Region')), 'media' => S::listOf(S::ref('Medium')),
                'actions' => S::listOf(S::object(['control' => S::text(), 'actions' => S::listOf(S::text())])),
            ]),
        ];
    }
}
