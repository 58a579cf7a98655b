<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Edit\Move;
use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;

/** Whether the whole design hangs in the middle of the sheet: the box about its ink, and where its weight lies. */
final class Centred implements MendsOnSheet
{
    /** Inches: less is not seen on a shirt, more is taken as meant (our choice; a printer's own tolerance is about 0.1). */
    private const SEEN = 0.03;

    private const MEANT = 0.5;

    /** Pixels to the inch that are looked at, or more. */
    private const LOOK = 100.0;

    /** Of the sheet's width: a small print to one side is meant to be there. */
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
                ? sprintf('The design as a whole hangs %.2f in to the %s of the middle; its weight lies %.2f in to the %s.', abs($off), $off > 0 ? 'right' : 'left', abs($weight), $weight > 0 ? 'right' : 'left')
                : sprintf('The ink\'s box hangs %.2f in from the middle of the sheet, its weight %.2f in to the %s.', abs($off), abs($weight), $weight > 0 ? 'right' : 'left'),
        )->at($isOff ? [new Box($box[0] / $ppi, $box[1] / $ppi, ($box[0] + $box[2]) / $ppi, ($box[1] + $box[3]) / $ppi)] : [])];
    }

    public function onSheet(Finding $finding, SheetSubject $subject): Finding
    {
        $box = $finding->where[0] ?? null;
        $ids = array_map(fn (Layer $layer): string => $layer->id, $subject->artwork->layers);

        return $finding->verdict === Verdict::Pass || $box === null || $ids === [] ? $finding : $finding->mendedBy(Mend::by(
            'Move all of it to the middle', new Move($ids, round($subject->artwork->sheet->box()->centreX() - $box->centreX(), 4), 0.0),
        ));
    }

    /** The mean place of the ink across, in pixels. */
    private static function weight(Image $picture): float
    {
        $columns = array_values((array) unpack('C*', $picture->alpha()->operation('shrink', [1.0, (float) $picture->height()])->toBytes()));
        $all = max(1, array_sum($columns));

        return array_sum(array_map(fn (int $level, int $x): float => $level * ($x + 0.5), $columns, array_keys($columns))) / $all;
    }
}
