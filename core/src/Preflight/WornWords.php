<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Edit\Shield;
use TallCrow\Effect\DrawsDots;
use TallCrow\Effect\Effect;
use TallCrow\Effect\LaysAbout;
use TallCrow\Geometry\Box;
use TallCrow\Raster\BlendMode;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Render\Compositor;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Type\Letter;

/**
 * Whether each word can still be read: measures how much ink of every letter is left in the finished picture, whatever removed it (wear, knockouts, masks,
 * other pieces), and the thinnest remaining stroke.
 */
final class WornWords implements ChecksSheet
{
    /** The stroke width is the side of the square whose opening removes this share of the ink. */
    private const OPENED = 0.15;

    /** Smaller losses of a letter count as none. */
    private const TAKEN = 0.02;

    /** A stroke that keeps more than this share of its width was thin before. */
    private const THINNED = 0.8;

    /** Largest difference, in levels of a colour channel, at which a letter's own ink is still recognised. */
    private const SAME = 48.0;

    private const MOST = 12;

    /** From this ppi on, strokes are measured at print resolution; and the ppi from which on the picture itself is fine enough. */
    private const CLOSE = 140.0;

    private const FINE = 250.0;

    public function sheet(SheetSubject $subject): array
    {
        $artwork = $subject->artwork;
        $ppi = $subject->picture->ppi;
        $frame = Frame::sheet($artwork->sheet, $ppi);
        $compositor = $subject->compositor();
        $findings = [];
        foreach (self::words($artwork->layers) as [$layer, $isReplaced, $opacity]) {
            $letters = $isReplaced ? [] : ($subject->renderer->placer->place($layer)->letters ?? []);
            $whole = $letters === [] ? null : self::whole($layer, $compositor, $frame);
            if ($whole === null) {
                continue;
            }
            $at = $whole->frame;
            $now = $subject->picture->picture->crop($at->left, $at->top, $at->width, $at->height)->settled();
            array_push($findings, ...$this->ofWords($layer, $opacity, self::measured($letters, $whole, $whole->with(self::left($layer, $opacity, $whole, $now)), $ppi, $subject), $subject));
        }
        // Failures first; passed words as far as there is room.
        usort($findings, fn (Finding $one, Finding $other): int => ($other->verdict === Verdict::Fail ? 1 : 0) <=> ($one->verdict === Verdict::Fail ? 1 : 0));

        return array_slice($findings, 0, self::MOST);
    }

    /**
     * Words at any depth, with two facts: whether a group changes their place or appearance (as a bent group does), and their opacity including that of groups.
     *
     * @param  list<Layer>  $layers
     * @return list<array{Layer, bool, float}>
     */
    private static function words(array $layers, bool $isReplaced = false, float $opacity = 1.0): array
    {
        $found = [];
        foreach ($layers as $layer) {
            if (! $layer->on || ! $layer->role->prints()) {
                continue;
            }
            if ($layer->isWords()) {
                $found[] = [$layer, $isReplaced, $opacity * $layer->opacity];
            }
            $stay = array_filter($layer->liveEffects(), fn (Effect $effect): bool => ! $effect instanceof LaysAbout) === [];
            array_push($found, ...self::words($layer->children(), $isReplaced || ! $stay || $layer->blend !== BlendMode::Normal, $opacity * $layer->opacity));
        }

        return $found;
    }

    private static function whole(Layer $layer, Compositor $compositor, Frame $frame): ?Piece
    {
        // In a halftone the opacity is part of the dots.
        $inDots = array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && is_a($line->is(), DrawsDots::class, true)) !== [];

