<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Edit\Move;
use TallCrow\Effect\Ink\Shadow;
use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;

/** Whether the whole design is centred on the sheet, by the bounding box of its ink and by its centre of gravity. */
final class Centred implements MendsOnSheet
{
    /**
     * Offsets in inches between these bounds are told: smaller ones are not seen on a shirt, larger ones count as intended (our choice; a printer's tolerance
     * is about 0.1).
     */
    private const SEEN = 0.03;

    private const MEANT = 0.5;

    /** Least ppi at which it is measured. */
    private const LOOK = 100.0;

    /** Designs narrower than this share of the sheet are not checked: a small print at one side is intended. */
    private const WIDE = 0.4;

    public function picture(PictureSubject $subject): array
    {
        $every = max(1, (int) floor($subject->ppi / self::LOOK));
        $ppi = $subject->ppi / $every;
        $picture = $every === 1 ? $subject->picture : $subject->picture->subsampled($every)->settled();
        $box = $picture->alpha()->isMore(12.0)->settled()->inkBox();
        if ($box === null) {
            return [];
        }
        $width = $subject->picture->width() / $subject->ppi;
        $off = ($box[0] + $box[2] / 2) / $ppi - $width / 2;
        $weight = self::weight($picture) / $ppi - $width / 2;
        $isOff = abs($off) > self::SEEN && abs($off) < self::MEANT && self::WIDE * $width < $box[2] / $ppi;

        return [Finding::of(
            Group::Composition, 'centre', 'Centre', $isOff ? Verdict::Warn : Verdict::Pass, sprintf('%.2f in off', abs($off)), sprintf('%.2f in', self::SEEN),
            $isOff
                ? sprintf('The design as a whole hangs %.2f in to the %s of the middle; its weight lies %s.', abs($off), $off > 0 ? 'right' : 'left', self::aside($weight))
                : sprintf('The ink\'s box hangs %.2f in from the middle of the sheet, its weight %s.', abs($off), self::aside($weight)),
        )->at($isOff ? [new Box($box[0] / $ppi, $box[1] / $ppi, ($box[0] + $box[2]) / $ppi, ($box[1] + $box[3]) / $ppi)] : [])];
    }

    private static function aside(float $by): string
    {
        return round($by, 2) == 0.0 ? 'in the middle' : sprintf('%.2f in to the %s', abs($by), $by > 0 ? 'right' : 'left');
    }

    public function onSheet(Finding $finding, SheetSubject $subject): Finding
    {
        $ink = $finding->where[0] ?? null;
        $boxes = array_filter(array_map(fn (Layer $layer): ?Box => $layer->on && $layer->role->prints() ? $subject->renderer->placer->box($layer) : null, $subject->artwork->layers));
        if ($finding->verdict === Verdict::Pass || $ink === null || $boxes === []) {
            return $finding;
        }
        $middle = $subject->artwork->sheet->box()->centreX();
        // Uneven wear and shadows do not count as an offset.
        if (($subject->artwork->isWorn() || self::hasShadow($subject)) && abs(self::around($boxes)->centreX() - $middle) <= self::SEEN) {
            return Finding::of($finding->group, $finding->key, $finding->word, Verdict::Pass, $finding->figure, $finding->limit, 'But for its shadows and its wear the design hangs in the middle of the sheet.');
        }
        $mend = self::mend($ink, $boxes, $middle, $subject->artwork->layers);

        return $mend === null ? $finding : $finding->mendedBy($mend);
    }

    /**
     * Moves the whole design; but if some piece is centred already and would be moved off centre, moves only the piece that pulls the design aside.
     *
     * @param  non-empty-array<int, Box>  $boxes  boxes by layer index
     * @param  list<Layer>  $layers
     */
    private static function mend(Box $ink, array $boxes, float $middle, array $layers): ?Mend
    {
        $by = round($middle - $ink->centreX(), 4);
        $off = array_map(fn (Box $box): float => $middle - $box->centreX(), $boxes);
        if (abs($by) > NearlyAligned::MEANT || array_filter($off, fn (float $own): bool => abs($own) < NearlyAligned::SEEN) === []) {
            return Mend::by('Move all of it to the middle', new Move(array_map(fn (Layer $layer): string => $layer->id, $layers), $by, 0.0));
        }
        foreach ($boxes as $i => $box) {
            if (abs($off[$i]) > self::SEEN && abs(self::around([$box->moved($off[$i], 0.0), ...array_diff_key($boxes, [$i => $box])])->centreX() - $middle) <= self::SEEN) {
                return Mend::by(sprintf('Move %s to the middle', $layers[$i]->called()), new Move([$layers[$i]->id], round($off[$i], 4), 0.0));
            }
        }

        return null;
    }

    private static function hasShadow(SheetSubject $subject): bool
    {
        $lines = array_merge([], ...array_map(fn (Layer $layer): array => $layer->on ? $layer->effects : [], [...$subject->artwork->everyLayer()]));

        return array_filter($lines, fn (EffectLine $line): bool => $line->on && $line->kind === Shadow::kind()) !== [];
    }

    /** @param  non-empty-array<Box>  $boxes */
    private static function around(array $boxes): Box
    {
        return array_reduce($boxes, fn (?Box $all, Box $one): Box => $all?->union($one) ?? $one) ?? new Box(0, 0, 0, 0);
    }

    /** Horizontal centre of gravity of the ink, in pixels. */
    private static function weight(Image $picture): float
    {
        $columns = array_values((array) unpack('C*', $picture->alpha()->operation('shrink', [1.0, (float) $picture->height()])->toBytes()));
        $all = max(1, array_sum($columns));

        return array_sum(array_map(fn (int $level, int $x): float => $level * ($x + 0.5), $columns, array_keys($columns))) / $all;
    }
}
