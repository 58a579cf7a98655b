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

/** Small pictures for the shelf and its finders. */
final class AssetPreview
{
    private const SIDE = 180;

    private const LINE = [440, 64];

    public function png(Asset $asset, string $words): string
    {
        $studio = Studio::of(Shop::query()->findOrFail($asset->shop_id));
        $key = "preview {$studio->shelf->fingerprint($asset->file)} $words";
        $made = $studio->pictures->text($key, fn (): string => $asset->kind === AssetKind::Font
            ? $this->words($studio->shelf, $asset, $words === '' ? $asset->title : $words)
            : $this->art($studio->shelf, $asset));

        return $made;
    }

    private function art(Shelf $shelf, Asset $asset): string
    {
        $picture = $shelf->picture($asset->file);
        $scale = self::SIDE / max($picture->width, $picture->height);
        if ($picture->isVector()) {
            // One inch to the pixel: the preview's own small sheet.
            [$width, $height] = [max(1, (int) round($picture->width * $scale)), max(1, (int) round($picture->height * $scale))];
            $placing = Placing::picture(new Placement($width / 2, $height / 2, $width, $height, 0, Flip::None), $picture->aspect());

            return ImageFile::png(SvgPainter::drawing($picture->markup(), $placing, new Frame(1, 0, 0, $width, $height)));
        }

        return ImageFile::png($picture->pixels()->resized(min(1.0, $scale)));
    }

    private function words(Shelf $shelf, Asset $asset, string $words): string
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
            return ImageFile::png(Image::empty($width, $height));
        }
        $box = $path->bounds();
        $scale = min(($width - 8) / $box->width(), ($height - 12) / $box->height(), 48.0);
        $placed = $path->transformed(Affine::shift(-$box->left, -$box->centreY())->then(Affine::scale($scale, $scale))->then(Affine::shift(4, $height / 2)));

        return ImageFile::png(Shapes::ink($placed, Srgb::hex('#1f1d1a'), new Frame(1, 0, 0, $width, $height)));
    }
}
