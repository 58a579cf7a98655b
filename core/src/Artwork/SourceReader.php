<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Mask\Symmetry;
use TallCrow\Type\Alignment;

/**
 * The part of the reader for the content of layers.
 *
 * @internal
 */
final class SourceReader
{
    public const KINDS = ['text', 'art', 'shape', 'grid', 'drawn', 'group'];

    private const MOST_TEXT = 10_000;

    public static function stroke(Reading $node): InkStroke
    {
        $node->knows('points', 'width', 'tip', 'symmetry', 'count', 'seed');

        return new InkStroke(
            $node->points('points', InkStroke::MOST_POINTS, 200),
            $node->number('width', 0.005, 20, 0.2),
            $node->choice('tip', Tip::class, Tip::Round),
            $node->choice('symmetry', Symmetry::class, Symmetry::None),
            $node->integer('count', 2, 60, 6),
            $node->integer('seed', 0, 999_999, 1),
        );
    }

    /** @param  \Closure(Reading): list<Layer>  $layers  reads the layers of a group */
    public static function read(Reading $node, \Closure $layers): Source
    {
        switch ($node->word('kind', self::KINDS)) {
            case 'text':
                $node->knows('kind', 'text', 'font', 'align', 'leading');

                return new TextSource(
                    $node->text('text', self::MOST_TEXT),
                    $node->asset('font'),
                    $node->choice('align', Alignment::class, Alignment::Centre),
                    $node->number('leading', 0.3, 4, 1),
                );
            case 'art':
                $node->knows('kind', 'file', 'frame');

                return new ArtSource($node->asset('file'), $node->choice('frame', Framing::class, Framing::Ink));
            case 'shape':
                $node->knows('kind', 'shape', 'count', 'share');

                return new ShapeSource($node->choice('shape', Shape::class), $node->integer('count', 3, 60, 5), $node->number('share', 0.01, 0.99, 0.5));
            case 'grid':
                $node->knows('kind', 'columns', 'rows', 'gap');

                return new GridSource($node->integer('columns', 1, 12, 2), $node->integer('rows', 1, 12, 2), $node->number('gap', 0, 10, 0.2));
            case 'drawn':
                $node->knows('kind', 'ink');

                return new DrawnSource(array_map(self::stroke(...), $node->items('ink', DrawnSource::MOST_STROKES)));
            default:
                $node->knows('kind', 'layers');

                return new GroupSource($layers($node));
        }
    }
}
