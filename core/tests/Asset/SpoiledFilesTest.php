<?php

declare(strict_types=1);

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use TallCrow\Asset\Picture;
use TallCrow\Asset\PictureReader;
use TallCrow\Asset\PictureRefused;
use TallCrow\Raster\RasterFailed;
use TallCrow\Tests\Fixtures;
use TallCrow\Type\Alignment;
use TallCrow\Type\Font;
use TallCrow\Type\FontRefused;
use TallCrow\Type\MissingGlyphs;
use TallCrow\Type\Setting;
use TallCrow\Type\Typesetter;

/** Bytes changed, cut off, doubled or zeroed, as a bad disk or a bad will leaves them. */
function spoiled_bytes(string $bytes, Randomizer $random): string
{
    $length = strlen($bytes);
    for ($i = $random->getInt(1, 12); $i > 0; $i--) {
        $at = $random->getInt(0, 3) === 0 ? $random->getInt(0, min(400, $length - 1)) : $random->getInt(0, $length - 1);
        match ($random->getInt(0, 4)) {
            0, 1 => $bytes[$at] = chr($random->getInt(0, 255)),
            2 => $bytes = substr_replace($bytes, str_repeat("\xff", min(4, $length - $at)), $at, min(4, $length - $at)),
            3 => $bytes = substr_replace($bytes, str_repeat("\0", min(16, $length - $at)), $at, min(16, $length - $at)),
            default => $bytes = $random->getInt(0, 9) === 0 ? substr($bytes, 0, max(16, $at)) : $bytes,
        };
        $length = strlen($bytes);
    }

    return $bytes;
}

it('opens a spoiled font or refuses it, and fails in no other way', function (string $file): void {
    $random = new Randomizer(new Xoshiro256StarStar(11));
    $path = Fixtures::temporary('font').'/font.woff2';
    copy(Fixtures::assets().'/'.$file, $path);
    Fixtures::run(['woff2_decompress', $path]);
    $whole = (string) file_get_contents(str_replace('.woff2', '.ttf', $path));
    $refused = $set = 0;
    for ($i = 0; $i < 60; $i++) {
        try {
            $letters = Typesetter::set("Kites\n2026", Font::fromBytes(spoiled_bytes($whole, $random)), new Setting(Alignment::Left, 1));
            $set += $letters === [] ? 0 : 1;
        } catch (FontRefused|MissingGlyphs $reason) {
            expect($reason->getMessage())->not->toBe('');
            $refused++;
        }
    }
    expect($refused + $set)->toBeGreaterThan(50);
})->with(['alfa-slab-one.woff2', 'kaushan-script.woff2', 'grenze-gotisch.woff2']);

it('reads a spoiled picture or refuses it, and fails in no other way', function (string $make): void {
    $random = new Randomizer(new Xoshiro256StarStar(5));
    $folder = Fixtures::temporary('picture');
    $whole = "$folder/whole.$make";
    Fixtures::run(['convert', Fixtures::assets().'/rock-pool.png', '-resize', '120x', ...($make === 'png' ? ['-interlace', 'PNG'] : []), $whole]);
    $bytes = (string) file_get_contents($whole);
    $refused = $read = 0;
    for ($i = 0; $i < 80; $i++) {
        $path = "$folder/spoiled.$make";
        file_put_contents($path, spoiled_bytes($bytes, $random));
        try {
            $picture = PictureReader::open($path);
            expect($picture)->toBeInstanceOf(Picture::class)->and($picture->pixels()->settled()->bands())->toBe(4);
            $read++;
        } catch (PictureRefused|RasterFailed $reason) {
            expect($reason->getMessage())->not->toBe('');
            $refused++;
        }
    }
    expect($refused)->toBeGreaterThan(10)->and($read + $refused)->toBe(80);
})->with(['png', 'jpg', 'webp']);

it('keeps the figures of a spoiled drawing or refuses it, and lets nothing active through', function (): void {
    $random = new Randomizer(new Xoshiro256StarStar(23));
    $folder = Fixtures::temporary('drawing');
    $active = '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 40 40" onload="go()"><style>@import url(http://x/y)</style><script>go()</script><a href="javascript:go()"><path d="M0 0h40v40z" onclick="go()" style="fill:url(http://x/y)"/></a><image xlink:href="file:///etc/passwd"/><foreignObject><p>go</p></foreignObject><use href="http://x/y#z"/></svg>';
    $read = 0;
    for ($i = 0; $i < 200; $i++) {
        $path = "$folder/spoiled.svg";
        file_put_contents($path, $i === 0 ? $active : spoiled_bytes($active, $random));
        try {
            $clean = TallCrow\Asset\SvgCleaner::clean((string) file_get_contents($path))->markup;
            expect(preg_match('/<script|<style|<foreignObject|<image|\bon\w+\s*=|javascript:|https?:\/\/x|file:/i', $clean))->toBe(0);
            $read++;
        } catch (PictureRefused $reason) {
            expect($reason->getMessage())->not->toBe('');
        }
    }
    expect($read)->toBeGreaterThan(5);
});
