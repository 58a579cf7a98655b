<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Edit\CoverCut;
use TallCrow\Edit\CoverWith;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\BoxSide;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;

/** Art that ends in a straight line which neither the sheet's edge nor another piece explains: a bust cut off at the chest, a branch at its file's edge. */
final class FlatCuts implements ChecksSheet
{
    private const LOOK = 300.0;

    /** Inches beyond the cut in which another piece may cover or carry it. */
    private const NEAR = 0.12;

    private const PPI = 60.0;

    /** Spots along and across the strip about the cut that are looked at, and the share of them that must be ink. */
    private const ALONG = 60;

    private const ACROSS = 3;

    private const EXPLAINED = 0.6;

    /** The same of what lies beyond the line alone. */
    private const CARRIED = 0.8;

    public function sheet(SheetSubject $subject): array
    {
        $findings = [];
        foreach ($subject->artwork->layers as $i => $layer) {
            $sides = $layer->on && $layer->role->prints() ? self::cut($layer, $subject) : [];
            $left = array_values(array_filter($sides, fn (BoxSide $side): bool => ! self::isExplained($layer, $i, $side, $subject)));
            if ($left !== []) {
                $findings[] = self::finding($layer, $left, $subject);
            }
        }

        return $findings;
    }

    /** @param  non-empty-list<BoxSide>  $sides */
    private static function finding(Layer $layer, array $sides, SheetSubject $subject): Finding
    {
        $called = array_map(fn (BoxSide $side): string => $side->value, $sides);
        $mends = CutEdges::mends($layer, $sides, $subject);
        if (count($sides) === 1 && $subject->renderer->placer->box($layer) !== null) {
            array_push($mends, Mend::by('Carry it on by its mirror picture', new CoverCut($layer->id, $sides[0], CoverWith::Patch)), Mend::by('Stand it on a bar', new CoverCut($layer->id, $sides[0], CoverWith::Base)));
        }

        return Finding::of(
            Group::Composition, 'cut:'.$layer->id, $layer->called().', cut', Verdict::Warn, implode(', ', $called), 'no straight cut',
            sprintf('%s ends in a straight line at its %s, as its file does. A ragged or soft edge, its own mirror picture or a piece under it makes that look meant.', $layer->called(), implode(' and ', $called)),
        )->about($layer->id)->at(array_filter([$subject->renderer->placer->box($layer)]))->mendedBy(...$mends);
    }

    /** @return list<BoxSide> of the piece as it lies on the sheet, its turn apart */
    private static function cut(Layer $layer, SheetSubject $subject): array
    {
        $art = $layer->picture();
        if ($art === null || $layer->liveMasks() !== []) {
            return [];
        }
        try {
            $picture = $subject->shelf->picture($art->file);
            $rim = $picture->isVector() ? null : $subject->rim($layer, self::LOOK);
        } catch (AssetUnusable) {
            return [];
        }

        // What fills its rectangle all round is told elsewhere.
        return $rim === null || $rim->isCut() ? [] : array_map(fn (string $side): BoxSide => CutEdges::mirrored(BoxSide::from($side), $layer), $rim->cutSides());
    }

    /** Whether the cut lies at the sheet's edge, under another piece, or on one that goes on beyond it. */
    private static function isExplained(Layer $layer, int $at, BoxSide $side, SheetSubject $subject): bool
    {
        $placement = $layer->placement;
        $box = $subject->renderer->placer->box($layer->spun(-($placement->turn ?? 0.0)));
        if ($box === null || $placement === null) {
            return false;
        }
        $turn = Affine::shift(-$placement->x, -$placement->y)->then(Affine::turn($placement->turn))->then(Affine::shift($placement->x, $placement->y));
        $spots = [];
        foreach (range(-self::ACROSS, self::ACROSS) as $row) {
            for ($i = 0.5; $i < self::ALONG; $i++) {
                [$x, $y] = $side->point($i / self::ALONG, self::NEAR * $row / self::ACROSS / $side->depth($box->width(), $box->height()));
                $spots[] = $turn->apply($box->left + $x * $box->width(), $box->top + $y * $box->height());
            }
        }
        [$xs, $ys] = [array_column($spots, 0), array_column($spots, 1)];
        $strip = new Box(min($xs), min($ys), max($xs), max($ys));
        $sheet = $subject->artwork->sheet->box();
        if ($strip->left <= 0.02 || $strip->top <= 0.02 || $strip->right >= $sheet->right - 0.02 || $strip->bottom >= $sheet->bottom - 0.02) {
            return true;
        }
        $frame = Frame::about($strip, self::PPI);
        if ($frame === null) {
            return false;
        }
        $compositor = $subject->compositor();
        $all = Image::empty($frame->width, $frame->height, 1);
        foreach ($subject->artwork->layers as $i => $other) {
            $piece = $i !== $at && $other->on && $other->role->prints() ? $compositor->piece($other->withRole(Role::ink()), $frame) : null;
            if ($piece !== null) {
                $all = $all->lighter($piece->image->alpha()->embed($piece->frame->left - $frame->left, $piece->frame->top - $frame->top, $frame->width, $frame->height));
            }
        }
        $bytes = $all->settled()->toBytes();
        $hits = array_map(fn (array $spot): int => ord($bytes[self::index($spot, $frame)]) > 127 ? 1 : 0, $spots);

        // The first half lies beyond the line: what goes on there without a gap carries the piece.
        return array_sum($hits) > self::EXPLAINED * count($hits) || array_sum(array_slice($hits, 0, self::ACROSS * self::ALONG)) > self::CARRIED * self::ACROSS * self::ALONG;
    }

    /** @param  array{float, float}  $spot  inches on the sheet */
    private static function index(array $spot, Frame $frame): int
    {
        [$x, $y] = [(int) ($spot[0] * $frame->ppi) - $frame->left, (int) ($spot[1] * $frame->ppi) - $frame->top];

        return max(0, min($frame->height - 1, $y)) * $frame->width + max(0, min($frame->width - 1, $x));
    }
}
