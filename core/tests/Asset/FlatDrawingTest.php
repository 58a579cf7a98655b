<?php

declare(strict_types=1);

use TallCrow\Asset\FlatDrawing;
use TallCrow\Asset\SvgCleaner;
use TallCrow\Asset\SvgPath;
use TallCrow\Asset\SvgTransform;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/** Of the page: no edge of a stroke is off by more than a hundredth of a pixel. */
const STROKES_WITHIN = 3e-5;

/**
 * What librsvg, which is held to be right, makes of what lies on a pale page of 100 × 100 units, at three pixels to one: the mean of four times as many, since it
 * draws curves by chords that are off by a tenth of a pixel.
 */
function on_page(string $inside): Image
{
    return ImageFile::drawing('<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="1200" viewBox="0 0 100 100"><rect width="100" height="100" fill="#e4e0d4"/>'.$inside.'</svg>')->asInk()->settled()->shrunk(4)->settled();
}

function page_apart(Image $one, Image $other): float
{
    $off = $one->minus($other);

    return max(-$off->range()[0], $off->range()[1]);
}

/** A drawing's figures unbent, on the same page. */
function unbent(FlatDrawing $drawing): Image
{
    return on_page($drawing->mapped(fn (float $x, float $y): array => [100 * $x + 50, 100 * $y + 50], 0.001, INF));
}

// It draws arcs by quarters of a turn, which lie a tenth of a pixel off on such a page.
it('reads paths as a painter does', function (string $d): void {
    $read = SvgPath::read($d);
    expect($read->segments)->not->toBe([])->and(page_apart(on_page("<path d=\"$d\" fill=\"#b4462c\"/>"), on_page('<path d="'.$read->toSvg(6).'" fill="#b4462c"/>')))->toBeLessThanOrEqual(12.0);
})->with([
    'lines' => 'M10 10L90 20V80H30z', 'relative lines, and pairs after a move' => 'm10,10 60 5 10 40-30 30v-20h-20z', 'two contours, the second from the beginning of the first' => 'M10 10h30v30h-30z m40 40h30v30h-30z',
    'left open' => 'M10 50C10 10 90 10 90 50M20 60L80 60L50 90', 'smooth curves' => 'M10 50C10 10 40 10 50 50S90 90 90 50s-10 40-40 40z', 'a smooth curve after a line' => 'M10 10L50 50S90 60 90 20z',
    'quadratic curves' => 'M10 50Q30 0 50 50T90 50t-20 30z', 'a smooth quadratic after a line' => 'M10 10L50 50T90 20L50 90z', 'arcs' => 'M20 50A30 20 25 1 0 80 50A30 20 25 0 0 20 50z', 'arcs without a space' => 'M20 50a30 20 25 1180 0a30 30 0 01-60 10z',
    'arcs of each flag' => 'M50 50A20 30 10 0 0 70 70L50 50A20 30 10 0 1 30 70L50 50A20 30 10 1 0 30 30L50 50A20 30 10 1 1 70 30z', 'an arc too small for its way' => 'M10 50A5 9 30 0 1 90 60L50 90z', 'a whole turn' => 'M80 50A30 30 0 1 1 79.99 49z',
    'numbers run together' => 'M10.5.5l.5.5e1 20-3-4.5.5zM50 50l20-10 1e1 30z', 'drawn on after its end' => 'M20 20h40v40zl-10 60h20z', 'broken off' => 'M10 10L90 10L50 90L20 x 40',
]);

it('reads nothing where nothing is drawn', function (string $d): void {
    expect(SvgPath::read($d)->segments)->toBe([]);
})->with(['', 'L10 10', '  ', 'x', 'M', 'M10']);

it('reads transforms as a painter does', function (string $told): void {
    $by = SvgTransform::read($told);
    assert($by !== null);
    $figure = '<path d="M10 10h30l5 40c-20 10-30 0-40-20z"/>';
    expect(page_apart(on_page("<g transform=\"$told\">$figure</g>"), on_page("<g transform=\"{$by->toSvg()}\">$figure</g>")))->toBeLessThanOrEqual(1.0);
})->with([
    '', 'translate(20)', 'translate(20 30)', 'scale(1.5)', 'scale(-1, 1) translate(-60,0)', 'rotate(25)', 'rotate(-40 50,50)', 'skewX(20)', 'skewY(-15) translate(0 20)', 'matrix(0.8 0.2 -0.3 0.9 20 10)', ' translate(10,5)scale(.7) , rotate(10) ', 'translate(10-5)',
]);

it('reads no transform that is none', function (string $told): void {
    expect(SvgTransform::read($told))->toBeNull();
})->with(['turn(5)', 'rotate(1 2)', 'translate(a)', 'scale(2', 'translate(10px 2)']);

