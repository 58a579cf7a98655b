<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;

/** Every texture of wear there is. A new one is a class of its own and one entry here. */
final class Catalogue
{
    /** The kind of wear that uses a picture of the seller's own. */
    public const PICTURE = 'picture';

    private const CLASSES = [
        Speckle::class, Scratches::class, Cracks::class, Photocopy::class, DryRoller::class, FoldLines::class, ChippedEdges::class,
        HalftoneWear::class, FabricWeave::class, WaterStain::class,
    ];

    /** A texture's field, wide enough that nothing repeats visibly within 20 in at a given scale. */
    public static function field(string $kind, int $seed, float $scale): Image
    {
        $class = self::classes()[$kind];
        $across = Patchwork::across($scale);

        return is_a($class, WideTexture::class, true) ? $class::wide($seed, $across * Patchwork::PATCH) : Patchwork::wide($class::field($seed), $seed, $across);
    }

    /** @return array<string, class-string<Texture>> by kind */
    public static function classes(): array
    {
        $byKind = [];
        foreach (self::CLASSES as $class) {
            $byKind[$class::kind()] = $class;
        }

        return $byKind;
    }
}
