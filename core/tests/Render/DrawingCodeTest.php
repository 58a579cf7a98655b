<?php

declare(strict_types=1);

use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Render\DrawingCode;
use TallCrow\Render\FolderPictures;
use TallCrow\Tests\Fixtures;

/** A copy of the core's source that can be changed. */
function copied_core(): string
{
    $folder = Fixtures::temporary('core');
    Fixtures::run(['cp', '-r', dirname(__DIR__, 2).'/src', "$folder/src"]);

    return "$folder/src";
}

function change(string $file, string $from, string $to): void
{
    $code = (string) file_get_contents($file);
    expect(substr_count($code, $from))->toBeGreaterThan(0, "$file holds \"$from\"");
    file_put_contents($file, str_replace($from, $to, $code));
    clearstatcache();
}

/** Draws a sheet in a process of its own, by a copy of the core, with what that kept of earlier drawings. */
function proof_by(string $core, string $kept, array $layers): Image
{
    $folder = Fixtures::temporary('proof');
    file_put_contents("$folder/sheet.json", (string) json_encode(Fixtures::sheet($layers)));
    file_put_contents("$folder/draw.php", '<?php
        spl_autoload_register(function (string $class) { if (str_starts_with($class, "TallCrow\\\\")) { require '.var_export($core, true).'."/".str_replace("\\\\", "/", substr($class, 9)).".php"; } });
        $artwork = TallCrow\Artwork\ArtworkReader::json(file_get_contents($argv[1]));
        $renderer = new TallCrow\Render\Renderer(new TallCrow\Asset\FolderShelf($argv[2]), new TallCrow\Render\FolderPictures($argv[3]));
        TallCrow\Raster\ImageFile::writePng($renderer->picture($artwork, TallCrow\Render\Frame::sheet($artwork->sheet, 60)), $argv[4]);');
    Fixtures::run(['php', "$folder/draw.php", "$folder/sheet.json", Fixtures::assets(), $kept, "$folder/proof.png"]);

    return ImageFile::read(PictureType::Png, "$folder/proof.png")->settled();
}

it('draws a proof anew when any part that made it is changed', function (string $file, string $from, string $to, array $layer): void {
    $core = copied_core();
    $kept = Fixtures::temporary('kept');
    $before = proof_by($core, $kept, [$layer])->toBytes();
    expect(proof_by($core, $kept, [$layer])->toBytes() === $before)->toBeTrue();
    change("$core/$file", $from, $to);
    expect(proof_by($core, $kept, [$layer])->toBytes() === $before)->toBeFalse();
})->with([
    'a paper' => ['Paper/Gingham.php', 'fill-opacity=\"0.5\"', 'fill-opacity=\"0.8\"', fn () => Fixtures::shape('s', 'rectangle', 2, more: ['effects' => [1 => ['kind' => 'paper', 'paper' => 'gingham']]])],
    'a texture' => ['Texture/Speckle.php', '$grain(0.65, 1)', '$grain(0.9, 1)', fn () => Fixtures::shape('s', 'rectangle', 2, more: ['distress' => [['texture' => 'speckle', 'amount' => 0.3]]])],
    'a warp' => ['Effect/Warp/Arch.php', '$half = $box->width() / 2;', '$half = $box->width() / 3;', fn () => Fixtures::words('w', 'KITE SOCIETY OF QUARRY ROAD AND THE TIDE POOLS', 2.5, ['effects' => [1 => ['kind' => 'arch']]])],
    'a mask' => ['Mask/MaskShape.php', 'Outline::ellipse(', 'Outline::rectangle(', fn () => Fixtures::shape('s', 'rectangle', 2, more: ['masks' => [['kind' => 'ellipse']]])],
    'a look' => ['Effect/Look/Stamped.php', '0.03 * $grid->ppi', '0.08 * $grid->ppi', fn () => Fixtures::shape('s', 'rectangle', 2, more: ['effects' => [1 => ['kind' => 'stamped']]])],
    'the painter' => ['Render/Stage/OpacityStage.php', 'linearByte($layer->opacity)', 'linearByte($layer->opacity / 2)', fn () => Fixtures::shape('s', 'rectangle', 2, more: ['opacity' => 0.8])],
]);

it('changes its fingerprint with every file of the drawing parts, and with no other', function (): void {
    $core = copied_core();
    $print = fn (): string => DrawingCode::fingerprint(Fixtures::temporary('kept'), $core);
    $before = $print();
    expect($before)->toMatch('/^[0-9a-f]{32}$/')->and($print())->toBe($before);
    foreach (DrawingCode::FOLDERS as $folder) {
        $file = (glob("$core/$folder/*.php") ?: [])[0];
        $code = (string) file_get_contents($file);
        file_put_contents($file, $code."\n");
        clearstatcache();
        expect($print())->not->toBe($before, $file);
        file_put_contents($file, $code);
    }
    file_put_contents("$core/Preflight/Haze.php", "\n", FILE_APPEND);
    clearstatcache();
    expect($print())->toBe($before);
});

it('changes that of the whole core with what only measures, too', function (): void {
    $core = copied_core();
    $print = fn (): string => DrawingCode::fingerprint(Fixtures::temporary('kept'), $core, DrawingCode::ALL);
    $before = $print();
    expect($print())->toBe($before)->and(DrawingCode::fingerprint(Fixtures::temporary('kept'), $core))->not->toBe($before);
    foreach (['Preflight/Haze.php', 'House/Fit.php', 'Artwork/Schema/ArtworkSchema.php', 'Raster/Image.php'] as $file) {
        file_put_contents("$core/$file", "\n", FILE_APPEND);
        clearstatcache();
        [$then, $before] = [$before, $print()];
        expect($before)->not->toBe($then, $file);
    }
});

it('takes in every folder on which drawing leans', function (): void {
    $used = [];
    $walk = function (string $folder) use (&$walk, &$used): void {
        $used[] = $folder;
        foreach (array_merge(glob(dirname(__DIR__, 2)."/src/$folder/*.php") ?: [], glob(dirname(__DIR__, 2)."/src/$folder/*/*.php") ?: []) as $file) {
            preg_match_all('/^use TallCrow\\\\(\w+)/m', (string) file_get_contents($file), $names);
            foreach (array_diff($names[1], $used) as $name) {
                $walk($name);
            }
        }
    };
    $walk('Render');
    // Measure counts inches and pixels: what it says stands in the frame, the placement and the ppi, which are in every key.
    expect(array_diff(array_unique($used), DrawingCode::FOLDERS))->toEqualCanonicalizing(['Measure']);
});

it('is the same in every process, and keeps nothing of one code for another', function (): void {
    $folder = Fixtures::temporary('kept');
    $here = DrawingCode::fingerprint($folder);
    $there = Fixtures::run(['php', '-r', 'require "vendor/autoload.php"; echo TallCrow\Render\DrawingCode::fingerprint($argv[1]);', $folder]);
    $elsewhere = Fixtures::run(['php', '-r', 'require "vendor/autoload.php"; echo TallCrow\Render\DrawingCode::fingerprint($argv[1]);', Fixtures::temporary('kept')]);
    expect($there)->toBe($here)->and($elsewhere)->toBe($here);

    $ask = fn (string $code, string $text): string => (new FolderPictures($folder, code: $code))->text('kite', fn (): string => $text);
    expect($ask('one', 'first'))->toBe('first')->and($ask('one', 'second'))->toBe('first')->and($ask('two', 'second'))->toBe('second');
});
