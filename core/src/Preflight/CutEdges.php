<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Layer;
use TallCrow\Edit\AddEffect;
use TallCrow\Edit\AddMask;
use TallCrow\Geometry\BoxSide;
use TallCrow\Mask\MaskShape;
use TallCrow\Mask\RaggedEdge;
use TallCrow\Mask\ShapeMask;

/** Straight edges where a picture ends with its file, and common ways to make them look intended. */
final readonly class CutEdges
{
    /** A ragged edge: greatest depth in inches and as a share of the piece, and its distance from the cut as a share of the depth. */
    private const TORN = 0.3;

    private const TORN_SHARE = 0.16;

    private const TORN_FROM = 0.25;

    /**
     * @param  non-empty-list<BoxSide>  $sides  sides of the piece on the sheet, before its rotation
     * @return list<Mend> the best first
     */
    public static function mends(Layer $layer, array $sides, SheetSubject $subject): array
    {
        $box = $subject->renderer->placer->box($layer->spun(-($layer->placement->turn ?? 0.0)));
        $fade = Mend::by('Fade its edge in a soft oval of dots', new AddMask($layer->id, new ShapeMask(MaskShape::Ellipse, 0.5, 0.5, 1.0, 1.0, 0.3)), new AddEffect($layer->id, Lines::of('halftone', []), first: false));
        if ($box === null) {
            return [$fade];
        }
        $torn = min(self::TORN, self::TORN_SHARE * min(array_map(fn (BoxSide $side): float => $side->depth($box->width(), $box->height()), $sides)));
        $ragged = RaggedEdge::along(array_map(fn (BoxSide $side): BoxSide => self::mirrored($side, $layer), $sides), $box->width(), $box->height(), $torn, $torn * self::TORN_FROM, crc32($layer->id));

        return [Mend::by('Tear its edge off raggedly', new AddMask($layer->id, $ragged)), $fade];
    }

    /** Converts between a side of the art and a side of the piece on the sheet, which may be mirrored. */
    public static function mirrored(BoxSide $side, Layer $layer): BoxSide
    {
        $flip = $layer->placement->flip ?? Flip::None;

        return $side->mirrored($flip->x(), $flip->y());
    }
}
