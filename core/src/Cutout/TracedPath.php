<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;

/** A path in potrace's output format: tenths of a pixel from the bottom left, with commands M/m, l, c and z. */
final readonly class TracedPath
{
    /** Units per pixel. */
    public const UNITS = 10;

    /**
     * @param  int  $height  height of the bitmap in pixels
     * @param  int  $rim  margin of the bitmap, in pixels, to the left of and above the traced picture
     */
    private function __construct(private string $data, private int $height, private int $rim) {}

    public static function read(string $svg, int $height, int $rim = 0): self
    {
        preg_match_all('/ d="([^"]*)"/', $svg, $found);

        return new self(implode(' ', $found[1]), $height, $rim);
    }

    public function isEmpty(): bool
    {
        return trim($this->data) === '';
    }

    /** The path in pixels from the top left of the traced picture. */
    public function path(): Path
    {
        preg_match_all('/[Mmlcz]|-?\d+(?:\.\d+)?/', $this->data, $tokens);
        $segments = [];
        self::run($tokens[0], $segments);

        /** @var list<array{'M', float, float}|array{'L', float, float}|array{'C', float, float, float, float, float, float}|array{'Z'}> $segments */
        return (new Path($segments))->transformed($this->toPixels());
    }

    /**
     * The path data unchanged, as attributes of SVG's <path>: with many nodes this is much shorter than converting each node.
     *
     * @param  Affine  $then  applied to pixels of the traced picture
     */
    public function attributes(Affine $then): string
    {
        $all = $this->toPixels()->then($then);

        return sprintf('transform="matrix(%.9F %.9F %.9F %.9F %.6F %.6F)" d="%s"', $all->a, $all->b, $all->c, $all->d, $all->e, $all->f, trim($this->data));
    }

    private function toPixels(): Affine
    {
        return new Affine(1 / self::UNITS, 0, 0, -1 / self::UNITS, -$this->rim, $this->height - $this->rim);
    }

    /**
     * @param  list<string>  $tokens
     * @param  list<array<int, float|string>>  $segments
     */
    private static function run(array $tokens, array &$segments): void
    {
        $x = $y = $startX = $startY = 0.0;
        $command = 'M';
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
                array_push($points, $px, $py);
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
