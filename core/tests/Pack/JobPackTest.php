<?php

declare(strict_types=1);

use TallCrow\Artwork\Node;
use TallCrow\Artwork\Schema\ArtworkSchema;
use TallCrow\Asset\FolderShelf;
use TallCrow\Pack\FileNames;
use TallCrow\Pack\JobPack;
use TallCrow\Pack\JobPackRefused;
use TallCrow\Pack\PackedFile;
use TallCrow\Pack\Terms;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Render\Frame;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;

function packed_badge(): string
{
    $path = Fixtures::temporary('pack').'/badge.crow';
    $artwork = Fixtures::demo('rangers-badge');
    $files = array_map(fn (string $name): PackedFile => new PackedFile($name, Fixtures::assets()."/$name", new Terms('OFL-1.1', "Maker of $name", '')), $artwork->files());
    JobPack::write($artwork, $files, Fixtures::render($artwork, 30), $path);

    return $path;
}

/** A job file with some of its entries changed or taken away, or with others put in. */
function spoiled_pack(array $entries, ?callable $manifest = null, ?callable $after = null): string
{
    $path = packed_badge();
    $zip = new ZipArchive;
    $zip->open($path);
    if ($manifest !== null) {
        $zip->addFromString('manifest.json', (string) json_encode($manifest(json_decode((string) $zip->getFromName('manifest.json'), true))));
    }
    foreach ($entries as $name => $bytes) {
        $bytes === null ? $zip->deleteName($name) : $zip->addFromString($name, $bytes);
    }
    if ($after !== null) {
        $after($zip);
    }
    $zip->close();

    return $path;
}

it('holds all that a job needs, which draws elsewhere as it drew here', function (): void {
    $folder = Fixtures::temporary('unpacked');
    [$artwork, $files] = JobPack::unpack(packed_badge(), $folder);
    $here = Fixtures::demo('rangers-badge');
    expect($artwork->toArray())->toBe($here->toArray())
        ->and(array_map(fn (PackedFile $file): string => $file->name, $files))->toEqualCanonicalizing($here->files())
        ->and($files[0]->terms)->toEqual(new Terms('OFL-1.1', "Maker of {$files[0]->name}", ''));
    $there = (new Renderer(new FolderShelf($folder)))->picture($artwork, Frame::sheet($artwork->sheet, 60))->settled();
    expect($there->toBytes() === Fixtures::render($here, 60)->toBytes())->toBeTrue();
});

it('is a zip that any program opens, with a preview', function (): void {
    $path = packed_badge();
    $listed = Fixtures::run(['unzip', '-Z1', $path]);
    expect(explode("\n", trim($listed)))->toContain('manifest.json', 'artwork.json', 'preview.png')
        ->and(Fixtures::run(['unzip', '-tq', $path]))->toContain('No errors');
    file_put_contents("$path.png", Fixtures::run(['unzip', '-p', $path, 'preview.png']));
    $sheet = Fixtures::demo('rangers-badge')->sheet;
    expect(ImageFile::read(PictureType::Png, "$path.png")->width())->toBe((int) round($sheet->width * 30 / 300));
});

