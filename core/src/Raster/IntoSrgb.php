<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * Converts a picture from its stated colour space to sRGB. ICC profiles are applied by littleCMS through libvips, relative colorimetric with black point
 * compensation: colours that both spaces contain are unchanged, and shadows keep their detail. CMYK without a profile is taken as the library's built-in
 * coated paper. In a PNG, cICP takes precedence over iCCP, iCCP over sRGB, and gAMA with cHRM comes last (PNG, third edition, 4.3).
 */
final class IntoSrgb
{
    private const CMYK = 15;

    /** A profile that changes no colour by more than this many levels is treated as sRGB, and not applied. */
    private const SAME = 1;

    /** @throws RasterFailed when the space is high dynamic range */
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
            // A broken profile only shows when the first pixel is computed.
            $turned->crop(0, 0, 1, 1)->toBytes();
        } catch (RasterFailed) {
            return $image->interpretation() === self::CMYK ? $image->operation('icc_transform', ['srgb'], self::options() + ['input-profile' => 'cmyk']) : $image;
        }

        return self::isSame($image) ? $image : $turned;
    }

    /** Whether the profile of an 8-bit RGB picture leaves a set of test colours unchanged. */
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
        // Insert the test colours into a strip of the picture, so that they carry its profile.
        $strip = $image->band(0, 3)->crop(0, 0, 1, 1)->embed(0, 0, 343, 1)->insert($ladder, 0, 0);
        $turned = $strip->operation('icc_transform', ['srgb'], self::options() + ['embedded' => true])->toBytes();
        for ($i = 0; $i < strlen($bytes); $i++) {
            if (abs(ord($bytes[$i]) - ord($turned[$i])) > self::SAME) {
                return false;
            }
        }

        return true;
    }

    /** By transfer curve and primaries: to linear light, by a matrix to the primaries of sRGB, then to sRGB's curve. */
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
