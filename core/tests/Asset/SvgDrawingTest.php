<?php

declare(strict_types=1);

use TallCrow\Asset\DrawingCost;
use TallCrow\Asset\PathTravel;
use TallCrow\Asset\PictureReader;
use TallCrow\Asset\PictureRefused;
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
    $ours = array_values((array) unpack('C*', ImageFile::drawing(PictureReader::check("$folder/in.svg")->markup())->asInk()->toBytes()));
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

// The sizes of SVG 2, chapter 8, and the units of CSS, as rsvg-convert takes them.
it('takes a page and its lengths as they are told', function (string $root, string $inside): void {
    [$most, $mean] = fromReference('<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" '.$root.'>'.$inside.'</svg>');
    expect($most)->toBeLessThanOrEqual(3)->and($mean)->toBeLessThan(1.0);
})->with([
    'points, no view box' => ['width="90pt" height="60pt"', '<circle cx="100" cy="60" r="18" fill="#c33"/><rect width="20" height="20"/>'],
    'inches' => ['width="1.25in" height="1in"', '<rect x="60" y="40" width="55" height="50" fill="#36c"/>'],
    'centimetres and a view box of its shape' => ['width="2.54cm" height="25.4mm" viewBox="0 0 50 50"', '<rect x="30" y="30" width="15" height="15" fill="#36c"/>'],
    'a view box of another shape, in the middle of the page' => ['width="120" height="60" viewBox="0 0 40 40"', '<circle cx="20" cy="20" r="20" fill="#3c6"/><rect x="-20" y="10" width="15" height="10"/>'],
    'cut to the page' => ['width="120" height="60" viewBox="0 0 40 40" preserveAspectRatio="xMinYMin slice"', '<circle cx="20" cy="20" r="20" fill="#3c6"/>'],
    'stretched to the page' => ['width="120" height="60" viewBox="0 0 40 40" preserveAspectRatio="none"', '<circle cx="20" cy="20" r="19" fill="#3c6"/>'],
    'a view box that begins elsewhere, stretched' => ['x="9" y="9" width="60" height="120" viewBox="10 -5 40 40" preserveAspectRatio="none"', '<circle cx="30" cy="15" r="15" fill="#a0a"/>'],
    'a width alone' => ['width="90" viewBox="0 0 30 20"', '<rect x="3" y="3" width="20" height="10"/>'],
    'lengths within' => ['width="120" height="120"', '<rect x="0.25in" y="5mm" width="36pt" height="2pc" stroke="#c33" style="stroke-width:3pt" fill="#36c"/><circle cx="2cm" cy="80px" r="4mm"/><path d="M5 110h110" stroke="#000" stroke-width="1mm" stroke-dasharray="3mm 6pt"/>'],
    'faded lines and gradients' => ['width="120" height="120"', '<linearGradient id="g"><stop stop-color="#c33"/><stop offset="1" stop-color="#36c"/></linearGradient><rect width="80" height="50" fill="url(#g)" opacity=".6" fill-opacity=".8"/><path d="M10 60L110 110M10 110L110 60" fill="none" stroke="#000" stroke-width="9" opacity=".5"/>'],
    'a template that takes its colours where it is used' => ['width="120" height="120"', '<defs><path id="p" d="M5 5h50v50h-50z" opacity=".5"/></defs><use xlink:href="#p" fill="none" stroke="#c33" stroke-width="6"/><use xlink:href="#p" x="55" y="40" fill="#36c"/>'],
]);

