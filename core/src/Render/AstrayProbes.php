<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Box;

/**
 * Probes of an area at which a warp's map would be interpolated too far off.
 *
 * @internal
 */
final readonly class AstrayProbes
{
    /**
     * @param  Box  $bounds  about all of them, out to the next probes on every side, in inches
     * @param  int  $columns  columns of probes in which there are any
     * @param  int  $rows  rows in which there are any
     */
    public function __construct(public Box $bounds, public int $columns, public int $rows) {}
}
