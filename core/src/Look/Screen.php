<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Grating;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/**
 * A halftone screen: a height over each cell of the turned grid, and ink wherever the strength asked for passes the share
 * of the cell that stands higher. So the inked share of a cell is the strength itself, whatever the shape of the dots.
 */
final readonly class Screen
{
    /** Points each way at which a cell's heights are ranked. */
    private const GRID = 256;

    private const LEVELS = 4096;

    public function __construct(
        private float $lpi,
        private float $angle,
        private Dots $dots,
    ) {}

    /**
     * Solid ink where the screen lets it through, with edges of one pixel.
     *
     * @param  Image  $strength  one band
     * @param  array{int, int}  $at  pixels of the sheet at which its corner lies
     */
    public function cut(Image $strength, float $ppi, array $at): Image
    {
        [$across, $down] = $this->dots->weights();
        // Heights from −2 to 2 as 0 to LEVELS − 1, then as the share of the cell that stands lower.
        $rank = $this->ranks();
        $shares = Lookup::shorts(Grating::crossed($strength->width(), $strength->height(), $at, $this->lpi / $ppi, $this->angle, $across, $down)
            ->linearShort((self::LEVELS - 1) / 4, (self::LEVELS - 1) / 2), $rank);

        // Ink where strength + share reaches the whole; full and empty strengths leave no dots.
        return $strength->linear(257.0)->plus($shares)->isMore(65535.0 - 0.5)->both($strength->isMore(0.5));
    }

    /** The share of the cell that stands lower than each height, 0 to 65,535. */
    private function ranks(): string
    {
        $counts = array_fill(0, self::LEVELS, 0);
        for ($i = 0; $i < self::GRID; $i++) {
            for ($j = 0; $j < self::GRID; $j++) {
                $height = $this->dots->height(($i + 0.5) / self::GRID - 0.5, ($j + 0.5) / self::GRID - 0.5);
                $counts[(int) min(self::LEVELS - 1, max(0, round(($height + 2) / 4 * (self::LEVELS - 1))))]++;
            }
        }
        $table = '';
        $below = 0;
        foreach ($counts as $count) {
            $table .= pack('v', (int) round(($below + $count / 2) / self::GRID ** 2 * 65535));
            $below += $count;
        }

        return $table.str_repeat(pack('v', 65535), 65536 - self::LEVELS);
    }
}
