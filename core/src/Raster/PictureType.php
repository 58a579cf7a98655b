<?php

declare(strict_types=1);

namespace TallCrow\Raster;

enum PictureType: string
{
    case Png = 'png';
    case Jpeg = 'jpeg';
    case Webp = 'webp';
    case Svg = 'svg';

    /** Detected by the first bytes, never by the file name; null for anything else. */
    public static function of(string $head): ?self
    {
        return match (true) {
            str_starts_with($head, "\x89PNG\r\n\x1a\n") => self::Png,
            str_starts_with($head, "\xff\xd8\xff") => self::Jpeg,
            str_starts_with($head, 'RIFF') && substr($head, 8, 4) === 'WEBP' => self::Webp,
            preg_match('/^(\xef\xbb\xbf)?\s*<(\?xml|!--|!doctype|(\w+:)?svg)/i', $head) === 1 && preg_match('/<(\w+:)?svg\b/i', $head) === 1 => self::Svg,
            default => null,
        };
    }

    public function mime(): string
    {
        return $this === self::Svg ? 'image/svg+xml' : 'image/'.$this->value;
    }
}
