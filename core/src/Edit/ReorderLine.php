<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Moves a line to another place among its like: effects, masks or wear of a layer, or wear of the sheet. */
final readonly class ReorderLine extends Operation
{
    /**
     * @param  string  $id  nothing for the whole sheet
     * @param  int  $from  0 is the first
     */
    public function __construct(public string $id, public LineList $list, public int $from, public int $to) {}

    public static function name(): string
    {
        return 'reorder-line';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'list', 'from', 'to');

        return new self($node->text('id', 40, ''), $node->choice('list', LineList::class), $node->integer('from', 0, 40), $node->integer('to', 0, 40));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        if ($this->id === '') {
            return Edited::of($artwork->withDistress($this->moved($artwork->distress, 'The sheet')));
        }

        return Edited::of(Pieces::each($artwork, [$this->id], fn (Layer $layer): Layer => match ($this->list) {
            LineList::Effects => $layer->withEffects($this->moved($layer->effects, $layer->called())),
            LineList::Masks => $layer->withMasks($this->moved($layer->masks, $layer->called())),
            LineList::Distress => $layer->withDistress($this->moved($layer->distress, $layer->called())),
        }));
    }

    /**
     * @template T
     *
     * @param  list<T>  $lines
     * @return list<T>
     */
    private function moved(array $lines, string $called): array
    {
        if (! isset($lines[$this->from])) {
            throw EditRefused::noSuchLine($called);
        }
        $line = $lines[$this->from];
        unset($lines[$this->from]);
        $lines = array_values($lines);
        array_splice($lines, min($this->to, count($lines)), 0, [$line]);

        return $lines;
    }
}
