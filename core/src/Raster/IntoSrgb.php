<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * Brings a picture from the colour space that it is stated in into sRGB. Profiles are followed by littleCMS through libvips:
 * relative colorimetric with black point compensation, so that what both spaces hold stays as it was and shadows stay open; CMYK
 * without a profile is read as the library's own coated paper. Of a PNG, cICP counts before iCCP, that before sRGB, and gAMA with
 * cHRM last (PNG, third edition, 4.3).
 */
final class IntoSrgb
{
    private const CMYK = 15;

    /** A profile that moves no colour by more than this many levels is sRGB under another name, and is left alone. */
    private const SAME = 1;

    /** @throws RasterFailed when the space holds more light than paper can */
    public static function of(Image $image, PictureType $type, string $path): Image
    {
        $stated = $type === PictureType::Png ? PngColours::read($path) : null;
        if ($stated?->space !== null) {
            return self::fromSpace($image, $stated->space);
        }
        if ($stated?->isSrgb !== true && $image->has('icc-profile-data')) {
            return self::fromProfile($image);
        }

        return $image->interpretation() === self::CMYK ? $image->operation('icc_transform', ['srgb'], self::options() + ['input-profile' => 'cmyk']) : $image;
    }

    private static function fromProfile(Image $image): Image
    {
        try {
            $turned = $image->operation('icc_transform', ['srgb'], self::options() + ['embedded' => true]);
            // A broken profile is found when the first pixel is asked for.
            $turned->crop(0, 0, 1, 1)->toBytes();
        } catch (RasterFailed) {
            return $image->interpretation() === self::CMYK ? $image->operation('icc_transform', ['srgb'], self::options() + ['input-profile' => 'cmyk']) : $image;
        }

        return self::isSame($image) ? $image : $turned;
    }

    /** Whether the profile of an 8-bit RGB picture leaves a ladder of colours where they are. */
    private static function isSame(Image $image): bool
    {
        if ($image->bands() < 3 || $image->interpretation() !== Interpretation::Srgb->value) {
            return false;
        }
        $bytes = '';
        foreach ([0, 36, 85, 128, 170, 219, 255] as $red) {
            foreach ([0, 36, 85, 128, 170, 219, 255] as $green) {
                foreach ([0, 36, 85, 128, 170, 219, 255] as $blue) {
                    $bytes .= chr($red).chr($green).chr($blue);
                }
            }
        }
        $ladder = Image::raw($bytes, 343, 1, 3)->asColours();
        // The ladder takes on the picture's own profile as a strip beside it would.
        $strip = $image->band(0, 3)->crop(0, 0, 1, 1)->embed(0, 0, 343, 1)->insert($ladder, 0, 0);
        $turned = $strip->operation('icc_transform', ['srgb'], self::options() + ['embedded' => true])->toBytes();
        for ($i = 0; $i < strlen($bytes); $i++) {
            if (abs(ord($bytes[$i]) - ord($turned[$i])) > self::SAME) {
                return false;
            }
        }

        return true;
    }

    /** By the curve and primaries of the space: to linear light, by a matrix to the primaries of sRGB, and back to its curve. */
    private static function fromSpace(Image $image, RgbSpace $space): Image
    {
        $colours = $image->bands() >= 3 ? $image->band(0, 3) : $image->band(0);
        $alpha = match ($image->bands()) {
            2, 4 => $image->band($image->bands() - 1),
            default => null,
        };
        if ($colours->bands() === 1) {
            $colours = $colours->withBand($colours)->withBand($colours);
        }
        $most = $image->isShort() ? 65535.0 : 255.0;
        $linear = $space->gamma === null
            ? self::named($colours->linear(255.0 / $most)->linearByte(1.0), Interpretation::Srgb)->operation('colourspace', [Interpretation::ScRgb])
            : self::named($colours->linear(1.0 / $most)->raised($space->gamma), Interpretation::ScRgb);
        $moved = $linear->operation('recomb', [Image::of(Vips::matrix($space->toSrgb()))]);
        $srgb = self::named($moved, Interpretation::ScRgb)->operation('colourspace', [Interpretation::Srgb]);

        return $alpha === null ? $srgb : $srgb->withBand($alpha->linearByte(255.0 / $most));
    }

    private static function named(Image $image, Interpretation $as): Image
    {
        return $image->operation('copy', [], ['interpretation' => $as]);
    }

    /** @return array<string, mixed> */
    private static function options(): array
    {
        return ['intent' => Intent::Relative, 'black-point-compensation' => true, 'depth' => 8];
    }
}
