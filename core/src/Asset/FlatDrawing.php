<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Geometry\Path;

/**
 * An SVG that consists of shapes in plain colours only, like most clip art, so that its outlines can be bent like letters.
 *
 * @phpstan-type Node array{attributes: string, path: Path, children: list<mixed>}
 */
final readonly class FlatDrawing
{
    /** @param  Node  $root  outlines in shares of the page, centred on the origin */
    private function __construct(private array $root) {}

    /**
     * Null for an SVG that contains anything else: gradients, clips, masks, filters, pictures, references.
     *
     * @param  float  $tolerance  greatest error of a stroke's edge, as a share of the page
     */
    public static function of(string $markup, float $tolerance): ?self
    {
        $root = FlatDrawingReader::read($markup, $tolerance);

        return $root === null ? null : new self($root);
    }

    /**
     * Its shapes bent by a map, as SVG markup in the map's unit.
     *
     * @param  callable(float, float): array{float, float}  $map  from shares of the page, centred on the origin
     * @param  float  $tolerance  by which a curve may be off, in that unit
     * @param  float  $longest  a share of the page: see Path::mapped
     */
    public function mapped(callable $map, float $tolerance, float $longest): string
    {
        return self::written($this->root, $map, $tolerance, $longest);
    }

    /**
     * @param  Node  $node
     * @param  callable(float, float): array{float, float}  $map
     */
    private static function written(array $node, callable $map, float $tolerance, float $longest): string
    {
        if (! $node['path']->isEmpty()) {
            return sprintf('<path%s d="%s"/>', $node['attributes'], $node['path']->mapped($map, $tolerance, $longest)->toSvg(6));
        }
        $inside = '';
        foreach ($node['children'] as $child) {
            /** @var Node $child */
            $inside .= self::written($child, $map, $tolerance, $longest);
        }

        return "<g{$node['attributes']}>$inside</g>";
    }
}
