<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Edit\Shield;
use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Texture\Wear;
use TallCrow\Type\Letter;

/** Whether each word can still be read once wear has taken its share: of every letter what was lost, and the thinnest stroke left. */
final class WornWords implements ChecksSheet
{
    private const PPI = 150.0;

    /** A stroke is as thin as the square that, opened with, loses this share of the ink. */
    private const OPENED = 0.15;

    private const MOST = 12;

    public function sheet(SheetSubject $subject): array
    {
        [$artwork, $renderer] = [$subject->artwork, $subject->renderer];
        $sheetWear = array_values(array_filter($artwork->distress, fn (Wear $wear): bool => $wear->on));
        $frame = Frame::sheet($artwork->sheet, self::PPI);
        $compositor = $subject->compositor();
        $findings = [];
        foreach ($artwork->layers as $layer) {
            $wears = array_values(array_filter($sheetWear, fn (Wear $wear): bool => ! in_array($layer->id, $wear->shielded, true)));
            if (! $layer->on || ! $layer->role->prints() || ! $layer->isWords() || $layer->repeat?->on || ($wears === [] && $layer->liveDistress() === [])) {
                continue;
            }
            $ink = $layer->withRole(Role::ink())->withOpacity(1.0);
            $whole = $compositor->piece($ink->withDistress([]), $frame);
            $worn = $compositor->piece($ink, $frame);
            if ($whole === null || $worn === null) {
                continue;
            }
            $left = $worn->image->alpha()->settled();
            foreach ($wears as $wear) {
                $taken = $compositor->takenBy($wear, [], $worn->frame, $compositor->wornInk($artwork->layers, $wear, $left));
                $left = $left->times($taken->inverted())->settled();
            }
            array_push($findings, ...$this->words($layer, $renderer->placer->place($layer)->letters ?? [], $whole, $worn->with($left), $artwork));
        }

        return array_slice($findings, 0, self::MOST);
    }

    /**
     * @param  list<Letter>  $letters
     * @return list<Finding>
     */
    private function words(Layer $layer, array $letters, Piece $whole, Piece $left, Artwork $artwork): array
    {
        $words = [];
        foreach ($letters as $letter) {
            $words[$letter->word][] = $letter;
        }
        $findings = [];
        foreach ($words as $number => $of) {
            $lost = max([0.0, ...array_map(fn (Letter $letter): float => $this->lost($letter->path->bounds(), $whole, $left), $of)]);
            $box = Letter::together($of)->bounds();
            $thin = $this->thinnest($box, $left);
            $limits = $artwork->limits;
            $gone = $lost > $limits->letterLost || ($thin !== null && $thin < $limits->stroke);
            $called = implode('', array_map(fn (Letter $letter): string => $letter->characters, $of));
            $finding = Finding::of(
                Group::Wear, 'word:'.$layer->id.':'.$number, $called, $gone ? Verdict::Fail : Verdict::Pass,
                sprintf('%d %% · %.3f in', round($lost * 100), $thin ?? 0.0), sprintf('%d %% · %.3f in', round($limits->letterLost * 100), $limits->stroke),
                sprintf('Of one letter of %s wear took %d %%; the thinnest stroke that is left is %.3f in.', $called, round($lost * 100), $thin ?? 0.0),
            )->at([$box])->about($layer->id);
            $findings[] = $gone ? $finding->mendedBy(Mend::by(sprintf('Shield %s', $layer->called()), new Shield($layer->id))) : $finding;
        }

        return $findings;
    }

    private function lost(Box $box, Piece $whole, Piece $left): float
    {
        $frame = Frame::about($box, self::PPI);
        $before = $frame === null ? null : $whole->cut($frame);
        $after = $frame === null ? null : $left->cut($frame);
        $area = $before?->image->alpha()->area() ?? 0.0;

        return $area <= 0 ? 0.0 : max(0.0, 1 - ($after?->image->area() ?? 0.0) / $area);
    }

    /** Inches; null where nothing is left. */
    private function thinnest(Box $box, Piece $left): ?float
    {
        $frame = Frame::about($box, self::PPI);
        $cut = $frame === null ? null : $left->cut($frame);
        if ($cut === null) {
            return null;
        }
        $ink = $cut->image->isMore(127.0)->embed(8, 8, $cut->frame->width + 16, $cut->frame->height + 16)->settled();
        $area = $ink->area();
        if ($area <= 0) {
            return null;
        }
        foreach ([3, 5, 7, 9, 13] as $side) {
            if (1 - self::opened($ink, $side)->area() / $area > self::OPENED) {
                return ($side - 1) / self::PPI;
            }
        }

        return 13 / self::PPI;
    }

    private static function opened(Image $ink, int $side): Image
    {
        return Morphology::dilated(Morphology::eroded($ink, $side), $side);
    }
}
