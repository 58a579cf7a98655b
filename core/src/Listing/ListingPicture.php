<?php

declare(strict_types=1);

namespace TallCrow\Listing;

use TallCrow\Artwork\Sheet;
use TallCrow\Colour\Srgb;
use TallCrow\Noise\Field;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Laid;
use TallCrow\Raster\Sampling;

/**
 * Draws a design on a garment. One height map of folds bends the art (each pixel is taken from beside itself, by the slope) and shades
 * cloth and art alike (by the slope towards the light, Lambert's law for a flat cloth lit from the upper left), so that both belong together.
 */
final class ListingPicture
{
    /** Inches about the garment. */
    private const ROOM = 1.6;

    /** Inches that art moves where the cloth rises by its full height within an inch. */
    private const BEND = 0.05;

    private const COARSE = 5;

    private float $scale;

    private float $x;

    private float $y;

    private function __construct(
        private readonly Scene $scene,
        private readonly GarmentCut $cut,
    ) {
        $tall = $cut->length() + $cut->above() + 2 * self::ROOM;
        $wide = 2 * $cut->reach() + 2 * self::ROOM;
        $this->scale = min($scene->height / $tall, $scene->width / $wide);
        $this->x = $scene->width / 2;
        $this->y = ($scene->height - ($cut->length() - $cut->above()) * $this->scale) / 2;
    }

    /** Pixels to the inch at which the art is best drawn for a scene. */
    public static function ppi(Scene $scene): float
    {
        return (new self($scene, GarmentCut::of($scene->product)))->scale;
    }

    /**
     * @param  Image  $art  the whole print area, transparent, at the scene's ppi
     * @return Image opaque sRGB
     */
    public static function draw(Scene $scene, Image $art, Sheet $sheet): Image
    {
        $cut = GarmentCut::of($scene->product);
        $picture = new self($scene, $cut);
        $mask = $picture->painted($picture->silhouette('#fff'))->alpha()->settled();
        // Folds are soft: they are reckoned on a small picture, and drawn out.
        $small = new self($scene->shrunk(self::COARSE), $cut);
        $rough = $small->painted($small->silhouette('#fff'))->alpha()->settled();
        $height = $small->folds()->settled();
        [$across, $down] = [self::slope($height, true)->settled(), self::slope($height, false)->settled()];
        $grown = fn (Image $image): Image => $image->interpolated(self::COARSE, $scene->width, $scene->height);
        $light = $grown($small->light($across, $down, $rough)->settled())->plus($picture->weave())->settled();
        $cloth = Image::flat($scene->cloth, $mask);
        $bent = $picture->bent($picture->laid($art, $sheet), $grown($across), $grown($down));
        $dressed = self::over(self::over($cloth, $bent->masked($mask)), $picture->painted($picture->seams()));

        return self::over(self::over($picture->backdrop(), $picture->shadow($rough)), self::lit($dressed, $light))->settled();
    }

    private function silhouette(string $fill): string
    {
        $extra = $this->cut->extra();

        return ($extra === null ? '' : "<path d=\"$extra\" fill=\"$fill\"/>").sprintf('<path d="%s" fill="%s"/>', $this->cut->outline($this->scene->back), $fill);
    }

    private function seams(): string
    {
        $dark = $this->scene->cloth->luminance() > 0.12;
        $line = $dark ? '#000' : '#fff';
        $parts = '';
        foreach ($this->cut->seams($this->scene->back) as $seam) {
            foreach (['', ' transform="scale(-1 1)"'] as $mirror) {
                $parts .= "<path d=\"$seam\"$mirror fill=\"none\" stroke=\"#000\" stroke-opacity=\"0.28\" stroke-width=\"0.09\"/><path d=\"$seam\"$mirror fill=\"none\" stroke=\"$line\" stroke-opacity=\"0.22\" stroke-width=\"0.04\" stroke-dasharray=\"0.1 0.07\"/>";
            }
        }
        $edge = $this->cut->outline($this->scene->back);

        return $parts."<path d=\"$edge\" fill=\"none\" stroke=\"#000\" stroke-opacity=\"0.25\" stroke-width=\"0.05\"/>";
    }

