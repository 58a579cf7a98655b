<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Lookup;

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
                foreach ([[7, 255]] as [$breadth, $level]) {
                    $lines .= sprintf('<rect %1$s="%2$d" %3$s="%4$d" %5$s="%6$d" fill="rgb(%7$d,%7$d,%7$d)" />', $across ? 'y' : 'x', $place - intdiv($breadth, 2), $across ? 'height' : 'width', $breadth, $across ? 'width' : 'height', $side, $level);
                }
            }
        }
        $page = ImageFile::drawing("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$side\" height=\"$side\"><rect width=\"$side\" height=\"$side\"/>$lines</svg>")->band(0)->settled();
        $margin = 160;
        $wide = $page->tiled($margin, $margin, $side + 2 * $margin, $side + 2 * $margin)->settled();
        // The crease itself is broken; about it the ink is rubbed off where the cloth stood high.
        $crease = Blur::gaussian($page, 1.5, 0.05);
        $rubbed = Blur::wide($wide, 36)->crop($margin, $margin, $side, $side)->linearByte(11.0);
        $high = Lookup::equalised(Field::clouds($seed, 120, 4)->linearByte(0.6)->plus(Field::grain($seed, 1.8)->linearByte(0.4))->linearByte(1))->settled();

        return Lookup::equalised($crease->linearByte(0.55)->plus($high->linearByte(0.25))->linearByte(1)->lighter($rubbed->times($high)->linearByte(0.82))->lighter(Field::grain($seed + 3, 1.2)->linearByte(0.12)))->settled();
    }
}
