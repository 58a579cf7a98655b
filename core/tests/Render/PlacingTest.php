<?php

declare(strict_types=1);

use TallCrow\Artwork\Sheet;
use TallCrow\Cutout\TracedPath;
use TallCrow\Geometry\Box;
use TallCrow\Measure\Ppi;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Render\Measures;
use TallCrow\Render\Piece;
use TallCrow\Render\Placer;
use TallCrow\Render\Silhouettes;
use TallCrow\Tests\Fixtures;

it('knows the pixels of a sheet at any ppi', function (float $ppi, int $width, int $height): void {
    $frame = Frame::sheet(new Sheet(4500, 5400, Ppi::of(300)), $ppi);
    expect([$frame->left, $frame->top, $frame->width, $frame->height])->toBe([0, 0, $width, $height]);
})->with([[300.0, 4500, 5400], [60.0, 900, 1080], [40.0, 600, 720], [1.0, 15, 18]]);

it('finds the pixels that touch a box, and no more', function (Box $box, ?array $pixels): void {
    $frame = Frame::about($box, 100);
    expect($frame === null ? null : [$frame->left, $frame->top, $frame->width, $frame->height])->toBe($pixels);
})->with([
    'whole pixels' => [new Box(1, 2, 3, 4), [100, 200, 200, 200]], 'parts of pixels' => [new Box(1.001, 2.009, 1.011, 2.011), [100, 200, 2, 2]],
    'off the sheet' => [new Box(-0.5, -0.5, 0.5, 0.5), [-50, -50, 100, 100]], 'nothing' => [new Box(1, 1, 1, 1), null],
]);

it('cuts windows and pieces to one another', function (): void {
    $window = new Frame(100, 10, 10, 50, 50);
    expect($window->overlap(new Frame(100, 60, 0, 10, 10)))->toBeNull()
        ->and($window->overlap(new Frame(100, 40, 5, 100, 10)))->toEqual(new Frame(100, 40, 10, 20, 5))
        ->and($window->within(new Box(0, 0, 0.2, 0.2)))->toEqual(new Frame(100, 10, 10, 10, 10))
        ->and($window->fromInches()->apply(0.1, 0.1))->toEqual([0.0, 0.0]);
    $piece = new Piece(Image::raw("\1\2\3\4\5\6", 3, 2, 1), new Frame(100, 10, 10, 3, 2));
    expect($piece->cut(new Frame(100, 11, 11, 9, 9))?->image->toBytes())->toBe("\5\6")
        ->and($piece->cut(new Frame(100, 20, 20, 5, 5)))->toBeNull()
        ->and($piece->cut(new Frame(100, 0, 0, 50, 50)))->toBe($piece);
});

it('measures every line as it lies', function (): void {
    $artwork = Fixtures::artwork([
        Fixtures::words('word', 'BELLS', 2.4, ['placement' => ['turn' => 90]]),
        ['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png', 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]],
        ['id' => 'both', 'source' => ['kind' => 'group', 'layers' => [Fixtures::shape('left', 'ellipse', 1, more: ['placement' => ['x' => 0.6]]), Fixtures::shape('right', 'ellipse', 1, more: ['placement' => ['x' => 2.4]])]]],
        Fixtures::words('blank', '  ', 2),
    ]);
    $measures = [];
    foreach (Measures::of($artwork, new Placer(Fixtures::shelf())) as $m) {
        $measures[$m->id] = $m;
    }
    expect(array_keys($measures))->toBe(['word', 'pool', 'both', 'left', 'right', 'blank'])
        ->and($measures['word']->width)->toEqualWithDelta(2.4, 1e-6)
        ->and($measures['word']->box?->height())->toEqualWithDelta(2.4, 1e-6)
        ->and($measures['word']->ppi)->toBeNull()
        ->and($measures['pool']->height)->toEqualWithDelta(1.4, 1e-9)
        ->and($measures['pool']->ppi)->toEqualWithDelta(500.0, 1e-9)
        ->and($measures['both']->width)->toEqualWithDelta(2.8, 1e-6)
        ->and($measures['blank']->box)->toBeNull();
});

