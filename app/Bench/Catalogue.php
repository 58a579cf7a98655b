<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Answers\Area;
use App\Http\Answers\Catalogue as Answer;
use App\Http\Answers\Cloth;
use App\Http\Answers\EffectKind;
use App\Http\Answers\Repeats;
use App\Http\Answers\Rule;
use App\Http\Answers\WearBounds;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\CopyAs;
use TallCrow\Artwork\Facing;
use TallCrow\Artwork\PrintMethod;
use TallCrow\Artwork\Product;
use TallCrow\Artwork\Repeat;
use TallCrow\Artwork\RepeatKind;
use TallCrow\Artwork\Shape;
use TallCrow\Artwork\Side;
use TallCrow\Artwork\TextSource;
use TallCrow\Compose\Edge;
use TallCrow\Effect\Catalogue as Effects;
use TallCrow\Mask\MaskShape;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Group;
use TallCrow\Raster\BlendMode;
use TallCrow\Texture\Catalogue as Textures;

/** The core's catalogues in the form the interface reads: it builds its controls from them alone. */
final class Catalogue
{
    public static function answer(): Answer
    {
        return new Answer(
            effects: array_values(array_map(EffectKind::of(...), Effects::classes())),
            textures: [...array_keys(Textures::classes()), Textures::PICTURE],
            wear: new WearBounds(ArtworkReader::LEAST_WEAR_SCALE, ArtworkReader::MOST_WEAR_SCALE),
            repeats: new Repeats(self::slugs(RepeatKind::class), self::slugs(Facing::class), self::slugs(CopyAs::class), Repeat::MOST),
            masks: self::slugs(MaskShape::class),
            shapes: self::slugs(Shape::class),
            blends: self::slugs(BlendMode::class),
            edges: self::slugs(Edge::class),
            products: self::slugs(Product::class),
            sides: self::slugs(Side::class),
            methods: self::slugs(PrintMethod::class),
            groups: self::slugs(Group::class),
            rules: array_map(Rule::of(...), HouseRule::cases()),
            areas: array_map(Area::of(...), array_values(PrintArea::presets())),
            cloths: self::cloths(),
            newWords: TextSource::UNWRITTEN,
        );
    }

    /**
     * @param  class-string<\BackedEnum>  $enum
     * @return list<string>
     */
    private static function slugs(string $enum): array
    {
        return array_map(fn (\BackedEnum $case): string => (string) $case->value, $enum::cases());
    }

    /**
     * Cloth colours that a brief offers to begin with, under names of our own.
     *
     * @return list<Cloth>
     */
    private static function cloths(): array
    {
        return array_map(fn (string $name, string $colour): Cloth => new Cloth($name, $colour),
            ['Black', 'Charcoal', 'Slate', 'Navy', 'Forest', 'Brick', 'Plum', 'Moss', 'Sky', 'Rose', 'Oat', 'Ash', 'White'],
            ['#16171a', '#33363a', '#3d4a57', '#1d2740', '#24382c', '#7a3527', '#4c2f4b', '#66704a', '#9dbdd0', '#d9a3a4', '#e4d9c3', '#c9cac8', '#f7f7f4'],
        );
    }
}
