<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Edit\Move;
use TallCrow\Edit\Scale;
use TallCrow\Geometry\Box;
use TallCrow\Render\Frame;
use TallCrow\Render\InkBox;

/** Ink in the outermost pixels of the sheet, where art that extends beyond it is cut in a straight line. */
final class EdgeInk implements MendsOnSheet
{
    /** Alpha below this is invisible. */
    private const FAINT = 12.0;

    /** Distance from the edge, in inches, that a mend leaves. */
    private const ROOM = 0.05;

    private const MOST_MENDS = 4;

    private const PPI = 75.0;

    public function picture(PictureSubject $subject): array
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

        return [Finding::of(
            Group::Sheet, 'edge', 'Edges', $touched === [] ? Verdict::Pass : Verdict::Fail,
            $touched === [] ? 'clear' : sprintf('%.2f in cut', $inches),
            'no ink at the edge',
            $touched === [] ? 'No ink touches the edge of the sheet.' : sprintf('Ink touches the %s of the sheet and is cut there.', implode(', ', $touched)),
        )->at($where)];
    }

    public function onSheet(Finding $finding, SheetSubject $subject): Finding
    {
        $layers = self::crossing($subject);
        $finding = $finding->about(...array_map(fn (Layer $layer): string => $layer->id, $layers));

        return $finding->verdict === Verdict::Pass ? $finding : $finding->mendedBy(...array_map(
            fn (Layer $layer): Mend => self::inside($layer, $subject),
            array_slice($layers, 0, self::MOST_MENDS),
        ));
    }

    private static function strip(int $x, int $y, int $width, int $height, PictureSubject $subject): Box
    {
        $box = new Box($x / $subject->ppi, $y / $subject->ppi, ($x + $width) / $subject->ppi, ($y + $height) / $subject->ppi);

        return $box->grown(0.08);
    }

    /** @return list<Layer> top layers that reach beyond the sheet */
    private static function crossing(SheetSubject $subject): array
    {
        $sheet = $subject->artwork->sheet->box();

        return array_values(array_filter($subject->artwork->layers, function (Layer $layer) use ($subject, $sheet): bool {
            $box = $layer->on && $layer->role->prints() ? $subject->reach($layer->id) : null;

            return $box !== null && ($box->left <= 0 || $box->top <= 0 || $box->right >= $sheet->right || $box->bottom >= $sheet->bottom) && self::inksEdge($layer, $subject);
        }));
    }

    /** Whether ink of the piece itself lies in the outermost pixels: its box may be larger than its ink. */
    private static function inksEdge(Layer $layer, SheetSubject $subject): bool
    {
        $frame = Frame::sheet($subject->artwork->sheet, self::PPI);
        $piece = $subject->compositor()->piece($layer->withRole(Role::ink()), $frame);
        if ($piece === null) {
            return false;
        }
        $alpha = $piece->image->alpha()->embed($piece->frame->left, $piece->frame->top, $frame->width, $frame->height)->isMore(self::FAINT)->settled();
        $inner = $alpha->crop(1, 1, $frame->width - 2, $frame->height - 2)->area();

        return $alpha->area() > $inner;
    }

    /** Scales the piece down if it is larger than the sheet, then moves it inside by the least distance. */
    private static function inside(Layer $layer, SheetSubject $subject): Mend
    {
        $reach = InkBox::of(self::alone($layer, $subject->artwork), $subject->renderer) ?? $subject->artwork->sheet->box();
        $own = $subject->renderer->placer->box($layer) ?? $reach;
        $room = $subject->artwork->sheet->box()->grown(-self::ROOM);
        $by = min(1.0, $room->width() / $reach->width(), $room->height() / $reach->height());
        // Its box after scaling about the centre of its ink.
        [$left, $top] = [$own->centreX() + ($reach->left - $own->centreX()) * $by, $own->centreY() + ($reach->top - $own->centreY()) * $by];
        $dx = min(max($left, $room->left), $room->right - $reach->width() * $by) - $left;
        $dy = min(max($top, $room->top), $room->bottom - $reach->height() * $by) - $top;
        $move = new Move([$layer->id], $dx, $dy);
        $says = sprintf('Bring %s inside', $layer->called());

        return $by < 1 ? Mend::by($says, new Scale([$layer->id], $by), $move) : Mend::by($says, $move);
    }

    /** The sheet with only this piece printed; the other layers are kept for masks that refer to them. */
    private static function alone(Layer $layer, Artwork $artwork): Artwork
    {
        return $artwork->withDistress([])->withLayers(array_map(
            fn (Layer $one): Layer => $one->id === $layer->id ? $one->withRole(Role::ink()) : $one->withOn(false),
            $artwork->layers,
        ));
    }
}
