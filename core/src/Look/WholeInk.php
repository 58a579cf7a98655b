<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Image;

/** A small rendering of all of a piece's ink, for statistics that must not depend on the window or on the piece's place on the sheet. */
final readonly class WholeInk
{
    /**
     * @param  \Closure(): ?Image  $draw  renders it; null if the piece has no ink
     * @param  \Closure(string, \Closure(): string): string  $keep  caches a statistic of this ink under a name
     */
    public function __construct(private \Closure $draw, private \Closure $keep) {}

    /**
     * A cached statistic of the ink; an empty string if there is none.
     *
     * @param  \Closure(Image): string  $find
     */
    public function found(string $name, \Closure $find): string
    {
        return ($this->keep)($name, function () use ($find): string {
            $ink = ($this->draw)();

            return $ink === null ? '' : $find($ink);
        });
    }
}
