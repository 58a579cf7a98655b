<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\Picture;
use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Cutout\FlatField;
use TallCrow\Cutout\Pockets;
use TallCrow\Edit\AddEffect;
use TallCrow\Edit\LineList;
use TallCrow\Edit\SetChoice;
use TallCrow\Effect\ClearsInk;
use TallCrow\Effect\Retouch\ClearEdge;
use TallCrow\Effect\Retouch\EvenLight;
use TallCrow\Geometry\BoxSide;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/**
 * Finds remains of the background in placed art: all of it, a rectangle inside it, enclosed pockets, or a halo around what was freed. It looks at the piece
 * after retouching and masks, but before looks, rings and wear.
 */
final class BackgroundLeft implements ChecksSheet
{
    /** CIEDE2000 tolerance that the mend sets: enough for the noise of a photo (our choice). */
    private const TOLERANCE = 14.0;

    /** Longer side, in pixels, of the rendering that is checked. */
    private const LOOK = 600.0;

    /** Largest CIEDE2000 difference at which remains count as the background's colour. */
    private const GROUND = 3.5;

    /** The same for a halo, whose colours are mixed with the subject's. */
    private const HALO = 12.0;

    /** Least share of the edge that has the background's colour for a halo; and the factor by which this share must fall further inside. */
    private const RIMMED = 0.3;

    private const LESS_WITHIN = 0.4;

    /** Least share of the picture for a pocket to matter. */
    private const POCKET = 0.0008;

    public function sheet(SheetSubject $subject): array
    {
        $findings = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            $art = $layer->on ? $layer->picture() : null;
            $finding = $art === null ? null : self::layer($layer, $art, $subject);
            if ($finding !== null) {
                $findings[] = $finding;
            }
        }

