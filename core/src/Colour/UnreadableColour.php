<?php

declare(strict_types=1);

namespace TallCrow\Colour;

final class UnreadableColour extends \InvalidArgumentException
{
    public static function text(string $text): self
    {
        return new self(sprintf('"%s" is not a colour. Write it as # and six digits, such as #1d2b1f.', mb_strimwidth($text, 0, 40, '…')));
    }

    public static function part(int $part): self
    {
        return new self(sprintf('%d is not a part of a colour. Red, green and blue each run from 0 to 255.', $part));
    }
}
