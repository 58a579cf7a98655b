<?php

declare(strict_types=1);

namespace TallCrow\Tests;

use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\Pictures;
use TallCrow\Render\Piece;

/** A store that writes down what it was asked for, and which texts it did not have. */
final class WatchedStore implements Pictures
{
    /** @var list<string> first words of the keys of pictures */
    public array $asked = [];

    /** @var list<string> first words of the keys of texts that were made */
    public array $made = [];

    public function __construct(private readonly Pictures $store) {}

    public function piece(string $key, Frame $frame, callable $make): ?Piece
    {
        return $this->store->piece($key, $frame, $make);
    }

    public function image(string $key, callable $make): Image
    {
        $this->asked[] = explode(' ', $key)[0];

        return $this->store->image($key, $make);
    }

    public function material(string $key, callable $make): Image
    {
        $this->asked[] = explode(' ', $key)[0];

        return $this->store->material($key, $make);
    }

    public function text(string $key, callable $make): string
    {
        return $this->store->text($key, function () use ($key, $make): string {
            $this->made[] = explode(' ', $key)[0];

            return $make();
        });
    }
}
