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

/** Half-transparent pieces and halftoned words: at arm's length the eye sees a mixture of their ink and what lies below. */
final readonly class WeakInk
{
    /** Threshold for a piece's pixels, as a share of its greatest alpha, so that soft edges are ignored. */
    private const SOLID = 0.6;

    /** Sigma, in inches, by which dots are averaged: at arm's length the eye does not resolve twenty lines to the inch (our choice). */
    private const MIXED = 0.05;

    public const IN_FULL = ' at full strength';

    /** Whether a layer is half-transparent. */
    public static function isOf(Layer $layer): bool
    {
        return $layer->opacity < 1.0;
    }

    private static function isInDots(Layer $layer): bool
    {
        return $layer->isWords() && array_filter($layer->liveEffects(), fn (Effect $effect): bool => $effect instanceof DrawsDots) !== [];
    }

    /** Alpha above which a piece's ink counts as visible. */
    public static function level(Layer $layer): float
    {
        return self::isOf($layer) ? self::SOLID * 255 * max(0.02, $layer->opacity) : Topmost::HALF;
    }

    /** The topmost pieces, with the thresholds that suit this layer. */
    public static function topmost(Layer $layer, Frame $frame, SheetSubject $subject): Topmost
    {
        return self::isOf($layer) ? $subject->topmostWeak($frame) : $subject->topmost($frame);
    }

    /** @return list<SetOpacity> the operations that set full opacity */
    public static function inFull(Layer $layer): array
    {
        return self::isOf($layer) ? [new SetOpacity($layer->id, 1.0)] : [];
    }

    /** What stands out on a cloth, with half-transparent pieces and halftoned words as they look there. */
    public static function seenOn(Garment $garment, Standing $standing, SheetSubject $subject, float $ppi): Standing
    {
        $where = $subject->weakAt($ppi);
        if ($where === null) {
            return $standing;
        }
        $picture = $subject->mixed($ppi);

        return $standing->within($where, Standing::of(InkAndCloth::of($picture, $where), ColourKeys::of(Composition::onCloth($picture, $garment->colour)), $garment));
    }

    /** A mask of visible half-transparent pieces and halftoned words; null if there are none. */
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

    /** The picture with all halftoned words averaged. */
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
     * A part of the picture in which a halftoned piece is replaced by its local mean. Encoded levels are averaged, as in proofs, which is close to the look
     * on cloth,
     * where scattered light darkens the gaps between dots (a Yule-Nielsen factor of about 2.2).
     */
    private static function part(Layer $layer, Frame $part, Image $picture, SheetSubject $subject): Image
    {
        $every = max(1, (int) round($subject->picture->ppi / $part->ppi));
        $solid = $layer->withEffects(array_values(array_filter($layer->effects, fn (EffectLine $line): bool => ! is_a($line->is(), DrawsDots::class, true))));
        $fine = $part->finer($every);
        $shape = $subject->inked($solid->withOpacity(1.0), $fine)->alpha()->isMore(Topmost::HALF)->settled();
        $own = $subject->picture->picture->crop($fine->left, $fine->top, min($fine->width, $subject->picture->picture->width() - $fine->left), min($fine->height, $subject->picture->picture->height() - $fine->top))->embed(0, 0, $fine->width, $fine->height)->settled();
        // Normalised convolution (Knutsson and Westin, 1993): pixels beside the shape do not count.
        $spread = fn (Image $image): Image => Blur::exact($image->shrunk($every)->settled(), self::MIXED * $part->ppi);
        $mean = $spread(Composition::premultiplied($own)->times($shape))->divided($spread($shape))->linearByte(255.0)->asColours()->unpremultiplied();

        return $shape->subsampled($every)->chosen($mean, $picture->crop($part->left, $part->top, $part->width, $part->height))->settled();
    }
}
