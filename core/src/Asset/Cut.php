<?php

declare(strict_types=1);

namespace TallCrow\Asset;

/** Which layer of a face a font of a pack is, as its file's name tells. */
enum Cut: string
{
    case Fill = 'fill';
    case Outline = 'outline';
    case Inline = 'inline';
    case Shadow = 'shadow';

    public static function of(string $name): self
    {
        $name = strtolower($name);

        return match (true) {
            preg_match('/shadow|drop|extrude|3d/', $name) === 1 => self::Shadow,
            preg_match('/inline|highlight/', $name) === 1 => self::Inline,
            preg_match('/outline|stroke|border|hollow/', $name) === 1 => self::Outline,
            default => self::Fill,
        };
    }
}
