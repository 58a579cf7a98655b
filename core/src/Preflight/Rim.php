<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;

/** The outermost pixels of a picture: how much of them is opaque, and how much of that of one colour. A background that was never taken away shows there. */
final readonly class Rim
{
    private const OPAQUE = 250;

    /** Shares of the rim (our choice): how much must be opaque, and how much of that of one colour. */
    private const OPAQUE_SHARE = 0.95;

    private const EVEN_SHARE = 0.8;

    /** CIEDE2000 within which two colours of a background count as one; JPEG noise stays below it. */
    private const ALIKE = 6.0;

    /** Pixels of the longer side of the picture as it is looked at. */
    private const LOOK = 300;

    private function __construct(
        public float $opaque,
        public float $even,
        public Srgb $colour,
    ) {}

    public static function of(Image $pixels): self
    {
        return new self(...self::measured($pixels));
    }

    public function isBackground(): bool
    {
        return $this->opaque >= self::OPAQUE_SHARE && $this->even >= self::EVEN_SHARE;
    }

    /** Opaque all round, and of many colours: the picture ends in straight cuts. */
    public function isCut(): bool
    {
        return $this->opaque >= self::OPAQUE_SHARE && ! $this->isBackground();
    }

    /** What is told of a picture with this rim. */
    public function finding(string $key, string $word, string $called): Finding
    {
        [$left, $cut] = [$this->isBackground(), $this->isCut()];

        return Finding::of(
            Group::Pictures, $key, $word, $left ? Verdict::Fail : ($cut ? Verdict::Warn : Verdict::Pass),
            $left ? 'background '.$this->colour->toHex() : ($cut ? 'square edges' : 'background off'),
            'a clear rim',
            match (true) {
                $left => sprintf('%s still stands on its background (%s on %d %% of the rim): it would print as a block.', $called, $this->colour->toHex(), round($this->even * 100)),
                $cut => sprintf('%s fills its rectangle to the edge, so it ends in straight cuts. A mask with a soft or shaped edge mends that.', $called),
                default => sprintf('%s has a clear rim.', $called),
            },
        );
    }

    /** @return array{float, float, Srgb} share of the rim that is opaque, share of that alike, and its colour */
    private static function measured(Image $pixels): array
    {
        $small = $pixels->resized(min(1.0, self::LOOK / max($pixels->width(), $pixels->height())))->settled();
        [$w, $h] = [$small->width(), $small->height()];
        $bytes = $small->toBytes();
        $rim = [];
        for ($i = 0, $n = $w * $h; $i < $n; $i++) {
            [$x, $y] = [$i % $w, intdiv($i, $w)];
            if ($x < 1 || $y < 1 || $x >= $w - 1 || $y >= $h - 1) {
                $rim[] = array_values((array) unpack('C4', $bytes, $i * 4));
            }
        }
        $opaque = array_values(array_filter($rim, fn (array $p): bool => $p[3] >= self::OPAQUE));
        if ($opaque === []) {
            return [0.0, 0.0, Srgb::of(0, 0, 0)];
        }
        $median = function (int $band) use ($opaque): int {
            $values = array_column($opaque, $band);
            sort($values);

            return (int) $values[intdiv(count($values), 2)];
        };
        $colour = Srgb::of($median(0), $median(1), $median(2));
        $lab = $colour->toLab();
        $alike = array_filter($opaque, fn (array $p): bool => Srgb::of((int) $p[0], (int) $p[1], (int) $p[2])->toLab()->difference($lab) < self::ALIKE);

        return [count($opaque) / count($rim), count($alike) / count($opaque), $colour];
    }
}
