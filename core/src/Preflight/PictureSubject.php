<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Garment;
use TallCrow\Geometry\Box;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\PrintArea;
use TallCrow\Raster\Image;

/** A finished picture to be checked. */
final readonly class PictureSubject
{
    /**
     * @param  Image  $picture  with alpha, settled
     * @param  float  $ppi  ppi of that picture at its print size
     * @param  list<Garment>  $garments
     * @param  PrintArea  $file  size of the file, which may have more pixels than $picture
     */
    public function __construct(
        public Image $picture,
        public float $ppi,
        public array $garments,
        public HouseRule $rule,
        public PrintArea $file,
    ) {}

    /** A mask of ink: 255 where alpha is half or more. */
    public function ink(): Image
    {
        return $this->picture->alpha()->isMore(127.0);
    }

    /**
     * The half-inch squares in which a mask is not empty, the fullest first.
     *
     * @return list<Box>
     */
    public function where(Image $mask, int $most = 40): array
    {
        return self::squares($mask, $this->ppi, $most);
    }

    /** @return list<Box> */
    public static function squares(Image $mask, float $ppi, int $most = 40): array
    {
        $block = max(1, (int) round($ppi / 2));
        $cells = $mask->shrunk($block);
        $width = $cells->width();
        $found = [];
        foreach (str_split($cells->toBytes()) as $i => $byte) {
            if (ord($byte) > 0) {
                $found[$i] = ord($byte);
            }
        }
        arsort($found);
        $boxes = [];
        foreach (array_slice(array_keys($found), 0, $most) as $i) {
            [$x, $y] = [$i % $width * $block / $ppi, intdiv($i, $width) * $block / $ppi];
            $boxes[] = new Box($x, $y, $x + $block / $ppi, $y + $block / $ppi);
        }

        return $boxes;
    }
}
