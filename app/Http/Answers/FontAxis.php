<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Type\Axis;

/** An axis of a variable font: its tag, its name, and from where to where it runs. */
final readonly class FontAxis extends Answer
{
    public function __construct(
        public string $tag,
        public string $name,
        public float $least,
        public float $usual,
        public float $most,
    ) {}

    public static function of(Axis $axis): self
    {
        return new self($axis->tag, $axis->name, $axis->least, $axis->usual, $axis->most);
    }
}
