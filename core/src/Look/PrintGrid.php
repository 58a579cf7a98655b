<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;

/** The pixels on which a look is drawn: where they lie on the sheet, and how what is coarser is laid on them. */
final readonly class PrintGrid
{
    /** Inches of the side of a block that is kept. */
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
     * The pixels of the ink itself.
     *
     * @param  array{int, int}  $at  pixels of the sheet at which the corner lies
     * @param  ?\Closure(string, \Closure(): Image): Image  $keeper  keeps what other proofs need, too
     */
    public static function ofInk(float $ppi, array $at, ?\Closure $keeper = null): self
    {
        return new self($ppi, $at, fn (Image $band): Image => $band, $keeper);
    }

    /**
     * The print's pixels, so many times finer than those of a proof's ink.
     *
     * @param  array{int, int}  $at  pixels of the sheet at which the corner lies
     * @param  array{int, int, int, int}  $cut  left, top, width and height of the window in the finer pixels of the ink
     * @param  ?\Closure(string, \Closure(): Image): Image  $keeper  keeps what other proofs need, too
     */
    public static function under(float $ppi, array $at, int $finer, array $cut, ?\Closure $keeper): self
    {
        return new self($ppi, $at, fn (Image $band): Image => $band->settled()->zoomed($finer)->crop(...$cut)->settled(), $keeper);
    }

    /** Each pixel as so many, each way: for what is drawn finely and averaged down. */
    public function finer(int $by): self
    {
        return new self($this->ppi * $by, [$this->at[0] * $by, $this->at[1] * $by], $this->fine, $this->keeper);
    }

    /** A band of the ink, or all of them, on these pixels. */
    public function fine(Image $band): Image
    {
        return ($this->fine)($band);
    }

    /**
     * A band that hangs on the sheet's pixels alone. For a proof it is put together of square blocks of the sheet that are kept, since the next proof
     * needs them, too.
     *
     * @param  \Closure(int, int, array{int, int}): Image  $draw  a window by its width, height and corner on the sheet
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
                // Copied into memory: the mosaic lets go of files that it takes to be done with.
                $blocks[] = $keeper("$key {$this->ppi} $x $y", fn (): Image => $draw($side, $side, [$x * $side, $y * $side]))->settled();
            }
        }

        return Composition::mosaic($blocks, $right - $left + 1)->crop($this->at[0] - $left * $side, $this->at[1] - $top * $side, $width, $height)->settled();
    }
}