it('holds every figure of a flat drawing where it was', function (string $inside): void {
    $drawing = FlatDrawing::of('<svg xmlns="http://www.w3.org/2000/svg" width="300" height="300" viewBox="0 0 100 100" fill="#24506e">'.$inside.'</svg>', STROKES_WITHIN);
    assert($drawing !== null);
    expect(page_apart(on_page("<g fill=\"#24506e\">$inside</g>"), unbent($drawing)))->toBeLessThanOrEqual(7.0);
})->with([
    'a rectangle' => '<rect x="10" y="20" width="50" height="30"/>', 'round corners' => '<rect x="10" y="20" width="50" height="30" rx="8"/>', 'corners of two radii' => '<rect x="10" y="20" width="50" height="30" rx="40" ry="9"/>',
    'a circle' => '<circle cx="40" cy="45" r="30" fill="red"/>', 'an ellipse' => '<ellipse cx="50" cy="45" rx="30" ry="12"/>', 'a polygon' => '<polygon points="10,10 80 20,50,90"/>', 'a polyline' => '<polyline points="10,10 80 20 50 90 20 80"/>',
    'holes by either rule' => '<path fill-rule="evenodd" d="M10 10h80v80h-80zM30 30h40v40h-40z"/><path fill="#fff" d="M40 40h20v20h-20zM45 45h10v10h-10z"/>',
    'groups that are faded, turned and hidden' => '<g opacity="0.5" transform="rotate(20 50 50)"><circle cx="40" cy="45" r="20" fill="red"/><g transform="translate(5 5)" fill="blue"><rect x="30" y="30" width="30" height="30"/></g></g><g display="none"><circle cx="50" cy="50" r="9"/></g>',
    'no stroke' => '<title>A plate</title><rect x="10" y="20" width="50" height="30" stroke="none" stroke-width="4"/><defs><circle cx="50" cy="50" r="9"/></defs>',
]);

it('holds every stroke of a flat drawing where it was', function (string $inside): void {
    $drawing = FlatDrawing::of('<svg xmlns="http://www.w3.org/2000/svg" width="300" height="300" viewBox="0 0 100 100" stroke="#24506e" stroke-width="6" fill="none">'.$inside.'</svg>', STROKES_WITHIN);
    assert($drawing !== null);
    expect(page_apart(on_page("<g stroke=\"#24506e\" stroke-width=\"6\" fill=\"none\">$inside</g>"), unbent($drawing)))->toBeLessThanOrEqual(7.0);
})->with([
    'a line' => '<line x1="10" y1="20" x2="80" y2="60"/>', 'caps' => '<g stroke-width="12"><path stroke-linecap="round" d="M20 20L80 30"/><path stroke-linecap="square" d="M20 50L80 60"/><path stroke-linecap="butt" d="M20 80L80 90"/></g>',
    'mitres, and those beyond the limit' => '<path d="M10 80L30 20L50 80L55 20L60 80L90 50"/>', 'mitres by another limit' => '<path stroke-miterlimit="1.5" d="M10 80L30 20L50 80M60 20L90 20L90 60"/>',
    'round corners' => '<path stroke-width="14" stroke-linejoin="round" d="M20 80L40 20L60 80L66 20L85 50"/>', 'bevels' => '<path stroke-width="14" stroke-linejoin="bevel" d="M20 80L40 20L60 80L66 20L85 50"/>',
    'figures that are closed' => '<rect x="10" y="10" width="30" height="20"/><circle cx="70" cy="25" r="15"/><polygon points="20,90 40,50 60,90"/><polyline points="70,90 80,50 90,90"/><path stroke-linejoin="round" d="M62 60h10v10z"/>',
    'curves' => '<path d="M10 50C10 10 40 10 50 50S90 90 90 50"/><path d="M10 80Q30 60 50 80T90 80"/>', 'a bend that is tighter than the stroke is wide' => '<path stroke-width="30" d="M20 70C60 10 62 10 70 70"/>', 'a loop' => '<path stroke-width="16" d="M20 70C120 20 -10 20 80 70"/>',
    'curves with no handles of their own' => '<path d="M10 50C10 50 50 10 50 50C50 90 90 50 90 50"/>', 'back the way it came' => '<path stroke-linejoin="round" d="M20 30L80 30L40 30"/><path stroke-linejoin="bevel" d="M20 60L80 60L40 60"/>',
    'dashes' => '<path stroke-dasharray="9 4" d="M10 20L90 20L90 60L10 50"/>', 'an odd row of dashes, begun within' => '<path stroke-dasharray="11,4,7" stroke-dashoffset="14" d="M10 20H90V90"/>', 'dashes that go backwards' => '<path stroke-linecap="round" stroke-dasharray="10 12" stroke-dashoffset="-5" d="M10 20H90V80"/>',
    'dots' => '<path stroke-linecap="round" stroke-dasharray="0 10" d="M10 20H90"/><path stroke-linecap="round" stroke-width="20" d="M30 60h0"/><path stroke-linecap="square" stroke-width="20" d="M70 60z"/><path stroke-width="20" d="M50 85h0"/>',
    'a closed line of dashes through its beginning' => '<rect x="20" y="20" width="60" height="60" stroke-dasharray="30 10" stroke-dashoffset="15"/>', 'drawn on after its end' => '<path d="M20 20h40v40zl-10 60h20"/>',
    'a fill under it, and over it' => '<circle cx="30" cy="40" r="20" fill="#c05030" stroke-opacity="0.5"/><circle cx="70" cy="60" r="20" fill="#c05030" fill-opacity="0.6" paint-order="stroke"/><g paint-order="stroke"><circle cx="30" cy="85" r="9" fill="red" paint-order="fill stroke markers"/></g>',
    'faded as one' => '<g opacity="0.5"><rect x="10" y="10" width="60" height="60" fill="#c05030" opacity="0.6"/></g>', 'the colour of the rest' => '<g color="#802080"><path stroke="currentColor" d="M10 10L90 90"/></g>',
    'turned, squeezed and mirrored' => '<g transform="rotate(20 50 50) scale(1.2 0.5) translate(-10 30)"><path stroke-linejoin="round" stroke-linecap="square" d="M20 20L60 70L80 20"/></g><circle cx="40" cy="60" r="14" transform="matrix(-1 0.4 0 0.6 100 10)"/>',
    'widths inherited, none and in pixels' => '<g stroke-width="3px"><path d="M10 10H90"/><path stroke-width="0" d="M10 30H90"/><path stroke="none" d="M10 50H90"/><path stroke-width="inherit" d="M10 70H90"/></g>',
]);

