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

/** The pixels of placed rasters as their lines of retouching leave them. The file on the shelf is never changed. */
final class Retoucher
{
    /** Pixels of the longer side of a drawing in which its ink is looked for. */
    private const DRAWN = 2400.0;

    /** The same where ink is looked for that lies beyond its page: roughly, and closely where some comes near the page's edge. */
    private const ROUGHLY = 300.0;

    private const CLOSELY = 1200.0;

    private const WHOLE = [0.0, 0.0, 1.0, 1.0];

    /** Alpha from which on ink is seen. */
    private const SEEN = 7.0;

    public function __construct(
        private readonly Shelf $shelf,
        private readonly Pictures $pictures,
    ) {}

    /** The picture as it is placed: the whole file, or the part of it that has ink. */
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

            // What a page cuts through is softened by both edges where they are one: it cuts only where there is something to cut off.
            return ($isBeyond ? $picture->keptToPage() : $picture)->cut(new Box(...$box));
        }

        return $box === self::WHOLE ? $picture : $picture->cut(new Box(...$box));
    }

    /** Whether some of a drawing lies beyond its page, where it is not drawn. */
    private static function reachesBeyond(Picture $picture): bool
    {
        return match (true) {
            self::outOfPage($picture, self::ROUGHLY, 1) => true,
            self::outOfPage($picture, self::ROUGHLY, -2) => self::outOfPage($picture, self::CLOSELY, 1),
            default => false,
        };
    }

    /**
     * Whether some of a drawing's ink lies by more than so many pixels beyond its page, or comes as near to its edge from within where they are negative.
     *
     * @param  float  $longer  pixels of the page's longer side
     */
    private static function outOfPage(Picture $picture, float $longer, int $by): bool
    {
        [$width, $height] = self::pixels($picture, $longer);
        // With half a page about it.
        $placing = Placing::picture(new Placement($width, $height, $width, $height, 0, Flip::None), $picture->aspect());
        $ink = SvgPainter::drawing($picture->cut(new Box(...self::WHOLE))->markup(), $placing, new Frame(1, 0, 0, 2 * $width, 2 * $height));
        [$left, $top, $across, $down] = $ink->alpha()->isMore(self::SEEN)->settled()->inkBox() ?? [$width, $height, 0, 0];

        return $left < intdiv($width, 2) - $by || $top < intdiv($height, 2) - $by || $left + $across > $width + intdiv($width + 1, 2) + $by || $top + $down > $height + intdiv($height + 1, 2) + $by;
    }

    /** @return array{int, int} of a drawing whose longer side has so many */
    private static function pixels(Picture $picture, float $longer): array
    {
        $scale = $longer / max($picture->width, $picture->height);

        return [max(1, (int) round($picture->width * $scale)), max(1, (int) round($picture->height * $scale))];
    }

    /** @return array{float, float, float, float} left, top, right and bottom of all ink, as shares of the picture; all of it where there is none */
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

    /** Height over width of a layer's picture, after what crops and straightens it. */
    public function aspect(Layer $layer, ArtSource $source): float
    {
        [$width, $height] = $this->size($layer, $source);

        return $height / $width;
    }

    /**
     * Width and height of a layer's picture in its own pixels, after what crops and straightens it.
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
     * The pixels to place; null for a drawing and for a raster that nothing is done to.
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
     * The picture after some lines. Each step is kept, so that only what comes after a changed line is worked again.
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
                // A line that drew the picture anew left more pixels to the inch.
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

    /** Whether a line draws the picture anew, so that its own pixels do not show any more. */
    public static function isRedrawn(Layer $layer): bool
    {
        return array_filter(self::lines($layer), fn (EffectLine $line): bool => is_a($line->is(), ChangesScale::class, true)) !== [];
    }

    /**
     * What a line does, kept to an area that was drawn; what is drawn to go is taken out of the area again.
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
