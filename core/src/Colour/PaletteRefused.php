<?php

declare(strict_types=1);

namespace TallCrow\Colour;

final class PaletteRefused extends \DomainException
{
    public static function first(): self
    {
        return new self('This is not a .gpl palette: its first line must be "GIMP Palette".');
    }

    public static function line(int $number, string $line): self
    {
        return new self(sprintf('Line %d of the palette, "%s", is not three numbers of 0 to 255 and a name.', $number, mb_strimwidth(trim($line), 0, 40, '…')));
    }

    public static function long(int $most): self
    {
        return new self(sprintf('The palette has more than %d colours.', $most));
    }
}
