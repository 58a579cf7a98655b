<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;

/** Pockets: parts of the background that the picture encloses, as inside an o or under a garland. */
final class Pockets
{
    private const MOST = 60;

    /** Longer side, in pixels, of the picture in which pockets are searched. */
    private const SMALL = 700;

    /** Least share of the picture for a pocket to be listed. */
    private const LEAST = 0.0002;

    private const MOST_REGIONS = 65_000;

    /** The connected parts of a mask that another mask touches. */
    public static function touched(Image $mask, Image $by): Image
    {
        [$regions, $count] = Morphology::regions($mask);
        if ($count > self::MOST_REGIONS) {
            return $mask->both($by->isMore(127.0));
        }
        $numbers = $regions->asNumbers()->settled();
        // Region numbers where touched, 0 elsewhere.
        $seen = Histogram::ofShorts($by->isMore(127.0)->both($mask)->chosen($numbers, $numbers->linearShort(0.0, 0.0))->settled());
        $table = str_repeat("\0", 65536);
        foreach ($seen as $number => $many) {
            $table[$number] = chr($number > 0 && $many > 0 ? 255 : 0);
        }

        return Lookup::shortsToBytes($numbers, $table)->both($mask)->settled();
    }

    /**
     * The larger pockets, the largest first: for each, a point inside it (in shares of the picture) and its share of the area.
     *
     * @return list<array{x: float, y: float, share: float}>
     */
    public static function of(Image $enclosed): array
    {
        $small = $enclosed->resized(min(1.0, self::SMALL / max($enclosed->width(), $enclosed->height())))->isMore(127.0)->settled();
        [$regions, $count] = Morphology::regions($small);
        if ($count > self::MOST_REGIONS) {
            return [];
        }
        [$width, $height] = [$small->width(), $small->height()];
        /** @var list<int> $numbers */
        $numbers = array_values((array) unpack('v*', $regions->asNumbers()->toBytes()));
        $rows = [];
        foreach (str_split($small->toBytes()) as $at => $level) {
            if ($level !== "\0") {
                $rows[$numbers[$at]][] = $at;
            }
        }
        $rows = array_filter($rows, fn (array $places): bool => count($places) >= self::LEAST * $width * $height);
        usort($rows, fn (array $one, array $other): int => count($other) <=> count($one));

        return array_map(function (array $places) use ($width, $height): array {
            $at = self::inside($places, $width);

            return ['x' => ($at % $width + 0.5) / $width, 'y' => (intdiv($at, $width) + 0.5) / $height, 'share' => count($places) / ($width * $height)];
        }, array_slice($rows, 0, self::MOST));
    }

    /**
     * The middle of the longest horizontal run of pixels.
     *
     * @param  list<int>  $places  pixel indexes in ascending order
     */
    private static function inside(array $places, int $width): int
    {
        [$best, $longest, $from] = [$places[0], 0, 0];
        foreach ($places as $i => $at) {
            if ($i > 0 && ($at !== $places[$i - 1] + 1 || $at % $width === 0)) {
                $from = $i;
            }
            if ($i - $from + 1 > $longest) {
                [$longest, $best] = [$i - $from + 1, $places[intdiv($i + $from, 2)]];
            }
        }

        return $best;
    }
}
