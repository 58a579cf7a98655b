<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;
use TallCrow\Type\Letter;

/** Ink drawn by hand, stroke by stroke. */
final readonly class DrawnSource implements FigureSource
{
    use HoldsNoLayers;

    public const MOST_STROKES = 200;

    /** @param  list<InkStroke>  $strokes  in the drawing's own inches, before it is placed */
    public function __construct(public array $strokes) {}

    public function path(): Path
    {
        return Path::join(...array_map(fn (InkStroke $stroke): Path => $stroke->path(), $this->strokes));
    }

    /** All strokes as one figure at the size they were drawn; the placement scales it. */
    public function figures(?float $width, ?float $height): array
    {
        $path = $this->path();
        if ($path->isEmpty()) {
            return [];
        }
        $box = $path->bounds();

        return [Letter::figure($path->transformed(Affine::shift(-$box->centreX(), -$box->centreY())))];
    }

    public function called(): string
    {
        return sprintf('drawing of %d %s', count($this->strokes), count($this->strokes) === 1 ? 'stroke' : 'strokes');
    }

    public function files(): array
    {
        return [];
    }

    public function hasColours(): bool
    {
        return false;
    }

    public function match(\Closure $text, \Closure $art, \Closure $figures, \Closure $group): mixed
    {
        return $figures($this);
    }

    /** Only the placement is scaled: strokes keep the inches in which they were drawn. */
    public function scaled(float $by): self
    {
        return $this;
    }

    public function toArray(): array
    {
        return ['kind' => 'drawn', 'ink' => array_map(fn (InkStroke $stroke): array => $stroke->toArray(), $this->strokes)];
    }
}
