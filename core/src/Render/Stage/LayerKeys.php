<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Asset\Shelf;
use TallCrow\Mask\Mask;
use TallCrow\Render\Scene;

/** Cache keys for pictures of layers: everything that a layer's picture depends on, except the code (DrawingCode) and the window. */
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
        // Use the resolved values, not their form in the file: an effect that names a swatch depends on the swatch's colour.
        $drawn = [$layer->on, $layer->role, $layer->source, $layer->placement, $layer->opacity, $layer->effects, $layer->masks, $layer->distress, $layer->repeat];

        return serialize([$drawn, $assets]);
    }

    /** The layer as a clip mask sees it: as ink, even if it is off or a knockout, and without clip masks of its own. */
    public static function unclipped(Layer $layer): Layer
    {
        return $layer->withOn(true)->withRole(Role::ink())->withMasks(array_values(array_filter($layer->masks, fn (Mask $mask): bool => $mask->clipsTo() === null)));
    }
}
