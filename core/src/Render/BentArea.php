<?php

declare(strict_types=1);

namespace TallCrow\Render;

/**
 * A rectangle of the sheet within which a warp's inverse map is interpolated in one way, chosen by BentAreas.
 *
 * @internal
 */
final readonly class BentArea
{
    /**
     * @param  Frame  $frame  its sides are multiples of BentGrid::SQUARE
     * @param  int  $step  window pixels between two points at which the map is computed
     * @param  bool  $isSmooth  whether points are joined by a cubic spline; beside a kink it overshoots, and straight lines are closer
     * @param  int  $straight  window pixels over which the spline may be approximated by straight lines
     * @param  bool  $isChecked  whether cells that are interpolated too far off are computed pixel by pixel
     */
    public function __construct(public Frame $frame, public int $step, public bool $isSmooth, public int $straight, public bool $isChecked = false) {}
}