    /** SVG in the garment's inches, painted on the whole picture. */
    private function painted(string $parts): Image
    {
        return ImageFile::drawing(sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%d" height="%d"><g transform="translate(%F %F) scale(%F)">%s</g></svg>', $this->scene->width, $this->scene->height, $this->x, $this->y, $this->scale, $parts));
    }

    /** How high the cloth stands, 0 to 255 as floats: folds that hang and pull, and what no cloth is without. */
    private function folds(): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($this->scene->seed));
        $between = fn (float $least, float $most): float => $least + ($most - $least) * self::chance($random);
        $parts = '<rect x="-60" y="-60" width="200" height="200" fill="#808080"/>';
        $reach = $this->cut->reach();
        $foot = $this->cut->length();
        foreach (range(0, 21) as $i) {
            $side = $i % 2 === 0 ? -1 : 1;
            // From the armpits down and inwards, hanging from the chest, pulled across the waist, and along the sleeves.
            [$from, $to, $bow] = match ($i % 5) {
                0 => [[$side * $between(9, 10), $between(9, 12)], [$side * $between(4, 7.5), $between(15, 22)], $side * -1.4],
                1 => [[$side * $between(3, 9), $between(0.55, 0.7) * $foot], [$side * $between(3, 9.5), $foot + 0.5], $between(-1.2, 1.2)],
                2 => [[$side * $between(8.5, 10), $between(0.5, 0.85) * $foot], [$side * $between(1, 5), $between(0.6, 0.95) * $foot], $between(-1, 1)],
                3 => [[$side * $between(9, 10.5), $between(2.5, 5)], [$side * $reach * $between(0.85, 1), $between(0.25, 0.7) * $foot], $side * 0.8],
                default => [[$side * $between(8.2, 9.6), $between(4, 7)], [$side * $between(6.5, 9), $between(9, 15)], $side * 0.7],
            };
            $middle = [($from[0] + $to[0]) / 2 + $bow, ($from[1] + $to[1]) / 2 + $between(-0.8, 0.8)];
            $wide = $between(0.5, 1.1);
            foreach ([['#fff', 0.0], ['#000', $wide * 1.1]] as [$tone, $beside]) {
                $parts .= sprintf('<path d="M%F %FQ%F %F %F %F" fill="none" stroke="%s" stroke-opacity="%F" stroke-width="%F" stroke-linecap="round"/>', $from[0] + $beside, $from[1], $middle[0] + $beside, $middle[1], $to[0] + $beside, $to[1], $tone, $between(0.2, 0.45), $wide);
            }
        }
        $drawn = $this->painted($parts)->band(0)->linear(1.0);
        // Broad and narrow together, so that a fold runs out softly and still has a crest.
        $folds = Blur::gaussian($drawn, 0.62 * $this->scale)->linear(0.75)->plus(Blur::gaussian($drawn, 0.26 * $this->scale)->linear(0.25));

