<?php

declare(strict_types=1);

namespace App\OpenApi;

use App\Plans\Access;
use ReflectionClass;
use Rundfunk\Assign\Stage;
use Rundfunk\Catalogue\SupplySort;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Learn\CodeSet;
use Rundfunk\Learn\LearnedRow;
use Rundfunk\Learn\Shown\DescriptionShown;
use Rundfunk\Learn\Shown\RecordingShown;
use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\PlanProperties;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\ResultSchema;
use Rundfunk\Shape\Schema;
use Rundfunk\View\CalculatorView;
use Rundfunk\View\DrawsPanel;
use Rundfunk\View\KindsView;
use Rundfunk\View\SettingFields;
use Rundfunk\View\Shown\BoardOffered;
use Rundfunk\View\Shown\ModuleOffered;
use Rundfunk\View\View;
use Rundfunk\View\Views;
use stdClass;

/** The shapes that requests and answers are made of. */
final class Components
{
    /** @return array<string, mixed> schemas by name */
    public static function of(Media $media, Views $views): array
    {
        return [
            ...self::plans($media),
            ...self::requests(),
            ...self::refusals(),
            ...self::answers(),
            ...self::workspace(),
            ...self::views($media, $views),
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
            $lists[$kind->plural()] = Schema::listOf(Schema::ref($name));
        }
        $schemas['PlanProperties'] = self::whole(PlanProperties::shape()->schema());
        $schemas['PlanDocument'] = Schema::object(['format' => Schema::whole(), 'plan' => Schema::ref('PlanProperties'), ...$lists]);

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
    private static function kinds(): array
    {
        return Schema::oneOf('plan', ...array_map(static fn (ThingKind $kind): string => $kind->value, ThingKind::cases()));
    }

    /** @return array<string, mixed> */
    private static function requests(): array
    {
        $onScreen = ['type' => 'object', 'additionalProperties' => Schema::listOf(Schema::text())];
        // By these it can be sent again.
        $mark = ['id' => Schema::orNull(Schema::text()), 'client' => Schema::orNull(Schema::text()), 'held' => Schema::orNull(Schema::whole())];
        $operation = Schema::object([
            'op' => Schema::oneOf('add', 'change', 'remove'),
            'kind' => self::kinds(),
            'id' => Schema::text(),
            'values' => Schema::anyObject(),
        ]);

        return [
            'Credentials' => Schema::object(['email' => Schema::text(), 'password' => Schema::text()]),
            'Registration' => Schema::object(['name' => Schema::text(), 'email' => Schema::text(), 'password' => Schema::text()]),
            'NewPlan' => Schema::object(['name' => Schema::text(), 'region' => Schema::text()]),
            'RecordingAsked' => Schema::object(['text' => Schema::text(), 'after' => Schema::orNull(Schema::text()), 'times' => Schema::orNull(Schema::whole()), 'signal' => Schema::orNull(Schema::object(['id' => Schema::text(), 'start' => Schema::whole(), 'bits' => Schema::whole(), 'highFirst' => Schema::flag(), 'signed' => Schema::flag()]))]),
            'DescriptionAsked' => Schema::object(['text' => Schema::orNull(Schema::text()), 'base64' => Schema::orNull(Schema::text())]),
            'Lesson' => Schema::object(['medium' => Schema::text(), 'text' => Schema::text()]),
            'Given' => Schema::object(['inputs' => ['type' => 'object', 'additionalProperties' => Schema::text()]]),
            'Operation' => $operation,
            'OwnPassword' => Schema::object(['current' => Schema::text()]),
            'PasswordChange' => Schema::object(['current' => Schema::text(), 'password' => Schema::text()]),
            'Edit' => ['required' => ['version', 'label', 'operations', 'views']] + Schema::object(['version' => Schema::whole(), 'label' => Schema::text(), 'operations' => Schema::listOf(Schema::ref('Operation')), 'views' => $onScreen, 'exact' => Schema::flag(), ...$mark]),
            'Replay' => ['required' => ['views']] + Schema::object(['views' => $onScreen, 'of' => Schema::orNull(Schema::whole()), ...$mark]),
        ];
    }

    /** @return array<string, mixed> what can be taken back and done again */
    private static function history(): array
    {
        return Schema::object(['undo' => Schema::orNull(Schema::text()), 'undoOf' => Schema::orNull(Schema::whole()), 'redo' => Schema::orNull(Schema::text()), 'redoOf' => Schema::orNull(Schema::whole())]);
    }

    /** @return array<string, mixed> */
    private static function refusals(): array
    {
        return [
            'Refusal' => Schema::object(['message' => Schema::text()]),
            'FieldErrors' => Schema::object(['message' => Schema::text(), 'errors' => ['type' => 'object', 'additionalProperties' => Schema::listOf(Schema::text())]]),
            'PlanRefusal' => Schema::object(['message' => Schema::text(), 'problems' => Schema::listOf(Schema::object(['place' => Schema::text(), 'message' => Schema::text()]))]),
            'Stale' => Schema::object(['message' => Schema::text(), 'version' => Schema::whole(), 'since' => Schema::listOf(Schema::object(['version' => Schema::whole(), 'label' => Schema::text(), 'by' => Schema::text()]))]),
        ];
    }

    /** @return array<string, mixed> */
    private static function answers(): array
    {
        return [
            'Session' => Schema::object(['user' => Schema::orNull(Schema::object(['name' => Schema::text(), 'email' => Schema::text()])), 'registration' => Schema::flag()]),
            'Account' => Schema::object(['sessions' => Schema::listOf(Schema::object([
                'key' => Schema::text(), 'current' => Schema::flag(), 'from' => Schema::text(), 'browser' => Schema::text(), 'seenAt' => Schema::text(),
            ]))]),
            'Deleted' => Schema::object(['deleted' => Schema::flag()]),
            'PlanMade' => Schema::object(['id' => Schema::text()]),
            'PlanList' => Schema::object(['plans' => Schema::listOf(Schema::object([
                'id' => Schema::text(), 'name' => Schema::text(), 'note' => Schema::text(), 'version' => Schema::whole(), 'access' => self::access(), 'nodes' => Schema::whole(), 'changedAt' => Schema::text(),
            ]))]),
            'History' => Schema::object(['edits' => Schema::listOf(Schema::object([
                'version' => Schema::whole(), 'label' => Schema::text(), 'by' => Schema::text(), 'at' => Schema::text(), 'state' => Schema::oneOf('done', 'settled', 'undone', 'gone'),
            ]))]),
            'Proposal' => Schema::object([
                'id' => Schema::text(),
                'stage' => Schema::oneOf(...array_map(static fn (Stage $stage): string => $stage->value, Stage::cases())),
                'at' => Schema::ref('Spot'), 'what' => Schema::text(), 'before' => Schema::orNull(Schema::text()), 'after' => Schema::text(), 'reason' => Schema::text(),
                'operations' => Schema::listOf(Schema::ref('Operation')),
            ]),
            'Assignment' => Schema::object(['version' => Schema::whole(), 'proposals' => Schema::listOf(Schema::ref('Proposal'))]),
            'SetOrder' => Schema::object(['medium' => Schema::text(), 'values' => Schema::anyObject()]),
            'CodeSet' => CodeSet::schema(),
            'Learned' => Schema::object(['rows' => Schema::listOf(LearnedRow::schema())]),
            'Calculator' => CalculatorView::schema(),
            'Calculators' => Schema::object(['calculators' => Schema::listOf(Schema::ref('Calculator'))]),
            'Worked' => CalculatorView::workedSchema(),
            'WiringRow' => Schema::object(['module' => Schema::text(), 'terminal' => Schema::text(), 'pin' => Schema::text(), 'carries' => Schema::text(), 'level' => Schema::text(), 'note' => Schema::text()]),
            'NodeSheet' => Schema::object([
                'wiring' => Schema::listOf(Schema::ref('WiringRow')), 'header' => Schema::orNull(Schema::text()), 'headerName' => Schema::text(),
                'flashed' => Schema::orNull(Schema::object(['flashedOwn' => Schema::text(), 'flashed' => Schema::listOf(Schema::object(['linkId' => Schema::text(), 'fingerprint' => Schema::text()]))])), 'changed' => Schema::listOf(Schema::text()), 'cautions' => Schema::listOf(Schema::text()),
                'artefacts' => Schema::listOf(Schema::object(['key' => Schema::text(), 'title' => Schema::text(), 'fileName' => Schema::text(), 'content' => Schema::text()])),
            ]),
        ];
    }

    /** @return array<string, mixed> */
    private static function workspace(): array
    {
        $severities = array_map(static fn (Severity $severity): string => $severity->value, Severity::cases());
        $history = self::history();
        $shown = Schema::object(['of' => Schema::text(), 'shows' => Schema::orNull(Schema::anyObject())]);

        return [
            'Spot' => Schema::object(['kind' => self::kinds(), 'id' => Schema::text(), 'field' => Schema::orNull(Schema::text()), 'where' => Schema::text()]),
            'Fix' => Schema::object(['label' => Schema::text(), 'operations' => Schema::listOf(Schema::ref('Operation'))]),
            'Finding' => Schema::object([
                'id' => Schema::text(), 'rule' => Schema::text(), 'severity' => Schema::oneOf(...$severities), 'title' => Schema::text(), 'at' => Schema::ref('Spot'),
                'numbers' => Schema::anyObject(), 'detail' => Schema::text(), 'remedy' => Schema::text(), 'fix' => Schema::orNull(Schema::ref('Fix')), 'otherFixes' => Schema::listOf(Schema::ref('Fix')), 'about' => Schema::listOf(Schema::text()),
                'step' => Schema::oneOf(...array_map(static fn (WorkStep $step): string => $step->value, WorkStep::cases())),
            ]),
            'LineForm' => Schema::oneOf(...array_map(static fn (LineForm $form): string => $form->value, LineForm::cases())),
            'Changes' => self::changes(),
            'Workspace' => Schema::object(['version' => Schema::whole(), 'access' => self::access(), 'plan' => Schema::ref('PlanProperties'), 'things' => self::tables(), 'findings' => Schema::listOf(Schema::ref('Finding')), 'history' => $history]),
            'ShownPart' => $shown,
            'Shown' => Schema::object(['version' => Schema::whole(), 'parts' => Schema::listOf(Schema::ref('ShownPart'))]),
        ];
    }

    /** @return array<string, mixed> what the user may do with a plan */
    private static function access(): array
    {
        return Schema::oneOf(...array_map(static fn (Access $access): string => $access->value, Access::cases()));
    }

    /** @return array<string, mixed> all that a plan holds: a kind's fields, and a row of their values for each thing */
    private static function tables(): array
    {
        $table = Schema::object(['fields' => Schema::listOf(Schema::text()), 'rows' => Schema::listOf(['type' => 'array', 'items' => new stdClass]), 'same' => ['type' => 'object', 'additionalProperties' => new stdClass]]);

        return Schema::object(array_fill_keys(array_map(static fn (ThingKind $kind): string => $kind->plural(), ThingKind::cases()), $table));
    }

    /**
     * An edit's answer.
     *
     * @return array<string, mixed>
     */
    private static function changes(): array
    {
        $part = static fn (string $name): array => Schema::object(['put' => Schema::listOf(Schema::ref($name)), 'gone' => Schema::listOf(Schema::text())]);
        $things = [];
        foreach (ThingKind::cases() as $kind) {
            $things[$kind->plural()] = $part(ucfirst($kind->value));
        }

        return Schema::object([
            'from' => Schema::whole(), 'version' => Schema::whole(), 'kept' => Schema::orNull(Schema::whole()), 'plan' => Schema::ref('PlanProperties'), 'things' => Schema::object($things),
            'findings' => Schema::object(['put' => Schema::listOf(Schema::ref('Finding')), 'gone' => Schema::listOf(Schema::text()), 'order' => Schema::listOf(Schema::text())]),
            'views' => ['type' => 'object', 'additionalProperties' => Schema::listOf(Schema::ref('ShownPart'))],
            'history' => self::history(),
        ]);
    }

    /**
     * What each view shows, drawn from the classes themselves; of a panel, one shape a medium, told apart by the medium's key.
     *
     * @return array<string, mixed>
     */
    private static function views(Media $media, Views $views): array
    {
        $drawers = $media->everyOffering(DrawsPanel::class);
        $shapes = ResultSchema::of([
            ...array_map(static fn (View $view): string => $view->shape(), $views->all()),
            RecordingShown::class,
            DescriptionShown::class,
            ...array_values(array_map(static fn (DrawsPanel $panel): string => $panel->shape(), $drawers)),
        ]);
        $shown = [];
        foreach ($views->all() as $view) {
            $shown[$view->key()] = self::ofClass($view->shape());
        }
        $panels = [];
        foreach ($drawers as $key => $panel) {
            $name = str_replace(' ', '', ucwords(str_replace('-', ' ', $key))).'Panel';
            $panels[$name] = Schema::object(['medium' => Schema::oneOf($key), 'figures' => self::ofClass($panel->shape())]);
        }

        return [...$shapes, 'LinkPanel' => ['oneOf' => array_map(Schema::ref(...), array_keys($panels))], ...$panels, 'Views' => Schema::object($shown)];
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private static function ofClass(string $class): array
    {
        return Schema::ref((new ReflectionClass($class))->getShortName());
    }

    /** @return array<string, mixed> */
    private static function catalogue(): array
    {
        return [
            'SupplyClass' => Schema::object([
                'key' => Schema::text(), 'name' => Schema::text(), 'sort' => Schema::oneOf(...array_map(static fn (SupplySort $sort): string => $sort->value, SupplySort::cases())),
                'volts' => Schema::orNull(Schema::number()), 'limitMa' => Schema::orNull(Schema::number()), 'adjustable' => Schema::flag(), 'fed' => Schema::flag(), 'capacityMah' => Schema::orNull(Schema::number()), 'advice' => Schema::text(), 'basis' => Schema::text(),
            ]),
            'Region' => Schema::object(['key' => Schema::text(), 'name' => Schema::text(), 'mainsV' => Schema::number(), 'asOf' => Schema::text(), 'wifi' => Schema::listOf(Schema::whole())]),
            'SettingField' => SettingFields::schema(),
            'Medium' => Schema::object(['key' => Schema::text(), 'name' => Schema::text(), 'part' => Schema::text(), 'usualRole' => Schema::oneOf(...array_map(static fn (Role $role): string => $role->value, Role::cases())), 'learns' => Schema::flag(), 'boughtAs' => Schema::orNull(Schema::oneOf(...array_column(ThingKind::cases(), 'value'))), 'setFields' => Schema::orNull(Schema::listOf(Schema::ref('SettingField'))), 'form' => Schema::ref('LineForm'), 'linkSettings' => Schema::listOf(Schema::ref('SettingField')), 'endpointSettings' => Schema::listOf(Schema::ref('SettingField'))]),
            'Catalogue' => Schema::object([
                'boards' => Schema::listOf(self::ofClass(BoardOffered::class)), 'modules' => Schema::listOf(self::ofClass(ModuleOffered::class)), 'supplies' => Schema::listOf(Schema::ref('SupplyClass')), 'regions' => Schema::listOf(Schema::ref('Region')), 'media' => Schema::listOf(Schema::ref('Medium')),
                ...KindsView::schema(),
            ]),
        ];
    }
}
