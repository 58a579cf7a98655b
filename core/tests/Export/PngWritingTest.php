<?php

declare(strict_types=1);

use TallCrow\Cli\Crow;
use TallCrow\Export\PngBroken;
use TallCrow\Export\PngChunk;
use TallCrow\Export\PngFile;
use TallCrow\Tests\Fixtures;

it('says that a file could not be written whole, in the core and on the command line', function (): void {
    $folder = Fixtures::temporary('full');
    Fixtures::run(['convert', '-size', '900x900', 'plasma:', "PNG24:$folder/whole.png"]);
    expect(fn () => PngFile::withChunks("$folder/whole.png", '/dev/full', [PngChunk::srgb()]))->toThrow(PngBroken::class, 'Is the disk full');

    file_put_contents("$folder/cut.png", substr((string) file_get_contents("$folder/whole.png"), 0, 60_000));
    expect(fn () => PngFile::withChunks("$folder/cut.png", "$folder/out.png", [PngChunk::srgb()]))->toThrow(PngBroken::class);
});

// A bound on the size of files stands in for a full disk: a write beyond it fails in the middle.
it('leaves no half file and no success when the disk is full', function (): void {
    $folder = Fixtures::temporary('full');
    $sheet = "$folder/sheet.json";
    file_put_contents($sheet, json_encode(Fixtures::sheet([Fixtures::shape('s', 'star', 2.5)]), JSON_THROW_ON_ERROR));
    $out = "$folder/out.png";
    exec(sprintf('trap "" XFSZ; ulimit -f 4; %s -d ffi.enable=1 %s render %s --out %s 2>&1', PHP_BINARY, escapeshellarg(dirname(__DIR__, 3).'/bin/crow'), escapeshellarg($sheet), escapeshellarg($out)), $said, $code);
    expect($code)->toBe(Crow::UNUSABLE)->and(is_file($out))->toBeFalse()->and(glob($folder.'/*'))->toBe([$sheet])->and(implode(' ', $said))->toContain('crow: ');
});
