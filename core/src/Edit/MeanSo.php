<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Meant;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Marks a finding as intended, with a reason; an empty reason removes the mark. */
final readonly class MeanSo extends Operation
{
    public function __construct(public string $key, public string $why) {}

    public static function name(): string
    {
        return 'mean-so';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'key', 'why');

        return new self($node->text('key', 120), $node->text('why', 200, ''));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $others = array_values(array_filter($artwork->meant, fn (Meant $meant): bool => $meant->key !== $this->key));
        if (trim($this->why) !== '' && count($others) >= Meant::MOST) {
            throw EditRefused::tooMany('findings that are meant so', Meant::MOST);
        }

        return Edited::of($artwork->meaning(trim($this->why) === '' ? $others : [...$others, new Meant($this->key, trim($this->why))]));
    }
}
