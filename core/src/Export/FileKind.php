<?php

declare(strict_types=1);

namespace TallCrow\Export;

/** Forms of file in which a print is handed out. */
enum FileKind: string
{
    case Png = 'png';
    case Tiff = 'tiff';
    case Pdf = 'pdf';

    /** OpenRaster: every layer by itself. */
    case OpenRaster = 'ora';

    /** Outlines alone, for cutters. */
    case Svg = 'svg';

    /** By a file's ending. */
    public static function ofEnding(string $ending): ?self
    {
        return self::tryFrom($ending === 'tif' ? 'tiff' : $ending);
    }

    public function mime(): string
    {
        return match ($this) {
            self::Png => 'image/png',
            self::Tiff => 'image/tiff',
            self::Pdf => 'application/pdf',
            self::OpenRaster => 'image/openraster',
            self::Svg => 'image/svg+xml',
        };
    }

    public function ending(): string
    {
        return $this === self::Tiff ? 'tif' : $this->value;
    }
}