it('sizes letters anew when the words change, and keeps their width', function (string $words): void {
    $placing = (new Placer(Fixtures::shelf()))->place(Fixtures::artwork([Fixtures::words('w', $words, 2.0)])->layers[0]);
    expect($placing?->width)->toEqualWithDelta(2.0, 1e-9)->and($placing->box()->centreX())->toEqualWithDelta(1.5, 1e-9);
})->with(['A', 'BELL RINGERS', "THREE\nLINES OF\nWORDS"]);

it('stretches to a height of its own', function (): void {
    $placing = (new Placer(Fixtures::shelf()))->place(Fixtures::artwork([Fixtures::words('w', 'TALL', 1.0, ['placement' => ['height' => 3.0]])])->layers[0]);
    expect($placing?->width)->toEqualWithDelta(1.0, 1e-9)->and($placing->height)->toEqualWithDelta(3.0, 1e-9);
});

it('reads what potrace writes', function (): void {
    $svg = '<svg><g transform="x"><path d="M100 200 c0 -10 10 -20 20 -20 10 0 20 10 20 20 l-40 0z m50 0 l10 10 -10 10z"/></g></svg>';
    $path = TracedPath::read($svg, 40)->path();
    expect(array_column($path->segments, 0))->toBe(['M', 'C', 'C', 'L', 'Z', 'M', 'L', 'L', 'Z'])
        ->and($path->segments[0])->toBe(['M', 10.0, 20.0])
        ->and($path->segments[1])->toBe(['C', 10.0, 21.0, 11.0, 22.0, 12.0, 22.0])
        ->and($path->segments[5])->toBe(['M', 15.0, 20.0]);
});

it('traces an outline to half a pixel', function (): void {
    $disc = ImageFile::drawing('<svg xmlns="http://www.w3.org/2000/svg" width="400" height="400"><circle cx="200" cy="200" r="150"/></svg>')->asInk();
    $box = Silhouettes::trace(new Piece($disc, new Frame(300, 600, 900, 400, 400)))->bounds();
    foreach (['left' => 650, 'right' => 950, 'top' => 950, 'bottom' => 1250] as $side => $pixels) {
        expect($box->$side * 300)->toEqualWithDelta($pixels, 0.6);
    }
});

it('traces ink that touches the window\'s edge to that edge', function (): void {
    $full = Image::raw(str_repeat("\xff", 40 * 30 * 4), 40, 30, 4);
    $box = Silhouettes::trace(new Piece($full, new Frame(300, 0, 0, 40, 30)))->bounds();
    expect($box->width() * 300)->toEqualWithDelta(40, 0.6)->and($box->height() * 300)->toEqualWithDelta(30, 0.6);
});

it('places pictures by their ink and not by the margins of their files', function (string $file): void {
    $folder = Fixtures::temporary('margins');
    // A disc of 120 units across in a page of 400 by 300, far off its middle.
    file_put_contents("$folder/disc.svg", '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 400 300"><circle cx="90" cy="200" r="60" fill="#c8452c"/></svg>');
    Fixtures::run(['convert', '-size', '400x300', 'xc:none', '-fill', '#c8452c', '-draw', 'circle 90,200 90,140', "PNG32:$folder/disc.png"]);
    $drawn = fn (string $frame, array $more = []): Image => Fixtures::render(Fixtures::artwork([['id' => 'd', 'source' => ['kind' => 'art', 'file' => $file, 'frame' => $frame], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null] + $more]]), 300, $folder);
    $box = $drawn('ink')->alpha()->isMore(127.0)->inkBox();
    expect($box)->toEqualWithDelta([150, 300, 600, 600], 3);
    // Turned, it stays where its middle is; framed, it is as large as its file makes it.
    expect($drawn('ink', ['turn' => 40])->alpha()->isMore(127.0)->inkBox())->toEqualWithDelta([150, 300, 600, 600], 4)
        ->and($drawn('file')->alpha()->isMore(127.0)->inkBox()[2])->toEqualWithDelta(600 * 120 / 400, 3);
    $placing = (new TallCrow\Render\Renderer(Fixtures::shelf($folder)))->placer->place(Fixtures::artwork([['id' => 'd', 'source' => ['kind' => 'art', 'file' => $file], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]]])->layers[0]);
    expect([$placing->width, $placing->height])->toEqualWithDelta([2.0, 2.0], 0.02);
})->with(['disc.svg', 'disc.png']);