        return $folds->plus($this->filled(Field::clouds($this->scene->seed, 240, 3))->linear(0.22));
    }

    /** How much it rises from pixel to pixel. */
    private static function slope(Image $height, bool $across): Image
    {
        $step = 1;
        [$x, $y] = $across ? [$step, 0] : [0, $step];
        $wide = $height->spread($step, $step, $height->width() + 2 * $step, $height->height() + 2 * $step);

        return $wide->crop($step + $x, $step + $y, $height->width(), $height->height())->minus($wide->crop($step - $x, $step - $y, $height->width(), $height->height()))->linear(1 / (2 * $step));
    }

    /** Light on the cloth, 1 where it lies flat: by the slope, darker towards its edges. */
    private function light(Image $across, Image $down, Image $mask): Image
    {
        // The slope is told in levels to the pixel; what counts is levels to the inch.
        $slope = $across->linear(-0.00105 * $this->scale)->plus($down->linear(-0.0013 * $this->scale));
        $round = Blur::gaussian($mask->linear(1.0), 0.75 * $this->scale)->linear(0.42 / 255, 0.58);

        return $slope->linear(1.0, 1.0)->lesser(self::level(1.22, $this->scene))->lighter(self::level(0.64, $this->scene))->multiplied($round);
    }

    private function weave(): Image
    {
        return $this->filled(Field::threads($this->scene->seed + 3, 2, 4))->linear(0.03 / 255, -0.015);
    }

    private static function level(float $value, Scene $scene): Image
    {
        return Image::empty($scene->width, $scene->height, 1)->linear(1.0, $value);
    }

    /** The art in its place: the print area hangs from the garment's own line, in the middle. */
    private function laid(Image $art, Sheet $sheet): Image
    {
        $box = $sheet->box();
        $art = $art->resized($box->width() * $this->scale / $art->width(), $box->height() * $this->scale / $art->height());

        return Image::empty($this->scene->width, $this->scene->height)->insert($art, (int) round($this->x - $art->width() / 2), (int) round($this->y + $this->cut->top() * $this->scale));
    }

    private function bent(Image $art, Image $across, Image $down): Image
    {
        // Slopes are of the small picture: levels to its pixel.
        $by = self::BEND * $this->scale * $this->scale / self::COARSE / 100;

        return $art->drawnFrom(Sampling::places($this->scene->width, $this->scene->height)->plus($across->withBand($down)->linear($by)));
    }

    /** @param  Image  $rough  the garment's mask, small */
    private function shadow(Image $rough): Image
    {
        $by = (int) round(0.3 * $this->scale / self::COARSE);
        $moved = $rough->embed($by, (int) ($by * 1.4), $rough->width(), $rough->height());
        $soft = Blur::gaussian($moved->linear(1.0), 0.42 * $this->scale / self::COARSE)->settled()->interpolated(self::COARSE, $this->scene->width, $this->scene->height);

        return Image::flat(Srgb::of(30, 24, 18), $soft->linear(0.42 / 255)->unitToByte());
    }

    private function backdrop(): Image
    {
        $scene = $this->scene;
        $tone = fn (float $dark, float $light, Image $field): Image => $this->filled($field)->linear(($light - $dark) / 255, $dark);
        $flat = Image::flat(Srgb::of(255, 255, 255), self::level(1.0, $scene)->unitToByte());
        $coloured = fn (Image $grey, array $by): Image => $grey->linear($by[0])->withBand($grey->linear($by[1]))->withBand($grey->linear($by[2]));

        $picture = match ($scene->backdrop) {
            Backdrop::Plain => $coloured($tone(222, 232, Field::clouds($scene->seed + 9, 800, 2)), [1.0, 0.985, 0.955]),
            Backdrop::Paper => $coloured($tone(205, 236, Field::clouds($scene->seed + 9, 240, 5)), [1.0, 0.97, 0.9]),
            Backdrop::Wood => $coloured($tone(96, 168, Field::strokes($scene->seed + 9, 6, 400)), [1.0, 0.8, 0.6]),
            Backdrop::Leaves => $coloured($tone(206, 226, Field::clouds($scene->seed + 9, 400, 4)), [0.98, 0.98, 0.92]),
        };
        $picture = $picture->linear(1 / 255)->unitToByte()->band(0, 3)->asColours()->withBand(self::level(1.0, $scene)->unitToByte());

        return $scene->backdrop === Backdrop::Leaves ? self::over($picture, $this->leaves()) : self::over($flat, $picture);
    }

    /** Leaves strewn about the edges, each with its soft shadow. */
    private function leaves(): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($this->scene->seed + 21));
        [$w, $h] = [$this->scene->width, $this->scene->height];
        $shadows = $leaves = '';
        for ($i = 0; $i < 46; $i++) {
            $edge = $random->getInt(0, 3);
            $along = self::chance($random);
            $in = self::chance($random) ** 2 * 0.16;
            [$x, $y] = match ($edge) {
                0 => [$along * $w, $in * $h], 1 => [$along * $w, (1 - $in) * $h], 2 => [$in * $w, $along * $h], default => [(1 - $in) * $w, $along * $h],
            };
            $size = (60 + 70 * self::chance($random));
            $place = sprintf('translate(%F %F) rotate(%F) scale(%F)', $x, $y, (360 * self::chance($random)), $size);
            $fill = ['#6f7f4a', '#86904f', '#a3803f', '#b26b33', '#8c4b2a', '#5b6b4f'][$random->getInt(0, 5)];
            $shape = 'M0 -1C0.75 -0.55 0.7 0.35 0 1C-0.7 0.35 -0.75 -0.55 0 -1Z';
            $shadows .= "<path transform=\"translate(9 13) $place\" d=\"$shape\" fill=\"#000\" fill-opacity=\"0.3\"/>";
            $leaves .= "<path transform=\"$place\" d=\"$shape\" fill=\"$fill\"/><path transform=\"$place\" d=\"M0 -0.95L0 1.25M0 -0.4L0.36 -0.6M0 -0.4L-0.36 -0.6M0 0.05L0.42 -0.16M0 0.05L-0.42 -0.16M0 0.5L0.3 0.3M0 0.5L-0.3 0.3\" fill=\"none\" stroke=\"#000\" stroke-opacity=\"0.22\" stroke-width=\"0.045\"/>";
        }
        $svg = fn (string $parts): Image => ImageFile::drawing("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$w\" height=\"$h\">$parts</svg>");
        $soft = $svg($shadows);

        return self::over(Image::flat(Srgb::of(30, 24, 18), Blur::gaussian($soft->alpha(), 8.0)), $svg($leaves));
    }

    /** A field that is larger or smaller than the picture, cut or tiled to it. */
    private function filled(Image $field): Image
    {
        return $field->tiled(0, 0, $this->scene->width, $this->scene->height)->linear(1.0);
    }

    /** From 0 to 1. */
    private static function chance(\Random\Randomizer $random): float
    {
        return $random->getInt(0, 1_000_000) / 1_000_000;
    }

    private static function over(Image $below, Image $above): Image
    {
        return Composition::stacked($below->width(), $below->height(), [Laid::over($below, 0, 0), Laid::over($above, 0, 0)]);
    }

    /** Every colour as the light leaves it. */
    private static function lit(Image $image, Image $light): Image
    {
        return $image->band(0, 3)->linear(1.0)->multiplied($light)->linear(1 / 255)->unitToByte()->asColours()->withBand($image->alpha());
    }
}
