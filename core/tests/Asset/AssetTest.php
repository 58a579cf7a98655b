<?php

declare(strict_types=1);

use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\PictureReader;
use TallCrow\Asset\PictureRefused;
use TallCrow\Asset\SvgCleaner;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/** A file of some bytes under a name that may lie. */
function file_of(string $name, string $bytes): string
{
    $path = Fixtures::temporary('upload')."/$name";
    file_put_contents($path, $bytes);

    return $path;
}

/** @param  list<string>  $how */
function made(string $name, array $how): string
{
    $path = Fixtures::temporary('upload')."/$name";
    Fixtures::run(['convert', ...$how, $path]);

    return $path;
}

it('tells the type from the content and not from the name', function (): void {
    expect(PictureReader::check(made('kite.png', ['-size', '40x30', 'xc:#b04a2c']))->type)->toBe(PictureType::Png);
    $lying = file_of('kite.png', (string) file_get_contents(made('k.jpg', ['-size', '40x30', 'xc:#b04a2c'])));
    expect(PictureReader::check($lying)->type)->toBe(PictureType::Jpeg)
        ->and(PictureReader::check($lying)->width)->toBe(40.0);
});

it('refuses what is no picture, whatever its name', function (string $bytes): void {
    PictureReader::check(file_of('kite.png', $bytes));
})->with([
    'words' => 'hello', 'nothing' => '', 'a program' => "\x7fELF\2\1\1", 'a page' => '<html><script>alert(1)</script></html>', 'gif' => 'GIF89a......',
])->throws(PictureRefused::class, 'not a PNG, JPEG, WebP or SVG');

it('refuses a bomb by its header, before any pixel is read', function (): void {
    // A true PNG header that claims 60,000 × 60,000 pixels, with next to nothing behind it.
    $chunk = fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));
    $bomb = "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('NNC5', 60000, 60000, 8, 6, 0, 0, 0)).$chunk('IDAT', (string) gzcompress(str_repeat("\0", 1000))).$chunk('IEND', '');
    PictureReader::check(file_of('bomb.png', $bomb));
})->throws(PictureRefused::class, '60000 × 60000 pixels');

it('refuses a file that is cut short', function (): void {
    $whole = (string) file_get_contents(made('n.png', ['-size', '300x300', 'plasma:']));
    PictureReader::check(file_of('n.png', substr($whole, 0, 20000)));
})->throws(PictureRefused::class, 'cannot be read to its end');

it('reads odd modes upright and in sRGB', function (string $name, array $how, array $size, array $pixel): void {
    $picture = PictureReader::check(made($name, $how));
    $ink = $picture->pixels()->settled();
    $got = Fixtures::pixel($ink, 2, 2);
    expect([$ink->width(), $ink->height()])->toBe($size)->and($ink->bands())->toBe(4);
    foreach ($pixel as $i => $value) {
        expect($got[$i])->toEqualWithDelta($value, 6);
    }
})->with([
    '16 bits' => ['a.png', ['-size', '40x30', 'xc:#b04a2c', '-depth', '16', '-define', 'png:bit-depth=16'], [40, 30], [176, 74, 44, 255]],
    'grey' => ['a.png', ['-size', '40x30', 'xc:#808080', '-colorspace', 'Gray'], [40, 30], [128, 128, 128, 255]],
    'palette with clear' => ['a.png', ['-size', '40x30', 'xc:none', '-type', 'PaletteAlpha'], [40, 30], [3 => 0]],
    'interlaced' => ['a.png', ['-size', '40x30', 'xc:#b04a2c', '-interlace', 'PNG'], [40, 30], [176, 74, 44, 255]],
    'webp' => ['a.webp', ['-size', '40x30', 'xc:#b04a2c', '-quality', '95'], [40, 30], [176, 74, 44, 255]],
]);

it('refuses a picture that moves, and says so', function (): void {
    $file = Fixtures::temporary('moves').'/moth.webp';
    Fixtures::run(['convert', '-delay', '20', '-size', '20x20', 'xc:red', 'xc:blue', '-loop', '0', $file]);
    expect(fn () => PictureReader::check($file))->toThrow(PictureRefused::class, 'holds 2 pictures');
});

it('turns a photo as its camera was held', function (): void {
    $plain = (string) file_get_contents(made('a.jpg', ['-size', '40x30', 'xc:#b04a2c']));
    // Exif 2.32, §4.6.4: tag 0x0112 Orientation, 6 is a quarter turn clockwise.
    $exif = "Exif\0\0MM\0*".pack('N', 8).pack('n', 1).pack('nnNnn', 0x0112, 3, 1, 6, 0).pack('N', 0);
    $held = substr($plain, 0, 2)."\xff\xe1".pack('n', strlen($exif) + 2).$exif.substr($plain, 2);
    $picture = PictureReader::check(file_of('a.jpg', $held));
    expect([$picture->width, $picture->height])->toBe([30.0, 40.0])->and($picture->pixels()->height())->toBe(40);
});

