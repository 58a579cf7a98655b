<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Framing;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Placement;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\Picture;
use TallCrow\Asset\Shelf;
use TallCrow\Cutout\CornersCross;
use TallCrow\Cutout\Scribble;
use TallCrow\Effect\ChangesAspect;
use TallCrow\Effect\ChangesScale;
use TallCrow\Effect\Retouches;
use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;
use TallCrow\Raster\PictureType;

/** The pixels of placed rasters after their retouching effects. The file on the shelf is never changed. */
final class Retoucher
{
    /** Longer side, in pixels, of the rendering in which an SVG's ink is measured. */
    private const DRAWN = 2400.0;

    /** Longer side of the rough rendering by which ink beyond an SVG's page is found; a close one follows only where ink comes near the page's edge. */
    private const ROUGHLY = 300.0;

    private const CLOSELY = 1200.0;

    private const WHOLE = [0.0, 0.0, 1.0, 1.0];

    /** Least alpha that counts as ink. */
    private const SEEN = 7.0;

    public function __construct(
        private readonly Shelf $shelf,
        private readonly Pictures $pictures,
    ) {}

    /** The picture to place: the whole file, or cropped to its ink. */
    public function picture(ArtSource $source): Picture
    {
        $picture = $this->shelf->picture($source->file);
        $isWhole = $source->frame === Framing::File || $picture->type === PictureType::Jpeg;
        if ($isWhole && ! $picture->isVector()) {
            return $picture;
        }
        $file = $this->shelf->fingerprint($source->file);
        $box = self::WHOLE;
        if (! $isWhole) {
            /** @var array{float, float, float, float} $found whole numbers come without a fraction */
            $found = json_decode($this->pictures->text("ink box $file", fn (): string => json_encode(self::inkBox($picture), JSON_THROW_ON_ERROR)), true);
            $box = array_map(floatval(...), $found);
        }
        if ($picture->isVector()) {
            $isBeyond = $this->pictures->text("beyond page $file", fn (): string => self::reachesBeyond($picture) ? 'yes' : 'no') === 'yes';

            // An edge that coincides with the page's edge would be antialiased twice, so clip to the page only if something lies beyond it.
            return ($isBeyond ? $picture->keptToPage() : $picture)->cut(new Box(...$box));
        }

        return $box === self::WHOLE ? $picture : $picture->cut(new Box(...$box));
    }

    /** Whether some of an SVG lies beyond its page, where it must not be drawn. */
    private static function reachesBeyond(Picture $picture): bool
    {
        return match (true) {
            self::outOfPage($picture, self::ROUGHLY, 1) => true,
            self::outOfPage($picture, self::ROUGHLY, -2) => self::outOfPage($picture, self::CLOSELY, 1),
            default => false,
        };
    }

    /**
     * Whether an SVG has ink more than so many pixels beyond its page; a negative number asks whether ink comes that near to the edge from within.
     *
     * @param  float  $longer  pixels of the page's longer side
     */
    private static function outOfPage(Picture $picture, float $longer, int $by): bool
    {
        [$width, $height] = self::pixels($picture, $longer);
        // Render half a page more on every side.
        $placing = Placing::picture(new Placement($width, $height, $width, $height, 0, Flip::None), $picture->aspect());
        $ink = SvgPainter::drawing($picture->cut(new Box(...self::WHOLE))->markup(), $placing, new Frame(1, 0, 0, 2 * $width, 2 * $height));
        [$left, $top, $across, $down] = $ink->alpha()->isMore(self::SEEN)->settled()->inkBox() ?? [$width, $height, 0, 0];

        return $left < intdiv($width, 2) - $by || $top < intdiv($height, 2) - $by || $left + $across > $width + intdiv($width + 1, 2) + $by || $top + $down > $height + intdiv($height + 1, 2) + $by;
    }

    /** @return array{int, int} width and height in pixels, the longer side being as given */
    private static function pixels(Picture $picture, float $longer): array
    {
        $scale = $longer / max($picture->width, $picture->height);

        return [max(1, (int) round($picture->width * $scale)), max(1, (int) round($picture->height * $scale))];
    }

    /** @return array{float, float, float, float} left, top, right and bottom of all ink as shares (0 to 1) of the picture; the whole picture if it has none */
    private static function inkBox(Picture $picture): array
    {
        if ($picture->isVector()) {
            [$width, $height] = self::pixels($picture, self::DRAWN);
            $placing = Placing::picture(new Placement($width / 2, $height / 2, $width, $height, 0, Flip::None), $picture->aspect());
            $ink = SvgPainter::drawing($picture->markup(), $placing, new Frame(1, 0, 0, $width, $height));
        } else {
            $ink = $picture->pixels();
        }
        $box = $ink->alpha()->isMore(self::SEEN)->settled()->inkBox();

        return $box === null ? self::WHOLE : [
            $box[0] / $ink->width(), $box[1] / $ink->height(), ($box[0] + $box[2]) / $ink->width(), ($box[1] + $box[3]) / $ink->height(),
        ];
    }

