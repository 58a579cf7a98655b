<?php

declare(strict_types=1);

namespace TallCrow\Asset;

/** Converts lengths in SVGs to user units, 96 to the inch (CSS Values and Units 3), since the renderer interprets inches and points differently. */
final class SvgLengths
{
    /** User units per unit; the font size is 16 by default. */
    private const UNITS = ['' => 1.0, 'px' => 1.0, 'pt' => 96 / 72, 'pc' => 16.0, 'in' => 96.0, 'mm' => 96 / 25.4, 'cm' => 96 / 2.54, 'q' => 96 / 101.6, 'em' => 16.0, 'ex' => 8.0];

    private const NUMBER = '[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?';

    /** Attributes that hold a length or several. */
    private const ATTRIBUTES = [
        'x', 'y', 'width', 'height', 'x1', 'y1', 'x2', 'y2', 'cx', 'cy', 'r', 'rx', 'ry', 'fx', 'fy', 'fr', 'stroke-width', 'stroke-dasharray', 'stroke-dashoffset',
        'markerWidth', 'markerHeight', 'refX', 'refY',
    ];

    /** A positive length; null for anything else, such as a percentage. */
    public static function size(string $told): ?float
    {
        if (preg_match('/^\s*('.self::NUMBER.')\s*([a-z]*)\s*$/i', $told, $found) !== 1) {
            return null;
        }
        $unit = self::UNITS[strtolower($found[2])] ?? null;

        return $unit === null || (float) $found[1] <= 0 ? null : (float) $found[1] * $unit;
    }

    /** The value of an attribute with all lengths converted to plain numbers. */
    public static function plain(string $attribute, string $value): string
    {
        if (! in_array($attribute, self::ATTRIBUTES, true)) {
            return $value;
        }

        return (string) preg_replace_callback('/(?<![\w.])('.self::NUMBER.')(px|pt|pc|in|mm|cm|q)\b/i', fn (array $found): string => rtrim(rtrim(sprintf('%.6F', (float) $found[1] * self::UNITS[strtolower($found[2])]), '0'), '.'), $value);
    }
}
