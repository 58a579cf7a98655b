<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\LetterSize;
use TallCrow\Artwork\Placement;
use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Effect;
use TallCrow\Effect\HasCentre;
use TallCrow\Effect\PlacesLetters;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;
use TallCrow\Type\Letter;

/**
 * Bends a piece and scales it so that the result has the width or height asked for. A warp given as a share looks the same at every size, so one scaling
 * suffices. A warp given in inches does not, so the initial size is found by iteration.
 */
final readonly class Fitting
{
    /** Greatest error, in inches, of a bent curve: 0.15 px at 300 ppi, so that no facets show. */
    public const TOLERANCE = 0.0005;

    private const ROUNDS = 10;

    private const NEAR = 1e-6;

    /** Segments longer than this share of the width are subdivided before bending. */
    public const LONGEST = 1 / 16;

    /** @var list<BendsOutline|PlacesLetters> */
    private array $bends;

    private bool $isMeasured;

    /** @param  list<Effect>  $effects */
    public function __construct(private Placement $placement, array $effects)
    {
        $this->bends = array_values(array_filter($effects, fn (Effect $effect): bool => $effect instanceof BendsOutline || $effect instanceof PlacesLetters));
        $this->isMeasured = array_filter($this->bends, fn (BendsOutline|PlacesLetters $bend): bool => $bend->isMeasured()) !== [];
    }

    /**
     * @param  non-empty-list<Letter>  $letters  in any unit
     * @param  float  $capital  cap height in that unit, for words
     * @return list<Letter> in inches; their middle, or the centre that they stand about, at the origin
     */
    public function letters(array $letters, float $capital = 1.0): array
    {
        $shape = fn (float $x, float $y): array => $this->bent(array_map(fn (Letter $letter): Letter => $letter->transformed(Affine::scale($x, $y)), $letters), $capital * $y);
        [[$made, $centre], $byX, $byY] = $this->placement->letters === null
            ? $this->sought(Letter::together($letters)->bounds(), $shape, fn (array $made): Box => Letter::together($made[0])->bounds())
            : $this->told($shape, $this->placement->letterSize / ($this->placement->letters === LetterSize::Em ? 1.0 : $capital));
        if ($centre === null) {
            $box = Letter::together($made)->bounds();
            $centre = [$box->centreX(), $box->centreY()];
        }
        $last = Affine::shift(-$centre[0], -$centre[1])->then(Affine::scale($byX, $byY));

        return array_map(fn (Letter $letter): Letter => $letter->transformed($last), $made);
    }

    public function picture(float $aspect): Placing
    {
        if ($this->bends === []) {
            return Placing::picture($this->placement, $aspect);
        }
        $shape = function (float $x, float $y) use ($aspect): array {
            $box = Box::centred(0, 0, $x, $y * $aspect);

            return [self::chain(array_values(array_filter($this->bends, fn ($bend): bool => $bend instanceof BendsOutline)), $box), $box];
        };
        [[$bend, $picture], $byX, $byY] = $this->sought(Box::centred(0, 0, 1, $aspect), $shape, fn (array $made): Box => $made[0]->bounds($made[1]));
        $box = $bend->bounds($picture);

        return Placing::bentPicture(
            $this->placement, $picture,
            $bend->then(Bend::affine(Affine::shift(-$box->centreX(), -$box->centreY())->then(Affine::scale($byX, $byY)))),
            $box->width() * $byX, $box->height() * $byY,
        );
    }

    /**
     * Chains warps: each one acts on the box that the one before it leaves.
     *
     * @param  list<BendsOutline>  $bends
     */
    public static function chain(array $bends, Box $box): Bend
    {
        $all = Bend::none();
        foreach ($bends as $effect) {
            $bend = $effect->bend($box);
            $all = $all->then($bend);
            $box = $bend->bounds($box);
        }

        return $all;
    }

    /**
     * @param  non-empty-list<Letter>  $letters
     * @param  float  $capital  cap height in inches
     * @return array{list<Letter>, ?array{float, float}} and the centre that they stand about, unless a later warp leaves none
     */
    private function bent(array $letters, float $capital): array
    {
        $centre = null;
        foreach ($this->bends as $effect) {
            if ($effect instanceof PlacesLetters) {
                $centre = $effect instanceof HasCentre && $letters !== [] ? $effect->centre($letters, $capital) : $centre;
                $letters = $effect->place($letters, $capital);

                continue;
            }
            $centre = null;
            $box = Letter::together($letters)->bounds();
            $bend = $effect->bend($box);
            $longest = max(1e-6, $box->width() * self::LONGEST);
            $letters = array_map(fn (Letter $letter): Letter => $letter->bent($letter->path->mapped($bend->forward, self::TOLERANCE, $longest), $bend->forward), $letters);
        }

        return [$letters, $centre];
    }

    /**
     * Words sized by their letters (cap height or type size), bent or not.
     *
     * @template T
     *
     * @param  \Closure(float, float): T  $shape
     * @return array{T, float, float}
     */
    private function told(\Closure $shape, float $size): array
    {
        return [$shape($size, $size), 1.0, 1.0];
    }

    /**
     * @template T
     *
     * @param  Box  $own  the piece's box before scaling
     * @param  \Closure(float, float): T  $shape  builds the piece at a given scale across and down
     * @param  \Closure(T): Box  $measure
     * @return array{T, float, float} the result, and the scale across and down that is still to be applied
     */
    private function sought(Box $own, \Closure $shape, \Closure $measure): array
    {
        [$width, $height] = [$this->placement->width, $this->placement->height];
        $x = $width !== null ? $width / max(1e-9, $own->width()) : $height / max(1e-9, $own->height());
        $y = $width !== null && $height !== null && $this->isMeasured ? $height / max(1e-9, $own->height()) : $x;
        for ($round = 1; ; $round++) {
            $made = $shape($x, $y);
            $box = $measure($made);
            $byX = $width !== null ? $width / max(1e-9, $box->width()) : $height / max(1e-9, $box->height());
            $byY = $width !== null && $height !== null ? $height / max(1e-9, $box->height()) : $byX;
            if (! $this->isMeasured || $round === self::ROUNDS || (abs($byX - 1) < self::NEAR && abs($byY - 1) < self::NEAR)) {
                return [$made, $byX, $byY];
            }
            [$x, $y] = [$x * min(4, max(0.25, $byX)), $y * min(4, max(0.25, $byY))];
        }
    }
}