        return $findings;
    }

    private static function layer(Layer $layer, ArtSource $art, SheetSubject $subject): ?Finding
    {
        try {
            $picture = $subject->shelf->picture($art->file);
            $rim = $subject->rim($layer, self::LOOK);
        } catch (AssetUnusable) {
            return null;
        }
        if ($rim === null) {
            return null;
        }
        if ($picture->isVector()) {
            // An SVG may well fill its page on purpose; only one on white paper counts as having a background.
            return $rim->isBackground() && $rim->isPaper() ? self::standing($layer, $rim, $subject, false) : self::clear($layer);
        }
        $cleared = array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && is_a($line->is(), ClearsInk::class, true)) !== [];

        return match (true) {
            $rim->isCut() && ! $cleared && ($shaded = self::inEvenLight($layer, $subject)) !== null => self::shaded($layer, $shaded, $subject),
            $rim->isBackground() || $rim->isCut() => self::standing($layer, $rim, $subject, $rim->isBackground()),
            $cleared || $layer->liveMasks() !== [] => self::remains($layer, self::ofFile($layer, $picture, $art->file, $subject), $subject),
            default => self::remains($layer, null, $subject),
        };
    }

    /** The rim of a raster's file; in even light, if an effect of the piece evens it. */
    private static function ofFile(Layer $layer, Picture $picture, string $file, SheetSubject $subject): Rim
    {
        $isEvened = array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && $line->is() === EvenLight::class) !== [];
        $of = fn (): Rim => Rim::of($isEvened ? self::inLight($picture->pixels()->resized(min(1.0, self::LOOK / max($picture->width, $picture->height)))) : $picture->pixels());
        $kept = unserialize($subject->renderer->found('rim of file '.self::code().($isEvened ? 'evened ' : '').$subject->shelf->fingerprint($file), fn (): string => serialize($of())), ['allowed_classes' => [Rim::class, Srgb::class]]);

        return $kept instanceof Rim ? $kept : $of();
    }

    private static function inLight(Image $pixels): Image
    {
        return FlatField::of($pixels)?->evened($pixels, 1.0)->settled() ?? $pixels;
    }

    private static function code(): string
    {
        return sha1_file(__DIR__.'/Rim.php').sha1_file(dirname(__DIR__).'/Cutout/FlatField.php');
    }

    /** The rim of the upright piece after evening its light, if it stands on a background of one material with light and shadow on it; otherwise null. */
    private static function inEvenLight(Layer $layer, SheetSubject $subject): ?Rim
    {
        $kept = $subject->renderer->found('even rim '.self::code().$subject->uprightKey($layer), function () use ($layer, $subject): string {
            $drawn = $subject->upright($layer, self::LOOK);
            // The rendering's outermost pixels are antialiased.
            $drawn = $drawn?->crop(1, 1, $drawn->width() - 2, $drawn->height() - 2)->settled();
            $field = $drawn === null ? null : FlatField::of($drawn);

            return serialize($drawn === null || $field === null || ! $field->isOfOneColour() ? null : Rim::of($field->evened($drawn, 1.0)->settled()));
        });
        $rim = unserialize($kept, ['allowed_classes' => [Rim::class, Srgb::class]]);

        return $rim instanceof Rim && $rim->isBackground() ? $rim : null;
    }

    /** For a background in uneven light: clearing by the rim's colours alone would take parts of the art as well. */
    private static function shaded(Layer $layer, Rim $rim, SheetSubject $subject): Finding
    {
        $evened = new AddEffect($layer->id, Lines::of('even-light', []), first: true);

        return $rim->finding('background:'.$layer->id, $layer->called().', background', $layer->called())->about($layer->id)->at(array_filter([$subject->reach($layer->id)]))
            ->mendedBy(Mend::by('Even out its light, and clear it from the edge', new AddEffect($layer->id, Lines::of('clear-edge', ['tolerance' => self::TOLERANCE, 'islands' => 'kept']), first: true), $evened));
    }

    private static function standing(Layer $layer, Rim $rim, SheetSubject $subject, bool $mendable): Finding
    {
        $finding = $rim->finding('background:'.$layer->id, $layer->called().', background', $layer->called(), $layer->role->prints() ? 'print as a block' : 'take a block out of the ink')->about($layer->id)->at(array_filter([$subject->reach($layer->id)]));

        return match (true) {
            $mendable => $finding->mendedBy(Mend::by('Clear it from the edge', new AddEffect($layer->id, Lines::of('clear-edge', ['tolerance' => self::TOLERANCE, 'islands' => 'kept']), first: true))),
            $rim->isCut() => $finding->mendedBy(...CutEdges::mends($layer, BoxSide::cases(), $subject)),
            default => $finding,
        };
    }

    private static function clear(Layer $layer): Finding
    {
        return Finding::of(Group::Pictures, 'background:'.$layer->id, $layer->called().', background', Verdict::Pass, 'background off', 'a clear rim', sprintf('%s has a clear rim.', $layer->called()))->about($layer->id);
    }

    /** Remains after clearing: pockets and a halo. */
    private static function remains(Layer $layer, ?Rim $before, SheetSubject $subject): Finding
    {
        $ground = $before !== null && $before->isBackground() ? $before->colour : null;
        // Measured on the upright piece in its own box, so that moving it does not change the result.
        $key = sha1_file(__FILE__).$subject->uprightKey($layer).($ground?->toHex() ?? '');
        /** @var array{int, ?float} $left */
        $left = json_decode($subject->renderer->found("background left $key", function () use ($layer, $ground, $subject): string {
            $drawn = $subject->upright($layer, self::LOOK);
            if ($drawn === null) {
                return '[0, null]';
            }
            $solid = $drawn->alpha()->isMore(127.0)->settled();

            return json_encode([$ground === null ? 0 : count(self::pockets($drawn, $solid, $ground)), self::rimmed($drawn, $solid, $ground ?? Srgb::of(255, 255, 255))], JSON_THROW_ON_ERROR);
        }), true);
        [$pockets, $rim] = $left;
        if ($pockets === 0 && $rim === null) {
            return self::clear($layer);
        }
        $what = array_filter([
            $pockets === 0 ? '' : sprintf('%d enclosed %s of its background %s left', $pockets, $pockets === 1 ? 'part' : 'parts', $pockets === 1 ? 'is' : 'are'),
            $rim === null ? '' : sprintf('a rim of its background (%d %% of its edge) is left about it', round($rim * 100)),
        ]);

        $kept = array_key_last(array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && $line->is() === ClearEdge::class && $line->values->word('islands') === 'kept'));

        return Finding::of(
            Group::Pictures, 'background:'.$layer->id, $layer->called().', background', Verdict::Warn, $pockets === 0 ? 'a rim left' : sprintf('%d %s left', $pockets, $pockets === 1 ? 'pocket' : 'pockets'), 'none left',
            sprintf('Of %s %s.', $layer->called(), implode(', and ', $what)),
        )->about($layer->id)->at(array_filter([$subject->reach($layer->id)]))->mendedBy(...array_filter([
            $pockets === 0 || $kept === null ? null : Mend::by('Clear what it encloses, too', new SetChoice($layer->id, LineList::Effects, $kept, 'islands', 'cleared')),
            $rim === null ? null : Mend::by('Take its edge in a little', new AddEffect($layer->id, Lines::of('edge', ['choke' => 0.012, 'fringe' => 0.02]), first: false)),
        ]));
    }

    /** @return list<array{x: float, y: float, share: float}> */
    private static function pockets(Image $drawn, Image $solid, Srgb $ground): array
    {
        $like = ColourKeys::of($drawn)->difference([$ground])->isLess(self::GROUND * ColourKeys::PER_UNIT)->both($solid)->settled();

        return array_values(array_filter(Pockets::of($like), fn (array $pocket): bool => $pocket['share'] > self::POCKET));
    }

    /** Share of the edge that has the background's colour; null if the colour also continues inside, and so belongs to the picture. */
    private static function rimmed(Image $drawn, Image $solid, Srgb $ground): ?float
    {
        $edge = $solid->both(Morphology::grown($solid->inverted(), 5))->settled();
        $within = $solid->both(Morphology::grown($solid->inverted(), 25)->inverted())->settled();
        $like = ColourKeys::of($drawn)->difference([$ground])->isLess(self::HALO * ColourKeys::PER_UNIT)->settled();
        $share = fn (Image $part): float => $part->area() > 0 ? $part->both($like)->area() / $part->area() : 0.0;
        $rim = $share($edge);

        return $edge->area() < $solid->area() && $rim > self::RIMMED && $share($within) < self::LESS_WITHIN * $rim && $within->area() > 0 ? $rim : null;
    }
}
