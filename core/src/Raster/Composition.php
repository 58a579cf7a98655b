<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use TallCrow\Colour\Srgb;

/** Pictures laid over one another, and ink on cloth. */
final class Composition
{
    /**
     * Pictures of one size side by side, row after row.
     *
     * @param  non-empty-list<Image>  $parts
     */
    public static function mosaic(array $parts, int $across): Image
    {
        return Image::of(Vips::image('arrayjoin', [Boxed::images($parts)], [], ['across' => $across]));
    }

    /**
     * Lays pictures over one another on an empty sheet, the first lowest, in one pass.
     *
     * @param  list<Laid>  $pieces  each within the sheet
     */
    public static function stacked(int $width, int $height, array $pieces): Image
    {
        while ($pieces !== [] && $pieces[0]->takes) {
            array_shift($pieces);
        }
        $first = array_shift($pieces);
        if ($first === null) {
            return Image::empty($width, $height);
        }
        $base = [$first->left, $first->top, $first->image->width(), $first->image->height()] === [0, 0, $width, $height]
            ? $first->image
            : $first->image->embed($first->left, $first->top, $width, $height);
        if ($pieces === []) {
            return $base;
        }

        return Image::of(Vips::image('composite', [
            Boxed::images([$base, ...array_map(fn (Laid $piece): Image => $piece->image, $pieces)]),
        ], [
            Boxed::integers(array_map(fn (Laid $piece): int => $piece->takes ? BlendOperation::DestinationOut->value : BlendOperation::Over->value, $pieces)),
        ], [
            'x' => Boxed::integers(array_column($pieces, 'left')),
            'y' => Boxed::integers(array_column($pieces, 'top')),
            'compositing-space' => Interpretation::Srgb,
        ]));
    }

    /** Ink laid on cloth of one colour: three bands. */
    public static function onCloth(Image $image, Srgb $cloth): Image
    {
        return $image->operation('flatten', [], ['background' => Boxed::doubles([(float) $cloth->red, (float) $cloth->green, (float) $cloth->blue])]);
    }

    /** Colours as they count over any cloth, each times its alpha, and the alpha: four bands. */
    public static function premultiplied(Image $image): Image
    {
        return $image->operation('flatten')->withBand($image->alpha());
    }

    /**
     * Colour under full transparency set to nothing, as a print house's reader expects it. Each pixel is taken as one
     * 32-bit number, its alpha the highest byte: a quarter of the work, and what lies upstream is computed once.
     */
    public static function withoutHiddenColour(Image $image): Image
    {
        $pixels = $image->operation('copy', [], ['bands' => 1, 'format' => BandFormat::Int, 'interpretation' => Interpretation::None]);
        $clear = Image::of(Vips::image('black', [], [$image->width(), $image->height()]))->operation('cast', [BandFormat::Int]);

        return $pixels->operation('relational_const', [Relation::More, Boxed::doubles([(float) 0xFFFFFF])])
            ->chosen($pixels, $clear)
            ->operation('copy', [], ['bands' => 4, 'format' => BandFormat::Byte, 'interpretation' => Interpretation::Srgb]);
    }
}
