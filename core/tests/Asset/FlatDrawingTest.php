<?php

declare(strict_types=1);

use TallCrow\Asset\FlatDrawing;
use TallCrow\Asset\SvgCleaner;
use TallCrow\Asset\SvgPath;
use TallCrow\Asset\SvgTransform;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

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
    $drawing = FlatDrawing::of('<svg xmlns="http://www.w3.org/2000/svg" width="300" height="300" viewBox="0 0 100 100" fill="#24506e">'.$inside.'</svg>');
    assert($drawing !== null);
    expect(page_apart(on_page("<g fill=\"#24506e\">$inside</g>"), unbent($drawing)))->toBeLessThanOrEqual(7.0);
})->with([
    'a rectangle' => '<rect x="10" y="20" width="50" height="30"/>', 'round corners' => '<rect x="10" y="20" width="50" height="30" rx="8"/>', 'corners of two radii' => '<rect x="10" y="20" width="50" height="30" rx="40" ry="9"/>',
    'a circle' => '<circle cx="40" cy="45" r="30" fill="red"/>', 'an ellipse' => '<ellipse cx="50" cy="45" rx="30" ry="12"/>', 'a polygon' => '<polygon points="10,10 80 20,50,90"/>', 'a polyline' => '<polyline points="10,10 80 20 50 90 20 80"/>',
    'holes by either rule' => '<path fill-rule="evenodd" d="M10 10h80v80h-80zM30 30h40v40h-40z"/><path fill="#fff" d="M40 40h20v20h-20zM45 45h10v10h-10z"/>',
    'groups that are faded, turned and hidden' => '<g opacity="0.5" transform="rotate(20 50 50)"><circle cx="40" cy="45" r="20" fill="red"/><g transform="translate(5 5)" fill="blue"><rect x="30" y="30" width="30" height="30"/></g></g><g display="none"><circle cx="50" cy="50" r="9"/></g>',
    'no stroke' => '<title>A plate</title><rect x="10" y="20" width="50" height="30" stroke="none" stroke-width="4"/><defs><circle cx="50" cy="50" r="9"/></defs>',
]);

it('leaves to the painter what is more than flat figures', function (string $inside, string $root = ''): void {
    expect(FlatDrawing::of('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"'.$root.'>'.$inside.'</svg>'))->toBeNull();
})->with([
    'a stroke' => ['<rect width="50" height="30" stroke="#000"/>'], 'a stroke of a group' => ['<g stroke="red"><rect width="50" height="30"/></g>'], 'a gradient' => ['<rect width="50" height="30" fill="url(#a)"/>'],
    'a clone' => ['<use href="#a"/>'], 'a picture' => ['<image width="5" height="5"/>'], 'a page within the page' => ['<svg viewBox="0 0 10 10"><rect width="5" height="5"/></svg>'], 'a blend' => ['<rect width="5" height="5" style="mix-blend-mode:multiply;"/>'],
    'hard edges' => ['<rect width="5" height="5" shape-rendering="crispEdges"/>'], 'a share of the page' => ['<rect width="50%" height="5"/>'], 'what is cut off by the page' => ['<rect x="60" width="50" height="5"/>'],
    'more lines across the page than are soon bent' => ['<path d="M0 0'.str_repeat('L100 50L0 50', 600).'"/>'], 'numbers beyond all bounds' => ['<path d="M1e999 0L-1e999 5L0 9z" transform="rotate(30)"/>'], 'what cannot be read' => ['<rect width="5" height="5" transform="turn(5)"/>'], 'a page that is turned' => ['<rect width="5" height="5"/>', ' transform="rotate(4)"'], 'more figures than are soon bent' => [str_repeat('<rect width="5" height="5"/>', 4001)],
]);

it('takes the clip art of the shop as flat drawings', function (string $file): void {
    $clean = SvgCleaner::clean((string) file_get_contents(dirname(__DIR__)."/fixtures/assets/$file"));
    $drawing = FlatDrawing::of($clean->markup);
    assert($drawing !== null);
    $as = fn (string $attributes): string => (string) preg_replace('/^(?:<\?xml[^>]*>\s*)?<svg\b/', "<svg $attributes", (string) preg_replace('/(<svg\b[^>]*?)\swidth="[^"]*"\sheight="[^"]*"/', '$1', $clean->markup));
    expect(page_apart(on_page($as('x="0" y="0" width="100" height="100" preserveAspectRatio="none"')), unbent($drawing)))->toBeLessThanOrEqual(7.0);
})->with(['crab.svg', 'raven.svg', 'ringing-bell.svg', 'old-lantern.svg', 'kite.svg']);