it('refuses a hostile or broken file, says why, and puts nothing outside the folder', function (Closure $made, string $says): void {
    $folder = Fixtures::temporary('unpacked').'/in';
    mkdir($folder);
    expect(fn () => JobPack::unpack($made(), $folder))->toThrow(JobPackRefused::class, $says);
    expect(array_diff(scandir(dirname($folder)) ?: [], ['.', '..', 'in']))->toBe([]);
})->with([
    'no zip' => [function (): string {
        file_put_contents($path = Fixtures::temporary('pack').'/a.crow', 'kites');

        return $path;
    }, 'no zip'],
    'cut short' => [function (): string {
        file_put_contents($path = packed_badge(), substr((string) file_get_contents($path), 0, 4000));

        return $path;
    }, 'no zip'],
    'no manifest' => [fn (): string => spoiled_pack(['manifest.json' => null]), 'no manifest.json'],
    'a manifest that is no JSON' => [fn (): string => spoiled_pack(['manifest.json' => '{']), 'no manifest.json'],
    'another format' => [fn (): string => spoiled_pack([], fn (array $m): array => ['format' => 'tallcrow.job/9'] + $m), 'not of the format'],
    'no list of files' => [fn (): string => spoiled_pack([], fn (array $m): array => ['files' => 'all'] + $m), 'no list of files'],
    'a path that climbs' => [fn (): string => spoiled_pack(['files/../../kite.png' => 'x'], fn (array $m): array => ['files' => [['name' => '../../kite.png', 'sha256' => hash('sha256', 'x')]]] + $m), 'no plain name'],
    'a path from the root' => [fn (): string => spoiled_pack([], fn (array $m): array => ['files' => [['name' => '/tmp/kite.png', 'sha256' => hash('sha256', 'x')]]] + $m), 'no plain name'],
    'a file that would be the sheet' => [fn (): string => spoiled_pack([], fn (array $m): array => ['files' => [['name' => 'artwork.json', 'sha256' => hash('sha256', 'x')]]] + $m), 'no plain name'],
    'one name twice, but for capitals' => [fn (): string => spoiled_pack([], fn (array $m): array => ['files' => [...$m['files'], ['name' => strtoupper($m['files'][0]['name'])] + $m['files'][0]]] + $m), 'twice'],
    'no hash' => [fn (): string => spoiled_pack([], fn (array $m): array => ['files' => [['name' => 'kite.png', 'sha256' => 'none']]] + $m), 'no SHA-256'],
    'a file changed on the way' => [fn (): string => spoiled_pack(['files/'.Fixtures::demo('rangers-badge')->files()[0] => 'changed']), 'damaged or changed'],
    'a file missing' => [fn (): string => spoiled_pack(['files/'.Fixtures::demo('rangers-badge')->files()[0] => null]), 'is missing'],
    'a file that the sheet names and the manifest does not' => [fn (): string => spoiled_pack([], fn (array $m): array => ['files' => []] + $m), 'which is not in it'],
    'a password' => [fn (): string => spoiled_pack([], null, fn (ZipArchive $zip) => $zip->setEncryptionName('artwork.json', ZipArchive::EM_AES_256, 'kite')), 'password'],
    'too many entries' => [fn (): string => spoiled_pack(array_fill_keys(array_map(fn (int $i): string => "more/$i", range(1, 300)), 'x')), 'more than 300 files'],
    'a sheet that unpacks to more than any sheet' => [fn (): string => spoiled_pack(['artwork.json' => str_repeat(' ', 4_000_001)]), 'more than 4 MB'],
    'a bomb' => [fn (): string => spoiled_pack(['more/1' => str_repeat("\0", 210_000_000), 'more/2' => str_repeat("\0", 210_000_000)]), 'more than 400 MB'],
]);

it('stops unpacking where the size is, whatever the zip says of itself', function (): void {
    $name = Fixtures::demo('rangers-badge')->files()[0];
    $bytes = str_repeat("\0", 61_000_000);
    $path = spoiled_pack(["files/$name" => $bytes], fn (array $m): array => ['files' => array_map(fn (array $file): array => $file['name'] === $name ? ['sha256' => hash('sha256', $bytes)] + $file : $file, $m['files'])] + $m);
    // The length before packing, four bytes of each header, is set to 100.
    $zip = (string) file_get_contents($path);
    file_put_contents($path, str_replace(pack('V', strlen($bytes)), pack('V', 100), $zip));
    $folder = Fixtures::temporary('unpacked');
    expect(fn () => JobPack::unpack($path, $folder))->toThrow(JobPackRefused::class);
    expect(array_sum(array_map(filesize(...), glob("$folder/*") ?: [])))->toBeLessThan(62_000_000);
});

it('says where a file cannot be written', function (): void {
    expect(fn () => JobPack::write(Fixtures::demo('rangers-badge'), [], Fixtures::render(Fixtures::artwork([]), 10), '/nowhere/kite.crow'))->toThrow(JobPackRefused::class, '"/nowhere/kite.crow" could not be written');
});

it('gives every file of a sheet another name', function (): void {
    foreach (['kite-day', 'lantern-burst', 'rangers-badge', 'tide-pool-papers', 'tower-photocopy'] as $demo) {
        $artwork = Fixtures::demo($demo);
        $names = array_combine($artwork->files(), array_map(fn (string $name): string => "other-$name", $artwork->files()));
        expect(FileNames::changed($artwork, $names)->files())->toEqualCanonicalizing(array_values($names));
    }
    expect(FileNames::changed($artwork, []))->toBe($artwork);
});

it('knows every key under which the format names a file', function (): void {
    $keys = [];
    $walk = function (array $node, string $key) use (&$walk, &$keys): void {
        if (is_string($node['pattern'] ?? null) && str_contains($node['pattern'], Node::FILE_NAME)) {
            $keys[] = $key;
        }
        foreach ($node as $name => $inner) {
            if (is_array($inner)) {
                $walk($inner, is_int($name) || in_array($name, ['items', 'anyOf', 'oneOf'], true) ? $key : $name);
            }
        }
    };
    $walk((array) json_decode((string) json_encode(ArtworkSchema::file()), true), '');
    expect(array_values(array_unique($keys)))->toEqualCanonicalizing(FileNames::KEYS);
});
