<?php

declare(strict_types=1);

namespace Rundfunk\View;

use BackedEnum;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\ContactForm;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FusePlace;
use Rundfunk\Plan\Hazard;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\SafeState;
use Rundfunk\Plan\SecondBreak;
use Rundfunk\Plan\Sleep;
use Rundfunk\Shape\Schema;

/** The kinds of node, control, output and part, with what screens need to offer them. */
final readonly class KindsView
{
    /** @return array<string, mixed> */
    public static function all(): array
    {
        return [
            'nodeKinds' => array_map(static fn (NodeKind $kind): array => [
                'key' => $kind->value, 'name' => $kind->words(), 'bought' => $kind->isBought(),
            ], NodeKind::cases()),
            'controlKinds' => array_map(static fn (ControlKind $kind): array => [
                'key' => $kind->value,
                'name' => $kind->words(),
                'wired' => $kind->isWired(),
                'homes' => self::values($kind->homes()),
                'actions' => self::values($kind->actions()),
                'settings' => SettingFields::of($kind->settings()),
            ], ControlKind::cases()),
            'outputKinds' => array_map(static fn (OutputKind $kind): array => [
                'key' => $kind->value,
                'name' => $kind->words(),
                'wired' => $kind->isWired(),
                'homes' => self::values($kind->homes()),
                'settings' => SettingFields::of($kind->settings()),
            ], OutputKind::cases()),
            'hazards' => array_map(static fn (Hazard $hazard): array => [
                'key' => $hazard->value, 'name' => $hazard->words(), 'caution' => $hazard->caution(),
            ], Hazard::cases()),
            'precedences' => array_map(static fn (Precedence $one): array => ['key' => $one->value, 'name' => $one->words()], Precedence::cases()),
            'sleeps' => array_map(static fn (Sleep $sleep): array => ['key' => $sleep->value, 'name' => $sleep->words()], Sleep::cases()),
            'safeStates' => self::named(SafeState::cases()),
            'contactForms' => self::named(ContactForm::cases()),
            'atStarts' => self::named(AtStart::cases()),
            'secondBreaks' => self::named(SecondBreak::cases()),
            'loadKinds' => self::named(LoadKind::cases()),
            'loadUses' => self::named(LoadUse::cases()),
            'fusePlaces' => self::named(FusePlace::cases()),
            'partKinds' => array_map(static fn (PartKind $kind): array => [
                'key' => $kind->value,
                'name' => $kind->words(),
                'figures' => array_map(static fn (string $field, string $name): array => ['field' => $field, 'name' => $name], array_keys($kind->figures()), array_values($kind->figures())),
            ], PartKind::cases()),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        $homes = Schema::listOf(Schema::text());
        $kind = ['key' => Schema::text(), 'name' => Schema::text(), 'wired' => Schema::flag(), 'homes' => $homes, 'settings' => Schema::listOf(Schema::ref('SettingField'))];

        return [
            'nodeKinds' => Schema::listOf(Schema::object(['key' => Schema::text(), 'name' => Schema::text(), 'bought' => Schema::flag()])),
            'controlKinds' => Schema::listOf(Schema::object([...$kind, 'actions' => Schema::listOf(Schema::text())])),
            'outputKinds' => Schema::listOf(Schema::object($kind)),
            'hazards' => Schema::listOf(Schema::object(['key' => Schema::text(), 'name' => Schema::text(), 'caution' => Schema::text()])),
            'precedences' => Schema::listOf(Schema::object(['key' => Schema::text(), 'name' => Schema::text()])),
            'sleeps' => Schema::listOf(Schema::object(['key' => Schema::text(), 'name' => Schema::text()])),
            'safeStates' => self::namedSchema(),
            'contactForms' => self::namedSchema(),
            'atStarts' => self::namedSchema(),
            'secondBreaks' => self::namedSchema(),
            'loadKinds' => self::namedSchema(),
            'loadUses' => self::namedSchema(),
            'fusePlaces' => self::namedSchema(),
            'partKinds' => Schema::listOf(Schema::object(['key' => Schema::text(), 'name' => Schema::text(), 'figures' => Schema::listOf(Schema::object(['field' => Schema::text(), 'name' => Schema::text()]))])),
        ];
    }

    /**
     * @param  list<AtStart|ContactForm|FusePlace|LoadKind|LoadUse|SafeState|SecondBreak>  $cases
     * @return list<array{key: string, name: string}>
     */
    private static function named(array $cases): array
    {
        return array_map(static fn (AtStart|ContactForm|FusePlace|LoadKind|LoadUse|SafeState|SecondBreak $case): array => ['key' => $case->value, 'name' => $case->words()], $cases);
    }

    /** @return array<string, mixed> */
    private static function namedSchema(): array
    {
        return Schema::listOf(Schema::object(['key' => Schema::text(), 'name' => Schema::text()]));
    }

    /**
     * @param  list<BackedEnum>  $cases
     * @return list<int|string>
     */
    private static function values(array $cases): array
    {
        return array_map(static fn (BackedEnum $case): int|string => $case->value, $cases);
    }
}
