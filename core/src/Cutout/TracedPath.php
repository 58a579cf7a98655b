<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Geometry\Path;

/** Reads the paths that potrace writes: tenths of a pixel from the bottom left, as M/m, l, c and z. */
final class TracedPath
{
    /** @return Path in pixels from the top left */
    public static function read(string $svg, int $height): Path
    {
        preg_match_all('/ d="([^"]*)"/', $svg, $found);
        $segments = [];
        foreach ($found[1] as $d) {
            preg_match_all('/[Mmlcz]|-?\d+(?:\.\d+)?/', $d, $tokens);
            self::run($tokens[0], $height, $segments);
        }

        /** @var list<array{'M', float, float}|array{'L', float, float}|array{'C', float, float, float, float, float, float}|array{'Z'}> $segments */
        return new Path($segments);
    }

    /**
     * @param  list<string>  $tokens
     * @param  list<array<int, float|string>>  $segments
     */
    private static function run(array $tokens, int $height, array &$segments): void
    {
        $x = $y = $startX = $startY = 0.0;
        $command = 'M';
        $place = fn (float $px, float $py): array => [$px / 10, $height - $py / 10];
        for ($i = 0, $n = count($tokens); $i < $n;) {
            if (ctype_alpha($tokens[$i])) {
                $command = $tokens[$i++];
                if ($command === 'z') {
                    $segments[] = ['Z'];
                    [$x, $y] = [$startX, $startY];
                }

                continue;
            }
            $pairs = $command === 'c' ? 3 : 1;
            $points = [];
            for ($p = 0; $p < $pairs; $p++) {
                $px = (float) $tokens[$i++] + ($command === 'M' ? 0 : $x);
                $py = (float) $tokens[$i++] + ($command === 'M' ? 0 : $y);
                array_push($points, ...$place($px, $py));
            }
            [$x, $y] = [$px, $py];
            if ($command === 'M' || $command === 'm') {
                [$startX, $startY] = [$x, $y];
                $segments[] = ['M', ...$points];
                $command = 'l';
            } else {
                $segments[] = [$command === 'c' ? 'C' : 'L', ...$points];
            }
        }
    }
}