it('draws what its maker wrote with a prefix, or in a picture without a type', function (): void {
    $prefixed = '<s:svg xmlns:s="http://www.w3.org/2000/svg" viewBox="0 0 60 40" width="60" height="40"><s:g fill="#c33"><s:rect width="30" height="30"/><s:title>a &lt;s:b&gt;</s:title></s:g></s:svg>';
    expect(fromReference($prefixed)[0])->toBeLessThanOrEqual(3)->and(SvgCleaner::clean($prefixed)->markup)->toStartWith('<svg ');
    // Named twice, and fitted into a page of another shape.
    $twice = '<s:svg xmlns="http://www.w3.org/2000/svg" xmlns:s="http://www.w3.org/2000/svg" viewBox="0 0 60 40" width="80" height="80"><rect width="30" height="30"/><s:rect x="30" width="20" height="20" fill="#c33"/></s:svg>';
    expect(fromReference($twice)[0])->toBeLessThanOrEqual(3);
    Fixtures::run(['convert', '-size', '20x20', 'gradient:red-blue', $file = Fixtures::temporary('within').'/a.png']);
    $bytes = base64_encode((string) file_get_contents($file));
    foreach (['data:;base64,', 'data:image/x-png;base64,', ' data:image/jpeg ; base64,'] as $address) {
        $drawing = svgOf('<switch><foreignObject requiredExtensions="http://ns.test/" width="1" height="1"/><g><image x="10" y="10" width="80" height="80" xlink:href="'.$address.$bytes.'"/></g></switch>');
        expect(SvgCleaner::clean($drawing)->leftOut)->toBe([])->and(fromReference(str_replace($address, 'data:image/png;base64,', $drawing))[0])->toBeLessThanOrEqual(3);
    }
    expect(SvgCleaner::clean(svgOf('<image width="9" height="9" href="data:text/html;base64,'.$bytes.'"/>'))->leftOut)->toHaveCount(1);
});

it('refuses a drawing without a size', function (string $root): void {
    expect(fn () => SvgCleaner::clean('<svg xmlns="http://www.w3.org/2000/svg" '.$root.'><rect width="5" height="5"/></svg>'))->toThrow(PictureRefused::class, 'no size');
})->with(['', 'width="100%" height="100%"', 'width="0" height="5"', 'width="-3in" height="2in"', 'viewBox="0 0 0 9"', 'width="4furlong" height="3"', 'width="3000000" height="1"']);

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

it('paints a drawing in as many pixels as show it, whatever the unit of its page', function (float $unit, array $size): void {
    $told = fn (float ...$numbers): string => implode(' ', array_map(fn (float $number): string => (string) ($number * $unit), $numbers));
    file_put_contents($file = Fixtures::temporary('unit').'/moth.svg', sprintf(
        '<svg xmlns="http://www.w3.org/2000/svg" width="%s" height="%s" viewBox="%s"><path d="M%sL%sL%sZ" fill="#b04a2c"/></svg>',
        60 * $unit, 30 * $unit, $told(0, 0, 60, 30), $told(0, 0), $told(60, 0), $told(0, 30),
    ));
    $pixels = PictureReader::check($file)->pixels()->settled();
    // Half of its page, to the right colour.
    expect([$pixels->width(), $pixels->height()])->toBe($size)->and($pixels->alpha()->mean())->toEqualWithDelta(127.5, 1.0)
        ->and(Fixtures::pixel($pixels, 10, 10))->toBe([0xB0, 0x4A, 0x2C, 255]);
})->with(['inches' => [0.05, [300, 150]], 'pixels' => [10.0, [600, 300]], 'hundredths of a millimetre' => [5000.0, [4000, 2000]]]);

it('measures how entangled a path is', function (string $d, float $travel): void {
    expect(PathTravel::of($d)->times())->toEqualWithDelta($travel, 0.05);
})->with([
    'a square' => ['M0 0h10v10h-10z', 2.0], 'a zigzag of ten' => ['M0 0'.str_repeat('l1 10 1-10', 5), 10.0],
    'relative curves' => ['m0 0c0 10 10 10 10 0', 2.0], 'a circle of arcs' => ['M0 5a5 5 0 0 1 10 0a5 5 0 0 1-10 0', 2.0],
    'arcs without a space' => ['M0 5a5 5 0 0110 0a5 5 0 01-10 0', 2.0], 'quadratic curves' => ['M0 0Q5 20 10 0T20 0z', 2.0], 'nothing' => ['', 0.0],
]);

it('knows before drawing what is cheap and what is not', function (): void {
    $cost = fn (string $inside): float => DrawingCost::of(SvgSource::read(svgOf($inside)));
    $mask = '<mask id="m"><rect width="9" height="9"/></mask>';
    expect($cost('<rect width="9" height="9"/>'))->toBeLessThan(1.0)
        ->and($cost($mask.'<rect mask="url(#m)"/>'))->toBeGreaterThan(900.0)->toBeLessThan(1200.0)
        ->and($cost($mask.'<symbol id="s"><rect mask="url(#m)"/></symbol>'.str_repeat('<use href="#s"/>', 5)))->toBeGreaterThan(4500.0)
        ->and($cost($mask))->toBeLessThan(1.0);
});

