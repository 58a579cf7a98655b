<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** Stroke properties of SVG 2 (13.5): a mitre beyond its limit becomes a bevel. */
final readonly class Stroke
{
    /**
     * @param  float  $width  in the unit of the path
     * @param  float  $limit  mitre limit, in widths
     * @param  list<float>  $dashes  dash, gap, dash, gap ... in the unit of the path; empty for a solid line
     * @param  float  $offset  offset into the dash pattern
     */
    public function __construct(
        public float $width,
        public Cap $cap = Cap::Butt,
        public Join $join = Join::Mitre,
        public float $limit = 4.0,
        public array $dashes = [],
        public float $offset = 0.0,
    ) {}
}
