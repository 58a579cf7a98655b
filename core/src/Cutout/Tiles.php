<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;

/**
 * The tiles of a picture that need processing, each with a rim of pixels, packed side by side into one small picture, so that an operation is applied to all
 * of them at once, and to nothing else.
 */
final readonly class Tiles
{
    /** Side of a tile in pixels, a multiple of every block size that is averaged. */
    private const SIDE = 96;

    private const IN_A_ROW = 16;

    /** Tiles joined in one pass, in whole rows: the time of a pass grows with the square of their number. */
    private const FEW = 256;

    /** From this share of tiles on, processing the whole picture is quicker. */
    private const MOST = 0.6;

    /**
     * @param  non-empty-list<int>  $cells  tile indexes, row by row
     * @param  int  $rim  rim of pixels around each tile
     */
    private function __construct(
        private array $cells,
        private int $across,
        private int $down,
        private int $rim,
    ) {}

    /** @return ?self the tiles in which a mask is not empty; null if there are none */
    public static function with(Image $mask, int $rim): ?self
    {
        [$across, $down] = [(int) ceil($mask->width() / self::SIDE), (int) ceil($mask->height() / self::SIDE)];
        $any = $mask->embed(0, 0, $across * self::SIDE, $down * self::SIDE)->linear(1.0)->shrunk(self::SIDE)->isMore(0.0)->toBytes();
        $cells = array_keys(array_filter(str_split($any), fn (string $byte): bool => $byte !== "\0"));

        return $cells === [] ? null : new self($cells, $across, $down, $rim);
    }

    /**
     * The tiles of a picture of that size in which a smaller version of a mask is not empty; null if there are none.
     *
     * @param  Image  $small  mask of 0 and 255
     */
    public static function under(Image $small, int $width, int $height, int $rim): ?self
    {
        [$across, $down] = [(int) ceil($width / self::SIDE), (int) ceil($height / self::SIDE)];
        // The tiles in which a small pixel begins and ends.
        $squares = fn (int $at, int $of, int $length): array => array_unique([intdiv((int) floor($at * $length / $of), self::SIDE), intdiv(min($length - 1, (int) ceil(($at + 1) * $length / $of)), self::SIDE)]);
        $columns = array_map(fn (int $x): array => $squares($x, $small->width(), $width), range(0, $small->width() - 1));
        $cells = [];
        foreach (str_split($small->toBytes(), max(1, $small->width())) as $y => $row) {
            foreach (trim($row, "\0") === '' ? [] : $squares($y, $small->height(), $height) as $j) {
                foreach ($columns as $x => $touched) {
                    foreach ($row[$x] === "\0" ? [] : $touched as $i) {
                        $cells[$j * $across + $i] = true;
                    }
                }
            }
        }
        ksort($cells);

        return $cells === [] ? null : new self(array_keys($cells), $across, $down, $rim);
    }

    /** A picture of that size with one level for each tile: the level of a smaller picture at the tile's centre. */
    public static function flat(Image $small, int $width, int $height): Image
    {
        [$across, $down] = [(int) ceil($width / self::SIDE), (int) ceil($height / self::SIDE)];
        $middle = fn (int $square, int $length, int $of): int => min($of - 1, intdiv((int) (min($length - 1, ($square + 0.5) * self::SIDE) * $of), $length));
        [$bytes, $levels] = ['', $small->toBytes()];
        for ($j = 0; $j < $down; $j++) {
            for ($i = 0; $i < $across; $i++) {
                $bytes .= $levels[$middle($j, $height, $small->height()) * $small->width() + $middle($i, $width, $small->width())];
            }
        }

        return Image::raw($bytes, $across, $down, 1)->zoomed(self::SIDE)->crop(0, 0, $width, $height);
    }

    /** Whether there are so many tiles that packing costs more than it saves. */
    public function areMost(): bool
    {
        return count($this->cells) > self::MOST * $this->across * $this->down;
    }

    /** Packs the tiles of an 8-bit picture with their rims; edge pixels are repeated beyond the picture, and free room in the last row is 0. */
    public function packed(Image $picture): Image
    {
        $side = self::SIDE + 2 * $this->rim;
        $wide = $picture->spread($this->rim, $this->rim, $this->across * self::SIDE + 2 * $this->rim, $this->down * self::SIDE + 2 * $this->rim);

        $squares = array_map(fn (int $cell): Image => $wide->crop(...[...$this->place($cell), $side, $side]), $this->cells);
        $blocks = array_map(fn (array $some): Image => Composition::mosaic($some, min(self::IN_A_ROW, count($some)))->settled(), array_chunk($squares, self::FEW));

        return count($blocks) === 1 ? $blocks[0] : Composition::mosaic($blocks, 1)->settled();
    }

    /** A picture in memory, with the packed tiles copied back into their places. */
    public function laid(Image $packed, Image $on): Image
    {
        return $on->withCopied($packed, array_map(function (int $at, int $cell) use ($on): array {
            [[$left, $top], [$fromLeft, $fromTop]] = [$this->place($cell), $this->packedAt($at)];

            return [$left, $top, $fromLeft + $this->rim, $fromTop + $this->rim, min(self::SIDE, $on->width() - $left), min(self::SIDE, $on->height() - $top)];
        }, array_keys($this->cells), $this->cells));
    }

    /** @return array{int, int} left and top of a tile in the packed picture */
    private function packedAt(int $at): array
    {
        $side = self::SIDE + 2 * $this->rim;

        return [$at % self::IN_A_ROW * $side, intdiv($at, self::IN_A_ROW) * $side];
    }

    /** @return array{int, int} left and top of a tile in the picture */
    private function place(int $cell): array
    {
        return [$cell % $this->across * self::SIDE, intdiv($cell, $this->across) * self::SIDE];
    }
}