// Measured with librsvg 2.54 at 12 × 12 in and 300 ppi: a whole page in one colour takes 8 ms, by a radial gradient 345, by a pattern 133, and a dash 0.005 ms, one with round ends 0.1.
it('knows what the pixels of a drawing cost', function (string $inside, float $cost): void {
    $defs = '<defs><radialGradient id="r"/><pattern id="p" width="9" height="9"><rect width="9" height="9"/></pattern><clipPath id="c"><rect width="120" height="120"/></clipPath>'
        .'<symbol id="s" viewBox="0 0 10 10"><rect width="10" height="10"/></symbol><g id="g"><rect width="120" height="120"/></g></defs>';
    $bare = DrawingCost::of(SvgSource::read(svgOf('', '')));
    expect(DrawingCost::of(SvgSource::read(svgOf($defs.$inside))) - $bare)->toEqualWithDelta($cost, 0.05 * $cost + 1.5);
})->with([
    'a whole page' => ['<rect width="120" height="120"/>', 8.0],
    'a hundred' => [str_repeat('<rect width="120" height="120"/>', 100), 820.0],
    'one beyond the page' => ['<rect x="-500" y="-500" width="1200" height="1200"/>', 8.0],
    'a hundred quarters' => [str_repeat('<circle cx="60" cy="60" r="30"/>', 100), 220.0],
    'a hundred made small' => ['<g transform="scale(.1)">'.str_repeat('<rect width="120" height="120"/>', 100).'</g>', 28.0],
    'less than nothing' => ['<rect width="-9000" height="-9000" stroke="#000" stroke-width="50" stroke-dasharray="1"/>', 0.2],
    'none' => ['<g fill="none">'.str_repeat('<rect width="120" height="120"/>', 100).'</g>', 20.0],
    'radial gradients' => [str_repeat('<rect width="120" height="120" fill="url(#r)"/>', 10), 3450.0],
    'inherited by a path' => ['<g fill="url(#r)">'.str_repeat('<path d="M0 0h120v60h-120z"/>', 10).'</g>', 1727.0],
    'patterns' => [str_repeat('<rect width="120" height="120" fill="url(#p)"/>', 10), 1335.0],
    'clips' => [str_repeat('<rect width="12" height="12" clip-path="url(#c)"/>', 10), 75.0],
    'symbols, each as large as told' => [str_repeat('<use href="#s" width="12" height="12"/>', 100), 68.0],
    'a symbol as large as the page' => [str_repeat('<use href="#s"/>', 10), 84.0],
    'a group named ten times' => [str_repeat('<use href="#g"/>', 10), 84.0],
    'a hundred thousand dashes' => ['<g stroke="#000" stroke-dasharray=".01"><line x2="120" y2="0" stroke-width="0.01"/>'.str_repeat('<path d="M0 0H120H0" fill="none" stroke-width=".01"/>', 4).'</g>', 300.0],
    'with round ends' => ['<path d="M0 0H120H0" fill="none" stroke="#000" stroke-width=".01" stroke-linecap="round" stroke-dasharray=".05 .1"/>', 160.0],
    'lines that are broad' => [str_repeat('<path d="M0 60H120" fill="none" stroke="#000" stroke-width="60"/>', 10), 45.0],
]);

it('refuses before drawing what fills its page too often', function (string $inside): void {
    SvgCleaner::clean(svgOf($inside));
})->with([
    'pages' => [str_repeat('<rect width="120" height="120" fill-opacity=".1"/>', 5000)],
    'gradients' => ['<radialGradient id="r"/>'.str_repeat('<rect width="120" height="120" fill="url(#r)"/>', 100)],
    'dashes' => ['<path fill="none" stroke="#000" stroke-linecap="round" stroke-dasharray=".01" d="M0 0'.str_repeat('L120 120L0 0', 20).'"/>'],
])->throws(PictureRefused::class, 'too long to draw');

// Nothing may be cheap because one figure's cost is no number: with a few others it is refused as well, by what is wrong with it.
it('refuses numbers beyond all bounds, in whatever company', function (string $inside): void {
    SvgCleaner::clean(svgOf($inside));
})->with([
    'alone' => ['<rect x="1e999" y="-1e999" width="1e999" height="1e999"/>'],
    'as a path' => ['<path d="M1e999 0L-1e999 1e999z"/>'],
    'before thousands' => ['<path d="M1e999 0L-1e999 1e999z"/>'.str_repeat('<rect width="120" height="120"/>', 4000)],
])->throws(PictureRefused::class, 'numbers beyond all bounds');
