<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Edit\AddEffect;
use TallCrow\Edit\AddMask;
use TallCrow\Geometry\Box;
use TallCrow\Mask\MaskShape;
use TallCrow\Mask\ShapeMask;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;

/** Art that ends in a straight line which neither the sheet's edge nor another piece explains: a bust cut off at the chest, a branch at its file's edge. */
final class FlatCuts implements ChecksSheet
{
    private const LOOK = 300.0;

    /** Inches beyond the cut in which another piece may cover or carry it. */
    private const NEAR = 0.12;

    private const PPI = 60.0;

    public function sheet(SheetSubject $subject): array
    {
        $findings = [];
        foreach ($subject->artwork->layers as $i => $layer) {
            $sides = $layer->on && $layer->role->prints() ? self::cut($layer, $subject) : [];
            $left = array_values(array_filter($sides, fn (string $side): bool => ! self::isExplained($layer, $i, $side, $subject)));
            if ($left !== []) {
                $findings[] = Finding::of(
                    Group::Composition, 'cut:'.$layer->id, $layer->called().', cut', Verdict::Warn, implode(', ', $left), 'no straight cut',
                    sprintf('%s ends in a straight line at its %s, as its file does. A ragged or soft edge, or a piece under it, makes that look meant.', $layer->called(), implode(' and ', $left)),
                )->about($layer->id)->at(array_filter([$subject->renderer->placer->box($layer)]))->mendedBy(
                    Mend::by('Fade its edge in a soft oval of dots', new AddMask($layer->id, new ShapeMask(MaskShape::Ellipse, 0.5, 0.5, 1.0, 1.0, 0.3)), new AddEffect($layer->id, Lines::of('halftone', []), first: false)),
                );
            }
        }

        return $findings;
    }

    /** @return list<string> */
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
        return $rim === null || $rim->isCut() ? [] : $rim->cutSides();
    }

    /** Whether the cut lies at the sheet's edge, under another piece, or on one that goes on beyond it. */
    private static function isExplained(Layer $layer, int $at, string $side, SheetSubject $subject): bool
    {
        $box = $subject->renderer->placer->box($layer);
        $sheet = $subject->artwork->sheet->box();
        if ($box === null || abs(fmod($layer->placement->turn ?? 0.0, 360.0)) > 0.01) {
            return false;
        }
        $strip = match ($side) {
            'top' => new Box($box->left, $box->top - self::NEAR, $box->right, $box->top + self::NEAR),
            'bottom' => new Box($box->left, $box->bottom - self::NEAR, $box->right, $box->bottom + self::NEAR),
            'left' => new Box($box->left - self::NEAR, $box->top, $box->left + self::NEAR, $box->bottom),
            default => new Box($box->right - self::NEAR, $box->top, $box->right + self::NEAR, $box->bottom),
        };
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

        return $all->isMore(127.0)->mean() / 255 > 0.6;
    }
}
