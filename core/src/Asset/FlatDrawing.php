<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Geometry\Path;

/**
 * A drawing of figures and lines in plain colours alone, as most clip art is: its outlines can be bent as those of letters are.
 *
 * @phpstan-type Node array{attributes: string, path: Path, children: list<mixed>}
 */
final readonly class FlatDrawing
{
    /** @param  Node  $root  outlines in shares of the page, its middle at 0 */
    private function __construct(private array $root) {}

    /**
     * Null for a drawing that holds anything else: gradients, clips, masks, filters, pictures, clones.
     *
     * @param  float  $tolerance  a share of the page by which the edge of a stroke may be off
     */
    public static function of(string $markup, float $tolerance): ?self
    {
        $root = FlatDrawingReader::read($markup, $tolerance);

        return $root === null ? null : new self($root);
    }

    /**
     * Its figures as the map bends them: what may stand in a drawing whose unit is that of the map.
     *
     * @param  callable(float, float): array{float, float}  $map  from shares of the page, its middle at 0
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
