<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Compose\Arrange;
use TallCrow\Render\Placer;

/** Puts layers into a group, at the place of the topmost of them. */
final readonly class Group extends Operation
{
    /** @param  list<string>  $ids  of layers */
    public function __construct(public array $ids) {}

    public static function name(): string
    {
        return 'group';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids');

        return new self($node->texts('ids', Pieces::MOST, 40));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $id = Pieces::freshId($artwork);

        return Edited::choosing((new Arrange($placer))->grouped($artwork, $this->ids, $id), [$id]);
    }
}
