<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Garment;
use TallCrow\Asset\Shelf;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\Renderer;

/** Runs every check. */
final class Preflight
{
    /** Fine enough to tell a rim from haze, coarse enough to keep up with a seller at work. */
    public const PPI = 150.0;

    /** @return list<Check> */
    public static function checks(): array
    {
        return [new SheetSize, new EffectivePpi, new EdgeInk, new BackgroundLeft, new Haze, new VanishingInk, new WearShare, new WornWords, new NearlyAligned, new LineOrder, new VisualWeight];
    }

    /**
     * @param  ?PrintArea  $area  what the house asks for, if it is known
     * @param  ?Image  $printed  the finished picture at the sheet's own ppi, if it is there already
     */
    public static function artwork(Artwork $artwork, Renderer $renderer, Shelf $shelf, ?PrintArea $area = null, ?Image $printed = null): Report
    {
        $troubles = [];
        $note = function (LayerTrouble $trouble) use (&$troubles): void {
            $troubles[$trouble->layer] = $trouble;
        };
        $ppi = $printed === null ? min(self::PPI, $artwork->sheet->ppi->value) : $artwork->sheet->ppi->value;
        $picture = $printed ?? $renderer->picture($artwork, Frame::sheet($artwork->sheet, $ppi), $note)->settled();
        if ($troubles !== []) {
            $artwork = self::without($artwork, array_keys($troubles));
        }
        $subject = new Subject($picture, $ppi, $artwork->garments, $artwork->rule, $artwork->sheet->area(), $area, $artwork, $renderer, $shelf);

        return new Report([
            ...array_map(self::trouble(...), array_values($troubles)),
            ...self::run($subject),
        ]);
    }

    /**
     * Any picture, also one that was not made here.
     *
     * @param  float  $ppi  at the width at which it is to be printed
     * @param  list<Garment>  $garments
     */
    public static function picture(Image $picture, float $ppi, array $garments, HouseRule $rule): Report
    {
        $file = PrintArea::pixels('', $picture->width(), $picture->height(), Ppi::of($ppi));

        return new Report(self::run(new Subject($picture, $ppi, $garments, $rule, $file)));
    }

    /** @return list<Finding> */
    private static function run(Subject $subject): array
    {
        return array_merge([], ...array_map(fn (Check $check): array => $check->run($subject), self::checks()));
    }

    private static function trouble(LayerTrouble $trouble): Finding
    {
        return new Finding('trouble:'.$trouble->layer, 'Cannot be drawn', Verdict::Fail, 'left out', 'every line drawn', $trouble->getMessage(), layers: [$trouble->layer]);
    }

    /** @param  list<string>  $ids */
    private static function without(Artwork $artwork, array $ids): Artwork
    {
        foreach ($ids as $id) {
            $layer = $artwork->layer($id);
            $artwork = $layer === null ? $artwork : $artwork->withLayer($id, $layer->with(on: false));
        }

        return $artwork;
    }
}
