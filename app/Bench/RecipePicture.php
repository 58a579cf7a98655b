<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\KeptRecipe;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Brief;
use TallCrow\Artwork\Sheet;
use TallCrow\Edit\FollowRecipe;
use TallCrow\Edit\Operations;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;

/** A preview of a recipe applied to some words, without cloth. */
final readonly class RecipePicture
{
    /** Resolution of the preview, and size of its sheet in pixels at 300 ppi. */
    private const PPI = 30.0;

    private const WIDTH = 3600;

    private const HEIGHT = 3000;

    private function __construct(private KeptRecipe $recipe) {}

    public static function of(KeptRecipe $recipe): self
    {
        return new self($recipe);
    }

    /** @param  array<string, string>  $instead  colours, fonts and pictures in place of the recipe's own */
    public function png(string $words, array $instead = []): string
    {
        $recipe = $this->recipe->read();
        $studio = Studio::of($this->recipe->shop);
        $sheet = Artwork::blank('Recipe', new Brief, Sheet::of(PrintArea::pixels('', self::WIDTH, self::HEIGHT, Ppi::of(300))));
        $artwork = Operations::apply([new FollowRecipe('', $words, $recipe->layers, $recipe->toArray()['swatches'], array_keys($instead), array_values($instead))], $sheet, $studio->renderer->placer)->artwork;
        $picture = $studio->renderer->picture($artwork, Frame::sheet($artwork->sheet, self::PPI), fn (LayerTrouble $trouble): null => null)->settled();
        $box = $picture->alpha()->isMore(8.0)->settled()->inkBox();

        return ImageFile::png($box === null ? $picture : $picture->crop(...$box), 9);
    }
}
