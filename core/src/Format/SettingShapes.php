<?php

declare(strict_types=1);

namespace Rundfunk\Format;

use Rundfunk\Medium\Media;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Thing;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** Which shape a thing's settings obey: its kind's, or that of the medium it is on. */
final readonly class SettingShapes
{
    public function __construct(private Media $media)
    {
    }

    /**
     * @param  Link|null  $link  the one that an endpoint is on
     * @return Shape|null null for a thing without settings, or one whose medium is not known
     */
    public function of(Thing $thing, ?Link $link = null): ?Shape
    {
        return match (true) {
            $thing instanceof Control, $thing instanceof Output => $thing->kind->settings(),
            $thing instanceof Link => $this->media->has($thing->medium) ? $this->media->named($thing->medium)->linkSettings() : null,
            $thing instanceof Endpoint => $link !== null && $this->media->has($link->medium) ? $this->media->named($link->medium)->endpointSettings() : null,
            default => null,
        };
    }

    /**
     * A thing that an earlier build kept, as this one knows such things: settings that came since have their defaults,
     * settings that are no more are left out.
     */
    public function completed(Thing $thing, ?Link $link = null): Thing
    {
        $shape = $this->of($thing, $link);
        if ($shape === null) {
            return $thing;
        }
        $values = $thing->values();
        $kept = is_array($values['settings'] ?? null) ? $values['settings'] : [];
        $settings = $shape->completed($kept);

        return $settings === $kept ? $thing : $thing::from(new Values([...$values, 'settings' => $settings]));
    }
}
