<?php

declare(strict_types=1);

namespace App\Bench;

use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\CopyAs;
use TallCrow\Artwork\Facing;
use TallCrow\Artwork\PrintMethod;
use TallCrow\Artwork\Product;
use TallCrow\Artwork\Repeat;
use TallCrow\Artwork\RepeatKind;
use TallCrow\Artwork\Shape;
use TallCrow\Artwork\Side;
use TallCrow\Effect\Catalogue as Effects;
use TallCrow\Effect\Parameter;
use TallCrow\Mask\MaskShape;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\PrintArea;
use TallCrow\Raster\BlendMode;
use TallCrow\Texture\Catalogue as Textures;

/** The core's catalogues as the interface reads them: it makes its lines from these and invents nothing. */
final class Catalogue
{
    /** @return array<string, mixed> */
    public static function toArray(): array
    {
        $words = fn (string $enum): array => array_map(fn (\BackedEnum $case): string => (string) $case->value, $enum::cases());

        return [
            'effects' => array_map(fn (string $class, string $kind): array => [
                'kind' => $kind,
                'stage' => Effects::stage($class),
                'parameters' => array_map(fn (Parameter $p): array => $p->toArray(), $class::parameters()),
            ], array_values(Effects::classes()), array_keys(Effects::classes())),
            'textures' => [...array_keys(Textures::classes()), Textures::PICTURE],
            'wear' => ['leastScale' => ArtworkReader::LEAST_WEAR_SCALE, 'mostScale' => ArtworkReader::MOST_WEAR_SCALE],
            'repeats' => ['kinds' => $words(RepeatKind::class), 'facings' => $words(Facing::class), 'changes' => $words(CopyAs::class), 'most' => Repeat::MOST],
            'masks' => $words(MaskShape::class),
            'shapes' => $words(Shape::class),
            'blends' => $words(BlendMode::class),
            'products' => $words(Product::class),
            'sides' => $words(Side::class),
            'methods' => $words(PrintMethod::class),
            'rules' => array_map(fn (HouseRule $r): array => ['value' => $r->value, 'says' => $r->says(), 'least' => $r->least()->value], HouseRule::cases()),
            'areas' => array_map(fn (PrintArea $a): array => ['name' => $a->name, 'width' => $a->width, 'height' => $a->height, 'ppi' => $a->ppi->value], array_values(PrintArea::presets())),
            'cloths' => self::cloths(),
        ];
    }

    /**
     * Cloth colours that a brief offers to begin with, under names of our own.
     *
     * @return list<array{name: string, colour: string}>
     */
    private static function cloths(): array
    {
        return array_map(fn (string $name, string $colour): array => ['name' => $name, 'colour' => $colour],
            ['Black', 'Charcoal', 'Slate', 'Navy', 'Forest', 'Brick', 'Plum', 'Moss', 'Sky', 'Rose', 'Oat', 'Ash', 'White'],
            ['#16171a', '#33363a', '#3d4a57', '#1d2740', '#24382c', '#7a3527', '#4c2f4b', '#66704a', '#9dbdd0', '#d9a3a4', '#e4d9c3', '#c9cac8', '#f7f7f4'],
        );
    }
}
