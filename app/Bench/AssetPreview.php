<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Asset;
use App\Models\AssetKind;
use App\Models\Shop;
use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Placement;
use TallCrow\Asset\Shelf;
use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Affine;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Render\Placing;
use TallCrow\Render\Shapes;
use TallCrow\Render\SvgPainter;
use TallCrow\Type\Alignment;
use TallCrow\Type\Letter;
use TallCrow\Type\MissingGlyphs;
use TallCrow\Type\Setting;
use TallCrow\Type\Typesetter;

/** Previews for the shelf and the pickers. */
final class AssetPreview
{
    private const SIDE = 180;

    private const LINE = [440, 64];

    public function png(Asset $asset, string $words): string
    {
        $studio = Studio::of(Shop::query()->findOrFail($asset->shop_id));
        $key = "preview {$studio->shelf->fingerprint($asset->file)} $words";

        return $studio->pictures->text($key, fn (): string => ImageFile::png($this->picture($studio, $asset, $words)));
    }

    /** On a background colour, as JPEG has no alpha. */
    public function jpeg(Asset $asset): string
    {
        $studio = Studio::of(Shop::query()->findOrFail($asset->shop_id));

        return $studio->pictures->text("paper preview {$studio->shelf->fingerprint($asset->file)}", fn (): string => ImageFile::jpegOn($this->picture($studio, $asset, ''), Srgb::hex('#ffffff')));
    }

    /** The preview of a picture. */
    public function image(Studio $studio, Asset $asset): Image
    {
        return $this->art($studio->shelf, $asset);
    }

    private function picture(Studio $studio, Asset $asset, string $words): Image
    {
        return $asset->kind === AssetKind::Font ? $this->words($studio->shelf, $asset, $words === '' ? $asset->title : $words) : $this->art($studio->shelf, $asset);
    }

    private function art(Shelf $shelf, Asset $asset): Image
    {
        $picture = $shelf->picture($asset->file);
        $scale = self::SIDE / max($picture->width, $picture->height);
        if ($picture->isVector()) {
            // A sheet of one inch per pixel.
            [$width, $height] = [max(1, (int) round($picture->width * $scale)), max(1, (int) round($picture->height * $scale))];
            $placing = Placing::picture(new Placement($width / 2, $height / 2, $width, $height, 0, Flip::None), $picture->aspect());

            return SvgPainter::drawing($picture->markup(), $placing, new Frame(1, 0, 0, $width, $height));
        }

        return $picture->pixels()->resized(min(1.0, $scale));
    }

    private function words(Shelf $shelf, Asset $asset, string $words): Image
    {
        [$width, $height] = self::LINE;
        $font = $shelf->font($asset->file);
        try {
            $letters = Typesetter::set(str_replace("\n", ' ', $words), $font, new Setting(Alignment::Left, 1));
        } catch (MissingGlyphs) {
            $letters = Typesetter::set(implode('', array_filter(mb_str_split($words), fn (string $c): bool => $font->has($c))), $font, new Setting(Alignment::Left, 1));
        }
        $path = Letter::together($letters);
        if ($path->isEmpty()) {
            return Image::empty($width, $height);
        }
        $box = $path->bounds();
        $scale = min(($width - 8) / $box->width(), ($height - 12) / $box->height(), 48.0);
        $placed = $path->transformed(Affine::shift(-$box->left, -$box->centreY())->then(Affine::scale($scale, $scale))->then(Affine::shift(4, $height / 2)));

        return Shapes::ink($placed, Srgb::hex('#1f1d1a'), new Frame(1, 0, 0, $width, $height));
    }
}