        return $compositor->piece($layer->withRole(Role::ink())->withOpacity($inDots ? $layer->opacity : 1.0)->withDistress([])->withMasks([])->withRepeat(null), $frame);
    }

    /**
     * A mask of where the letters' own ink is still visible.
     *
     * @param  float  $opacity  opacity of the words
     * @param  Image  $now  the finished picture in this window
     */
    private static function left(Layer $layer, float $opacity, Piece $whole, Image $now): Image
    {
        // Allow for half-transparent words.
        $there = $now->alpha()->isMore(127.0 * min(1.0, $opacity));
        if ($layer->blend !== BlendMode::Normal || $opacity < 1) {
            return $there->both($whole->image->alpha()->isMore(127.0))->settled();
        }
        $off = $now->band(0, 3)->linear(1.0)->minus($whole->image->band(0, 3));
        // An edge pixel takes the rest of its colour from what lies below.
        $same = $whole->image->alpha()->linear(-1.0, self::SAME + 255.0);
        $far = $off->multiplied($off)->minus($same->multiplied($same))->isMore(0.0);

        return $there->both($whole->image->alpha()->isMore(127.0))->both($far->band(0)->either($far->band(1))->either($far->band(2))->inverted())->settled();
    }

    /**
     * For each damaged word: its letters, the loss of the most damaged letter, and the thinnest stroke in inches. Cached as long as the letters' places and
     * what
     * is left of them are unchanged.
     *
     * @param  non-empty-list<Letter>  $letters
     * @return array<int, array{list<Letter>, float, ?float}> by word index
     */
    private static function measured(array $letters, Piece $whole, Piece $left, float $ppi, SheetSubject $subject): array
    {
        $words = [];
        foreach ($letters as $letter) {
            $words[$letter->word][] = $letter;
        }
        $before = $whole->with($whole->image->alpha()->isMore(127.0)->settled());
        $bounds = array_map(fn (Letter $letter): array => [$letter->word, ...array_values($letter->path->bounds()->toArray())], $letters);
        $key = hash('xxh128', $before->image->toBytes().$left->image->toBytes()).serialize([$bounds, $whole->frame->key(), sha1_file(__FILE__)]);
        /** @var array<int, array{float, ?float}> $kept */
        $kept = unserialize($subject->renderer->found("worn words $key {$subject->artwork->limits->stroke}", function () use ($words, $before, $left, $ppi, $subject): string {
            $found = [];
            foreach ($words as $number => $of) {
                $lost = max([0.0, ...array_map(fn (Letter $letter): float => self::lost($letter, $before, $left, $ppi), $of)]);
                if ($lost >= self::TAKEN) {
                    $found[$number] = [$lost, self::thinnest(Letter::together($of)->bounds(), $left, $ppi, $subject->artwork->limits->stroke)];
                }
            }

            return serialize($found);
        }), ['allowed_classes' => false]);
        $measured = [];
        foreach ($kept as $number => [$lost, $thin]) {
            $measured[$number] = [$words[$number] ?? [], $lost, $thin];
        }

        return $measured;
    }

    /**
     * @param  array<int, array{list<Letter>, float, ?float}>  $words  from measured()
     * @return list<Finding>
     */
    private function ofWords(Layer $layer, float $opacity, array $words, SheetSubject $subject): array
    {
        $artwork = $subject->artwork;
        $findings = [];
        foreach ($words as $number => [$of, $lost, $thin]) {
            $box = Letter::together($of)->bounds();
            $limits = $artwork->limits;
            $thin = $thin === null || $subject->picture->ppi < self::CLOSE || $subject->picture->ppi >= self::FINE ? $thin : self::inPrint($layer, $opacity, $box, $subject);
            $gone = $lost > $limits->letterLost || ($thin !== null && $thin < $limits->stroke && $thin < self::THINNED * self::ownStroke($layer, $box, $subject));
            $called = trim(implode('', array_map(fn (Letter $letter): string => $letter->characters, $of)));
            $finding = Finding::of(
                Group::Wear, 'word:'.$layer->id.':'.$number, $called, $gone ? Verdict::Fail : Verdict::Pass,
                sprintf('%d %% · %.3f in', round($lost * 100), $thin ?? 0.0), sprintf('%d %% · %.3f in', round($limits->letterLost * 100), $limits->stroke),
                sprintf('Of one letter of %s %d %% is gone (worn, knocked out, masked or covered); the thinnest stroke that is left is %.3f in.', $called, round($lost * 100), $thin ?? 0.0),
            )->at([$box])->about($layer->id);
            $isWorn = $gone && $artwork->liveDistress() !== [] && in_array($layer, $artwork->layers, true);
            $findings[] = $isWorn && self::isWholeAlone($layer, $of, $subject) ? $finding->mendedBy(Mend::by(sprintf('Shield %s', $layer->called()), new Shield($layer->id))) : $finding;
        }

        return $findings;
    }

    /**
     * Whether enough of a word is left without the sheet's wear, so that shielding would help.
     *
     * @param  list<Letter>  $word
     */
    private static function isWholeAlone(Layer $layer, array $word, SheetSubject $subject): bool
    {
        $ppi = $subject->picture->ppi;
        $limits = $subject->artwork->limits;
        $box = Letter::together($word)->bounds();
        $frame = Frame::about($box, $ppi);
        $whole = $frame === null ? null : self::whole($layer, $subject->compositor(), $frame);
        if ($frame === null || $whole === null) {
            return false;
        }
        $before = $whole->with($whole->image->alpha()->isMore(127.0)->settled());
        $own = $subject->inked($layer->withRepeat(null), $whole->frame)->alpha()->isMore(127.0 * min(1.0, $layer->opacity));
        $left = $whole->with($own->both($before->image)->settled());
        $lost = max([0.0, ...array_map(fn (Letter $letter): float => self::lost($letter, $before, $left, $ppi), $word)]);
        $thin = self::thinnest($box, $left, $ppi, $limits->stroke);

        return $lost <= $limits->letterLost && ($thin === null || $thin >= $limits->stroke || $thin >= self::THINNED * self::ownStroke($layer, $box, $subject));
    }

    /** The thinnest stroke of an undamaged word, at print resolution. */
    private static function ownStroke(Layer $layer, Box $box, SheetSubject $subject): float
    {
        $whole = self::whole($layer, $subject->compositor(), PrintedPart::of($subject->artwork, $subject, $box)->frame);

        return $whole === null ? 0.0 : self::thinnest($box, $whole->with($whole->image->alpha()), $whole->frame->ppi, $subject->artwork->limits->stroke) ?? 0.0;
    }

    /** The thinnest stroke of a word at print resolution. */
    private static function inPrint(Layer $layer, float $opacity, Box $box, SheetSubject $subject): ?float
    {
        $part = PrintedPart::of($subject->artwork, $subject, $box);
        $thin = $part->figure($subject->picture->picture, serialize(['thinnest', sha1_file(__FILE__), sha1_file(__DIR__.'/Strokes.php'), $layer->id, $subject->artwork->limits->stroke]), function () use ($layer, $opacity, $box, $part, $subject): float {
            $whole = self::whole($layer, $subject->compositor(), $part->frame);
            if ($whole === null) {
                return 0.0;
            }
            $now = $part->picture()->crop($whole->frame->left - $part->frame->left, $whole->frame->top - $part->frame->top, $whole->frame->width, $whole->frame->height)->settled();

            return self::thinnest($box, $whole->with(self::left($layer, $opacity, $whole, $now)), $part->frame->ppi, $subject->artwork->limits->stroke) ?? 0.0;
        });

        return $thin > 0 ? $thin : null;
    }

    /**
     * Share of a letter's own ink that is lost.
     *
     * @param  Piece  $whole  one band: 255 where the letters' ink was
     */
    private static function lost(Letter $letter, Piece $whole, Piece $left, float $ppi): float
    {
        $frame = Frame::about($letter->path->bounds(), $ppi);
        $before = $frame === null ? null : $whole->cut($frame);
        if ($frame === null || $before === null) {
            return 0.0;
        }
        // Neighbouring letters may reach into its box, so use its own shape.
        $canvas = new Canvas($before->frame->width, $before->frame->height, $before->frame->fromInches());
        $canvas->fill($letter->path);
        $own = $canvas->mask()->isMore(127.0)->both($before->image)->settled();
        $area = $own->area();

        return $area <= 0 ? 0.0 : max(0.0, 1 - ($left->cut($before->frame)?->image->both($own)->area() ?? 0.0) / $area);
    }

    /** Thinnest stroke in inches; null if nothing is left. */
    private static function thinnest(Box $box, Piece $left, float $ppi, float $least): ?float
    {
        $frame = Frame::about($box, $ppi);
        $cut = $frame === null ? null : $left->cut($frame);
        if ($cut === null) {
            return null;
        }
        $ink = $cut->image->isMore(127.0)->embed(8, 8, $cut->frame->width + 16, $cut->frame->height + 16)->settled();
        $area = $ink->area();
        if ($area <= 0) {
            return null;
        }
        if ($ppi >= self::FINE) {
            return Strokes::thinnest($ink, $ppi, $least, self::OPENED);
        }
        foreach ([3, 5, 7, 9, 13] as $side) {
            if (1 - Morphology::opened($ink, $side)->area() / $area > self::OPENED) {
                return ($side - 1) / $ppi;
            }
        }

        return 13 / $ppi;
    }
}
