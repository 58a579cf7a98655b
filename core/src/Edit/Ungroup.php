<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Ungroups a group: its layers take its place in the order. */
final readonly class Ungroup extends Operation
{
    public function __construct(public string $id) {}

    public static function name(): string
    {
        return 'ungroup';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id');

        return new self($node->id('id'));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $group = Pieces::one($artwork, $this->id);
        if ($group->children() === []) {
            throw EditRefused::noGroup($group->called());
        }

        return Edited::choosing(
            $artwork->replacing($this->id, fn (Layer $layer): array => $layer->children()),
            array_map(fn (Layer $layer): string => $layer->id, $group->children()),
        );
    }
}
