<?php

declare(strict_types=1);

namespace TallCrow\Asset;

/** Reads the viewBox attribute of SVG (SVG 2, 8.6). */
final class SvgViewBox
{
    /** @return array{float, float, float, float}|null left, top, width and height; null where it is none, or of nothing */
    public static function read(string $told): ?array
    {
        $box = array_map(floatval(...), preg_split('/[\s,]+/', trim($told)) ?: []);

        return count($box) === 4 && $box[2] > 0 && $box[3] > 0 ? $box : null;
    }
}
