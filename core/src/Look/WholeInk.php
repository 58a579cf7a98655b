<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Image;

/** All of a piece's ink, small: what is counted is counted there, however little of the piece is drawn and wherever it lies on the sheet. */
final readonly class WholeInk
{
    /**
     * @param  \Closure(): ?Image  $draw  null where the piece has no ink
     * @param  \Closure(string, \Closure(): string): string  $keep  keeps what was found in this ink by a name
     */
    public function __construct(private \Closure $draw, private \Closure $keep) {}

    /**
     * What was found in it, kept for other drawings of the same piece; empty where there is no ink.
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
