<?php

declare(strict_types=1);

namespace App\Bench;

use App\Files\FileNotKept;
use App\Files\ShopFiles;
use App\Jobs\PreviewAsset;
use App\Models\Asset;
use App\Models\AssetKind;
use App\Models\Shop;
use App\Rights\LicenceBook;
use App\Rights\LicenceWanted;
use App\Shelf\ShelfFacts;
use App\Shelf\ShelfWords;
use App\Upkeep\Room;
use Illuminate\Support\Facades\File;
use TallCrow\Asset\AssetPack;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\FolderShelf;
use TallCrow\Asset\Picture;
use TallCrow\Asset\PictureReader;
use TallCrow\Asset\PictureRefused;
use TallCrow\Cutout\Tracing;
use TallCrow\Raster\PictureType;
use TallCrow\Type\Axis;
use TallCrow\Type\Font;
use TallCrow\Type\FontRefused;

/** Adds fonts and pictures to a shop's shelf after verifying that their content matches their type. */
final readonly class Shelving
{
    public function __construct(private LicenceBook $licences) {}

    /**
     * A font, a picture, or every font and picture of a zip pack: all of it or, when one is refused, none. A licence that lies in a
     * pack is kept as a proof; where no licence is stated, it is the one that holds.
     *
     * @param  string  $name  by which it came
     * @return non-empty-list<Asset>
     *
     * @throws AssetUnusable|FontRefused|PictureRefused|LicenceWanted
     */
    public function take(Shop $shop, string $path, string $name, Provenance $from): array
    {
        if (! str_starts_with((string) file_get_contents($path, length: 4), "PK\3\4")) {
            return [$this->put($shop, $path, $name, $from->stated())];
        }
        $folder = $shop->folder('unpacking').'/'.bin2hex(random_bytes(8));
        File::ensureDirectoryExists($folder, 0o700);
        try {
            $pieces = AssetPack::unpack($path, $folder);
            $texts = AssetPack::texts($path, $folder);
            // All are checked before any is stored.
            foreach ($pieces as $piece) {
                try {
                    $piece['cut'] === null ? PictureReader::check($piece['path']) : Font::fromBytes((string) file_get_contents($piece['path']));
                } catch (FontRefused|PictureRefused $refused) {
                    throw AssetUnusable::because($piece['name'], $refused);
                }
            }
            $from = $this->licences->proven($shop, $from, $texts);

            return array_map(fn (array $piece): Asset => $this->put($shop, $piece['path'], $piece['name'], $from, [
                'pack' => pathinfo($name, PATHINFO_FILENAME), 'cut' => $piece['cut']->value ?? '',
            ]), $pieces);
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /** @throws AssetUnusable */
    public function trace(Shop $shop, Asset $asset, int $colours): Asset
    {
        $picture = Studio::of($shop)->shelf->picture($asset->file);
        if ($picture->isVector()) {
            throw AssetUnusable::drawing($asset->file);
        }
        $folder = $shop->folder('unpacking').'/'.bin2hex(random_bytes(8));
        File::ensureDirectoryExists($folder, 0o700);
        try {
            file_put_contents("$folder/drawing.svg", Tracing::svg($picture->pixels()->settled(), $colours));

            return $this->put($shop, "$folder/drawing.svg", pathinfo($asset->file, PATHINFO_FILENAME).'-traced.svg', new Provenance($asset->licence_name, $asset->licence_author, $asset->licence_url, record: $asset->licence_id));
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /**
     * @param  array<string, string>  $cut  pack and cut of a font that came with others
     *
     * @throws AssetUnusable|FontRefused|PictureRefused
     */
    public function put(Shop $shop, string $path, string $name, Provenance $from, array $cut = []): Asset
    {
        Room::demand($shop->folder('assets'), (int) filesize($path));
        $head = (string) file_get_contents($path, length: 4096);
        $font = self::fontType($head);
        $title = pathinfo($name, PATHINFO_FILENAME);
        $stem = self::stem($title);
        // Otherwise the message would be that it is not a picture.
        if (preg_match('/^(\x80\x01.{4})?%!(PS-AdobeFont|FontType1)/s', $head) === 1) {
            throw FontRefused::notOpenType();
        }
        // Plain, or inside a WOFF file.
        if (str_starts_with($head, 'ttcf') || $font !== null && substr($head, 4, 4) === 'ttcf') {
            throw FontRefused::collection();
        }
        if ($font !== null) {
            if ((int) filesize($path) > FolderShelf::MOST_FONT_BYTES) {
                throw AssetUnusable::tooLarge($name, FolderShelf::MOST_FONT_BYTES);
            }
            $opened = Font::fromBytes((string) file_get_contents($path));
            $facts = ['kind' => AssetKind::Font, 'type' => $font, 'title' => self::called($opened), 'features' => $opened->features(), 'varies' => array_map(fn (Axis $axis): string => $axis->name, $opened->axes())];
            $kept = null;
        } else {
            $picture = PictureReader::check($path);
            $facts = ['kind' => AssetKind::Art, 'type' => $picture->type->value, 'title' => $title, 'width' => $picture->width, 'height' => $picture->height, 'left_out' => $picture->leftOut];
            $kept = $this->kept($picture);
        }
        $file = $this->free($shop, $stem, $facts['type']);
        $target = $shop->folder('assets').'/'.$file;
        $kept === null ? copy($path, $target) : file_put_contents($target, $kept);

        $licence = $from->record ?? $this->licences->named($shop, $from->licence, $from->author)?->id;
        $asset = $shop->assets()->create($from->columns() + $cut + $facts + ['file' => $file, 'bytes' => (int) filesize($target), 'licence_id' => $licence])->refresh();
        try {
            ShopFiles::of($shop)->keepAsset($asset);
        } catch (FileNotKept $not) {
            $this->remove($shop, $asset);
            throw $not;
        }
        ShelfFacts::of($asset)->keep();
        PreviewAsset::dispatch($asset->id);

        return $asset;
    }

    /** Removes an asset that was just added. */
    public function remove(Shop $shop, Asset $asset): void
    {
        ShopFiles::of($shop)->dropAsset($asset);
        ShelfWords::forget($asset->id);
        $asset->delete();
    }

    /** Of an SVG only the sanitised markup is stored; raster files are stored unchanged. */
    private function kept(Picture $picture): ?string
    {
        return $picture->type === PictureType::Svg ? $picture->markup() : null;
    }

    private static function fontType(string $head): ?string
    {
        return match (substr($head, 0, 4)) {
            "\0\1\0\0", 'true' => 'ttf',
            'OTTO' => 'otf',
            'wOFF' => 'woff',
            'wOF2' => 'woff2',
            default => null,
        };
    }

    /** The style of a variable font is only the place where it begins, but for its slope, which is another file. */
    private static function called(Font $font): string
    {
        $style = match (true) {
            $font->axes() !== [] => preg_match('/italic|oblique/i', $font->style, $slope) === 1 ? $slope[0] : '',
            in_array($font->style, ['Regular', 'Normal'], true) => '',
            default => $font->style,
        };

        return trim("$font->family $style");
    }

    private static function stem(string $title): string
    {
        $stem = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower((string) iconv('UTF-8', 'ASCII//TRANSLIT//IGNORE', $title))), '-');

        return $stem === '' ? 'piece' : substr($stem, 0, 80);
    }

    /** A file name unused in the shop, since build sheets refer to assets by file name. */
    private function free(Shop $shop, string $stem, string $type): string
    {
        $taken = $shop->assets()->where('file', 'like', $stem.'%')->pluck('file')->all();
        for ($n = 1, $file = "$stem.$type"; in_array($file, $taken, true); $file = "$stem-$n.$type") {
            $n++;
        }

        return $file;
    }
}
