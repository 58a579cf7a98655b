<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Colour\Swatch;
use TallCrow\Geometry\Join;
use TallCrow\Raster\BlendMode;

/**
 * The part of the reader for layers.
 *
 * @internal
 */
final class LayerReader
{
    public const ROLES = ['ink', 'knockout'];

    private const MOST_DEPTH = 8;

    private function __construct(private int $left, private readonly EffectReader $effects) {}

    /** @param  list<Swatch>  $swatches  to which effects may refer */
    public static function of(int $most, array $swatches): self
    {
        return new self($most, EffectReader::of($swatches));
    }

    /** For layers that will be added to a sheet: their references are checked there. */
    public static function ofAnySwatch(int $most): self
    {
        return new self($most, EffectReader::ofAnySwatch());
    }

    /** @return list<Layer> */
    public function layers(Reading $node, string $key, int $depth = 0): array
    {
        $nodes = $node->items($key, 200);
        $this->left -= count($nodes);
        if ($this->left < 0 || $depth > self::MOST_DEPTH) {
            $node->fault('holds too many layers, or groups in groups too deep', $key);

            return [];
        }

        return array_map(fn (Reading $layer): Layer => $this->layer($layer, $depth), $nodes);
    }

    public function layer(Reading $node, int $depth = 0): Layer
    {
        $node = $node->knows('id', 'name', 'on', 'role', 'source', 'placement', 'opacity', 'blend', 'effects', 'masks', 'distress', 'repeat', 'follows');
        $id = $node->id('id');
        $source = SourceReader::read($node->child('source'), fn (Reading $group): array => $this->layers($group, 'layers', $depth + 1));
        if ($source instanceof GroupSource && $node->has('placement')) {
            $node->fault('a group has no place of its own: its layers lie on the sheet', 'placement');
        }

        $layer = $source instanceof GroupSource ? Layer::group($id, $source->layers()) : Layer::piece($id, $source, $this->placement($node->child('placement')));

        if ($layer->placement?->letters !== null && ! $source instanceof TextSource) {
            $node->fault('is sized by its letters, which only words have; give it a width or a height', 'placement');
        }

        return $layer
            ->withName($node->text('name', 80, ''))
            ->withOn($node->flag('on', true))
            ->withRole($node->has('role') ? $this->role($node->child('role')) : Role::ink())
            ->withOpacity($node->number('opacity', 0, 1, 1))
            ->withBlend($node->choice('blend', BlendMode::class, BlendMode::Normal))
            ->withEffects(array_map($this->effects->line(...), $node->items('effects', 40)))
            ->withMasks(array_map(MaskReader::read(...), $node->items('masks', 24)))
            ->withDistress(array_map(ArtworkReader::wear(...), $node->items('distress', 12)))
            ->withRepeat($node->has('repeat') && ! $node->isNull('repeat') ? $this->repeat($node->child('repeat')) : null)
            ->following($node->has('follows') && ! $node->isNull('follows') ? $this->follows($node->child('follows')) : null);
    }

    public function follows(Reading $node): Follows
    {
        $parts = FollowedPart::cases();
        $node = $node->knows('layer', ...array_map(fn (FollowedPart $part): string => $part->value, $parts));
        $layer = $node->id('layer');

        return new Follows($layer, array_values(array_filter($parts, fn (FollowedPart $part): bool => $node->flag($part->value, $part->isUsual()))));
    }

    public function role(Reading $node): Role
    {
        if ($node->word('kind', self::ROLES) === 'ink') {
            $node->knows('kind');

            return Role::ink();
        }
        $node->knows('kind', 'gap', 'join', 'from', 'sets', 'whole');

        [$gap, $join, $from] = [$node->number('gap', 0, Role::MOST_GAP, 0.08), $node->choice('join', Join::class, Join::Round), $node->texts('from', 60, 40)];

        $whole = $node->flag('whole', false);

        return $node->flag('sets', false) ? Role::setInGap($gap, $join, $from, $whole) : Role::knockout($gap, $join, $from, $whole);
    }

    public function placement(Reading $node): Placement
    {
        $node = $node->knows('x', 'y', 'width', 'height', 'turn', 'flip', 'capitals', 'em');
        [$width, $height, $capitals, $em] = array_map(fn (string $key): ?float => $node->isNull($key) ? null : $node->number($key, 0.01, 100), ['width', 'height', 'capitals', 'em']);
        $ways = ($capitals === null ? 0 : 1) + ($em === null ? 0 : 1) + ($width === null && $height === null ? 0 : 1);
        if ($ways === 0) {
            $node->fault('has neither a width nor a height; one of them is needed', 'width');
        } elseif ($ways > 1) {
            $node->fault('is sized in several ways: by the ink\'s width or height, by capitals or by the em; keep one of them', $capitals === null ? 'em' : 'capitals');
        }

        return new Placement(
            $node->number('x', -100, 100),
            $node->number('y', -100, 100),
            $width,
            $height,
            $node->number('turn', -360, 360, 0),
            $node->choice('flip', Flip::class, Flip::None),
            $capitals !== null ? LetterSize::Capitals : ($em !== null ? LetterSize::Em : null),
            $capitals ?? $em ?? 0.0,
        );
    }

    public function repeat(Reading $node): Repeat
    {
        $node = $node->knows('kind', 'x', 'y', 'count', 'facing', 'stepX', 'stepY', 'size', 'changed', 'as', 'colour', 'on');

        return Repeat::about($node->choice('kind', RepeatKind::class), $node->number('x', -100, 100), $node->number('y', -100, 100))
            ->withCopies($node->integer('count', 1, Repeat::MOST, 8), $node->choice('facing', Facing::class, Facing::Turned))
            ->stepping($node->number('stepX', -100, 100, 0), $node->number('stepY', -100, 100, 1), $node->number('size', 0.2, 3, 1))
            ->changing($node->integer('changed', 0, Repeat::MOST, 0), $node->choice('as', CopyAs::class, CopyAs::Same), $node->colour('colour', '#f3ead7')->toHex())
            ->switched($node->flag('on', true));
    }
}
