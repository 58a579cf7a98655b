<?php

declare(strict_types=1);

namespace TallCrow\Listing;

use TallCrow\Artwork\Sheet;
use TallCrow\Colour\Srgb;
use TallCrow\Noise\Field;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Laid;
use TallCrow\Raster\Sampling;

/**
 * Draws a design on a garment. One height map of folds displaces the art (in proportion to the slope) and shades cloth and art alike
 * (Lambert's law, lit from the upper left), so that the art looks printed on the cloth.
 */
final class ListingPicture
{
    /** Margin around the garment in inches. */
    private const ROOM = 1.6;

    /** Displacement of the art in inches where the height map rises by its full range within an inch. */
    private const BEND = 0.05;

    /** Inches around the print area within which the displaced art lies: folds move it by far less. */
    private const FARTHEST = 0.5;

    private const COARSE = 5;

    /** Half the width, and the length, of a folded garment in inches. */
    private const PACKET = [6.6, 15.0];

    private float $scale;

    private float $x;

    private float $y;

    private Image $mask;

    private Image $light;

    private Image $bent;

    /** The background with the garment's shadow. */
    private Image $ground;

    private function __construct(
        private readonly Scene $scene,
        private readonly GarmentCut $cut,
    ) {
        $folded = $scene->sheet->view === SceneView::Folded;
        [$foot, $above, $reach] = $folded ? [self::PACKET[1], 0.6, self::PACKET[0]] : [$cut->length(), $cut->above(), $cut->reach()];
        $tall = $foot + $above + 2 * self::ROOM;
        $wide = 2 * $reach + 2 * self::ROOM;
        $this->scale = min($scene->height / $tall, $scene->width / $wide);
        $this->x = $scene->width / 2;
        $this->y = ($scene->height - ($foot - $above) * $this->scale) / 2;
    }

    /** The resolution at which to draw the art for a scene, in pixels per inch. */
    public static function ppi(Scene $scene): float
    {
        return (new self($scene, GarmentCut::of($scene->product)))->scale;
    }

    /**
     * Draws all that does not depend on the cloth's colour, once for all colours on offer.
     *
     * @param  Image  $art  the whole print area, transparent, at the scene's ppi
     */
    public static function of(Scene $scene, Image $art, Sheet $sheet): self
    {
        $cut = GarmentCut::of($scene->product);
        $picture = new self($scene, $cut);
        $picture->mask = $picture->painted($picture->silhouette('#fff'))->alpha()->settled();
        // Folds are smooth: compute them on a small picture and enlarge it.
        $small = new self($scene->shrunk(self::COARSE), $cut);
        $rough = $small->painted($small->silhouette('#fff'))->alpha()->settled();
        $height = $small->folds()->linear($scene->sheet->folds, 128 * (1 - $scene->sheet->folds))->settled();
        [$across, $down] = [self::slope($height, true)->settled(), self::slope($height, false)->settled()];
        $grown = fn (Image $image): Image => $image->interpolated(self::COARSE, $scene->width, $scene->height);
        $picture->light = $grown($small->light($across, $down, $rough)->settled())->plus($picture->weave())->settled();
        $picture->bent = $picture->printed($art, $sheet, $grown($across), $grown($down))->masked($picture->mask)->settled();
        $picture->ground = self::stacked(Backdrop::draw($scene), $picture->shadow($rough))->settled();

        return $picture;
    }

    /** @return Image opaque sRGB */
    public function on(Srgb $cloth): Image
    {
        $dressed = self::stacked(Image::flat($cloth, $this->mask), $this->bent, $this->painted($this->seams($cloth)));

        return self::stacked($this->ground, self::lit($dressed, $this->light))->settled();
    }

    private function silhouette(string $fill): string
    {
        if ($this->scene->sheet->view === SceneView::Folded) {
            // The parts folded behind show as a second edge.
            return $this->packet(sprintf('<path d="%s" fill="%s"/>', $this->cut->outline($this->scene->back), $fill), 0.0).$this->packet("<rect x=\"-60\" y=\"2\" width=\"120\" height=\"60\" fill=\"$fill\"/>", 0.16);
        }
        $extra = $this->cut->extra();

        return ($extra === null ? '' : "<path d=\"$extra\" fill=\"$fill\"/>").sprintf('<path d="%s" fill="%s"/>', $this->cut->outline($this->scene->back), $fill);
    }

    /** The part of a drawing that is visible when the sleeves and the lower end are folded behind. */
    private function packet(string $drawing, float $lower): string
    {
        [$reach, $foot] = self::PACKET;

        return sprintf('<clipPath id="packet%d"><rect x="%F" y="-4" width="%F" height="%F" rx="0.5"/></clipPath><g clip-path="url(#packet%d)">%s</g>', (int) ($lower * 100), -$reach + $lower / 2, 2 * $reach - $lower, $foot + 4 + $lower, (int) ($lower * 100), $drawing);
    }