it('cuts off what lies beyond the page', function (string $inside): void {
    $page = fn (string $inside): Image => ImageFile::drawing('<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="1200" viewBox="-50 -50 200 200"><rect x="-50" y="-50" width="200" height="200" fill="#e4e0d4"/>'.$inside.'</svg>')->asInk()->settled()->shrunk(4)->settled();
    $drawing = FlatDrawing::of('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100" fill="#24506e">'.$inside.'</svg>', STROKES_WITHIN);
    assert($drawing !== null);
    $drawn = $page($drawing->mapped(fn (float $x, float $y): array => [100 * $x + 50, 100 * $y + 50], 0.001, INF));
    expect($drawn->range()[0])->toBeLessThan(200.0)->and(page_apart($page('<svg x="0" y="0" width="100" height="100" viewBox="0 0 100 100" fill="#24506e">'.$inside.'</svg>'), $drawn))->toBeLessThanOrEqual(9.0);
})->with([
    'a circle over a corner' => '<circle cx="90" cy="95" r="30"/>', 'all of the page, and more' => '<rect x="-40" y="-30" width="200" height="300"/><circle cx="50" cy="50" r="60" fill="#c05030"/>',
    'a star with a hole, by either rule' => '<path fill-rule="evenodd" d="M50 -30L80 120L-20 20L120 20L20 120Z"/><path fill="#c05030" d="M50 -20L75 110L-15 20L115 20L25 110ZM40 40L60 40L60 60L40 60Z"/>',
    'one that comes back twice' => '<path d="M20 20L130 30L130 40L30 45L-30 60L140 70L50 140Z"/>', 'curves in and out' => '<path d="M-20 50C20 -60 60 160 120 40S50 160 40 90Q10 150 -20 50z"/>', 'a stroke over the side' => '<path fill="none" stroke="red" stroke-width="9" d="M2 20C-9 50 3 60 2 90L98 99V50"/>',
    'a page within' => '<svg x="20" y="60" width="120" height="20" viewBox="-5 -5 20 10" preserveAspectRatio="none"><circle r="7"/><svg width="8" height="8" viewBox="0 0 8 8" preserveAspectRatio="none" overflow="visible"><circle cx="8" r="3" fill="#c05030"/></svg></svg><rect x="-5" y="5" width="40" height="20"/>',
    'one wholly beyond it' => '<circle cx="140" cy="50" r="20"/><circle cx="50" cy="50" r="20"/>',
]);

