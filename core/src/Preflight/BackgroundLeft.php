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
 * What is left of the background of placed art: all of it, a rectangle within it, pockets that the picture encloses, or a rim of it about what was
 * freed. It is judged on the piece as its retouching and masks leave it, before looks, rings and wear.
 */
final class BackgroundLeft implements ChecksSheet
{
    /** CIEDE2000 of the mend: enough for the noise of a photo (our choice). */
    private const TOLERANCE = 14.0;

    /** Pixels of the longer side of the piece as it is looked at. */
    private const LOOK = 600.0;

    /** CIEDE2000 within which what is left is the ground's own colour. */
    private const GROUND = 3.5;

    /** Of a rim, which is mixed with what it lies about. */
    private const HALO = 12.0;

    /** Share of the edge that is of the ground's colour where a rim of it was left, and how many times less there must be of it further in. */
    private const RIMMED = 0.3;

    private const LESS_WITHIN = 0.4;

    /** Share of the picture from which on a pocket matters. */
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
            // A drawing may well be a plate to its edges; one on white paper is a picture on its ground.
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

    /** The rim of a raster's file as it is, or in even light where a line of the piece makes it so. */
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

    /** The rim of the upright piece in even light, where it stands on a ground of one material that light and shadow lie on; null otherwise. */
    private static function inEvenLight(Layer $layer, SheetSubject $subject): ?Rim
    {
        $kept = $subject->renderer->found('even rim '.self::code().$subject->uprightKey($layer), function () use ($layer, $subject): string {
            $drawn = $subject->upright($layer, self::LOOK);
            // Its outermost pixels are soft, as it is drawn.
            $drawn = $drawn?->crop(1, 1, $drawn->width() - 2, $drawn->height() - 2)->settled();
            $field = $drawn === null ? null : FlatField::of($drawn);

            return serialize($drawn === null || $field === null || ! $field->isOfOneColour() ? null : Rim::of($field->evened($drawn, 1.0)->settled()));
        });
        $rim = unserialize($kept, ['allowed_classes' => [Rim::class, Srgb::class]]);

        return $rim instanceof Rim && $rim->isBackground() ? $rim : null;
    }

    /** On its ground in uneven light: what is like its rim all round would take parts of the art, too. */
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

    /** What is left where it was cleared: pockets of the ground, and a rim of it. */
    private static function remains(Layer $layer, ?Rim $before, SheetSubject $subject): Finding
    {
        $ground = $before !== null && $before->isBackground() ? $before->colour : null;
        // Of the piece as it lies upright in its own box: a move changes nothing of it.
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

    /** Share of the edge that is of the ground's colour, when that is a rim and not the picture itself. */
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
