<?php

declare(strict_types=1);

use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/**
 * A bar of 2 × 1 in in the middle of the sheet, 600 × 300 px from (150, 450), inked by the lines given.
 *
 * @param  list<array<string, mixed>>  $effects
 */
function bar(array $effects, array $more = []): Image
{
    return Fixtures::render(Fixtures::artwork([['effects' => $effects] + Fixtures::shape('bar', 'rectangle', 2, more: array_replace_recursive(['placement' => ['height' => 1]], $more))]));
}

/** @return list<string> colours along a row, one for each run, "-" for cloth */
function runs(Image $picture, int $y, int $from = 0, int $to = 900): array
{
    $runs = [];
    foreach (str_split($picture->crop($from, $y, $to - $from, 1)->toBytes(), 4) as $pixel) {
        [$r, $g, $b, $a] = array_values((array) unpack('C4', $pixel));
        $says = $a < 128 ? '-' : sprintf('#%02x%02x%02x', $r, $g, $b);
        if ($runs === [] || $runs[count($runs) - 1] !== $says) {
            $runs[] = $says;
        }
    }

    return $runs;
}

it('lays rings with a gap between, cloth in the gap', function (): void {
    $picture = bar([
        ['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#00ff00'],
        ['kind' => 'gap', 'width' => 0.04], ['kind' => 'outline', 'width' => 0.06, 'colour' => '#0000ff'],
    ]);
    expect(runs($picture, 600))->toBe(['-', '#0000ff', '-', '#00ff00', '#ff0000', '#00ff00', '-', '#0000ff', '-'])
        // 15 px of ring, 12 of gap, 18 of ring.
        ->and($picture->alpha()->isMore(127.0)->inkBox())->toBe([150 - 45, 450 - 45, 690, 390])
        ->and(Fixtures::pixel($picture, 150 - 20, 600)[3])->toBe(0)->and(Fixtures::pixel($picture, 150 - 8, 600))->toBe([0, 255, 0, 255]);
});

