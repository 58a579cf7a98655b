<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Render\Placer;

/** An operation on one list: the effects, masks or wear of a layer, or the wear of the sheet. */
abstract readonly class ChangesLines extends Operation
{
    /** @param  string  $id  empty for the whole sheet */
    public function __construct(public string $id, public LineList $list) {}

    final public function apply(Artwork $artwork, Placer $placer): Edited
    {
        if ($this->id === '') {
            return Edited::of($artwork->withDistress($this->changed($artwork->distress, 'The sheet')));
        }

        return Edited::of(Pieces::each($artwork, [$this->id], fn (Layer $layer): Layer => match ($this->list) {
            LineList::Effects => $layer->withEffects($this->changed($layer->effects, $layer->called())),
            LineList::Masks => $layer->withMasks($this->changed($layer->masks, $layer->called())),
            LineList::Distress => $layer->withDistress($this->changed($layer->distress, $layer->called())),
        }));
    }

    /**
     * @template T
     *
     * @param  list<T>  $lines
     * @param  string  $called  name of the layer or sheet, for messages
     * @return list<T>
     *
     * @throws EditRefused if there is no such entry
     */
    abstract protected function changed(array $lines, string $called): array;
}
