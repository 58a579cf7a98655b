<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\Repeat;
use TallCrow\Artwork\RepeatKind;
use TallCrow\Render\Placer;

/** Repeats a layer about the middle of the sheet, or in a stack downwards. */
final readonly class AddRepeat extends Operation
{
    /** Three to five copies are usual (common practice). */
    private const STACKED = 4;

    public function __construct(public string $id, public RepeatKind $kind) {}

    public static function name(): string
    {
        return 'add-repeat';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'kind');

        return new self($node->id('id'), $node->choice('kind', RepeatKind::class));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $sheet = $artwork->sheet->box();
        $repeat = Repeat::about($this->kind, round($sheet->centreX(), 4), round($sheet->centreY(), 4));

        return Edited::of(Pieces::each($artwork, [$this->id], fn ($layer) => $layer->withRepeat($this->kind === RepeatKind::Stack ? $repeat->withCopies(self::STACKED) : $repeat)));
    }
}
