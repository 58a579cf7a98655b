<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Geometry\Box;
use TallCrow\Type\Letter;

/** A part of a piece, with the number of a letter, word or line if a single one is meant. */
final readonly class Aim
{
    public function __construct(
        public Part $part,
        /** Counted from 1. */
        public int $number = 1,
    ) {}

    public static function all(): self
    {
        return new self(Part::All);
    }

    public function holds(Letter $letter, int $index): bool
    {
        return match ($this->part) {
            Part::SecondLetters => $index % 2 === 1,
            Part::SecondWords => $letter->word % 2 === 1,
            Part::Letter => $index === $this->number - 1,
            Part::Word => $letter->word === $this->number - 1,
            Part::Line => $letter->line === $this->number - 1,
            default => true,
        };
    }

    /** The half of a letter's box that is meant, or the whole box. */
    public function half(Box $box): Box
    {
        return match ($this->part) {
            Part::RightHalves => new Box($box->centreX(), $box->top, $box->right, $box->bottom),
            Part::LeftHalves => new Box($box->left, $box->top, $box->centreX(), $box->bottom),
            Part::TopHalves => new Box($box->left, $box->top, $box->right, $box->centreY()),
            Part::BottomHalves => new Box($box->left, $box->centreY(), $box->right, $box->bottom),
            default => $box,
        };
    }
}
