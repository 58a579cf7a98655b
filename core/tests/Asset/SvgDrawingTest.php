<?php

declare(strict_types=1);

use TallCrow\Asset\DrawingCost;
use TallCrow\Asset\PathTravel;
use TallCrow\Asset\PictureReader;
use TallCrow\Asset\SvgCleaner;
use TallCrow\Asset\SvgSource;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/** @return array{int, float} the greatest and the mean difference of what we draw from what Debian's rsvg-convert draws of the file as it came */
function fromReference(string $svg): array
{
    $folder = Fixtures::temporary('drawing');
    file_put_contents("$folder/in.svg", $svg);
    Fixtures::run(['rsvg-convert', '--unlimited', "$folder/in.svg", '-o', "$folder/out.png"]);
    $ours = array_values((array) unpack('C*', PictureReader::check("$folder/in.svg")->pixels()->toBytes()));
    $theirs = array_values((array) unpack('C*', ImageFile::read(PictureType::Png, "$folder/out.png")->asInk()->toBytes()));
    expect(count($ours))->toBe(count($theirs));
    $off = array_map(fn (int $a, int $b): int => abs($a - $b), $ours, $theirs);

    return [max($off), array_sum($off) / count($off)];
}

/** An SVG of 120 × 120 units with this within. */
function svgOf(string $inside, string $before = ''): string
{
    return $before.'<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 120 120" width="120" height="120">'.$inside.'</svg>';
}

// Outside reference: rsvg-convert of Debian on the uncleaned file. A rounding of alpha apart, the pictures are the same.
it('draws a drawing as it was made', function (string $svg): void {
    [$most, $mean] = fromReference($svg);
    expect($most)->toBeLessThanOrEqual(3)->and($mean)->toBeLessThan(1.0);
})->with([
    'classes' => [fn () => svgOf('<style>.a{fill:#c33} .b{fill:#36c;stroke:#000;stroke-width:3} #top .a{fill:#2a2} circle.c{fill:none;stroke:#a0a;stroke-width:5}</style><rect class="a" width="50" height="50"/><g id="top"><rect class="a b" x="60" width="50" height="50"/></g><g class="b"><rect y="60" width="40" height="40" class="a"/></g><circle class="c" cx="85" cy="85" r="20"/>')],
    'own style above a sheet' => [fn () => svgOf('<style>rect{fill:red} rect.x{fill:blue}</style><rect class="x" style="fill:#0a0;opacity:.5" width="90" height="90"/>')],
    'entities of an older program' => [fn () => svgOf('<g xmlns:x="&ns_extend;" style="&st0;"><rect width="80" height="60"/></g>', '<?xml version="1.0"?><!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd" [<!ENTITY ns_extend "http://ns.test/Ext/1.0/"><!ENTITY st0 "fill:#369;stroke:#000">]>')],
    'clones within clones' => [fn () => svgOf('<defs><path id="p" d="M0 0h10v10z" fill="#c33"/><g id="row"><use href="#p"/><use xlink:href="#p" x="14"/><use href="#p" x="28" fill="#00f"/></g></defs><use href="#row" x="5" y="5"/><use href="#row" x="5" y="30" transform="rotate(8)"/>')],
    'gradients, patterns, clips and masks' => [fn () => svgOf('<defs><linearGradient id="g"><stop offset="0" style="stop-color:#c33"/><stop offset="1" stop-color="#36c" stop-opacity=".4"/></linearGradient><pattern id="q" width="8" height="8" patternUnits="userSpaceOnUse"><circle cx="4" cy="4" r="3"/></pattern><clipPath id="k"><circle cx="30" cy="30" r="28"/></clipPath><mask id="m"><rect width="120" height="60" fill="url(#g)"/></mask></defs><rect width="60" height="60" fill="url(#g)" clip-path="url(#k)"/><rect x="60" width="60" height="60" fill="url(#q)" mask="url(#m)"/><rect y="70" width="120" height="40" style="fill:url(#q)"/>')],
    'filters and blends' => [fn () => svgOf('<filter id="f" x="-20%" y="-20%" width="140%" height="140%"><feGaussianBlur stdDeviation="3"/><feOffset dx="2" dy="2" result="o"/><feMerge><feMergeNode in="o"/><feMergeNode in="SourceGraphic"/></feMerge></filter><rect x="10" y="10" width="60" height="60" fill="#c33" filter="url(#f)"/><circle cx="70" cy="70" r="40" fill="#3c6" style="mix-blend-mode:multiply"/>')],
    'faded figures' => [fn () => svgOf('<rect width="70" height="70" fill="#c33" opacity=".5"/><g opacity=".5"><rect x="20" y="20" width="70" height="70" fill="#3c6"/><circle cx="60" cy="60" r="30"/></g><rect x="40" y="80" width="60" height="30" fill="#36c" stroke="#000" stroke-width="6" opacity=".5" fill-opacity=".5"/>')],
    'links around figures' => [fn () => svgOf('<a xlink:href="http://example.test/" fill="#c33"><rect width="60" height="60"/></a>')],
    'a picture within' => [function () {
        Fixtures::run(['convert', '-size', '20x20', 'gradient:red-blue', '/tmp/tall-crow-embedded.png']);

        return svgOf('<image x="10" y="10" width="80" height="80" preserveAspectRatio="none" xlink:href="data:image/png;base64,'.base64_encode((string) file_get_contents('/tmp/tall-crow-embedded.png')).'"/>');
    }],
]);