it('keeps figures and drops all else of a drawing', function (): void {
    $clean = SvgCleaner::clean(<<<'SVG'
        <svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 10 20" onload="alert(1)">
            <script>alert(2)</script><style>@import url(http://example.test/x.css);</style>
            <image href="file:///etc/passwd"/><image xlink:href="http://example.test/x.png"/>
            <foreignObject><body xmlns="http://www.w3.org/1999/xhtml">x</body></foreignObject>
            <a href="javascript:alert(3)"><path d="M0 0"/></a>
            <g style="fill:#b04a2c;background:url(http://example.test/y)"><rect width="5" height="5" onclick="alert(4)" fill="url(http://example.test/z)"/></g>
            <use href="http://example.test/f.svg#a"/><animate attributeName="x"/><text>words</text>
            <path id="p" d="M1 1h3v3z" fill="url(#g)"/><linearGradient id="g"><stop offset="0" stop-color="#fff"/></linearGradient>
        </svg>
        SVG);
    expect($clean->markup)->not->toContain('script', 'alert', 'http://example', 'passwd', 'style', 'foreignObject', 'image', 'animate', 'words', 'onclick', '@import')
        ->toContain('fill="#b04a2c"', 'd="M1 1h3v3z"', 'fill="url(#g)"', 'linearGradient')
        ->and([$clean->width, $clean->height])->toBe([10.0, 20.0]);
});

it('refuses drawings that hide things or multiply', function (string $svg, string $says): void {
    expect(fn () => SvgCleaner::clean($svg))->toThrow(PictureRefused::class, $says);
})->with([
    'entities' => ['<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><svg viewBox="0 0 1 1">&b;</svg>', 'declares entities'],
    'outside entity' => ['<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]><svg viewBox="0 0 1 1">&x;</svg>', 'declares entities'],
    'broken' => ['<svg viewBox="0 0 1 1"><g></svg>', 'line 1'],
    'no size' => ['<svg xmlns="http://www.w3.org/2000/svg"><rect/></svg>', 'has no size'],
    'other root' => ['<html/>', 'no svg element'],
    'masks within masks' => [fn () => '<svg viewBox="0 0 9 9" xmlns="http://www.w3.org/2000/svg"><mask id="m0"><rect width="9" height="9"/></mask>'.implode('', array_map(fn (int $i): string => sprintf('<mask id="m%d"><g mask="url(#m%d)"><rect width="9" height="9" mask="url(#m%d)"/></g></mask>', $i, $i - 1, $i - 1), range(1, 20))).'<rect width="9" height="9" mask="url(#m20)"/></svg>', 'too long to draw'],
    'a mask of itself' => ['<svg viewBox="0 0 9 9" xmlns="http://www.w3.org/2000/svg"><mask id="m"><rect mask="url(#m)"/></mask><rect mask="url(#m)"/></svg>', 'made of itself'],
    'a tangle' => [fn () => '<svg viewBox="0 0 9 9" xmlns="http://www.w3.org/2000/svg"><path stroke="red" d="M0 0'.str_repeat('L9 9L0 1', 4000).'"/></svg>', 'too long to draw'],
    'blurs by the dozen' => [fn () => '<svg viewBox="0 0 9 9" xmlns="http://www.w3.org/2000/svg"><filter id="f">'.str_repeat('<feTurbulence/>', 30).'</filter><rect width="9" height="9" filter="url(#f)"/></svg>', 'too long to draw'],
    'entities of entities' => ['<!DOCTYPE svg [<!ENTITY % p "x"> %p;]><svg viewBox="0 0 1 1"/>', 'declares entities'],
    'too deep' => [fn () => '<svg viewBox="0 0 1 1" xmlns="http://www.w3.org/2000/svg">'.str_repeat('<g>', 90).str_repeat('</g>', 90).'</svg>', 'too many parts'],
]);

it('refuses chains of clones that double at each step', function (): void {
    $chain = '<path id="a0" d="M0 0h1v1z"/>';
    for ($i = 1; $i < 30; $i++) {
        $chain .= sprintf('<g id="a%d"><use href="#a%d"/><use href="#a%d"/></g>', $i, $i - 1, $i - 1);
    }
    expect(fn () => SvgCleaner::clean("<svg viewBox=\"0 0 1 1\" xmlns=\"http://www.w3.org/2000/svg\">$chain<use href=\"#a29\"/></svg>"))->toThrow(PictureRefused::class, 'too long to draw');
});

it('looks for files in its own folder alone', function (string $name): void {
    Fixtures::shelf()->fingerprint($name);
})->with(['../crow', '/etc/passwd', '.env', 'none.png', ''])->throws(AssetUnusable::class, 'is not there');
