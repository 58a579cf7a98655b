<?php

declare(strict_types=1);

namespace App\Bench;

use App\Files\ShopFiles;
use App\Http\Answers\Bucket;
use App\Http\Answers\PocketOfPicture;
use App\Models\Shop;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\EffectReader;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Node;
use TallCrow\Asset\FolderShelf;
use TallCrow\Colour\Palette;
use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;
use TallCrow\Cutout\Background;
use TallCrow\Cutout\Pockets;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Retouches;
use TallCrow\Preflight\KeptReports;
use TallCrow\Raster\Image;
use TallCrow\Render\DrawingWatch;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Renderer;
use TallCrow\Render\WatchedPictures;

/** A shop's shelf with the renderer that uses it and its cache of pictures. */
final readonly class Studio
{
    private const PALETTE_SIDE = 160;

    private function __construct(
        public FolderShelf $shelf,
        public Renderer $renderer,
        public FolderPictures $pictures,
        public KeptReports $reports,
    ) {}

    public static function of(Shop $shop): self
    {
        $shelf = new FolderShelf(ShopFiles::of($shop)->shelf());
        $kept = $shop->folder('pictures');
        $pictures = new FolderPictures($kept, materials: self::materials());
        $watched = new WatchedPictures($pictures, new DrawingWatch($shop->folder('watch')));

        return new self($shelf, new Renderer($shelf, $watched), $pictures, new KeptReports($pictures, $shelf, $kept));
    }

    /** The cache of wear fields and papers, shared by all shops. */
    public static function materials(): FolderPictures
    {
        return new FolderPictures(config()->string('crow.materials'), config()->integer('crow.materials_bytes'));
    }

    /**
     * The few colours that stand for a picture, clear parts aside.
     *
     * @return list<Swatch>
     */
    public function palette(string $file, int $count): array
    {
        $json = $this->pictures->text("palette {$this->shelf->fingerprint($file)} $count", function () use ($file, $count): string {
            $picture = $this->shelf->picture($file);
            $pixels = $picture->pixels();
            $small = $pixels->resized(min(1.0, self::PALETTE_SIDE / max($pixels->width(), $pixels->height())));
            $bytes = '';
            foreach (str_split($small->toBytes(), 4) as $pixel) {
                $bytes .= ord($pixel[3]) > 127 ? substr($pixel, 0, 3) : '';
            }

            return json_encode(array_map(fn (Swatch $swatch): array => $swatch->toArray(), Palette::of($bytes, $count)), JSON_THROW_ON_ERROR);
        });
        /** @var list<array{name: string, colour: string, share: float}> $found */
        $found = json_decode($json, true);

        return array_map(fn (array $swatch): Swatch => new Swatch($swatch['name'], Srgb::hex($swatch['colour']), $swatch['share']), $found);
    }

    /**
     * The buckets of a line that hides some, and what it hides that is none of them.
     *
     * @return ?list<Bucket>
     */
    public function buckets(Artwork $artwork, string $id, int $number): ?array
    {
        $line = $artwork->layer($id)->effects[$number] ?? null;
        if ($line?->kind !== 'clear-buckets') {
            return null;
        }
        $pixels = $this->before($artwork, $id, $number);

        if ($pixels === null) {
            return null;
        }
        $buckets = Background::buckets($pixels, (int) $line->values->number('count'));
        [$hidden, $lost] = [[], []];
        foreach ($line->values->colours('hidden') as $colour) {
            $number = Background::bucketOf($buckets, $colour);
            if ($number === null) {
                $lost[] = new Bucket($colour->toHex(), 0.0, $colour->toHex(), false);
            } else {
                $hidden[$number] = $colour->toHex();
            }
        }

        return [...array_map(fn (Swatch $bucket, int $i): Bucket => new Bucket($bucket->colour->toHex(), $bucket->share, $hidden[$i] ?? null, true), $buckets, array_keys($buckets)), ...$lost];
    }

    /**
     * The pockets of background that a line which clears it from the edge would leave.
     *
     * @return ?list<PocketOfPicture>
     */
    public function pockets(Artwork $artwork, string $id, int $number): ?array
    {
        $line = $artwork->layer($id)->effects[$number] ?? null;
        if ($line?->kind !== 'clear-edge') {
            return null;
        }
        $pixels = $this->before($artwork, $id, $number);

        return $pixels === null ? null : array_map(
            fn (array $pocket): PocketOfPicture => new PocketOfPicture(round($pocket['x'], 5), round($pocket['y'], 5), $pocket['share']),
            Pockets::of(Background::enclosed($pixels, $line->values->number('tolerance'))),
        );
    }

    /** A layer's raster after the effects before the given one; null if the layer has no raster. */
    public function before(Artwork $artwork, string $id, int $number): ?Image
    {
        $layer = $artwork->layer($id);
        $art = $layer?->picture();
        if ($layer === null || $art === null || ! isset($layer->effects[$number]) || $this->renderer->placer->retoucher->picture($art)->isVector()) {
            return null;
        }
        $before = $layer->withEffects(array_slice($layer->effects, 0, $number));

        return $this->renderer->placer->retoucher->retouched($before, $art, $layer->placement->width ?? 1.0)
            ?? $this->renderer->placer->retoucher->picture($art)->pixels()->settled();
    }

    /**
     * What a line that is drawn on would leave of a layer's raster with other scribbles, no larger than so many pixels; null when the layer shows none or
     * the line takes none.
     *
     * @param  mixed  $scribbles  as in a sheet
     *
     * @throws ArtworkInvalid
     */
    public function scribbled(Artwork $artwork, string $id, int $number, mixed $scribbles, int $longest): ?Image
    {
        $line = $artwork->layer($id)->effects[$number] ?? null;
        $before = $line === null || ! is_a($line->is(), Retouches::class, true) ? null : $this->before($artwork, $id, $number);
        if ($line === null || $before === null || array_filter($line->is()::parameters(), fn (Parameter $one): bool => $one->name === 'scribbles') === []) {
            return null;
        }
        $faults = new Faults;
        $effect = EffectReader::of($artwork->swatches)->line(Node::root(['scribbles' => $scribbles] + $line->toArray(), $faults))->effect();
        $faults->settle();
        $small = $before->resized(min(1.0, $longest / max($before->width(), $before->height())))->settled();
        assert($effect instanceof Retouches);

        return $effect->retouch($small, $small->width() / ($artwork->layer($id)->placement->width ?? 1.0))->settled();
    }
}
