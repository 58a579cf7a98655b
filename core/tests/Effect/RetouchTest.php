<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Effect\Catalogue;
use TallCrow\Effect\ChangesAspect;
use TallCrow\Effect\Retouches;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Render\Frame;
use TallCrow\Render\Measures;
use TallCrow\Render\Pictures;
use TallCrow\Render\Piece;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;

/** One line of retouching, as the build sheet reads it. @param  array<string, mixed>  $values */
function retouched(Image $ink, string $kind, array $values, float $perInch = 300): Image
{
    $artwork = Fixtures::artwork([['id' => 'p', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 1], 'effects' => [['kind' => $kind] + $values]]]);
    $effect = $artwork->layers[0]->effects[0]->effect();
    assert($effect instanceof Retouches);

    return $effect->retouch($ink, $perInch)->settled();
}

function painted_pool(): Image
{
    return ImageFile::read(PictureType::Png, Fixtures::assets().'/rock-pool.png')->asInk()->resized(0.2)->settled();
}

/** The same picture through ImageMagick. @param  list<string>  $how */
function by_magick(Image $ink, array $how): Image
{
    $folder = Fixtures::temporary('magick');
    ImageFile::writePng($ink, "$folder/in.png", 1);
    Fixtures::run(['convert', "$folder/in.png", '-channel', 'RGB', ...$how, '+channel', '-depth', '8', "PNG32:$folder/out.png"]);

    return ImageFile::read(PictureType::Png, "$folder/out.png")->asInk()->settled();
}

/** @return array{int, float} the largest difference of two pictures in levels, and the share of samples off by more than one */
function levels_apart(Image $a, Image $b): array
{
    $off = array_map(fn (string $x, string $y): int => abs(ord($x) - ord($y)), str_split($a->toBytes()), str_split($b->toBytes()));

    return [max($off), count(array_filter($off, fn (int $by): bool => $by > 1)) / count($off)];
}

// ImageMagick is the reference for sums over samples.
it('changes tone as ImageMagick does by the same sum', function (string $kind, array $values, array $how): void {
    $pool = painted_pool();
    [$most, $share] = levels_apart(retouched($pool, $kind, $values), by_magick($pool, $how));
    expect($most)->toBeLessThan(3)->and($share)->toBeLessThan(0.001)->and(levels_apart($pool, by_magick($pool, $how))[0])->toBeGreaterThan(20);
})->with([
    'levels' => ['levels', ['black' => 0.1, 'white' => 0.85, 'middle' => 1.6], ['-level', '10%,85%,1.6']],
    'levels, darker' => ['levels', ['black' => 0, 'white' => 1, 'middle' => 0.5], ['-level', '0%,100%,0.5']],
    'tone' => ['tone', ['brightness' => 0.1, 'contrast' => 0.3], ['-function', 'Polynomial', '1.3,-0.05']],
    'tone, flatter' => ['tone', ['brightness' => -0.2, 'contrast' => -0.5], ['-function', 'Polynomial', '0.5,0.05']],
    'greyed' => ['saturation', ['by' => -1], ['-color-matrix', '0.2126 0.7152 0.0722 0.2126 0.7152 0.0722 0.2126 0.7152 0.0722']],
    'fuller' => ['saturation', ['by' => 0.5], ['-color-matrix', '1.3937 -0.3576 -0.0361 -0.1063 1.1424 -0.0361 -0.1063 -0.3576 1.4639']],
]);

it('leaves the alpha when it changes tone', function (string $kind, array $values): void {
    $faint = painted_pool()->masked(Image::flat(Srgb::of(0, 0, 0), ColourBands::luminance(painted_pool()))->alpha())->settled();
    expect(retouched($faint, $kind, $values)->alpha()->toBytes())->toBe($faint->alpha()->toBytes());
})->with([['levels', ['black' => 0.2]], ['tone', ['brightness' => 0.3]], ['saturation', ['by' => 1]]]);

it('crops as much off each side as it is told', function (): void {
    $pool = painted_pool();
    [$width, $height] = [$pool->width(), $pool->height()];
    $cropped = retouched($pool, 'crop', ['left' => 0.1, 'top' => 0.25, 'right' => 0.3]);
    expect([$cropped->width(), $cropped->height()])->toBe([(int) round($width * 0.6), (int) round($height * 0.75)])
        ->and($cropped->toBytes())->toBe($pool->crop((int) round($width * 0.1), (int) round($height * 0.25), $cropped->width(), $cropped->height())->toBytes());
    // More than all of it leaves a pixel and no error.
    $least = retouched($pool, 'crop', ['left' => 0.9, 'right' => 0.9, 'top' => 0.95, 'bottom' => 0.95]);
    expect([$least->width(), $least->height()])->toBe([1, 1]);
});

