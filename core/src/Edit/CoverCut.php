<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Placement;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\Shape;
use TallCrow\Artwork\ShapeSource;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\BoxSide;
use TallCrow\Mask\RaggedEdge;
use TallCrow\Render\Placer;

/**
 * Covers the straight edge at which a picture is cut off by its file: by its own mirror image below it, which continues beyond the edge and ends
 * in a torn one, or by a bar on top of it (common practice).
 */
final readonly class CoverCut extends Operation
{
    /** Fraction of the layer that its mirror image shows, and the greatest depth of its torn edge in inches. */
    private const SHOWN = 0.3;

    private const TORN = 0.3;

    /** Overlap of layer and mirror image in inches, so that no cloth shows along the seam. */
    private const SEAM = 0.005;

    /** The bar's size as fractions of the cut side's length, and its least size in inches: large enough to hide the edge. */
    private const LONG = 1.12;

    private const THICK = 0.1;

    private const LEAST = 0.26;

    public function __construct(public string $id, public BoxSide $side, public CoverWith $with) {}

    public static function name(): string
    {
        return 'cover-cut';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'side', 'with');

        return new self($node->id('id'), $node->choice('side', BoxSide::class), $node->choice('with', CoverWith::class));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $layer = Pieces::one($artwork, $this->id);
        $placement = $layer->placement ?? throw EditRefused::noPlace($layer->called());
        $upright = $layer->spun(-$placement->turn);
        $box = $placer->box($upright) ?? throw EditRefused::noInk($layer->called());
        $cover = $this->with === CoverWith::Patch ? $this->patch($artwork, $upright, $box) : $this->bar($artwork, $box);
        $cover = $cover->turned($placement->turn, $placement->x, $placement->y);

        return Edited::choosing($artwork->replacing($this->id, fn (Layer $one): array => $this->with === CoverWith::Patch ? [$cover, $one] : [$one, $cover]), [$cover->id]);
    }

    private function patch(Artwork $artwork, Layer $upright, Box $box): Layer
    {
        $copy = Pieces::copy($artwork, $upright);
        $copy = match ($this->side) {
            BoxSide::Top => $copy->mirroredDown($box->top + self::SEAM),
            BoxSide::Bottom => $copy->mirroredDown($box->bottom - self::SEAM),
            BoxSide::Left => $copy->mirroredAcross($box->left + self::SEAM),
            BoxSide::Right => $copy->mirroredAcross($box->right - self::SEAM),
        };
        $deep = $this->side->depth($box->width(), $box->height());
        $torn = min(self::TORN, self::SHOWN * $deep * 0.6);
        // Masks apply to the art before it is mirrored.
        $flip = $copy->placement->flip ?? Flip::None;

        return $copy->withMasks([...$copy->masks, RaggedEdge::along([$this->side->mirrored($flip->x(), $flip->y())], $box->width(), $box->height(), $torn, (1 - self::SHOWN) * $deep - $torn / 2, crc32($copy->id))]);
    }

    private function bar(Artwork $artwork, Box $box): Layer
    {
        $length = $this->side->length($box->width(), $box->height());
        [$long, $thick] = [round($length * self::LONG, 3), round(max(self::LEAST, $length * self::THICK), 3)];
        [$x, $y] = Affine::scale($box->width(), $box->height())->then(Affine::shift($box->left, $box->top))->apply(...$this->side->point(0.5, 0.0));
        $level = $this->side->isLevel();

        return Layer::piece(Pieces::freshId($artwork), new ShapeSource(Shape::Rectangle, 5, 0.5), new Placement($x, $y, $level ? $long : $thick, $level ? $thick : $long, 0.0, Flip::None))
            ->withEffects([new EffectLine('fill', new Values(['colour' => NewInk::standingOut($artwork)]), true)]);
    }
}
