<?php

declare(strict_types=1);

namespace TallCrow\Listing;

use TallCrow\Colour\Srgb;
use TallCrow\Noise\Field;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Laid;

/** The background of a listing picture with the props scattered on it, drawn from a random seed. */
final class Backdrop
{
    /** Dark and light level, and factors of red, green and blue. */
    private const TONES = [
        'plain' => [222, 232, [1.0, 0.985, 0.955]], 'paper' => [205, 236, [1.0, 0.97, 0.9]], 'wood' => [96, 168, [1.0, 0.8, 0.6]], 'pale' => [206, 226, [0.98, 0.98, 0.92]],
    ];

    /** @return Image opaque, as large as the scene */
    public static function draw(Scene $scene): Image
    {
        [$dark, $light, $by] = self::TONES[$scene->sheet->ground->value];
        $field = match ($scene->sheet->ground) {
            Ground::Plain => Field::clouds($scene->seed + 9, 800, 2),
            Ground::Paper => Field::clouds($scene->seed + 9, 240, 5),
            Ground::Wood => Field::strokes($scene->seed + 9, 6, 400),
            Ground::Pale => Field::clouds($scene->seed + 9, 400, 4),
        };
        $grey = $field->tiled(0, 0, $scene->width, $scene->height)->linear(($light - $dark) / 255, $dark);
        $picture = $grey->linear($by[0])->withBand($grey->linear($by[1]))->withBand($grey->linear($by[2]))->linear(1 / 255)->unitToByte()->band(0, 3)->asColours();
        $picture = $picture->withBand(Image::empty($scene->width, $scene->height, 1)->inverted());
        foreach ($scene->sheet->strewn as $i => $strewn) {
            $picture = self::strewn($picture, $strewn, $scene, $i);
        }

        return $picture;
    }

    /** Draws each prop with a soft shadow. */
    private static function strewn(Image $below, Strewn $strewn, Scene $scene, int $number): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($scene->seed + 21 + 100 * $number));
        $chance = fn (): float => $random->getInt(0, 1_000_000) / 1_000_000;
        [$w, $h] = [$scene->width, $scene->height];
        $shadows = $things = '';
        for ($i = 0; $i < $strewn->count; $i++) {
            $edge = $random->getInt(0, 3);
            [$along, $in] = [$chance(), $chance() ** 2 * 0.16];
            [$x, $y] = match ($edge) {
                0 => [$along * $w, $in * $h], 1 => [$along * $w, (1 - $in) * $h], 2 => [$in * $w, $along * $h], default => [(1 - $in) * $w, $along * $h],
            };
            $size = ($strewn->least + ($strewn->most - $strewn->least) * $chance()) * $w;
            $place = sprintf('translate(%F %F) rotate(%F) scale(%F)', $x, $y, 360 * $chance(), $size);
            $fill = $strewn->colours[$random->getInt(0, count($strewn->colours) - 1)]->toHex();
            $shape = $strewn->shape->outline();
            $shadows .= sprintf('<path transform="translate(%F %F) %s" d="%s" fill="#000" fill-opacity="0.3"/>', 0.0036 * $w, 0.0052 * $w, $place, $shape);
            $things .= "<path transform=\"$place\" d=\"$shape\" fill=\"$fill\"/><path transform=\"$place\" d=\"{$strewn->shape->veins()}\" fill=\"none\" stroke=\"#000\" stroke-opacity=\"0.22\" stroke-width=\"0.045\"/>";
        }
        $svg = fn (string $parts): Image => ImageFile::drawing("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$w\" height=\"$h\">$parts</svg>");
        $soft = Image::flat(Srgb::of(30, 24, 18), Blur::gaussian($svg($shadows)->alpha(), 0.0032 * $w));

        return Composition::stacked($w, $h, [Laid::over($below, 0, 0), Laid::over($soft, 0, 0), Laid::over($svg($things), 0, 0)]);
    }
}
