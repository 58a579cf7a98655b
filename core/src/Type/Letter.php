<?php

declare(strict_types=1);

namespace TallCrow\Type;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;

/** The outline of one glyph in its place. */
final readonly class Letter
{
    public function __construct(
        public Path $path,
        public int $line,
        public string $characters,
        /** Index of its word within the text. */
        public int $word = 0,
        /** x of the middle of its advance, on the baseline. */
        public float $x = 0.0,
        public float $baseline = 0.0,
        /**
         * Its own axes after rotation and bending: the images of the font's unit vectors to the right and down.
         *
         * @var array{float, float}
         */
        public array $right = [1.0, 0.0],
        /** @var array{float, float} */
        public array $down = [0.0, 1.0],
        /** Whether it is a placeholder for a letter that the font lacks. */
        public bool $isGap = false,
    ) {}

    /** A shape that is not a letter. */
    public static function figure(Path $path, int $number = 0): self
    {
        return new self($path, 0, '', $number);
    }

    /**
     * Bent by a map of the plane, which also maps its axes at its place.
     *
     * @param  callable(float, float): array{float, float}  $map
     */
    public function bent(Path $path, callable $map): self
    {
        $box = $this->path->bounds();
        $step = max(1e-9, 1e-4 * max($box->width(), $box->height()));
        [$x, $y] = $map($box->centreX(), $box->centreY());
        $way = function (array $along) use ($map, $box, $step, $x, $y): array {
            [$toX, $toY] = $map($box->centreX() + $along[0] * $step, $box->centreY() + $along[1] * $step);

            return [($toX - $x) / $step, ($toY - $y) / $step];
        };

        return new self($path, $this->line, $this->characters, $this->word, $this->x, $this->baseline, $way($this->right), $way($this->down), $this->isGap);
    }

    public function transformed(Affine $by): self
    {
        [$x, $baseline] = $by->apply($this->x, $this->baseline);

        $turn = fn (array $way): array => [$by->a * $way[0] + $by->c * $way[1], $by->b * $way[0] + $by->d * $way[1]];

        return new self($this->path->transformed($by), $this->line, $this->characters, $this->word, $x, $baseline, $turn($this->right), $turn($this->down), $this->isGap);
    }

    /** Height of its ink, measured perpendicular to its right axis. */
    public function height(): float
    {
        [$x, $y] = $this->right;

        return $this->path->transformed(Affine::turn(-rad2deg(atan2($y, $x))))->bounds()->height();
    }

    /** @param  list<self>  $letters */
    public static function together(array $letters): Path
    {
        return Path::join(...array_map(fn (self $letter): Path => $letter->path, $letters));
    }
}
