<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;
use TallCrow\Texture\Wear;

/** Adds wear to a layer or to the whole sheet. */
final readonly class AddWear extends Operation
{
    /** @param  string  $id  empty for the whole sheet */
    public function __construct(public string $id, public Wear $wear) {}

    public static function name(): string
    {
        return 'add-wear';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'wear');

        return new self($node->text('id', 40, ''), ArtworkReader::wear($node->child('wear')));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of($this->id === ''
            ? $artwork->withDistress([...$artwork->distress, $this->wear])
            : Pieces::each($artwork, [$this->id], fn (Layer $layer): Layer => $layer->withDistress([...$layer->distress, $this->wear])));
    }
}
