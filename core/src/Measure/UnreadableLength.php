<?php

declare(strict_types=1);

namespace TallCrow\Measure;

final class UnreadableLength extends \InvalidArgumentException
{
    public static function of(string $text): self
    {
        return new self(sprintf('"%s" is not a length. Type a number with in, mm, cm, pt or px, such as 9.4in, 9 3/8 in or 240 mm.', mb_strimwidth($text, 0, 40, '…')));
    }
}
