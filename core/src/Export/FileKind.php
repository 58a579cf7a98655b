<?php

declare(strict_types=1);

namespace TallCrow\Export;

/** Forms of file that a house may take. */
enum FileKind: string
{
    case Png = 'png';
    case Tiff = 'tiff';
    case Pdf = 'pdf';

    public function mime(): string
    {
        return match ($this) {
            self::Png => 'image/png',
            self::Tiff => 'image/tiff',
            self::Pdf => 'application/pdf',
        };
    }

    public function ending(): string
    {
        return $this === self::Tiff ? 'tif' : $this->value;
    }
}
