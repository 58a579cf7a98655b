<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** Every effect there is. A new one is a class of its own and one entry here. */
final class Catalogue
{
    private const CLASSES = [
        Retouch\StraightenCorners::class,
        Retouch\Crop::class,
        Retouch\EvenLight::class,
        Retouch\Levels::class,
        Retouch\Tone::class,
        Retouch\Saturation::class,
        Retouch\ClearEdge::class,
        Retouch\KeepSubject::class,
        Retouch\ClearBuckets::class,
        Retouch\ClearColour::class,
        Retouch\EdgeOfCutout::class,
        Retouch\Tidy::class,
        Retouch\Traced::class,
        Words\LetterSpacing::class,
        Words\Kerning::class,
        Words\CaseOfLetters::class,
        Words\Feature::class,
        Words\LargerEnds::class,
        Words\OwnLine::class,
        Words\Variation::class,
        Words\FitLines::class,
        Words\Jitter::class,
        Warp\Stretch::class,
        Warp\Arch::class,
        Warp\Circle::class,
        Warp\Around::class,
        Warp\Bulge::class,
        Warp\Pinch::class,
        Warp\Wave::class,
        Warp\Flag::class,
        Warp\Rise::class,
        Warp\RingBend::class,
        Ink\Fill::class,
        Ink\ColourEachLetter::class,
        Ink\Gradient::class,
        Ink\FillWithPaper::class,
        Ink\FillWithPicture::class,
        Ink\OnlyFill::class,
        Ink\Hatch::class,
        Ink\Embolden::class,
        Ink\Outline::class,
        Ink\Gap::class,
        Ink\Hollow::class,
        Ink\Backing::class,
        Ink\Shadow::class,
        Look\SwapColour::class,
        Look\Hue::class,
        Look\Invert::class,
        Look\Tidied::class,
        Look\Halftone::class,
        Look\HalftoneInks::class,
        Look\Photocopied::class,
        Look\Roughened::class,
        Look\Stamped::class,
        Look\Airbrushed::class,
        Look\Posterised::class,
    ];

    /** @return array<string, class-string<Effect>> by kind */
    public static function classes(): array
    {
        static $byKind = null;

        return $byKind ??= array_combine(array_map(fn (string $class): string => $class::kind(), self::CLASSES), self::CLASSES);
    }
}
