<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Artwork\Artwork;
use TallCrow\House\Fit;
use TallCrow\House\FitMode;
use TallCrow\House\Fitting;
use TallCrow\House\House;
use TallCrow\House\HouseDemands;
use TallCrow\House\HousePlace;
use TallCrow\Preflight\Demands;
use TallCrow\Render\Renderer;

/** The house and place whose requirements a sheet is checked against: --house FILE.json --place PRODUCT/PLACE. */
final class NamedHouse
{
    /** @return ?callable(Artwork, Renderer): Demands null if no house is given */
    public static function demands(Arguments $arguments): ?callable
    {
        $place = self::place($arguments);

        return $place === null ? null : fn (Artwork $artwork, Renderer $renderer): Demands => HouseDemands::strictest([Fit::of($artwork, $place, Fitting::by(FitMode::Contain), $renderer)], $artwork->brief->method);
    }

    private static function place(Arguments $arguments): ?HousePlace
    {
        $file = $arguments->option('house');
        if ($file === null) {
            return null;
        }
        if (! is_file($file) || ! is_readable($file)) {
            throw UnusableCall::missing('--house FILE.json that can be read');
        }
        $house = House::json((string) file_get_contents($file));

        return $house->at($arguments->option('place') ?? '') ?? throw UnusableCall::missing('--place, one of '.implode('; ', array_map(fn (HousePlace $place): string => $place->key(), $house->places)));
    }
}
