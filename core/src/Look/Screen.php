<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Grating;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/**
 * A halftone screen: a spot function over each cell of the rotated grid. A place is inked if the wanted strength exceeds the share of the cell whose spot
 * value is higher. So the inked share of a cell equals the strength, whatever the shape of the dots.
 */
final readonly class Screen
{
    /** Points along a cell's side at which spot values are ranked. */
    private const GRID = 256;

    private const LEVELS = 4096;

    /** Pixels along a cell, and least ppi, from which on dots that are averaged down are off by a tenth of the strength in about one pixel of a hundred (measured at 30 ppi). */
    private const CELL = 5.0;

    private const LEAST = 180.0;

    public function __construct(
        private float $lpi,
        private float $angle,
        private Dots $dots,
    ) {}

    /** Ppi at which a screen is drawn that is averaged down until no dot is seen. */
    public function glancedPpi(): float
    {
        return max(self::LEAST, self::CELL * $this->lpi);
    }

    /**
     * Thresholds a strength by the screen: solid ink, with antialiased edges of one pixel.
     *
     * @param  Image  $strength  one band on the same grid
     */
    public function cut(Image $strength, PrintGrid $grid): Image
    {
        $thresholds = $grid->field(
            "screen {$this->lpi} {$this->angle} {$this->dots->value}", $strength->width(), $strength->height(),
            fn (int $width, int $height, array $at): Image => $this->thresholds($width, $height, $grid->ppi, $at),
        );

        return $strength->isMore($thresholds);
    }

    /**
     * The threshold of each pixel, 0 to 254, so that strengths 0 and 255 leave no dots.
     *
     * @param  array{int, int}  $at
     */
    private function thresholds(int $width, int $height, float $ppi, array $at): Image
    {
        [$across, $down] = $this->dots->weights();

        // Spot values from −2 to 2 map to 0 to LEVELS − 1.
        return Lookup::shortsToBytes(
            Grating::crossed($width, $height, $at, $this->lpi / $ppi, $this->angle, $across, $down)->linearShort((self::LEVELS - 1) / 4, (self::LEVELS - 1) / 2),
            $this->levels(),
        );
    }

    /** A table from spot value to threshold: the share of the cell with a higher value. */
    private function levels(): string
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
            $table .= chr((int) max(0, ceil(255 * (1 - ($below + $count / 2) / self::GRID ** 2) - 1e-9) - 1));
            $below += $count;
        }

        return $table.str_repeat("\0", 65536 - self::LEVELS);
    }
}
