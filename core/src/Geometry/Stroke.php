<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** How a line is drawn along a path, as SVG 2 (13.5) tells it: a mitre beyond its limit becomes a bevel. */
final readonly class Stroke
{
    /**
     * @param  float  $width  in the unit of the path
     * @param  float  $limit  how long a mitre may be, in widths
     * @param  list<float>  $dashes  dash, gap, dash, gap ... in the unit of the path; none for a whole line
     * @param  float  $offset  where in the dashes a line begins
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