    private function seams(Srgb $cloth): string
    {
        $dark = $cloth->luminance() > 0.12;
        $line = $dark ? '#000' : '#fff';
        $parts = '';
        foreach ($this->cut->seams($this->scene->back) as $seam) {
            foreach (['', ' transform="scale(-1 1)"'] as $mirror) {
                $parts .= "<path d=\"$seam\"$mirror fill=\"none\" stroke=\"#000\" stroke-opacity=\"0.28\" stroke-width=\"0.09\"/><path d=\"$seam\"$mirror fill=\"none\" stroke=\"$line\" stroke-opacity=\"0.22\" stroke-width=\"0.04\" stroke-dasharray=\"0.1 0.07\"/>";
            }
        }
        $edge = $this->cut->outline($this->scene->back);

        $parts .= "<path d=\"$edge\" fill=\"none\" stroke=\"#000\" stroke-opacity=\"0.25\" stroke-width=\"0.05\"/>";
        if ($this->scene->sheet->view !== SceneView::Folded) {
            return $parts;
        }
        [$reach, $foot] = self::PACKET;
        $rim = '<path d="M%F 1.2L%F %FQ%F %F %F %FL%F %FQ%F %F %F %FL%F 1.2" fill="none" stroke="#000" stroke-opacity="0.3" stroke-width="0.06"/>';

        return $this->packet($parts, 0.0).sprintf($rim, -$reach, -$reach, $foot - 0.5, -$reach, $foot, 0.5 - $reach, $foot, $reach - 0.5, $foot, $reach, $foot, $reach, $foot - 0.5, $reach);
    }

