<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Catalogue\Region;
use Rundfunk\Catalogue\SupplyClass;
use Rundfunk\Knowledge;
use Rundfunk\Learn\KnowsBought;
use Rundfunk\Learn\LaysOutSets;
use Rundfunk\Learn\LearnsCodes;
use Rundfunk\Medium\Media;
use Rundfunk\Medium\Medium;
use Rundfunk\View\Shown\BoardOffered;
use Rundfunk\View\Shown\ModuleOffered;

/** The catalogue as screens offer it. */
final readonly class CatalogueView
{
    /** @return array<string, mixed> */
    public static function of(Knowledge $knowledge): array
    {
        return [
            'boards' => array_map(BoardOffered::of(...), array_values($knowledge->catalogue->boards)),
            'modules' => array_map(ModuleOffered::of(...), array_values($knowledge->catalogue->modules)),
            'supplies' => array_map(static fn (SupplyClass $class): array => [
                'key' => $class->key,
                'name' => $class->name,
                'sort' => $class->sort->value,
                'volts' => $class->volts,
                'limitMa' => $class->limitMa,
                'adjustable' => $class->adjustable !== null || $class->volts === null && ! $class->sort->isFed(),
                'fed' => $class->sort->isFed(),
                'capacityMah' => $class->cell?->capacityMah,
                'advice' => $class->advice,
                'basis' => $class->basis,
            ], array_values($knowledge->catalogue->supplies)),
            'regions' => array_map(static fn (Region $region): array => [
                'key' => $region->key,
                'name' => $region->name,
                'mainsV' => $region->mainsV,
                'asOf' => $region->asOf,
                'wifi' => $region->wifi,
            ], array_values($knowledge->catalogue->regions)),
            'media' => array_map(static fn (Medium $medium): array => self::medium($medium, $knowledge->media), $knowledge->media->all()),
            ...KindsView::all(),
        ];
    }

    /** @return array<string, mixed> */
    private static function medium(Medium $medium, Media $media): array
    {
        $sets = $media->offering(LaysOutSets::class, $medium->key());

        return [
            'key' => $medium->key(),
            'name' => $medium->name(),
            'part' => $medium->part(),
            'usualRole' => $medium->usualRole()->value,
            'learns' => $media->offering(LearnsCodes::class, $medium->key()) !== null,
            'boughtAs' => $media->offering(KnowsBought::class, $medium->key())?->writtenAs()->value,
            'setFields' => $sets === null ? null : SettingFields::of($sets->setShape()),
            'form' => $medium->form()->value,
            'linkSettings' => SettingFields::of($medium->linkSettings()),
            'endpointSettings' => SettingFields::of($medium->endpointSettings()),
        ];
    }
}
