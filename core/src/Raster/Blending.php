<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * Blends by the formulas of W3C Compositing and Blending Level 1. The library's own modes part from them where either
 * side is half-transparent, so they are written out here. Colours are three bands in floating point, 0 to 1.
 */
final class Blending
{
    /** Keeps 0 ÷ 0 finite; such pixels are taken from another branch. */
    private const TINY = 1e-6;

    /** The source over the backdrop, both ink of one size: co = cs·αs·(1 − αb) + αs·αb·B(cb, cs) + (1 − αs)·αb·cb. */
    public static function over(Image $backdrop, Image $source, BlendMode $mode): Image
    {
        [$b, $ab] = self::apart($backdrop);
        [$s, $as] = self::apart($source);
        $both = $ab->multiplied($as);
        $alpha = $as->plus($ab)->minus($both);
        $ink = $s->multiplied($as->minus($both))
            ->plus(self::mix($b, $s, $mode)->multiplied($both))
            ->plus($b->multiplied($ab->minus($both)));

        return $ink->divided($alpha->linear(1, self::TINY))->unitToByte()->asColours()->withBand($alpha->unitToByte());
    }

    /** @return array{Image, Image} */
    private static function apart(Image $ink): array
    {
        return [$ink->band(0, 3)->linear(1 / 255), $ink->alpha()->linear(1 / 255)];
    }

    private static function mix(Image $b, Image $s, BlendMode $mode): Image
    {
        return match ($mode) {
            BlendMode::Normal => $s,
            BlendMode::Multiply => $b->multiplied($s),
            BlendMode::Screen => self::screen($b, $s),
            BlendMode::Overlay => self::hardLight($s, $b),
            BlendMode::Darken => $b->lesser($s),
            BlendMode::Lighten => $b->lighter($s),
            BlendMode::ColourDodge => self::dodge($b, $s),
            BlendMode::ColourBurn => self::dodge($b->linear(-1, 1), $s->linear(-1, 1))->linear(-1, 1),
            BlendMode::HardLight => self::hardLight($b, $s),
            BlendMode::SoftLight => self::softLight($b, $s),
            BlendMode::Difference => $b->lighter($s)->minus($b->lesser($s)),
            BlendMode::Exclusion => $b->plus($s)->minus($b->multiplied($s)->linear(2)),
            BlendMode::Hue => self::setLuminosity(self::setSaturation($s, self::saturation($b)), self::luminosity($b)),
            BlendMode::Saturation => self::setLuminosity(self::setSaturation($b, self::saturation($s)), self::luminosity($b)),
            BlendMode::Colour => self::setLuminosity($s, self::luminosity($b)),
            BlendMode::Luminosity => self::setLuminosity($b, self::luminosity($s)),
        };
    }

    private static function screen(Image $b, Image $s): Image
    {
        return $b->plus($s)->minus($b->multiplied($s));
    }

    private static function hardLight(Image $b, Image $s): Image
    {
        return $s->isMore(0.5)->chosen(self::screen($b, $s->linear(2, -1)), $b->multiplied($s->linear(2)));
    }

    private static function dodge(Image $b, Image $s): Image
    {
        $one = $b->linear(0, 1);
        $bright = $b->divided($s->linear(-1, 1 + self::TINY))->lesser($one);

        return $b->isMore(0.0)->chosen($s->isMore(1 - self::TINY)->chosen($one, $bright), $b->linear(0));
    }

    private static function softLight(Image $b, Image $s): Image
    {
        $curve = $b->isMore(0.25)->chosen($b->raised(0.5), $b->linear(16, -12)->multiplied($b)->linear(1, 4)->multiplied($b));
        $twice = $s->linear(2, -1);
        $dark = $b->plus($twice->multiplied($b)->multiplied($b->linear(-1, 1)));
        $light = $b->plus($twice->multiplied($curve->minus($b)));

        return $s->isMore(0.5)->chosen($light, $dark);
    }

    private static function luminosity(Image $c): Image
    {
        return $c->band(0)->linear(0.3)->plus($c->band(1)->linear(0.59))->plus($c->band(2)->linear(0.11));
    }

    private static function most(Image $c): Image
    {
        return $c->band(0)->lighter($c->band(1))->lighter($c->band(2));
    }

    private static function least(Image $c): Image
    {
        return $c->band(0)->lesser($c->band(1))->lesser($c->band(2));
    }

    private static function saturation(Image $c): Image
    {
        return self::most($c)->minus(self::least($c));
    }

    private static function setSaturation(Image $c, Image $saturation): Image
    {
        $least = self::least($c);
        $spread = self::most($c)->minus($least);
        $set = $c->minus($least)->multiplied($saturation)->divided($spread->linear(1, self::TINY));

        return $spread->isMore(self::TINY)->chosen($set, $c->linear(0));
    }

    private static function setLuminosity(Image $c, Image $luminosity): Image
    {
        $moved = $c->plus($luminosity->minus(self::luminosity($c)));
        $l = self::luminosity($moved);
        $least = self::least($moved);
        $fromBelow = $l->plus($moved->minus($l)->multiplied($l)->divided($l->minus($least)->linear(1, self::TINY)));
        $clipped = $least->isLess(0.0)->chosen($fromBelow, $moved);
        $most = self::most($moved);
        $fromAbove = $l->plus($clipped->minus($l)->multiplied($l->linear(-1, 1))->divided($most->minus($l)->linear(1, self::TINY)));

        return $most->isMore(1.0)->chosen($fromAbove, $clipped);
    }
}
