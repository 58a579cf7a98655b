<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Layer;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Edit\SetOpacity;
use TallCrow\Effect\DrawsDots;
use TallCrow\Effect\Effect;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;

/** Pieces that are printed weakly, and words in dots: what the eye sees of them at arm's length is a mixture of their ink and of what it lies on. */
final readonly class WeakInk
{
    /** Of its greatest alpha, what a pixel of theirs has at least: their soft edges are not looked at. */
    private const SOLID = 0.6;

    /** Inches, the standard deviation over which dots are mixed: the eye does not part those of twenty lines to the inch at arm's length (our choice). */
    private const MIXED = 0.05;

    public const IN_FULL = ' at full strength';

    /** Whether a layer's own ink lets through what lies below it. */
    public static function isOf(Layer $layer): bool
    {
        return $layer->opacity < 1.0;
    }

    private static function isInDots(Layer $layer): bool
    {
        return $layer->isWords() && array_filter($layer->liveEffects(), fn (Effect $effect): bool => $effect instanceof DrawsDots) !== [];
    }

    /** Level of alpha beyond which a piece's ink is seen. */
    public static function level(Layer $layer): float
    {
        return self::isOf($layer) ? self::SOLID * 255 * max(0.02, $layer->opacity) : Topmost::HALF;
    }

    /** Which piece is seen where, as far as it matters to this one. */
    public static function topmost(Layer $layer, Frame $frame, SheetSubject $subject): Topmost
    {
        return self::isOf($layer) ? $subject->topmostWeak($frame) : $subject->topmost($frame);
    }

    /** @return list<SetOpacity> what prints weak ink in full */
    public static function inFull(Layer $layer): array
    {
        return self::isOf($layer) ? [new SetOpacity($layer->id, 1.0)] : [];
    }

    /** What stands out on a cloth, with weak pieces, and words in dots, as they are seen there. */
    public static function seenOn(Garment $garment, Standing $standing, SheetSubject $subject, float $ppi): Standing
    {
        $where = $subject->weakAt($ppi);
        if ($where === null) {
            return $standing;
        }
        $picture = $subject->mixed($ppi);

        return $standing->within($where, Standing::of(InkAndCloth::of($picture, $where), ColourKeys::of(Composition::onCloth($picture, $garment->colour)), $garment));
    }

    /** Where weak pieces and words in dots are seen: 255 there. Null where there are none. */
    public static function where(SheetSubject $subject, float $ppi): ?Image
    {
        $where = null;
        foreach ($subject->pieces() as $layer) {
            $top = $layer->on && $layer->role->prints() && (self::isInDots($layer) || self::isOf($layer)) ? self::topmost($layer, Frame::sheet($subject->artwork->sheet, $ppi), $subject) : null;
            if ($top?->shows($layer->id, $subject->sampled($ppi)) === true) {
                $where = ($where === null ? $top->seen($layer->id) : $where->either($top->seen($layer->id)))->settled();
            }
        }

        return $where;
    }

    /** The picture with all words in dots as the eye mixes them. */
    public static function mixed(SheetSubject $subject, float $ppi): Image
    {
        $frame = Frame::sheet($subject->artwork->sheet, $ppi);
        $picture = $subject->sampled($ppi);
        foreach ($subject->pieces() as $layer) {
            $reach = $layer->on && $layer->role->prints() && self::isInDots($layer) ? $subject->reach($layer->id) : null;
            $part = $reach === null ? null : Frame::about($reach, $ppi)?->overlap($frame);
            if ($part !== null && $part->left + $part->width <= $picture->width() && $part->top + $part->height <= $picture->height()) {
                $picture = $picture->insert(self::part($layer, $part, $picture, $subject), $part->left, $part->top)->settled();
            }
        }

        return $picture;
    }

    /**
     * A part of the picture, each place of a piece in dots the mean of what its shape holds there: levels are mixed, as proofs mix them, and about as on
     * cloth, where scattered light darkens what lies between dots (an n of Yule and Nielsen of 2.2).
     */
    private static function part(Layer $layer, Frame $part, Image $picture, SheetSubject $subject): Image
    {
        $every = max(1, (int) round($subject->picture->ppi / $part->ppi));
        $solid = $layer->withEffects(array_values(array_filter($layer->effects, fn (EffectLine $line): bool => ! is_a($line->is(), DrawsDots::class, true))));
        $fine = $part->finer($every);
        $shape = $subject->inked($solid->withOpacity(1.0), $fine)->alpha()->isMore(Topmost::HALF)->settled();
        $own = $subject->picture->picture->crop($fine->left, $fine->top, min($fine->width, $subject->picture->picture->width() - $fine->left), min($fine->height, $subject->picture->picture->height() - $fine->top))->embed(0, 0, $fine->width, $fine->height)->settled();
        // Normalised convolution (Knutsson and Westin, 1993): what lies beside the shape does not count.
        $spread = fn (Image $image): Image => Blur::exact($image->shrunk($every)->settled(), self::MIXED * $part->ppi);
        $mean = $spread(Composition::premultiplied($own)->times($shape))->divided($spread($shape))->linearByte(255.0)->asColours()->unpremultiplied();

        return $shape->subsampled($every)->chosen($mean, $picture->crop($part->left, $part->top, $part->width, $part->height))->settled();
    }
}
