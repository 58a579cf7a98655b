<?php

declare(strict_types=1);

namespace TallCrow\Tests;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\EffectLine;
use TallCrow\Asset\FolderShelf;
use TallCrow\Asset\Shelf;
use TallCrow\Cli\Crow;
use TallCrow\Cli\Materials;
use TallCrow\Colour\Srgb;
use TallCrow\Edit\Operation;
use TallCrow\Edit\Operations;
use TallCrow\Effect\Catalogue;
use TallCrow\Effect\Effect;
use TallCrow\Effect\Values;
use TallCrow\Look\Dots;
use TallCrow\Look\Dotted;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\Separation;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\NoPictures;
use TallCrow\Render\Renderer;
use TallCrow\Texture\Catalogue as Textures;

/** What tests work on: fonts, art and the demo's build sheets in one folder, and small build sheets. */
final class Fixtures
{
    private static ?string $folder = null;

    /** A folder of fonts, art and the demo shop's build sheets. */
    public static function assets(): string
    {
        if (self::$folder === null) {
            self::$folder = self::temporary('assets');
            foreach ([__DIR__.'/fixtures/assets', dirname(__DIR__, 2).'/demo/art', dirname(__DIR__, 2).'/demo/artworks'] as $from) {
                foreach (glob($from.'/*.{woff2,svg,png,json}', GLOB_BRACE) ?: [] as $file) {
                    copy($file, self::$folder.'/'.basename($file));
                }
            }
        }

        return self::$folder;
    }

