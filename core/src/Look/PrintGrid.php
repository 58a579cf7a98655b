<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;

/** The pixel grid on which a look is computed: its place on the sheet, and how coarser bands are enlarged to it. */
final readonly class PrintGrid
{
    /** Side, in inches, of a cached block. */
    private const BLOCK = 3.4;

    /**
     * @param  array{int, int}  $at
     * @param  \Closure(Image): Image  $fine
     * @param  ?\Closure(string, \Closure(): Image): Image  $keeper
     */
    private function __construct(
        public float $ppi,
        public array $at,
        private \Closure $fine,
        private ?\Closure $keeper,
    ) {}

    /**
     * The grid of the ink's own pixels.
     *
     * @param  array{int, int}  $at  sheet coordinates of the first pixel
     * @param  ?\Closure(string, \Closure(): Image): Image  $keeper  cache for what other proofs need as well
     */
    public static function ofInk(float $ppi, array $at, ?\Closure $keeper = null): self
    {
        return new self($ppi, $at, fn (Image $band): Image => $band, $keeper);
    }

    /**
     * The grid of the print's pixels, so many times finer than a proof's ink.
     *
     * @param  array{int, int}  $at  sheet coordinates of the first pixel
     * @param  array{int, int, int, int}  $cut  left, top, width and height of the window within the enlarged ink
     * @param  ?\Closure(string, \Closure(): Image): Image  $keeper  cache for what other proofs need as well
     */
    public static function under(float $ppi, array $at, int $finer, array $cut, ?\Closure $keeper): self
    {
        return new self($ppi, $at, fn (Image $band): Image => $band->settled()->zoomed($finer)->crop(...$cut)->settled(), $keeper);
    }

    /** A grid so many times finer, for oversampling. */
    public function finer(int $by): self
    {
        return new self($this->ppi * $by, [$this->at[0] * $by, $this->at[1] * $by], $this->fine, $this->keeper);
    }

    /** Enlarges ink, or one of its bands, to this grid. */
    public function fine(Image $band): Image
    {
        return ($this->fine)($band);
    }

    /**
     * A field that depends on its place on the sheet alone. For a proof it is assembled from cached square blocks, since the next proof needs them as well.
     *
     * @param  \Closure(int, int, array{int, int}): Image  $draw  draws a window, given its width, height and corner on the sheet
     */
    public function field(string $key, int $width, int $height, \Closure $draw): Image
    {
        $keeper = $this->keeper;
        if ($keeper === null) {
            return $draw($width, $height, $this->at);
        }
        $side = (int) max(64, ceil(self::BLOCK * $this->ppi));
        $block = fn (int $pixel): int => (int) floor($pixel / $side);
        [[$left, $top], [$right, $bottom]] = [array_map($block, $this->at), [$block($this->at[0] + $width - 1), $block($this->at[1] + $height - 1)]];
        $blocks = [];
        foreach (range($top, $bottom) as $y) {
            foreach (range($left, $right) as $x) {
                // Copy into memory: the mosaic closes files that it believes finished.
                $blocks[] = $keeper("$key {$this->ppi} $x $y", fn (): Image => $draw($side, $side, [$x * $side, $y * $side]))->settled();
            }
        }

        return Composition::mosaic($blocks, $right - $left + 1)->crop($this->at[0] - $left * $side, $this->at[1] - $top * $side, $width, $height)->settled();
    }
}
