<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Removes one garment colour from those on offer. */
final readonly class LeaveGarmentOut extends Operation
{
    public function __construct(public string $name) {}

    public static function name(): string
    {
        return 'leave-garment-out';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'name');

        return new self($node->text('name', 60));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $left = array_values(array_filter($artwork->brief->garments, fn (Garment $garment): bool => $garment->name !== $this->name));
        if ($left === []) {
            throw EditRefused::lastGarment();
        }

        return Edited::of($artwork->withBrief($artwork->title, $artwork->brief->offering($left)));
    }
}
