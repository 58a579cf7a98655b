<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Listing\ListingPicture;
use TallCrow\Listing\PhotoPicture;
use TallCrow\Listing\PhotoPlace;
use TallCrow\Listing\PhotoRefused;
use TallCrow\Listing\Pictured;
use TallCrow\Listing\Scene;
use TallCrow\Listing\SceneSheet;
use TallCrow\Listing\Strewn;
use TallCrow\Press\Press;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;

it('ships scenes of every view, each readable, the plain one first', function (): void {
    $slugs = array_keys(SceneSheet::all());
    $others = array_slice($slugs, 1);
    sort($others);
    expect($slugs)->toBe(['plain', ...$others]);
    $all = SceneSheet::all();
    expect(array_key_first($all))->toBe('plain')->and(array_unique(array_map(fn (SceneSheet $one): string => $one->view->value, array_values($all))))->toEqualCanonicalizing(['whole', 'folded', 'close'])
        ->and(array_filter(array_map(fn (SceneSheet $one): string => $one->name, $all), fn (string $name): bool => $name === ''))->toBe([]);
});

it('shows the print itself close by, pixel by pixel as the press leaves it', function (): void {
    $artwork = Fixtures::artwork([Fixtures::shape('disc', 'ellipse', 2.0, '#d9a441', ['placement' => ['x' => 1.6, 'y' => 2.1, 'height' => 2.0]])]);
    $cloth = Srgb::hex('#24382c');
    $close = Pictured::of($artwork, new Scene('tee', false, SceneSheet::all()['close'], 1, 400, 300), Fixtures::renderer())->on($cloth);
    // The middle of the ink lies at 480, 630 px of the print.
    $frame = (new Frame(300.0, 480 - 200, 630 - 150, 400, 300))->grown(24);
    $art = Fixtures::renderer()->picture($artwork, $frame)->settled();
    $pressed = Press::of($artwork->brief->method, $cloth, 300.0)->printed($art, [$frame->left, $frame->top])->crop(24, 24, 400, 300);

    expect([$close->width(), $close->height()])->toBe([400, 300])->and($close->band(0, 3)->minus($pressed->band(0, 3))->operation('abs')->settled()->range()[1])->toBe(0.0);
});

it('shows collar and chest of a folded garment larger than the whole one, and nothing beyond the fold', function (): void {
    $scene = fn (string $slug): Scene => new Scene('tee', false, SceneSheet::all()[$slug], 1, 500, 420);
    expect(ListingPicture::ppi($scene('folded')))->toBeGreaterThan(1.5 * ListingPicture::ppi($scene('plain')));
    // Red ink far below the fold, none on the chest.
    $artwork = Fixtures::artwork([Fixtures::shape('low', 'rectangle', 8, '#ff0000', ['placement' => ['x' => 6, 'y' => 14.5, 'height' => 2]])], ['sheet' => ['width' => 1200, 'height' => 1600, 'ppi' => 100]]);
    $red = fn (string $slug): float => Pictured::of($artwork, $scene($slug), Fixtures::renderer())->on(Srgb::hex('#333333'))->band(0)->isMore(170.0)->mean()
        - Pictured::of(Fixtures::artwork([], ['sheet' => ['width' => 1200, 'height' => 1600, 'ppi' => 100]]), $scene($slug), Fixtures::renderer())->on(Srgb::hex('#333333'))->band(0)->isMore(170.0)->mean();
    expect(abs($red('folded')))->toBeLessThan(0.05)->and($red('plain'))->toBeGreaterThan(1.0);
});

it('draws what colours have in common once: each is as if drawn alone', function (): void {
    $artwork = Fixtures::artwork([Fixtures::shape('disc', 'ellipse', 2.0, '#d9a441')]);
    $make = fn (): Pictured => Pictured::of($artwork, new Scene('tee', false, SceneSheet::all()['leaves'], 5, 300, 250), Fixtures::renderer());
    $both = $make();
    $first = $both->on(Srgb::hex('#7a3527'));
    expect($both->on(Srgb::hex('#e6dac4'))->toBytes())->toBe($make()->on(Srgb::hex('#e6dac4'))->toBytes())->not->toBe($first->toBytes());
});

/** A flat grey photo. */
function flat_photo(int $width, int $height): Image
{
    return Image::flat(Srgb::of(160, 160, 160), Image::empty($width, $height, 1)->inverted());
}