    /** A fresh folder that is gone when the tests are. */
    public static function temporary(string $name): string
    {
        $folder = sys_get_temp_dir().'/tall-crow-'.$name.'-'.getmypid().'-'.bin2hex(random_bytes(4));
        mkdir($folder, 0o700, true);
        register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg($folder)));

        return $folder;
    }

    /**
     * A sheet of 3 × 4 in at 300 ppi.
     *
     * @param  list<array<string, mixed>>  $layers
     * @return array<string, mixed>
     */
    public static function sheet(array $layers, array $more = []): array
    {
        return $more + [
            'format' => Artwork::FORMAT, 'title' => 'Bell ringers', 'product' => 'tee', 'side' => 'front', 'method' => 'dtg', 'rule' => 'strict-300',
            'sheet' => ['width' => 900, 'height' => 1200, 'ppi' => 300],
            'garments' => [['name' => 'Slate', 'colour' => '#3d4a57'], ['name' => 'Oat', 'colour' => '#e4d9c3']],
            'layers' => $layers, 'distress' => [],
        ];
    }

    /** @param  list<array<string, mixed>>  $layers */
    public static function artwork(array $layers, array $more = []): Artwork
    {
        return ArtworkReader::data(self::sheet($layers, $more));
    }

    public static function demo(string $name): Artwork
    {
        return ArtworkReader::json((string) file_get_contents(self::assets()."/$name.json"));
    }

    public static function shelf(?string $folder = null): FolderShelf
    {
        return new FolderShelf($folder ?? self::assets());
    }

    /** Draws all anew but the fields of wear and the papers, which hang on their code and on no sheet. */
    public static function renderer(?Shelf $shelf = null, ?Artwork $pattern = null): Renderer
    {
        return new Renderer($shelf ?? self::shelf(), new NoPictures(Materials::kept()), $pattern);
    }

    /** A field of wear at its own size, as it is kept for all sheets. */
    public static function field(string $texture, int $seed): Image
    {
        $make = fn (): Image => Textures::field($texture, $seed, 1.0);

        return (Materials::kept()?->material(sprintf('field %s %d %d', $texture, $seed, Patchwork::across(1.0)), $make) ?? $make())->settled();
    }

    public static function render(Artwork $artwork, float $ppi = 300, ?string $folder = null): Image
    {
        return self::renderer(self::shelf($folder))->picture($artwork, Frame::sheet($artwork->sheet, $ppi))->settled();
    }

    /** The sheet once operations are carried out on it. */
    public static function edited(Artwork $artwork, Operation ...$operations): Artwork
    {
        return Operations::apply(array_values($operations), $artwork, self::renderer()->placer)->artwork;
    }

    /** @return array{int, int, int, int} red, green, blue, alpha */
    public static function pixel(Image $image, int $x, int $y): array
    {
        return array_values((array) unpack('C4', $image->crop($x, $y, 1, 1)->toBytes()));
    }

    /** @return array<string, mixed> a figure in the middle of the sheet unless told otherwise */
    public static function shape(string $id, string $shape, float $width, string $colour = '#f3ead7', array $more = []): array
    {
        return array_replace_recursive([
            'id' => $id,
            'source' => ['kind' => 'shape', 'shape' => $shape],
            'placement' => ['x' => 1.5, 'y' => 2, 'width' => $width, 'height' => null],
            'effects' => [['kind' => 'fill', 'colour' => $colour]],
        ], $more);
    }

    /** @return array<string, mixed> */
    public static function words(string $id, string $text, float $width, array $more = []): array
    {
        return array_replace_recursive([
            'id' => $id,
            'source' => ['kind' => 'text', 'text' => $text, 'font' => 'alfa-slab-one.woff2'],
            'placement' => ['x' => 1.5, 'y' => 2, 'width' => $width, 'height' => null],
            'effects' => [['kind' => 'fill', 'colour' => '#f3ead7']],
        ], $more);
    }

    /**
     * An effect with its defaults, but for what is given.
     *
     * @param  array<string, float|string|list<string>>  $values
     */
    public static function effect(string $kind, array $values = []): Effect
    {
        foreach (Catalogue::classes()[$kind]::parameters() as $parameter) {
            $values += [$parameter->name => $parameter->default];
        }

        return (new EffectLine($kind, new Values($values), true))->effect();
    }

    /** A font as TTF, for reference tools that do not read WOFF2. */
    public static function unpackedFont(string $name): string
    {
        $folder = self::temporary('font');
        copy(self::assets()."/$name.woff2", "$folder/font.woff2");
        self::run(['woff2_decompress', "$folder/font.woff2"]);

        return "$folder/font.ttf";
    }

    /** Runs the command line within this process. @return array{int, string, string} exit code, output, errors */
    public static function crow(string ...$words): array
    {
        [$out, $error] = [fopen('php://memory', 'w+'), fopen('php://memory', 'w+')];
        assert($out !== false && $error !== false);
        $code = Crow::run(array_values($words), $out, $error);
        rewind($out);
        rewind($error);

        return [$code, (string) stream_get_contents($out), (string) stream_get_contents($error)];
    }

    /** Runs a reference tool. @param  list<string>  $command */
    public static function run(array $command): string
    {
        $process = proc_open($command, [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes, dirname(__DIR__, 2));
        assert(is_resource($process));
        $out = (string) stream_get_contents($pipes[1]);
        $error = (string) stream_get_contents($pipes[2]);
        $code = proc_close($process);
        if ($code !== 0) {
            throw new \RuntimeException(implode(' ', $command).": exit $code: $error$out");
        }

        return $out;
    }

    /**
     * Runs code that PHP warns of though it expects the fault: what is asked is what it makes of it.
     *
     * @template T
     *
     * @param  \Closure(): T  $run
     * @return T
     */
    public static function silently(\Closure $run): mixed
    {
        set_error_handler(fn (): bool => true);
        try {
            return $run();
        } finally {
            restore_error_handler();
        }
    }

    /**
     * A picture in solid inks at 300 ppi, screens of 30 lines to the inch.
     *
     * @param  list<Srgb>  $inks
     */
    public static function inInks(Image $picture, array $inks): Image
    {
        return Dotted::printed(Separation::dots($picture, $inks, 30, 15, Dots::Round, PrintGrid::ofInk(300, [0, 0])), $picture);
    }
}
