<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;

/**
 * Statistics of the outermost pixels of a picture: the opaque share, and the share of the most common colour. They reveal a background that was never
 * removed.
 */
final readonly class Rim
{
    private const OPAQUE = 250;

    /** Shares of the rim for a background (our choice): least opaque share, and least share of one colour in that. */
    private const OPAQUE_SHARE = 0.9;

    private const EVEN_SHARE = 0.8;

    /** Opaque share of a side from which on the picture ends there in a straight cut. */
    private const CUT_SHARE = 0.55;

    /** CIEDE2000 below which two colours of a background count as one; JPEG noise stays below it. */
    private const ALIKE = 6.0;

    /** Longer side, in pixels, at which the picture is examined. */
    private const LOOK = 300;

    /** @param  array<string, float>  $sides  opaque share of each side: top, right, bottom, left */
    private function __construct(
        public float $opaque,
        public float $even,
        public Srgb $colour,
        public array $sides,
    ) {}

    public static function of(Image $pixels): self
    {
        $small = $pixels->resized(min(1.0, self::LOOK / max($pixels->width(), $pixels->height())))->settled();
        [$w, $h] = [$small->width(), $small->height()];
        $sides = ['top' => [0, 0, $w, 1], 'right' => [$w - 1, 0, 1, $h], 'bottom' => [0, $h - 1, $w, 1], 'left' => [0, 0, 1, $h]];
        $solid = $shares = [];
        $count = 0;
        foreach ($sides as $side => $part) {
            $pixels = str_split($small->crop(...$part)->toBytes(), 4);
            $own = array_values(array_filter($pixels, fn (string $pixel): bool => ord($pixel[3]) >= self::OPAQUE));
            $shares[$side] = count($own) / count($pixels);
            array_push($solid, ...$own);
            $count += count($pixels);
        }
        if ($solid === []) {
            return new self(0.0, 0.0, Srgb::of(0, 0, 0), $shares);
        }
        $median = function (int $band) use ($solid): int {
            $values = array_map(fn (string $pixel): int => ord($pixel[$band]), $solid);
            sort($values);

            return $values[intdiv(count($values), 2)];
        };
        $colour = Srgb::of($median(0), $median(1), $median(2));
        $lab = $colour->toLab();
        $alike = array_filter($solid, fn (string $pixel): bool => Srgb::of(ord($pixel[0]), ord($pixel[1]), ord($pixel[2]))->toLab()->difference($lab) < self::ALIKE);

        return new self(count($solid) / $count, count($alike) / count($solid), $colour, $shares);
    }

    public function isBackground(): bool
    {
        return $this->opaque >= self::OPAQUE_SHARE && $this->even >= self::EVEN_SHARE;
    }

    /** Opaque all around but in many colours: the picture ends in straight cuts. */
    public function isCut(): bool
    {
        return $this->opaque >= self::OPAQUE_SHARE && ! $this->isBackground();
    }

    /** @return list<string> sides along which the picture ends in a straight cut */
    public function cutSides(): array
    {
        return $this->isBackground() ? [] : array_keys(array_filter($this->sides, fn (float $share): bool => $share >= self::CUT_SHARE));
    }

    /** Whether the rim is nearly white or black, as the paper of scanned art. */
    public function isPaper(): bool
    {
        $lab = $this->colour->toLab();

        return hypot($lab->a, $lab->b) < 6 && ($lab->l > 93 || $lab->l < 6);
    }

    /** The finding for a picture with this rim. */
    public function finding(string $key, string $word, string $called, string $would = 'print as a block'): Finding
    {
        [$left, $cut] = [$this->isBackground(), $this->isCut()];

        return Finding::of(
            Group::Pictures, $key, $word, $left ? Verdict::Fail : ($cut ? Verdict::Warn : Verdict::Pass),
            $left ? 'background '.$this->colour->toHex() : ($cut ? 'square edges' : 'background off'),
            'a clear rim',
            match (true) {
                $left => sprintf('%s still stands on its background (%s on %d %% of the rim): it would %s.', $called, $this->colour->toHex(), round($this->even * 100), $would),
                $cut => sprintf('%s fills its rectangle to the edge, so it ends in straight cuts. A mask with a soft or shaped edge mends that.', $called),
                default => sprintf('%s has a clear rim.', $called),
            },
        );
    }
}