    /** Height ÷ width of a layer's picture after cropping and straightening. */
    public function aspect(Layer $layer, ArtSource $source): float
    {
        [$width, $height] = $this->size($layer, $source);

        return $height / $width;
    }

    /**
     * Width and height of a layer's picture in its own pixels, after cropping and straightening.
     *
     * @return array{float, float}
     */
    public function size(Layer $layer, ArtSource $source): array
    {
        $picture = $this->picture($source);
        $file = $source->file;
        $shaping = array_filter(array_map(self::effect(...), self::lines($layer)), fn (Retouches $effect): bool => $effect instanceof ChangesAspect);
        if ($picture->isVector() || $shaping === []) {
            return [$picture->width, $picture->height];
        }
        try {
            return array_reduce($shaping, fn (array $size, ChangesAspect $effect): array => $effect->sizeAfter(...$size), [(int) $picture->width, (int) $picture->height]);
        } catch (CornersCross $crossed) {
            throw AssetUnusable::because($file, $crossed);
        }
    }

    /**
     * The pixels to place; null for an SVG and for a raster without retouching.
     *
     * @param  float  $width  inches at which it is placed
     */
    public function retouched(Layer $layer, ArtSource $source, float $width, Progress $progress = new NoProgress): ?Image
    {
        $picture = $this->picture($source);
        if ($picture->isVector() || self::lines($layer) === []) {
            return null;
        }

        return $this->after(self::lines($layer), $source, $picture->width / max(0.01, $width), $progress);
    }

    /** @return list<EffectLine> */
    public static function lines(Layer $layer): array
    {
        return array_values(array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && is_a($line->is(), Retouches::class, true)));
    }

    /**
     * The picture after some effects. Each step is cached, so that only the steps after a changed one are computed again.
     *
     * @param  list<EffectLine>  $lines
     *
     * @throws AssetUnusable
     */
    private function after(array $lines, ArtSource $source, float $perInch, Progress $progress, ?int $of = null): Image
    {
        $line = end($lines);
        if ($line === false) {
            return $this->picture($source)->pixels()->settled();
        }
        $measured = array_filter($lines, fn (EffectLine $line): bool => self::effect($line)->isMeasured()) !== [];
        $key = 'retouched '.$source->frame->value.$this->shelf->fingerprint($source->file).serialize($lines).($measured ? sprintf('%.3f', $perInch) : '');

        return $this->pictures->image($key, function () use ($lines, $line, $source, $perInch, $progress, $of): Image {
            $before = $this->after(array_slice($lines, 0, -1), $source, $perInch, $progress, $of ?? count($lines));
            $progress->line(count($lines) - 1, $of ?? count($lines), $line->kind);

            try {
                // Redrawing (tracing) leaves more pixels per inch.
                $finer = $this->finer(array_slice($lines, 0, -1), $source, $perInch);
                $after = self::effect($line)->retouch($before, $perInch * $finer)->settled();

                return self::within($line->values->scribbles('area'), $before, $after);
            } catch (CornersCross $crossed) {
                throw AssetUnusable::because($source->file, $crossed);
            }
        });
    }

    /** @param  list<EffectLine>  $lines */
    private function finer(array $lines, ArtSource $source, float $perInch): int
    {
        $picture = $this->picture($source);
        $finer = 1;
        foreach ($lines as $line) {
            $effect = self::effect($line);
            $finer *= $effect instanceof ChangesScale ? $effect->factor((int) $picture->width * $finer, (int) $picture->height * $finer, $perInch * $finer) : 1;
        }

        return $finer;
    }

    /** Whether an effect redraws the picture (traces it), so that its own pixels no longer show. */
    public static function isRedrawn(Layer $layer): bool
    {
        return array_filter(self::lines($layer), fn (EffectLine $line): bool => is_a($line->is(), ChangesScale::class, true)) !== [];
    }

    /**
     * Keeps the result of an effect to an area drawn by strokes; strokes that erase are taken out of the area.
     *
     * @param  list<Scribble>  $area
     */
    private static function within(array $area, Image $before, Image $after): Image
    {
        if ($area === [] || $after->width() !== $before->width() || $after->height() !== $before->height()) {
            return $after;
        }
        [$width, $height] = [$before->width(), $before->height()];
        $in = Scribble::any($area, true) ? Scribble::mask($area, true, $width, $height) : Image::empty($width, $height, 1)->inverted();
        $mask = $in->times(Scribble::mask($area, false, $width, $height)->inverted());

        return $mask->isMore(127.0)->chosen($after, $before)->settled();
    }

    private static function effect(EffectLine $line): Retouches
    {
        $effect = $line->effect();
        assert($effect instanceof Retouches);

        return $effect;
    }
}
