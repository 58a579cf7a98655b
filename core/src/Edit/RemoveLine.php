<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Takes a line out: of the effects, masks or wear of a layer, or of the wear of the sheet. */
final readonly class RemoveLine extends Operation
{
    /**
     * @param  string  $id  nothing for the whole sheet
     * @param  int  $line  0 is the first
     */
    public function __construct(public string $id, public LineList $list, public int $line) {}

    public static function name(): string
    {
        return 'remove-line';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'list', 'line');

        return new self($node->text('id', 40, ''), $node->choice('list', LineList::class), $node->integer('line', 0, 40));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        if ($this->id === '') {
            return Edited::of($artwork->withDistress($this->left($artwork->distress, 'The sheet')));
        }

        return Edited::of(Pieces::each($artwork, [$this->id], fn (Layer $layer): Layer => match ($this->list) {
            LineList::Effects => $layer->withEffects($this->left($layer->effects, $layer->called())),
            LineList::Masks => $layer->withMasks($this->left($layer->masks, $layer->called())),
            LineList::Distress => $layer->withDistress($this->left($layer->distress, $layer->called())),
        }));
    }

    /**
     * @template T
     *
     * @param  list<T>  $lines
     * @return list<T>
     */
    private function left(array $lines, string $called): array
    {
        if (! isset($lines[$this->line])) {
            throw EditRefused::noSuchLine($called);
        }
        unset($lines[$this->line]);

        return array_values($lines);
    }
}