it('lays rings inside, the fill in the gap', function (): void {
    $picture = bar([
        ['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'gap', 'width' => 0.05, 'side' => 'inside'], ['kind' => 'outline', 'width' => 0.04, 'colour' => '#0000ff', 'side' => 'inside'],
    ]);
    expect(runs($picture, 600))->toBe(['-', '#ff0000', '#0000ff', '#ff0000', '#0000ff', '#ff0000', '-'])
        ->and(Fixtures::pixel($picture, 150 + 7, 600))->toBe([255, 0, 0, 255])->and(Fixtures::pixel($picture, 150 + 20, 600))->toBe([0, 0, 255, 255])
        ->and($picture->alpha()->isMore(127.0)->inkBox())->toBe([150, 450, 600, 300]);
});

it('makes a piece hollow through all its rings', function (): void {
    $picture = bar([['kind' => 'hollow', 'width' => 0.05, 'colour' => '#00ff00'], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#0000ff']]);
    expect(runs($picture, 600))->toBe(['-', '#0000ff', '#00ff00', '-', '#00ff00', '#0000ff', '-']);
});

it('emboldens and thins by the inch', function (float $by, array $box): void {
    expect(bar([['kind' => 'embolden', 'by' => $by]])->alpha()->isMore(127.0)->inkBox())->toBe($box);
})->with([[0.1, [120, 420, 660, 360]], [-0.1, [180, 480, 540, 240]]]);

it('casts a shadow of the piece and its rings, as a copy or as a block', function (): void {
    $effects = fn (string $as): array => [['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#00ff00'], ['kind' => 'shadow', 'distance' => 0.2, 'angle' => 0, 'colour' => '#0000ff', 'as' => $as]];
    expect(runs(bar($effects('copy')), 600))->toBe(['-', '#00ff00', '#ff0000', '#00ff00', '#0000ff', '-'])
        ->and(bar($effects('copy'))->alpha()->isMore(127.0)->inkBox())->toBe([135, 435, 690, 330]);
    // Downwards to the right: between the copies' corners a block is filled and a copy is not.
    $slanted = fn (string $as): Image => bar([['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'shadow', 'distance' => 0.6, 'angle' => 45, 'colour' => '#0000ff', 'as' => $as]]);
    expect(Fixtures::pixel($slanted('copy'), 760, 480)[3])->toBe(0)->and(Fixtures::pixel($slanted('solid'), 760, 480))->toBe([0, 0, 255, 255])
        ->and(Fixtures::pixel($slanted('copy'), 200, 790)[3])->toBe(0)->and(Fixtures::pixel($slanted('solid'), 250, 770))->toBe([0, 0, 255, 255]);
    // A block of 2 × 1 in swept by (d, d): 2 + d (2 + 1) square inches, d = 0.6 ÷ √2.
    expect($slanted('solid')->alpha()->area() / 90000)->toEqualWithDelta(2 + 0.6 * M_SQRT1_2 * 3, 0.01);
});

it('fills halves, letters and frames with fills of their own', function (): void {
    $picture = bar([['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'only', 'part' => 'half-right'], ['kind' => 'fill', 'colour' => '#0000ff']]);
    expect(runs($picture, 600))->toBe(['-', '#ff0000', '#0000ff', '-'])->and(Fixtures::pixel($picture, 449, 600))->toBe([255, 0, 0, 255])->and(Fixtures::pixel($picture, 451, 600))->toBe([0, 0, 255, 255]);
    $words = fn (array $only): Image => Fixtures::render(Fixtures::artwork([['effects' => [['kind' => 'fill', 'colour' => '#ff0000'], $only + ['kind' => 'only'], ['kind' => 'fill', 'colour' => '#0000ff']]] + Fixtures::words('w', 'II II', 2.4, ['source' => ['font' => 'anton.woff2']])]));
    $order = fn (Image $image): array => array_values(array_filter(runs($image, 600), fn (string $c): bool => $c === '#ff0000' || $c === '#0000ff'));
    expect($order($words(['part' => 'every-second-letter'])))->toBe(['#ff0000', '#0000ff', '#ff0000', '#0000ff'])
        ->and($order($words(['part' => 'every-second-word'])))->toBe(['#ff0000', '#ff0000', '#0000ff', '#0000ff'])
        ->and($order($words(['part' => 'one-letter', 'number' => 3])))->toBe(['#ff0000', '#ff0000', '#0000ff', '#ff0000'])
        ->and($order($words(['part' => 'one-word', 'number' => 1])))->toBe(['#0000ff', '#0000ff', '#ff0000', '#ff0000']);
});

// SVG's linear gradient is the reference: colours mixed in sRGB along the way.
it('runs a gradient from edge to edge at its angle', function (): void {
    $across = bar([['kind' => 'gradient', 'colours' => ['#000000', '#ffffff'], 'angle' => 0]]);
    foreach ([0.1, 0.25, 0.5, 0.9] as $share) {
        expect(Fixtures::pixel($across, (int) (150 + 600 * $share), 600)[0])->toEqualWithDelta(255 * $share, 2);
    }
    $down = bar([['kind' => 'gradient', 'colours' => ['#000000', '#ff0000', '#ffffff'], 'angle' => 90]]);
    expect(Fixtures::pixel($down, 400, 600)[0])->toEqualWithDelta(255, 3)->and(Fixtures::pixel($down, 400, 525))->toEqualWithDelta([128, 0, 0, 255], 3);
});

it('hatches inside an inset and etches cloth', function (): void {
    $hatched = bar([['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'hatch', 'spacing' => 0.1, 'width' => 0.05, 'angle' => 0, 'inset' => 0.1, 'as' => 'ink', 'colour' => '#0000ff']]);
    $etched = bar([['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'hatch', 'spacing' => 0.1, 'width' => 0.05, 'angle' => 30, 'inset' => 0, 'as' => 'cut']]);
    // Half of what lies within the inset is lines.
    expect($hatched->band(2)->times($hatched->alpha())->area() / 90000)->toEqualWithDelta(1.8 * 0.8 / 2, 0.06)
        ->and(Fixtures::pixel($hatched, 160, 600))->toBe([255, 0, 0, 255])
        ->and($etched->alpha()->area() / 90000)->toEqualWithDelta(1.0, 0.02);
});

it('shows a paper through the piece, and moves it with the piece', function (): void {
    $effects = [['kind' => 'paper', 'paper' => 'gingham', 'colours' => ['#ff0000', '#ffffff'], 'scale' => 1, 'seed' => 1]];
    $here = bar($effects);
    $there = bar($effects, ['placement' => ['x' => 1.7]]);
    expect($here->crop(150, 450, 600, 300)->toBytes())->toBe($there->crop(210, 450, 600, 300)->toBytes())
        ->and(count(array_unique(runs($here, 500))))->toBeGreaterThan(2);
});

it('shows a picture through the piece, covering it at a scale of 1', function (): void {
    $picture = bar([['kind' => 'picture', 'file' => 'rock-pool.png']]);
    $laid = Fixtures::render(Fixtures::artwork([['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png', 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]]]));
    // The middle of the picture laid at the same width, where both have it.
    expect(array_slice(Fixtures::pixel($picture, 450, 600), 0, 3))->toEqualWithDelta(array_slice(Fixtures::pixel($laid, 450, 600), 0, 3), 3);
});

it('rings and fills pictures and groups by their own outline', function (): void {
    $crab = Fixtures::render(Fixtures::artwork([['id' => 'crab', 'source' => ['kind' => 'art', 'file' => 'crab.svg'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null], 'effects' => [
        ['kind' => 'gradient', 'colours' => ['#ff0000', '#ff0000'], 'angle' => 0], ['kind' => 'gap', 'width' => 0.05], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#0000ff'],
    ]]]));
    $row = array_values(array_filter(runs($crab, 620), fn (string $c): bool => in_array($c, ['-', '#0000ff', '#ff0000'], true)));
    expect(array_slice($row, 0, 4))->toBe(['-', '#0000ff', '-', '#ff0000']);
});

it('measures what it prints to a pixel, however it is bent', function (array $effects, array $placement): void {
    $artwork = Fixtures::artwork([['effects' => $effects] + Fixtures::words('w', 'BELLS', 2.4, ['placement' => $placement])]);
    $box = Fixtures::render($artwork)->alpha()->isMore(127.0)->inkBox();
    expect($box)->not->toBeNull();
    if (! array_key_exists('width', $placement)) {
        expect($box[2])->toEqualWithDelta(2.4 * 300, 1.0);
    }
    if (isset($placement['height'])) {
        expect($box[3])->toEqualWithDelta($placement['height'] * 300, 1.0);
    }
    expect($box[0] + $box[2] / 2)->toEqualWithDelta(450, 1.0)->and($box[1] + $box[3] / 2)->toEqualWithDelta(600, 1.0);
})->with([
    'by height' => [[['kind' => 'larger-ends']], ['width' => null, 'height' => 0.8]],
    'circle' => [[['kind' => 'circle', 'bend' => 0.5]], []], 'ring in inches' => [[['kind' => 'ring', 'by' => 'inches', 'rise' => 0.5]], []],
    'bulge by height' => [[['kind' => 'bulge', 'bend' => 0.8]], ['width' => null, 'height' => 1.2]], 'wave, stretched' => [[['kind' => 'wave']], ['height' => 1.5]],
    'flag' => [[['kind' => 'flag', 'by' => 'inches', 'rise' => 0.2]], []], 'rise and pinch' => [[['kind' => 'pinch'], ['kind' => 'rise']], []],
]);

it('bends pictures and groups by resampling as it bends outlines', function (): void {
    // A bar as a shape, and the same bar within a group: the arch of both must be one picture.
    $arch = ['kind' => 'wave', 'by' => 'inches', 'rise' => 0.3];
    $shape = Fixtures::render(Fixtures::artwork([['effects' => [$arch, ['kind' => 'fill', 'colour' => '#ff0000']]] + Fixtures::shape('bar', 'rectangle', 2, more: ['placement' => ['height' => 1.6]])]));
    $group = Fixtures::render(Fixtures::artwork([['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [['effects' => [['kind' => 'fill', 'colour' => '#ff0000']]] + Fixtures::shape('bar', 'rectangle', 2, more: ['placement' => ['height' => 1]])]], 'effects' => [$arch]]]));
    [$one, $other] = [$shape->alpha()->isMore(127.0), $group->alpha()->isMore(127.0)];
    $differ = $one->both($other->inverted())->area() + $other->both($one->inverted())->area();
    expect($differ)->toBeLessThan(600 * 6)->and($one->area())->toBeGreaterThan(150000);

    $art = fn (array $effects): Image => Fixtures::render(Fixtures::artwork([['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png', 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null], 'effects' => $effects]]))->alpha();
    [$flat, $waved] = [$art([]), $art([['kind' => 'wave', 'by' => 'inches', 'rise' => 0.3]])];
    // Columns move and keep their length, so the area stays; crests stand out by the rise on either side.
    expect($waved->area())->toEqualWithDelta($flat->area(), $flat->area() * 0.004)
        ->and($waved->isMore(127.0)->inkBox()[2] ?? 0)->toEqualWithDelta($flat->isMore(127.0)->inkBox()[2] ?? 0, 2)
        ->and($waved->isMore(127.0)->inkBox()[3] ?? 0)->toBeGreaterThan(($flat->isMore(127.0)->inkBox()[3] ?? 0) + 60);
});

it('bends what is inked before a warp together with its ink', function (): void {
    $after = bar([['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'outline', 'width' => 0.1, 'colour' => '#0000ff'], ['kind' => 'bulge', 'bend' => 1.0]]);
    $before = bar([['kind' => 'bulge', 'bend' => 1.0], ['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'outline', 'width' => 0.1, 'colour' => '#0000ff']]);
    $ring = fn (Image $image): int => count(array_filter(str_split($image->crop(450, 0, 1, 600)->toBytes(), 4), fn (string $p): bool => ord($p[2]) > 200 && ord($p[3]) > 200));
    // Bulged by twice, the ring's 30 px become 60; laid after, they stay 30.
    expect($ring($before))->toEqualWithDelta(30, 2)->and($ring($after))->toBeGreaterThan(45);
});

it('follows when a word is replaced: the width is kept and so is the warp', function (): void {
    $sheet = fn (string $text) => Fixtures::artwork([Fixtures::words('w', $text, 2.4, ['effects' => [1 => ['kind' => 'arch', 'by' => 'inches', 'rise' => 0.4]]])]);
    foreach (['BELLS', 'CAMPANOLOGY'] as $text) {
        $box = Fixtures::render($sheet($text))->alpha()->isMore(127.0)->inkBox();
        expect($box[2])->toEqualWithDelta(720, 1);
    }
});

/** ImageMagick's Euclidean distance of each pixel of a mask from the nearest that is not in it, in pixels. */
function distances(Image $mask): Image
{
    $folder = Fixtures::temporary('distances');
    ImageFile::writePng($mask->isMore(127.0), "$folder/mask.png");
    Fixtures::run(['convert', "$folder/mask.png", '-depth', '16', '-morphology', 'Distance', 'Euclidean:7', "gray:$folder/far.gray"]);
    $far = array_values((array) unpack('v*', (string) file_get_contents("$folder/far.gray")));

    return Image::floats(pack('g*', ...array_map(fn (int $hundredths): float => $hundredths / 100, $far)), $mask->width(), $mask->height(), 1);
}

// The reference for what lies inside an edge is ImageMagick's distance transform.
it('draws no crossing inside a hollow script word', function (string $font): void {
    $word = fn (array $effects): Image => Fixtures::render(Fixtures::artwork([['effects' => $effects] + Fixtures::words('w', 'Quarry', 2.8, ['source' => ['font' => $font]])]))->alpha()->settled();
    $filled = $word([['kind' => 'fill', 'colour' => '#ffffff']]);
    $hollow = $word([['kind' => 'hollow', 'width' => 0.02, 'colour' => '#ffffff']]);
    $inside = distances($filled);
    // The line is six pixels wide: further in nothing is inked but where a notch ends between two pixels; further out everything is.
    expect($hollow->times($inside->isMore(7.6))->area())->toBeLessThan(0.02 * $hollow->area())
        ->and($filled->isMore(254.0)->times($inside->isLess(5.0))->times($hollow->inverted())->area())->toBeLessThan(0.005 * $hollow->area());
})->with(['mr-dafoe.woff2', 'kaushan-script.woff2', 'yellowtail.woff2']);

it('keeps a gap even between mitred rings', function (array $piece, float $limit): void {
    $ring = fn (float $width, string $colour): array => ['kind' => 'outline', 'width' => $width, 'colour' => $colour, 'join' => 'mitre', 'mitreLimit' => $limit];
    $all = Fixtures::render(Fixtures::artwork([['effects' => [...$piece['effects'], ['kind' => 'fill', 'colour' => '#ff0000'], $ring(0.04, '#ff0000'), ['kind' => 'gap', 'width' => 0.1], $ring(0.06, '#0000ff')]] + $piece]));
    $inner = $all->alpha()->times($all->band(0)->isMore(127.0));
    $outer = $all->alpha()->times($all->band(2)->isMore(127.0));
    $far = distances($inner->inverted());
    // Nothing of the outer ring is nearer than the gap. Into a gap between straight edges a disc of half its width fits, into a corner whose
    // point reaches n widths one of n ÷ (n + 1); a wider one would be a wedge.
    $nearest = distances($inner->isMore(127.0)->either($outer->isMore(127.0))->inverted());
    $disc = $far->isLess(29.0)->linear(1 / 255)->multiplied($nearest)->range()[1];
    expect($outer->isMore(200.0)->times($far->isLess(28.5))->area())->toBe(0.0)->and($disc)->toBeGreaterThan(14.0)->toBeLessThan(30 * $limit / ($limit + 1) + 1.0);
})->with([
    'points of 36°' => [fn () => ['effects' => []] + Fixtures::shape('s', 'star', 1.6), 4.0],
    'points that are cut' => [fn () => ['effects' => []] + Fixtures::shape('s', 'star', 1.6), 2.0],
    'a bent bar' => [fn () => ['effects' => [['kind' => 'arch', 'bend' => 0.4]]] + Fixtures::shape('s', 'rectangle', 2, more: ['placement' => ['height' => 0.6]]), 3.0],
]);

// The reference is ImageMagick's union of the piece moved step by step along the way.
it('casts a solid shadow that is the swept shape of all that casts it', function (int $x, int $y, array $rings): void {
    $word = fn (array $more): Image => Fixtures::render(Fixtures::artwork([['effects' => [['kind' => 'fill', 'colour' => '#ffffff'], ...$rings, ...$more]] + Fixtures::words('w', 'Rye', 1.6, ['source' => ['font' => 'rye.woff2']])]))->alpha()->settled();
    $swept = $word([['kind' => 'shadow', 'distance' => 127 * hypot($x, $y) / 300, 'angle' => rad2deg(atan2($y, $x)), 'colour' => '#ffffff', 'as' => 'solid']]);
    $folder = Fixtures::temporary('swept');
    ImageFile::writePng($word([])->isMore(127.0), "$folder/word.png");
    $moved = array_merge(...array_map(fn (int $k): array => ['(', '+clone', '-roll', sprintf('%+d%+d', $x * 2 ** $k, $y * 2 ** $k), ')', '-compose', 'Lighten', '-composite'], range(0, 6)));
    Fixtures::run(['convert', "$folder/word.png", ...$moved, "PNG24:$folder/all.png"]);
    $reference = ImageFile::read(PictureType::Png, "$folder/all.png")->band(0)->settled();
    $shadow = $swept->isMore(127.0);
    $apart = $shadow->area() + $reference->area() - 2 * $shadow->times($reference)->area();
    expect($apart)->toBeLessThan(0.006 * $reference->area());
})->with([
    [1, 1, []], [-1, 1, [['kind' => 'outline', 'width' => 0.05, 'colour' => '#ffffff']]], [0, -2, [['kind' => 'outline', 'width' => 0.05, 'colour' => '#ffffff', 'join' => 'mitre']]],
    [1, -1, [['kind' => 'outline', 'width' => 0.03, 'colour' => '#ffffff'], ['kind' => 'outline', 'width' => 0.03, 'colour' => '#000000', 'join' => 'mitre']]],
]);

it('gives every edge the coverage of the true shape, once', function (): void {
    // A bar whose edges lie at 0.25 and 0.75 of a pixel; rings whose edges do too.
    $placed = ['placement' => ['x' => 1.5 + 0.25 / 300, 'y' => 2, 'width' => 2.0, 'height' => 1]];
    $bar = bar([['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'outline', 'width' => 15.5 / 300, 'colour' => '#00ff00'], ['kind' => 'gap', 'width' => 12.25 / 300], ['kind' => 'outline', 'width' => 18.0 / 300, 'colour' => '#0000ff']], $placed);
    // To the left of 150.25: the ring to 134.75, the gap to 122.5, the outer ring to 104.5.
    $alpha = fn (int $x): int => Fixtures::pixel($bar, $x, 600)[3];
    expect([$alpha(104), $alpha(105), $alpha(122), $alpha(123), $alpha(134), $alpha(135)])->toEqualWithDelta([128, 255, 128, 0, 64, 255], 2);
    // A ring inside changes no edge, and leaves no rim of the fill.
    $inner = bar([['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#0000ff', 'side' => 'inside']], $placed);
    expect(Fixtures::pixel($inner, 150, 600))->toEqualWithDelta([0, 0, 255, 191], 2)->and(Fixtures::pixel($inner, 750, 600)[3])->toEqualWithDelta(64, 2);
});

it('keeps a ring on the silhouette out of counters, and backs a drawing within its outline', function (): void {
    $ring = fn (array $more): array => ['source' => ['kind' => 'shape', 'shape' => 'ring'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => 2]] + $more;
    $hole = fn (Image $picture): array => Fixtures::pixel($picture, 450, 600);
    $drawn = fn (array $effects): Image => Fixtures::render(Fixtures::artwork([$ring(['id' => 'r', 'effects' => [['kind' => 'fill', 'colour' => '#ff0000'], ...$effects]])]));
    $edges = $drawn([['kind' => 'outline', 'width' => 0.1, 'colour' => '#0000ff']]);
    $silhouette = $drawn([['kind' => 'outline', 'width' => 0.1, 'colour' => '#0000ff', 'about' => 'silhouette']]);
    $blue = fn (Image $picture): float => $picture->alpha()->times($picture->band(2))->times($picture->band(0)->inverted())->area() / 90000;
    expect($blue($silhouette))->toEqualWithDelta(M_PI * (1.1 ** 2 - 1), 0.02)->and($blue($edges))->toBeGreaterThan($blue($silhouette) + 0.2)
        ->and($hole($silhouette)[3])->toBe(0)->and($hole($drawn([['kind' => 'backing', 'colour' => '#00ff00']])))->toBe([0, 255, 0, 255]);
});

// Behind what has no hole a backing is not seen at all, at its edges no more than elsewhere.
it('shows nothing of a backing along the edges of the ink', function (float $ppi): void {
    $drawn = fn (array $effects): string => Composition::premultiplied(Fixtures::render(Fixtures::artwork([Fixtures::shape('e', 'ellipse', 2.3, '#1f1d1a', ['placement' => ['height' => 1.7, 'turn' => 13], 'effects' => [1 => $effects]])]), $ppi))->linearByte(1.0)->toBytes();
    [$bare, $backed] = [$drawn(['kind' => 'hue', 'by' => 0]), $drawn(['kind' => 'backing', 'colour' => '#ffffff'])];
    $worst = 0;
    for ($i = 0; $i < strlen($bare); $i++) {
        $worst = max($worst, abs(ord($bare[$i]) - ord($backed[$i])));
    }
    expect($worst)->toBeLessThanOrEqual(1);
})->with([30.0, 60.0, 100.0, 300.0]);

it('knocks out the filled shape of a hollow word, and its counters when asked', function (): void {
    $sheet = fn (array $role): Image => Fixtures::render(Fixtures::artwork([
        Fixtures::shape('plate', 'rectangle', 2.8),
        ['id' => 'o', 'role' => $role + ['kind' => 'knockout', 'gap' => 0, 'join' => 'round'], 'source' => ['kind' => 'shape', 'shape' => 'ring'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => 2], 'effects' => [['kind' => 'hollow', 'width' => 0.03, 'colour' => '#ff0000']]],
    ]));
    $own = $sheet([]);
    // Between both edges of the ring, and within its counter.
    $radius = (int) (300 * 0.9);
    expect(Fixtures::pixel($own, 450 + $radius, 600)[3])->toBe(0)->and(Fixtures::pixel($own, 450, 600)[3])->toBe(255)->and(Fixtures::pixel($sheet(['whole' => true]), 450, 600)[3])->toBe(0);
});

it('recolours art in every pixel and keeps its alpha', function (array $fill, array $expected): void {
    $crab = fn (array $effects): Image => Fixtures::render(Fixtures::artwork([['id' => 'crab', 'source' => ['kind' => 'art', 'file' => 'crab.svg'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null], 'effects' => $effects]]));
    [$before, $after] = [$crab([]), $crab([$fill])];
    $off = 0;
    foreach (str_split($after->toBytes(), 4) as $pixel) {
        [$r, $g, $b, $a] = array_values((array) unpack('C4', $pixel));
        $off += $a > 0 && max(abs($r - $expected[0]), abs($g - $expected[1]), abs($b - $expected[2])) > 1 ? 1 : 0;
    }
    expect($off)->toBe(0)->and($after->alpha()->toBytes())->toBe($before->alpha()->toBytes());
})->with([
    [['kind' => 'fill', 'colour' => '#20c040'], [32, 192, 64]],
    [['kind' => 'gradient', 'colours' => ['#20c040', '#20c040'], 'angle' => 0], [32, 192, 64]],
    [['kind' => 'paper', 'paper' => 'stripes', 'colours' => ['#20c040'], 'scale' => 1, 'seed' => 1], [32, 192, 64]],
]);
