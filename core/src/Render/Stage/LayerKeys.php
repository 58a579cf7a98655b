<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Asset\Shelf;
use TallCrow\Mask\Mask;
use TallCrow\Render\Scene;

/** Keys for kept pictures of layers: all that a layer's picture depends on besides the code (DrawingCode) and the window. */
final readonly class LayerKeys
{
    public function __construct(private Shelf $shelf) {}

    public function of(Layer $layer, Scene $scene): string
    {
        $assets = [];
        foreach ($layer->everyLayer() as $one) {
            foreach ($one->masks as $mask) {
                $clip = $mask->clipsTo() === null ? null : $scene->named($mask->clipsTo());
                if ($clip !== null) {
                    $assets[] = $this->of(self::unclipped($clip), $scene);
                }
            }
            array_push($assets, ...array_map($this->shelf->fingerprint(...), $one->files()));
        }
        // The values, and not the file's form of them: a line that names a swatch depends on the swatch's colour.
        $drawn = [$layer->on, $layer->role, $layer->source, $layer->placement, $layer->opacity, $layer->effects, $layer->masks, $layer->distress, $layer->repeat];

        return serialize([$drawn, $assets]);
    }

    /** As a layer stands model for a clip: as ink, whether it prints or not, and clipped by nothing itself. */
    public static function unclipped(Layer $layer): Layer
    {
        return $layer->withOn(true)->withRole(Role::ink())->withMasks(array_values(array_filter($layer->masks, fn (Mask $mask): bool => $mask->clipsTo() === null)));
    }
}