// librsvg measures curves by chords, and its own dashes of this circle are off by 37 levels.
it('measures dashes along the curve', function (): void {
    $arcs = '';
    for ($i = 0, $at = -14.0, $whole = 70 * M_PI; $at < $whole; $at += [11, 4, 7][$i++ % 3]) {
        [$from, $to] = [max(0.0, $at) / 35, min($whole, $at + [11, 4, 7][$i % 3]) / 35];
        $arcs .= $i % 2 === 1 || $to <= $from ? '' : sprintf('<path d="M%.9f %.9fA35 35 0 0 1 %.9f %.9f"/>', 50 + 35 * cos($from), 50 + 35 * sin($from), 50 + 35 * cos($to), 50 + 35 * sin($to));
    }
    $drawing = FlatDrawing::of('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100" stroke="#24506e" stroke-width="6" fill="none"><circle cx="50" cy="50" r="35" stroke-dasharray="11,4,7" stroke-dashoffset="14"/></svg>', STROKES_WITHIN);
    assert($drawing !== null);
    expect(page_apart(on_page("<g stroke=\"#24506e\" stroke-width=\"6\" fill=\"none\">$arcs</g>"), unbent($drawing)))->toBeLessThanOrEqual(7.0);
});

it('leaves to the painter what is more than flat figures', function (string $inside, string $root = ''): void {
    expect(FlatDrawing::of('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"'.$root.'>'.$inside.'</svg>', STROKES_WITHIN))->toBeNull();
})->with([
    'a gradient' => ['<rect width="50" height="30" fill="url(#a)"/>'],
    'a stroke of more curves than are soon bent' => ['<path stroke="red" fill="none" d="M50 50'.str_repeat('c1 1 -1 1 0 0', 12_000).'"/>'], 'dashes finer than are soon bent' => ['<path stroke="red" stroke-width="0.01" stroke-dasharray="0.0001" d="M1 1H99"/>'], 'a stroke of a width that is a share' => ['<rect x="9" y="9" width="50" height="30" stroke="red" stroke-width="5%"/>'],
    'a stroke that does not grow with the drawing' => ['<rect x="9" y="9" width="50" height="30" stroke="red" vector-effect="non-scaling-stroke"/>'], 'corners of a kind that few painters know' => ['<path d="M9 9L50 50" stroke="red" stroke-linejoin="arcs"/>'],
    'a clone' => ['<use href="#a"/>'], 'a picture' => ['<image width="5" height="5"/>'], 'a page within the page' => ['<svg viewBox="0 0 10 10"><rect width="5" height="5"/></svg>'], 'a blend' => ['<rect width="5" height="5" style="mix-blend-mode:multiply;"/>'],
    'hard edges' => ['<rect width="5" height="5" shape-rendering="crispEdges"/>'], 'a share of the page' => ['<rect width="50%" height="5"/>'], 'a page within that is mirrored' => ['<g transform="matrix(-1 0 0 1 100 0)"><svg width="50" height="50" viewBox="0 0 10 10" preserveAspectRatio="none"><rect width="5" height="5"/></svg></g>'], 'a page within that is turned' => ['<g transform="rotate(5)"><svg width="50" height="50" viewBox="0 0 10 10" preserveAspectRatio="none"><rect width="5" height="5"/></svg></g>'], 'a figure far beyond the page' => ['<rect x="-6000" width="50000" height="5"/>'],
    'more lines across the page than are soon bent' => ['<path d="M0 0'.str_repeat('L100 50L0 50', 900).'"/>'], 'numbers beyond all bounds' => ['<path d="M1e999 0L-1e999 5L0 9z" transform="rotate(30)"/>'], 'what cannot be read' => ['<rect width="5" height="5" transform="turn(5)"/>'], 'a page that is turned' => ['<rect width="5" height="5"/>', ' transform="rotate(4)"'], 'more figures than are soon bent' => [str_repeat('<rect width="5" height="5"/>', 6001)],
]);

it('takes the clip art of the shop as flat drawings', function (string $file): void {
    $clean = SvgCleaner::clean((string) file_get_contents(dirname(__DIR__)."/fixtures/assets/$file"));
    $drawing = FlatDrawing::of($clean->markup, STROKES_WITHIN);
    assert($drawing !== null);
    $as = fn (string $attributes): string => (string) preg_replace('/^(?:<\?xml[^>]*>\s*)?<svg\b/', "<svg $attributes", (string) preg_replace('/(<svg\b[^>]*?)\swidth="[^"]*"\sheight="[^"]*"/', '$1', $clean->markup));
    expect(page_apart(on_page($as('x="0" y="0" width="100" height="100" preserveAspectRatio="none"')), unbent($drawing)))->toBeLessThanOrEqual(7.0);
})->with(['crab.svg', 'raven.svg', 'ringing-bell.svg', 'old-lantern.svg', 'kite.svg']);
