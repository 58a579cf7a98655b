<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Layer;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Edit\SetOpacity;
use TallCrow\Raster\Composition;
use TallCrow\Render\Frame;

/** Pieces that are printed weakly: what the eye sees of them on a cloth is a mixture of both colours. */
final readonly class WeakInk
{
    /** Of its greatest alpha, what a pixel of theirs has at least: their soft edges are not looked at. */
    private const SOLID = 0.6;

    /** Whether a layer's own ink lets the cloth through. */
    public static function isOf(Layer $layer): bool
    {
        return $layer->opacity < 1.0 && $layer->fades();
    }

    /** Level of alpha beyond which a piece's ink is seen. */
    public static function level(Layer $layer): float
    {
        return self::isOf($layer) ? self::SOLID * 255 * $layer->opacity : Topmost::HALF;
    }

    /** Which piece is seen where, as far as it matters to this one. */
    public static function topmost(Layer $layer, Frame $frame, SheetSubject $subject): Topmost
    {
        return $subject->topmost($frame, self::level($layer));
    }

    /** @return list<SetOpacity> what prints weak ink in full */
    public static function inFull(Layer $layer): array
    {
        return self::isOf($layer) ? [new SetOpacity($layer->id, 1.0)] : [];
    }

    /** What stands out on a cloth, with weak pieces as they are seen there. */
    public static function seenOn(Garment $garment, Standing $standing, SheetSubject $subject, float $ppi): Standing
    {
        $frame = Frame::sheet($subject->artwork->sheet, $ppi);
        $picture = $subject->sampled($ppi);
        foreach ($subject->pieces() as $layer) {
            $top = $layer->on && $layer->role->prints() && self::isOf($layer) ? self::topmost($layer, $frame, $subject) : null;
            if ($top?->shows($layer->id, $picture) === true) {
                $mixed = Standing::of(InkAndCloth::of($picture, self::level($layer)), ColourKeys::of(Composition::onCloth($picture, $garment->colour)), $garment);
                $standing = $standing->within($top->seen($layer->id), $mixed);
            }
        }

        return $standing;
    }
}
