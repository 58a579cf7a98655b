<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Geometry\Affine;

/** Reads the transform attribute of SVG (CSS Transforms 1, 8). */
final class SvgTransform
{
    /** Null where it cannot be read. */
    public static function read(string $told): ?Affine
    {
        $all = Affine::identity();
        if (preg_match('/^(?:[\s,]*[a-zA-Z]+\s*\([^()]*\))*[\s,]*$/', $told) !== 1) {
            return null;
        }
        preg_match_all('/([a-zA-Z]+)\s*\(([^()]*)\)/', $told, $parts, PREG_SET_ORDER);
        foreach ($parts as [, $name, $inside]) {
            $numbers = preg_split('/[\s,]+/', trim((string) preg_replace('/(?<=[\d.])(?=[-+])/', ' ', $inside)), -1, PREG_SPLIT_NO_EMPTY) ?: [];
            if (array_filter($numbers, is_numeric(...)) !== $numbers) {
                return null;
            }
            $one = self::one($name, array_map(floatval(...), $numbers));
            if ($one === null) {
                return null;
            }
            $all = $one->then($all);
        }

        return $all;
    }

    /** @param  list<float>  $n */
    private static function one(string $name, array $n): ?Affine
    {
        return match ([$name, count($n)]) {
            ['matrix', 6] => new Affine($n[0], $n[1], $n[2], $n[3], $n[4], $n[5]),
            ['translate', 1] => Affine::shift($n[0], 0.0),
            ['translate', 2] => Affine::shift($n[0], $n[1]),
            ['scale', 1] => Affine::scale($n[0], $n[0]),
            ['scale', 2] => Affine::scale($n[0], $n[1]),
            ['rotate', 1] => Affine::turn($n[0]),
            ['rotate', 3] => Affine::shift(-$n[1], -$n[2])->then(Affine::turn($n[0]))->then(Affine::shift($n[1], $n[2])),
            ['skewX', 1] => new Affine(1.0, 0.0, tan(deg2rad($n[0])), 1.0, 0.0, 0.0),
            ['skewY', 1] => new Affine(1.0, tan(deg2rad($n[0])), 0.0, 1.0, 0.0, 0.0),
            default => null,
        };
    }
}
