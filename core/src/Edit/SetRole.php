<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\LayerReader;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\Role;
use TallCrow\Render\Placer;

/** Makes a layer ink, a knockout, or ink set in its own gap. */
final readonly class SetRole extends Operation
{
    public function __construct(public string $id, public Role $role) {}

    public static function name(): string
    {
        return 'set-role';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'role');

        return new self($node->id('id'), LayerReader::of(ArtworkReader::MOST_LAYERS, [])->role($node->child('role')));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of(Pieces::each($artwork, [$this->id], fn (Layer $layer): Layer => $layer->withRole($this->role)));
    }
}
