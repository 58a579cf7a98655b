<?php

declare(strict_types=1);

namespace TallCrow\Type;

final class FontRefused extends \RuntimeException
{
    public static function library(string $package, \Throwable $cause): self
    {
        return new self(sprintf('Fonts cannot be read. Install Debian\'s %s and switch PHP\'s FFI on (ffi.enable=true).', $package), 0, $cause);
    }

    public static function unreadable(string $reason): self
    {
        return new self(sprintf('This is not a font that can be used: FreeType says "%s". Choose an OTF, TTF, WOFF or WOFF2 file.', $reason));
    }

    public static function noOutlines(): self
    {
        return new self('This font holds pictures of letters and no outlines, so it cannot be scaled for print. Choose an outline font.');
    }

    public static function notOpenType(): self
    {
        return new self('This font is of an older format (such as PostScript Type 1), whose letters cannot be set here. Choose an OTF, TTF, WOFF or WOFF2 file of it.');
    }

    public static function collection(): self
    {
        return new self('This file holds several fonts in one (TTC or OTC). Choose each of them as a file of its own: OTF, TTF, WOFF or WOFF2.');
    }

    public static function glyph(int $glyph, string $reason): self
    {
        return new self(sprintf('The outline of glyph %d in this font is broken: FreeType says "%s".', $glyph, $reason));
    }
}
