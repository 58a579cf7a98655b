<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/** A sheet that lay folded in the drawer: creases both ways, broken and frayed. */
final class FoldLines implements Texture
{
    public static function kind(): string
    {
        return 'fold-lines';
    }

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $side = self::TILE;
        $lines = '';
        foreach ([0.25, 0.75] as $at) {
            foreach ([true, false] as $across) {
                $place = (int) ($side * $at) + $random->getInt(-160, 160);
                foreach ([[90, 70], [34, 120], [9, 255]] as [$breadth, $level]) {
                    $lines .= sprintf('<rect %1$s="%2$d" %3$s="%4$d" %5$s="%6$d" fill="rgb(%7$d,%7$d,%7$d)" fill-opacity="0.6"/>', $across ? 'y' : 'x', $place - intdiv($breadth, 2), $across ? 'height' : 'width', $breadth, $across ? 'width' : 'height', $side, $level);
                }
            }
        }
        $creases = Blur::gaussian(ImageFile::drawing("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$side\" height=\"$side\"><rect width=\"$side\" height=\"$side\"/>$lines</svg>")->band(0), 3);
        $fray = Field::clouds($seed, 150, 4);

        return $creases->linearByte(0.62)->plus($fray->linearByte(0.26))->plus(Field::grain($seed, 1.0)->linearByte(0.12))->linearByte(1)->settled();
    }
}
