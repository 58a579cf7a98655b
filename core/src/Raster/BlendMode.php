<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** The separable blend modes of W3C Compositing and Blending Level 1, with source-over. */
enum BlendMode: string
{
    case Normal = 'normal';
    case Multiply = 'multiply';
    case Screen = 'screen';
    case Overlay = 'overlay';
    case Darken = 'darken';
    case Lighten = 'lighten';
    case ColourDodge = 'color-dodge';
    case ColourBurn = 'color-burn';
    case HardLight = 'hard-light';
    case SoftLight = 'soft-light';
    case Difference = 'difference';
    case Exclusion = 'exclusion';

    /** The number of libvips' VipsBlendMode. */
    public function vips(): int
    {
        return match ($this) {
            self::Normal => 2,
            self::Multiply => 14,
            self::Screen => 15,
            self::Overlay => 16,
            self::Darken => 17,
            self::Lighten => 18,
            self::ColourDodge => 19,
            self::ColourBurn => 20,
            self::HardLight => 21,
            self::SoftLight => 22,
            self::Difference => 23,
            self::Exclusion => 24,
        };
    }
}
