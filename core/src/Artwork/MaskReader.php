<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Mask\BrushMask;
use TallCrow\Mask\ClipMask;
use TallCrow\Mask\FreehandMask;
use TallCrow\Mask\Joining;
use TallCrow\Mask\Mask;
use TallCrow\Mask\MaskRings;
use TallCrow\Mask\MaskShape;
use TallCrow\Mask\PictureMask;
use TallCrow\Mask\ShapeMask;
use TallCrow\Mask\Stroke;
use TallCrow\Mask\Symmetry;
use TallCrow\Mask\Usual;

/**
 * The part of the reader for masks and strokes.
 *
 * @internal
 */
final class MaskReader
{
    private const USUAL = ['kind', 'inverted', 'joining', 'on', 'rings'];

    /** How far a point may lie outside the box, as a fraction of its size. */
    private const REACH = 12.0;

    /** @return non-empty-list<string> */
    public static function kinds(): array
    {
        return [...array_map(fn (MaskShape $shape): string => $shape->value, MaskShape::cases()), 'freehand', 'brush', 'clip', 'picture'];
    }

    public static function read(Reading $node): Mask
    {
        $kind = $node->word('kind', self::kinds());
        switch ($kind) {
            case 'freehand':
                $node->knows('points', 'feather', ...self::USUAL);

                return new FreehandMask($node->points('points', FreehandMask::MOST_POINTS, self::REACH), $node->number('feather', 0, Mask::MOST_FEATHER, 0), self::usual($node));
            case 'brush':
                $node->knows('strokes', ...self::USUAL);

                return new BrushMask(self::strokes($node, 'strokes'), self::usual($node));
            case 'clip':
                $node->knows('layer', ...self::USUAL);

                return new ClipMask($node->text('layer', 40), self::usual($node));
            case 'picture':
                $node->knows('file', 'scale', 'x', 'y', 'turn', ...self::USUAL);

                return new PictureMask(
                    $node->asset('file'), self::usual($node),
                    $node->number('scale', 0.05, 20, 1), $node->number('x', -100, 100, 0), $node->number('y', -100, 100, 0), $node->number('turn', -360, 360, 0),
                );
            default:
                $node->knows('x', 'y', 'width', 'height', 'feather', 'count', ...self::USUAL);

                return new ShapeMask(
                    MaskShape::from($kind),
                    $node->number('x', -5, 5, 0.5),
                    $node->number('y', -5, 5, 0.5),
                    $node->number('width', 0.01, 10, 1),
                    $node->number('height', 0.01, 10, 1),
                    $node->number('feather', 0, Mask::MOST_FEATHER, 0),
                    $node->integer('count', 3, 60, 5),
                    self::usual($node),
                );
        }
    }

    /** @return list<Stroke> */
    public static function strokes(Reading $node, string $key): array
    {
        return array_map(self::stroke(...), $node->items($key, BrushMask::MOST_STROKES));
    }

    public static function stroke(Reading $node): Stroke
    {
        $node->knows('points', 'width', 'hardness', 'restores', 'symmetry', 'count');

        return new Stroke(
            $node->points('points', Stroke::MOST_POINTS, Stroke::REACH),
            $node->number('width', Stroke::LEAST_WIDTH, Stroke::MOST_WIDTH, 0.3),
            $node->number('hardness', 0, 1, 1),
            $node->flag('restores', false),
            $node->choice('symmetry', Symmetry::class, Symmetry::None),
            $node->integer('count', 2, 60, 6),
        );
    }

    private static function usual(Reading $node): Usual
    {
        return new Usual($node->flag('inverted', false), $node->choice('joining', Joining::class, Joining::Within), $node->flag('on', true), $node->choice('rings', MaskRings::class, MaskRings::Cut));
    }
}
