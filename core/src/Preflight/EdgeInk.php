<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Geometry\Box;

/** Ink in the outermost pixels of the sheet, where art that runs on is cut in a straight line. */
final class EdgeInk implements Check
{
    /** Of 255: fainter than this is no ink to the eye. */
    private const FAINT = 12.0;

    /** Room that a mend leaves to the edge, inches. */
    private const ROOM = 0.05;

    public function run(Subject $subject): array
    {
        $alpha = $subject->picture->alpha();
        [$w, $h] = [$alpha->width(), $alpha->height()];
        $sides = ['top' => [0, 0, $w, 1], 'right' => [$w - 1, 0, 1, $h], 'bottom' => [0, $h - 1, $w, 1], 'left' => [0, 0, 1, $h]];
        $touched = $where = [];
        $inches = 0.0;
        foreach ($sides as $side => [$x, $y, $width, $height]) {
            $ink = $alpha->crop($x, $y, $width, $height)->isMore(self::FAINT)->settled();
            $box = $ink->inkBox();
            if ($box !== null) {
                $touched[] = $side;
                $inches += $ink->area() / $subject->ppi;
                $where[] = self::strip($x + $box[0], $y + $box[1], $box[2], $box[3], $subject);
            }
        }
        $layers = $this->crossing($subject);

        return [new Finding(
            'edge', 'Edges', $touched === [] ? Verdict::Pass : Verdict::Fail,
            $touched === [] ? 'clear' : sprintf('%.2f in cut', $inches),
            'no ink at the edge',
            $touched === [] ? 'No ink touches the edge of the sheet.' : sprintf('Ink touches the %s of the sheet and is cut there.', implode(', ', $touched)),
            $where,
            array_map(fn (Layer $l): string => $l->id, $layers),
            $touched === [] ? [] : array_map(fn (Layer $l): Mend => new Mend(
                sprintf('Bring %s inside', $l->called()),
                fn (Artwork $a): Artwork => self::inside($a, $l->id, $subject),
            ), array_slice($layers, 0, 4)),
        )];
    }

    private static function strip(int $x, int $y, int $width, int $height, Subject $subject): Box
    {
        $box = new Box($x / $subject->ppi, $y / $subject->ppi, ($x + $width) / $subject->ppi, ($y + $height) / $subject->ppi);

        return $box->grown(0.08);
    }

    /** @return list<Layer> top layers that reach beyond the sheet */
    private function crossing(Subject $subject): array
    {
        $sheet = $subject->artwork?->sheet->box();
        $crossing = [];
        foreach ($subject->artwork->layers ?? [] as $layer) {
            $box = $layer->on && ! $layer->role->knockout ? $subject->renderer?->placer->reach($layer) : null;
            if ($box !== null && $sheet !== null && ($box->left <= 0 || $box->top <= 0 || $box->right >= $sheet->right || $box->bottom >= $sheet->bottom)) {
                $crossing[] = $layer;
            }
        }

        return $crossing;
    }

    /** Sized down if it is larger than the sheet, then moved in by the least that is needed. */
    private static function inside(Artwork $artwork, string $id, Subject $subject): Artwork
    {
        $layer = $artwork->layer($id);
        $box = $layer === null ? null : $subject->renderer?->placer->reach($layer);
        if ($layer === null || $box === null) {
            return $artwork;
        }
        $room = $artwork->sheet->box()->grown(-self::ROOM);
        $by = min(1.0, $room->width() / $box->width(), $room->height() / $box->height());
        $layer = $layer->scaled($by, $box->centreX(), $box->centreY());
        [$halfWidth, $halfHeight] = [$box->width() * $by / 2, $box->height() * $by / 2];
        $x = min(max($box->centreX(), $room->left + $halfWidth), $room->right - $halfWidth);
        $y = min(max($box->centreY(), $room->top + $halfHeight), $room->bottom - $halfHeight);

        return $artwork->withLayer($id, $layer->moved($x - $box->centreX(), $y - $box->centreY()));
    }
}
