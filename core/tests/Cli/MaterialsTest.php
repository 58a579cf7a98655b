<?php

declare(strict_types=1);

use TallCrow\Cli\Materials;
use TallCrow\Raster\Image;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Pictures;
use TallCrow\Tests\Fixtures;

it('keeps materials in the folder that is named, else in the user\'s folder of caches, else nowhere', function (): void {
    $folder = Fixtures::temporary('caches');
    $was = [getenv('XDG_CACHE_HOME'), getenv('HOME')];
    try {
        Materials::kept("$folder/named")?->material('field', fn (): Image => Image::empty(4, 4, 1));
        putenv("XDG_CACHE_HOME=$folder/xdg");
        Materials::kept()?->material('field', fn (): Image => Image::empty(4, 4, 1));
        putenv('XDG_CACHE_HOME');
        putenv("HOME=$folder/home");
        Materials::kept()?->material('field', fn (): Image => Image::empty(4, 4, 1));
        putenv('HOME');
        expect(Materials::kept())->toBeNull();
        foreach (['named', 'xdg/tall-crow', 'home/.cache/tall-crow'] as $kept) {
            expect(glob("$folder/$kept/*.v"))->toHaveCount(1, $kept);
        }
        // What cannot be written in is no reason to fail.
        file_put_contents("$folder/file", '');
        expect(Fixtures::silently(fn (): ?Pictures => Materials::kept("$folder/file/below")))->toBeNull();
    } finally {
        putenv($was[0] === false ? 'XDG_CACHE_HOME' : "XDG_CACHE_HOME=$was[0]");
        putenv($was[1] === false ? 'HOME' : "HOME=$was[1]");
    }
});

it('holds as many bytes as are allowed', function (): void {
    $folder = Fixtures::temporary('held');
    $was = getenv('CROW_MATERIALS_BYTES');
    try {
        putenv('CROW_MATERIALS_BYTES=20000');
        $kept = Materials::kept($folder);
        assert($kept instanceof FolderPictures);
        foreach (range(1, 3) as $number) {
            $kept->material("field $number", fn (): Image => Image::empty(100, 90, 1));
        }
        $kept->tidy();
        expect(glob("$folder/*.v"))->toHaveCount(2);
    } finally {
        putenv($was === false ? 'CROW_MATERIALS_BYTES' : "CROW_MATERIALS_BYTES=$was");
    }
});
