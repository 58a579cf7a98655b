<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** The blend modes of W3C Compositing and Blending Level 1, §10. */
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
    case Hue = 'hue';
    case Saturation = 'saturation';
    case Colour = 'color';
    case Luminosity = 'luminosity';
}