it('clears what is like one colour wherever it is, and nothing that is further off than told', function (float $tolerance): void {
    // A hundred patches on their way from teal to a light green; differences by CIEDE2000, whose own test holds the
    // published pairs. Hues do not come to lie opposite one another, where the formula itself jumps (Sharma, Wu and Dalal).
    [$teal, $green] = [Srgb::hex('#17404a'), Srgb::hex('#b5e0a8')];
    $bytes = '';
    $differences = [];
    for ($i = 0; $i < 100; $i++) {
        $mixed = $teal->mixed($green, $i / 99);
        $bytes .= str_repeat(chr($mixed->red).chr($mixed->green).chr($mixed->blue)."\xff", 12);
        $differences[] = $mixed->toLab()->difference($teal->toLab());
    }
    $alpha = retouched(Image::raw($bytes, 1200, 1, 4)->asColours(), 'clear-colour', ['colour' => '#17404a', 'tolerance' => $tolerance])->alpha()->toBytes();
    foreach ($differences as $i => $difference) {
        // Three units either way for the steps of colour; in the middle of the patch, away from the soft rim of its neighbours.
        if (abs($difference - $tolerance) > 3) {
            expect(ord($alpha[$i * 12 + 6]) > 127)->toBe($difference > $tolerance);
        }
    }
})->with([6.0, 12.0, 30.0]);

it('hides the colours that are named of the few that a picture is reduced to', function (): void {
    // Three flat fields, the background twice as large as the others.
    $field = fn (string $colour, int $width): Image => Image::flat(Srgb::hex($colour), Image::empty($width, 40, 1)->inverted())->settled();
    $fields = $field('#f4f1ea', 80)->embed(0, 0, 160, 40)->insert($field('#17404a', 40), 80, 0)->insert($field('#b04a2c', 40), 120, 0)->settled();
    $hidden = retouched($fields, 'clear-buckets', ['count' => 3, 'hidden' => ['#f4f1ea']]);
    expect($hidden->alpha()->crop(4, 0, 70, 40)->mean())->toBe(0.0)->and($hidden->alpha()->crop(84, 0, 72, 40)->mean())->toBe(255.0)
        ->and(retouched($fields, 'clear-buckets', ['count' => 3, 'hidden' => []])->alpha()->mean())->toBe(255.0);
});

it('knows every line of retouching by its kind, with defaults that do no harm', function (): void {
    $pool = painted_pool();
    $kinds = array_keys(array_filter(Catalogue::classes(), fn (string $class): bool => is_a($class, Retouches::class, true)));
    expect(count($kinds))->toBeGreaterThan(8);
    foreach ($kinds as $kind) {
        $done = retouched($pool, $kind, []);
        expect($done->bands())->toBe(4)->and(min($done->width(), $done->height()))->toBeGreaterThan(0);
    }
});

it('knows the shape of a picture after its lines without drawing it', function (array $effects): void {
    $picture = Image::empty(417, 263, 4)->inverted()->settled();
    $size = [417, 263];
    foreach ($effects as [$kind, $values]) {
        $effect = Fixtures::effect($kind, $values);
        assert($effect instanceof ChangesAspect);
        $picture = $effect->retouch($picture, 300)->settled();
        $size = $effect->sizeAfter(...$size);
        expect($size)->toBe([$picture->width(), $picture->height()]);
    }
})->with([
    'a crop' => [[['crop', ['left' => 0.13, 'top' => 0.2, 'right' => 0.31, 'bottom' => 0.07]]]],
    'a crop to nearly nothing' => [[['crop', ['left' => 0.95, 'right' => 0.95, 'top' => 0.95, 'bottom' => 0.95]]]],
    'straightened' => [[['straighten', ['x1' => 0.1, 'y1' => 0.05, 'x2' => 0.93, 'y2' => 0.12, 'x3' => 0.88, 'y3' => 0.97, 'x4' => 0.02, 'y4' => 0.9]]]],
    'both, one after the other' => [[['crop', ['left' => 0.2]], ['straighten', ['x1' => 0.1, 'x2' => 0.9]], ['crop', ['bottom' => 0.4]]]],
]);

it('measures a sheet without drawing a pixel of its pictures', function (): void {
    $layer = ['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null], 'effects' => [['kind' => 'clear-edge'], ['kind' => 'straighten', 'x1' => 0.1], ['kind' => 'crop', 'left' => 0.25]]];
    $drawn = 0;
    $pictures = new class($drawn) implements Pictures {
        public function __construct(private int &$drawn) {}

        public function piece(string $key, Frame $frame, callable $make): ?Piece
        {
            $this->drawn++;

            return $make();
        }

        public function image(string $key, callable $make): Image
        {
            $this->drawn++;

            return $make();
        }

        public function material(string $key, callable $make): Image
        {
            return $this->image($key, $make);
        }

        public function text(string $key, callable $make): string
        {
            return $make();
        }
    };
    $renderer = new Renderer(Fixtures::shelf(), $pictures);
    $measures = Measures::of(Fixtures::artwork([$layer]), $renderer->placer);
    expect($measures)->toHaveCount(1)->and($drawn)->toBe(0);
});
