<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use TallCrow\Colour\Srgb;

/** Composes pictures: over one another, side by side, and on cloth. */
final class Composition
{
    /**
     * Joins pictures of one size in rows.
     *
     * @param  non-empty-list<Image>  $parts
     */
    public static function mosaic(array $parts, int $across): Image
    {
        return Image::of(Vips::image('arrayjoin', [Boxed::images($parts)], [], ['across' => $across]));
    }

    /**
     * Composes pictures on an empty sheet in one pass, the first at the bottom.
     *
     * @param  list<Laid>  $pieces  each lies within the sheet
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

    /** Flattens ink on cloth of one colour: three bands. */
    public static function onCloth(Image $image, Srgb $cloth): Image
    {
        return $image->operation('flatten', [], ['background' => Boxed::doubles([(float) $cloth->red, (float) $cloth->green, (float) $cloth->blue])]);
    }

    /** Premultiplied colours and the alpha: four bands. */
    public static function premultiplied(Image $image): Image
    {
        return $image->operation('flatten')->withBand($image->alpha());
    }

    /**
     * Sets colours under full transparency to 0, as print houses expect. Each pixel is handled as one 32-bit number with the alpha in the highest byte, which
     * is
     * quicker, and lets the pixels be computed only once.
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