it('lays art on four corners as ImageMagick\'s perspective does', function (): void {
    $folder = Fixtures::temporary('photo');
    $art = Fixtures::render(Fixtures::artwork([Fixtures::shape('edge', 'rectangle', 3.0, '#b33a1f', ['placement' => ['height' => 4.0]]), Fixtures::shape('disc', 'ellipse', 1.4, '#22333b', ['placement' => ['x' => 1.0, 'y' => 1.2, 'height' => 1.4]])]), 100);
    $corners = [[60.0, 40.0], [330.0, 70.0], [300.0, 420.0], [90.0, 380.0]];
    $ours = PhotoPicture::draw(flat_photo(400, 460), $art, PhotoPlace::at($corners, 0.0));
    ImageFile::writePng($art, "$folder/art.png");
    ImageFile::writePng(flat_photo(400, 460), "$folder/photo.png");
    Fixtures::run(['convert', "$folder/photo.png", '(', "$folder/art.png", '-alpha', 'set', '-virtual-pixel', 'transparent', '-define', 'distort:viewport=400x460+0+0', '-distort', 'Perspective', '0,0 60,40 300,0 330,70 300,400 300,420 0,400 90,380', ')', '-composite', "$folder/theirs.png"]);
    $theirs = ImageFile::read(PictureType::Png, "$folder/theirs.png")->asInk();
    $apart = $ours->band(0, 3)->linear(1.0)->minus($theirs->band(0, 3)->linear(1.0))->operation('abs')->settled();

    // Both smooth edges in their own way: a pixel of them differs, areas do not.
    expect($apart->mean())->toBeLessThan(0.8)->and($apart->isMore(24.0)->mean() / 255)->toBeLessThan(0.012);
});

it('bends and lights art by the folds of a photo, as strongly as asked', function (): void {
    // A soft dark valley down the middle.
    $photo = ImageFile::drawing('<svg xmlns="http://www.w3.org/2000/svg" width="400" height="400"><linearGradient id="g"><stop offset="0.35" stop-color="#c8c8c8"/><stop offset="0.5" stop-color="#646464"/><stop offset="0.65" stop-color="#c8c8c8"/></linearGradient><rect width="400" height="400" fill="url(#g)"/></svg>');
    $art = Fixtures::render(Fixtures::artwork([Fixtures::shape('edge', 'rectangle', 3.0, '#c02020', ['placement' => ['height' => 4.0]])]), 100);
    $on = fn (float $folds): Image => PhotoPicture::draw($photo, $art, PhotoPlace::at([[100.0, 60.0], [300.0, 60.0], [300.0, 340.0], [100.0, 340.0]], $folds));
    $red = fn (float $folds, int $x): int => Fixtures::pixel($on($folds), $x, 200)[0];

    expect($red(0.0, 200))->toBe(192)->and($red(0.0, 120))->toBe(192)->and($red(1.0, 200))->toBeLessThan(150)->and($red(0.5, 200))->toBeGreaterThan($red(1.0, 200))->toBeLessThan(192);
    // Where the cloth falls towards the valley at 140 to 200, an upright border at 170 moves by more than a pixel.
    $halves = Fixtures::render(Fixtures::artwork([Fixtures::shape('left', 'rectangle', 1.05, '#ff0000', ['placement' => ['x' => 0.525, 'height' => 4.0]])]), 100);
    $border = fn (float $folds): float => PhotoPicture::draw($photo, $halves, PhotoPlace::at([[100.0, 60.0], [300.0, 60.0], [300.0, 340.0], [100.0, 340.0]], $folds))->crop(150, 200, 40, 1)->band(1)->isMore(50.0)->mean();
    expect(abs($border(1.0) - $border(0.0)) / 255 * 40)->toBeGreaterThan(0.9);
});

it('refuses corners that enclose nothing or go round the wrong way', function (array $corners): void {
    expect(fn () => PhotoPlace::at($corners, 1.0))->toThrow(PhotoRefused::class);
})->with([
    'one point' => [[[5.0, 5.0], [5.0, 5.0], [5.0, 5.0], [5.0, 5.0]]],
    'a line' => [[[0.0, 0.0], [50.0, 0.0], [100.0, 0.0], [150.0, 0.0]]],
    'mirrored' => [[[100.0, 0.0], [0.0, 0.0], [0.0, 100.0], [100.0, 100.0]]],
    'crossed' => [[[0.0, 0.0], [100.0, 100.0], [100.0, 0.0], [0.0, 100.0]]],
]);

it('offers the plain scene first and the others by name, and strews what their sheets say in its own colours', function (): void {
    $all = SceneSheet::all();
    expect(array_slice(array_keys($all), 0, 5))->toBe(['plain', 'close', 'folded', 'folded-wood', 'leaves']);
    foreach (['leaves', 'shore'] as $slug) {
        /** @var array{strewn: list<array{shape: string, colours: list<string>}>} $told */
        $told = json_decode((string) file_get_contents(dirname(__DIR__, 2)."/src/Listing/scenes/$slug.json"), true);
        expect(array_map(fn (Strewn $one): array => array_map(fn (Srgb $colour): string => $colour->toHex(), $one->colours), $all[$slug]->strewn))->toBe(array_column($told['strewn'], 'colours'));
    }
});