    /** SVG in the garment's inches, painted on the whole picture as the garment is turned: clockwise about the picture's centre. */
    private function painted(string $parts): Image
    {
        return ImageFile::drawing(sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%d" height="%d"><g transform="rotate(%F %F %F) translate(%F %F) scale(%F)">%s</g></svg>',
            $this->scene->width, $this->scene->height, $this->scene->turn(), $this->scene->width / 2, $this->scene->height / 2, $this->x, $this->y, $this->scale, $parts,
        ));
    }

    /** The height map of the cloth, 0 to 255 as floats: folds from hanging and pulling, and fine unevenness. */
    private function folds(): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($this->scene->seed));
        $between = fn (float $least, float $most): float => $least + ($most - $least) * self::chance($random);
        $parts = '<rect x="-60" y="-60" width="200" height="200" fill="#808080"/>';
        $reach = $this->cut->reach();
        $foot = $this->cut->length();
        foreach (range(0, 21) as $i) {
            $side = $i % 2 === 0 ? -1 : 1;
            // Folds from the armpits down and inwards, from the chest down, across the waist, and along the sleeves.
            [$from, $to, $bow] = match ($i % 5) {
                0 => [[$side * $between(9, 10), $between(9, 12)], [$side * $between(4, 7.5), $between(15, 22)], $side * -1.4],
                1 => [[$side * $between(3, 9), $between(0.55, 0.7) * $foot], [$side * $between(3, 9.5), $foot + 0.5], $between(-1.2, 1.2)],
                2 => [[$side * $between(8.5, 10), $between(0.5, 0.85) * $foot], [$side * $between(1, 5), $between(0.6, 0.95) * $foot], $between(-1, 1)],
                3 => [[$side * $between(9, 10.5), $between(2.5, 5)], [$side * $reach * $between(0.85, 1), $between(0.25, 0.7) * $foot], $side * 0.8],
                default => [[$side * $between(8.2, 9.6), $between(4, 7)], [$side * $between(6.5, 9), $between(9, 15)], $side * 0.7],
            };
            $middle = [($from[0] + $to[0]) / 2 + $bow, ($from[1] + $to[1]) / 2 + $between(-0.8, 0.8)];
            $wide = $between(0.5, 1.1);
            foreach ([['#fff', 0.0], ['#000', $wide * 1.1]] as [$tone, $beside]) {
                $parts .= sprintf('<path d="M%F %FQ%F %F %F %F" fill="none" stroke="%s" stroke-opacity="%F" stroke-width="%F" stroke-linecap="round"/>', $from[0] + $beside, $from[1], $middle[0] + $beside, $middle[1], $to[0] + $beside, $to[1], $tone, $between(0.2, 0.45), $wide);
            }
        }
        $drawn = $this->painted($parts)->band(0)->linear(1.0);
        // A wide and a narrow blur together give folds with soft flanks and a clear crest.
        $folds = Blur::gaussian($drawn, 0.62 * $this->scale)->linear(0.75)->plus(Blur::gaussian($drawn, 0.26 * $this->scale)->linear(0.25));

        return $folds->plus($this->filled(Field::clouds($this->scene->seed, 240, 3))->linear(0.22));
    }

    /** The height difference between neighbouring pixels. */
    private static function slope(Image $height, bool $across): Image
    {
        $step = 1;
        [$x, $y] = $across ? [$step, 0] : [0, $step];
        $wide = $height->spread($step, $step, $height->width() + 2 * $step, $height->height() + 2 * $step);

        return $wide->crop($step + $x, $step + $y, $height->width(), $height->height())->minus($wide->crop($step - $x, $step - $y, $height->width(), $height->height()))->linear(1 / (2 * $step));
    }

    /** Brightness of the cloth, 1 where it lies flat: from the slope, darker towards the edges. */
    private function light(Image $across, Image $down, Image $mask): Image
    {
        // Converts the slope from levels per pixel to levels per inch.
        $slope = $across->linear(-0.00105 * $this->scale)->plus($down->linear(-0.0013 * $this->scale));
        $round = Blur::gaussian($mask->linear(1.0), 0.75 * $this->scale)->linear(0.42 / 255, 0.58);

        return $slope->linear(1.0, 1.0)->lesser(self::level(1.22, $this->scene))->lighter(self::level(0.64, $this->scene))->multiplied($round);
    }

    private function weave(): Image
    {
        return $this->filled(Field::threads($this->scene->seed + 3, 2, 4))->linear(0.03 / 255, -0.015);
    }

    private static function level(float $value, Scene $scene): Image
    {
        return Image::empty($scene->width, $scene->height, 1)->linear(1.0, $value);
    }

    /** The art in its place, displaced by the folds and turned with the garment in one lookup. */
    private function printed(Image $art, Sheet $sheet, Image $across, Image $down): Image
    {
        $box = $sheet->box();
        $art = $art->resized($box->width() * $this->scale / $art->width(), $box->height() * $this->scale / $art->height());
        // The print area is centred and starts at the garment's own line.
        [$left, $top] = [(int) round($this->x - $art->width() / 2), (int) round($this->y + $this->cut->top() * $this->scale)];
        $turn = deg2rad($this->scene->turn());
        [$cos, $sin] = [cos($turn), sin($turn)];
        // The middle of the picture, about which it is turned; places count from the middle of the first pixel.
        [$x, $y] = [($this->scene->width - 1) / 2, ($this->scene->height - 1) / 2];
        [$wide, $high] = [$art->width(), $art->height()];
        [$aside, $below] = [$left + $wide / 2 - $x, $top + $high / 2 - $y];
        $room = self::FARTHEST * $this->scale;
        $span = fn (float $middle, float $half, int $size): array => [max(0, (int) floor($middle - $half - $room)), min($size, (int) ceil($middle + $half + $room))];
        [$from, $to] = $span($x + $cos * $aside - $sin * $below, ($cos * $wide + abs($sin) * $high) / 2, $this->scene->width);
        [$head, $foot] = $span($y + $sin * $aside + $cos * $below, (abs($sin) * $wide + $cos * $high) / 2, $this->scene->height);
        // Slopes are in levels per pixel of the small picture.
        $by = self::BEND * $this->scale * $this->scale / self::COARSE / 100;
        $window = fn (Image $slope): Image => $slope->crop($from, $head, $to - $from, $foot - $head)->linear($by);
        $places = Sampling::places($to - $from, $foot - $head);
        $over = $places->band(0)->plus($window($across))->linear(1.0, $from - $x);
        $under = $places->band(1)->plus($window($down))->linear(1.0, $head - $y);

        return $art->drawnFrom(
            $over->linear($cos, $x - $left)->plus($under->linear($sin))->withBand($over->linear(-$sin, $y - $top)->plus($under->linear($cos))),
        )->embed($from, $head, $this->scene->width, $this->scene->height);
    }

    /** @param  Image  $rough  the garment's mask, small */
    private function shadow(Image $rough): Image
    {
        $by = (int) round(0.3 * $this->scale / self::COARSE);
        $moved = $rough->embed($by, (int) ($by * 1.4), $rough->width(), $rough->height());
        $soft = Blur::gaussian($moved->linear(1.0), 0.42 * $this->scale / self::COARSE)->settled()->interpolated(self::COARSE, $this->scene->width, $this->scene->height);

        return Image::flat(Srgb::of(30, 24, 18), $soft->linear(0.42 / 255)->unitToByte());
    }

    /** Crops or tiles a field to the picture's size. */
    private function filled(Image $field): Image
    {
        return $field->tiled(0, 0, $this->scene->width, $this->scene->height)->linear(1.0);
    }

    /** From 0 to 1. */
    private static function chance(\Random\Randomizer $random): float
    {
        return $random->getInt(0, 1_000_000) / 1_000_000;
    }

    /** Pictures of one size over one another, the first at the bottom. */
    private static function stacked(Image $first, Image ...$above): Image
    {
        return Composition::stacked($first->width(), $first->height(), array_map(fn (Image $image): Laid => Laid::over($image, 0, 0), [$first, ...array_values($above)]));
    }

    /** Multiplies the colours by the light. */
    private static function lit(Image $image, Image $light): Image
    {
        return $image->band(0, 3)->linear(1.0)->multiplied($light)->linear(1 / 255)->unitToByte()->asColours()->withBand($image->alpha());
    }
}