it('names what it leaves out', function (string $inside, string $says): void {
    expect(implode('; ', SvgCleaner::clean(svgOf($inside))->leftOut))->toContain($says);
})->with([
    ['<text x="5" y="20">Kite day</text>', 'words that are not outlines'],
    ['<image href="http://example.test/a.png" width="9" height="9"/>', 'a picture that lies outside'],
    ['<image href="data:image/png;base64,AAAA" width="9" height="9"/>', 'none that can be read'],
    ['<rect><animate attributeName="x"/></rect>', 'movement'],
    ['<style>rect:hover{fill:red}</style><rect width="5" height="5"/>', 'rules of its style sheet'],
]);

it('has nothing to say of a plain drawing', function (): void {
    expect(SvgCleaner::clean((string) file_get_contents(Fixtures::assets().'/moth.svg'))->leftOut)->toBe([])
        ->and(SvgCleaner::clean(svgOf('<title>Moth</title><metadata/><text> </text><script>go()</script><rect width="5" height="5"/>'))->leftOut)->toBe([]);
});

it('lets no address out of a style sheet either', function (): void {
    $markup = SvgCleaner::clean(svgOf('<style>@import url(http://x.test/a.css); rect{fill:url(http://x.test/y);filter:url("//x.test/z");mask:url(#m)}</style><rect width="5" height="5"/>'))->markup;
    expect($markup)->not->toContain('x.test')->not->toContain('<style')->toContain('url(#m)');
});

it('measures how entangled a path is', function (string $d, float $travel): void {
    expect(PathTravel::of($d))->toEqualWithDelta($travel, 0.05);
})->with([
    'a square' => ['M0 0h10v10h-10z', 2.0], 'a zigzag of ten' => ['M0 0'.str_repeat('l1 10 1-10', 5), 10.0],
    'relative curves' => ['m0 0c0 10 10 10 10 0', 2.0], 'a circle of arcs' => ['M0 5a5 5 0 0 1 10 0a5 5 0 0 1-10 0', 4.0], 'nothing' => ['', 0.0],
]);

it('knows before drawing what is cheap and what is not', function (): void {
    $cost = fn (string $inside): float => DrawingCost::of(SvgSource::read(svgOf($inside)));
    $mask = '<mask id="m"><rect width="9" height="9"/></mask>';
    expect($cost('<rect width="9" height="9"/>'))->toBeLessThan(1.0)
        ->and($cost($mask.'<rect mask="url(#m)"/>'))->toBeGreaterThan(900.0)->toBeLessThan(1200.0)
        ->and($cost($mask.'<symbol id="s"><rect mask="url(#m)"/></symbol>'.str_repeat('<use href="#s"/>', 5)))->toBeGreaterThan(4500.0)
        ->and($cost($mask))->toBeLessThan(1.0);
});
