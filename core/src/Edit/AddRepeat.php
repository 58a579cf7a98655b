<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\Repeat;
use TallCrow\Artwork\RepeatKind;
use TallCrow\Render\Placer;

/** Repeats a layer: rotated about its own centre, mirrored at the centre of the sheet, or in a stack that steps down by its height. */
final readonly class AddRepeat extends Operation
{
    /** Three to five copies are usual (common practice). */
    private const STACKED = 4;

    /** Inches between the copies of a stack. */
    private const BETWEEN = 0.1;

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
        $box = $placer->box(Pieces::one($artwork, $this->id));
        $about = $this->kind === RepeatKind::Radial && $box !== null ? $box : $sheet;
        $repeat = Repeat::about($this->kind, round($about->centreX(), 4), round($about->centreY(), 4))
            ->stepping(0.0, round($box?->height() ?? 1.0, 4) + self::BETWEEN);

        return Edited::of(Pieces::each($artwork, [$this->id], fn ($layer) => $layer->withRepeat($this->kind === RepeatKind::Stack ? $repeat->withCopies(self::STACKED) : $repeat)));
    }
}
