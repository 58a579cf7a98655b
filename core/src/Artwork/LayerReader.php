<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\Catalogue;
use TallCrow\Effect\Join;
use TallCrow\Effect\ParameterKind;
use TallCrow\Effect\Values;
use TallCrow\Mask\MaskShape;
use TallCrow\Mask\ShapeMask;
use TallCrow\Raster\BlendMode;
use TallCrow\Type\Alignment;

/**
 * The part of the reader that knows layers.
 *
 * @internal
 */
final class LayerReader
{
    private const MOST_TEXT = 10_000;

    private const MOST_DEPTH = 8;

    /** A file name of its folder: no path, no hidden file. */
    private const ASSET = '/^[A-Za-z0-9][A-Za-z0-9._ -]{0,119}$/';

    public function __construct(private int $left) {}

    /** @return list<Layer> */
    public function layers(Node $node, string $key, int $depth = 0): array
    {
        $nodes = $node->items($key, 200);
        $this->left -= count($nodes);
        if ($this->left < 0 || $depth > self::MOST_DEPTH) {
            $node->fault('holds too many layers, or groups in groups too deep', $key);

            return [];
        }

        return array_map(fn (Node $layer): Layer => $this->layer($layer, $depth), $nodes);
    }

    private function layer(Node $node, int $depth): Layer
    {
        $node = $node->knows('id', 'name', 'on', 'role', 'source', 'placement', 'opacity', 'blend', 'effects', 'masks', 'distress');
        $id = $node->text('id', 40);
        if (preg_match('/^[A-Za-z0-9_-]{1,40}$/', $id) !== 1) {
            $node->fault('must be 1 to 40 letters, digits, - or _', 'id');
        }
        $source = $this->source($node->child('source'), $depth);
        if ($source instanceof GroupSource && $node->has('placement')) {
            $node->fault('a group has no place of its own: its layers lie on the sheet', 'placement');
        }

        return new Layer(
            $id,
            $node->text('name', 80, ''),
            $node->flag('on', true),
            $node->has('role') ? $this->role($node->child('role')) : Role::ink(),
            $source,
            $source instanceof GroupSource ? null : $this->placement($node->child('placement')),
            $node->number('opacity', 0, 1, 1),
            $node->choice('blend', BlendMode::class, BlendMode::Normal),
            array_map($this->effect(...), $node->items('effects', 24)),
            array_map($this->mask(...), $node->items('masks', 12)),
            array_map(ArtworkReader::wear(...), $node->items('distress', 12)),
        );
    }

    private function source(Node $node, int $depth): Source
    {
        $kind = $node->word('kind', ['text', 'art', 'shape', 'group']);
        if ($kind === 'text') {
            $node->knows('kind', 'text', 'font', 'align', 'leading');

            return new TextSource(
                $node->text('text', self::MOST_TEXT),
                $this->asset($node, 'font'),
                $node->choice('align', Alignment::class, Alignment::Centre),
                $node->number('leading', 0.3, 4, 1),
            );
        }
        if ($kind === 'art') {
            $node->knows('kind', 'file');

            return new ArtSource($this->asset($node, 'file'));
        }
        if ($kind === 'shape') {
            $node->knows('kind', 'shape', 'count', 'share');

            return new ShapeSource($node->choice('shape', Shape::class), $node->integer('count', 3, 60, 5), $node->number('share', 0.01, 0.99, 0.5));
        }
        $node->knows('kind', 'layers');

        return new GroupSource($this->layers($node, 'layers', $depth + 1));
    }

    private function asset(Node $node, string $key): string
    {
        $name = $node->text($key, 120);
        if (preg_match(self::ASSET, $name) !== 1) {
            $node->fault('must be the plain name of a file beside the artwork', $key);
        }

        return $name;
    }

    private function role(Node $node): Role
    {
        if ($node->word('kind', ['ink', 'knockout']) === 'ink') {
            $node->knows('kind');

            return Role::ink();
        }
        $node->knows('kind', 'gap', 'join');

        return Role::knockout($node->number('gap', 0, 2, 0.08), $node->choice('join', Join::class, Join::Round));
    }

    private function placement(Node $node): Placement
    {
        $node = $node->knows('x', 'y', 'width', 'height', 'turn', 'flip');

        return new Placement(
            $node->number('x', -100, 100),
            $node->number('y', -100, 100),
            $node->number('width', 0.01, 100),
            $node->isNull('height') ? null : $node->number('height', 0.01, 100),
            $node->number('turn', -360, 360, 0),
            $node->choice('flip', Flip::class, Flip::None),
        );
    }

    private function effect(Node $node): EffectLine
    {
        $classes = Catalogue::classes();
        $kind = $node->word('kind', array_keys($classes));
        $parameters = $classes[$kind]::parameters();
        $node->knows('kind', 'on', ...array_column($parameters, 'name'));
        $values = [];
        foreach ($parameters as $parameter) {
            $name = $parameter->name;
            $values[$name] = match ($parameter->kind) {
                ParameterKind::Colour => $node->colour($name, (string) $parameter->default)->toHex(),
                ParameterKind::Choice => $node->word($name, $parameter->choices, (string) $parameter->default),
                default => $node->number($name, $parameter->least, $parameter->most, (float) $parameter->default),
            };
        }

        return new EffectLine($kind, new Values($values), $node->flag('on', true));
    }

    private function mask(Node $node): ShapeMask
    {
        $node = $node->knows('kind', 'x', 'y', 'width', 'height', 'feather', 'inverted', 'on');

        return new ShapeMask(
            $node->choice('kind', MaskShape::class),
            $node->number('x', -5, 5, 0.5),
            $node->number('y', -5, 5, 0.5),
            $node->number('width', 0.01, 10, 1),
            $node->number('height', 0.01, 10, 1),
            $node->number('feather', 0, 4, 0),
            $node->flag('inverted', false),
            $node->flag('on', true),
        );
    }
}
