<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Raster\PictureType;

/** A picture embedded in an SVG as a data URL: PNG or JPEG by content, whatever its declared type, within the limits of any upload. */
final class EmbeddedPicture
{
    private const MOST_PIXELS = 40_000_000;

    /** @return ?string its bytes; null if it is rejected */
    public static function kept(string $address): ?string
    {
        if (preg_match('~^\s*data:(?:image/[\w.+-]+)?\s*;\s*base64\s*,~i', $address, $found) !== 1) {
            return null;
        }
        $bytes = base64_decode(substr($address, strlen($found[0])), true);
        $type = $bytes === false ? null : PictureType::of(substr($bytes, 0, 4096));
        if ($bytes === false || ($type !== PictureType::Png && $type !== PictureType::Jpeg)) {
            return null;
        }
        $size = @getimagesizefromstring($bytes);

        return $size !== false && $size[0] > 0 && $size[0] * $size[1] <= self::MOST_PIXELS ? $bytes : null;
    }
}
