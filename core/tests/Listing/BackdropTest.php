<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Listing\Backdrop;
use TallCrow\Listing\ListingPicture;
use TallCrow\Listing\Scene;
use TallCrow\Listing\SceneSheet;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Tests\Fixtures;

function backdrop_scene(string $slug, int $seed = 3, int $width = 1000, int $height = 840): Scene
{
    return new Scene('tee', false, SceneSheet::all()[$slug], $seed, $width, $height);
}

/** Where a picture shows just these colours: one band. */
function of_colours(Image $picture, Srgb ...$colours): Image
{
    $found = Image::empty($picture->width(), $picture->height(), 1);
    foreach ($colours as $colour) {
        $bands = array_map(fn (int $band, int $level): Image => $picture->band($band)->isEqual((float) $level), [0, 1, 2], [$colour->red, $colour->green, $colour->blue]);
        $found = $found->either($bands[0]->both($bands[1])->both($bands[2]));
    }

    return $found->settled();
}

/** @return list<array{int, int, int, int}> the boxes of the things that lie there, larger than a few pixels */
function boxes_of(Image $mask): array
{
    [$regions] = Morphology::regions($mask);
    $numbers = $regions->asNumbers()->settled();
    $boxes = [];
    foreach (Histogram::ofMasks([$mask], $numbers)[0] as $number => $area) {
        if ($area > 20) {
            $boxes[] = $numbers->isEqual((float) $number)->both($mask)->settled()->inkBox() ?? [0, 0, 0, 0];
        }
    }

    return $boxes;
}

it('lays a ground between its dark and its light, in its own tint', function (string $slug, int $dark, int $light, array $tint): void {
    $picture = Backdrop::draw(backdrop_scene($slug));
    // Where nothing lies: the middle.
    $middle = $picture->crop(250, 210, 500, 420)->settled();
    foreach ($tint as $band => $by) {
        [$least, $most] = $middle->band($band)->range();
        expect($least)->toBeGreaterThanOrEqual(floor($dark * $by) - 1)->and($most)->toBeLessThanOrEqual(ceil($light * $by) + 1)
            ->and($most - $least)->toBeGreaterThan(0.4 * ($light - $dark) * $by)->and($middle->band($band)->mean())->toEqualWithDelta(($dark + $light) / 2 * $by, 0.3 * ($light - $dark));
    }
    expect($picture->alpha()->range())->toBe([255.0, 255.0]);
})->with([['plain', 222, 232, [1.0, 0.985, 0.955]], ['paper', 205, 236, [1.0, 0.97, 0.9]], ['wood', 96, 168, [1.0, 0.8, 0.6]], ['leaves', 206, 226, [0.98, 0.98, 0.92]]]);

it('strews things along all four sides, as many and as large as the scene says', function (string $slug): void {
    $scene = backdrop_scene($slug);
    $picture = Backdrop::draw($scene);
    foreach ($scene->sheet->strewn as $strewn) {
        $boxes = boxes_of(of_colours($picture, ...$strewn->colours));
        $sides = [0, 0, 0, 0];
        foreach ($boxes as [$left, $top, $width, $height]) {
            // A thing is two units long at most and reaches a little beyond where it is put; parts of it may be covered.
            expect(max($width, $height))->toBeLessThanOrEqual(ceil(2.3 * $strewn->most * $scene->width));
            [$x, $y] = [($left + $width / 2) / $scene->width, ($top + $height / 2) / $scene->height];
            $near = [$y, 1 - $y, $x, 1 - $x];
            $sides[(int) array_search(min($near), $near, true)]++;
            expect(min($near))->toBeLessThan(0.16 + 1.3 * $strewn->most);
        }
        expect(min($sides))->toBeGreaterThan(0, "$slug, {$strewn->shape->value}")
            ->and(max(array_map(fn (array $box): int => max($box[2], $box[3]), $boxes)))->toBeGreaterThan(1.2 * $strewn->least * $scene->width);
        // Lines on a leaf part it, what lies over it hides it: about as many as were strewn.
        expect(count($boxes))->toBeGreaterThan($strewn->count * 0.4);
    }
})->with(['leaves', 'shore']);

it('casts a soft shadow down and to the right of what is strewn', function (): void {
    $scene = backdrop_scene('shore', 5);
    $picture = Backdrop::draw($scene);
    $things = of_colours($picture, ...array_merge(...array_map(fn ($strewn): array => $strewn->colours, $scene->sheet->strewn)));
    $bare = Morphology::grown($things, 5)->inverted()->settled();
    $light = $picture->band(1);
    $beside = fn (int $x, int $y): float => ($mask = $things->embed($x, $y, $scene->width, $scene->height)->both($bare)->settled())->area() > 0 ? $light->times($mask)->mean() * 255 / $mask->mean() : 0.0;
    expect($beside(7, 9))->toBeLessThan($beside(-7, -9) - 8.0);
});

it('draws lines on leaves alone', function (): void {
    $picture = Backdrop::draw($scene = backdrop_scene('leaves', 8));
    $dark = array_map(fn (Srgb $colour): Srgb => Srgb::of(...array_map(fn (int $level): int => (int) round($level * 0.78), [$colour->red, $colour->green, $colour->blue])), $scene->sheet->strewn[0]->colours);
    // Nearly: the line's own edge is soft.
    expect(of_colours($picture, ...$dark)->area())->toBeGreaterThan(30.0);
    $pebbles = Backdrop::draw($scene = backdrop_scene('shore', 8));
    $strewn = array_values(array_filter($scene->sheet->strewn, fn ($one): bool => $one->shape->value === 'pebble'));
    $dark = array_map(fn (Srgb $colour): Srgb => Srgb::of(...array_map(fn (int $level): int => (int) round($level * 0.78), [$colour->red, $colour->green, $colour->blue])), $strewn[0]->colours);
    expect(of_colours($pebbles, ...$dark)->area())->toBeLessThan(30.0);
});

it('strews anew for every seed, and each kind apart', function (): void {
    expect(Backdrop::draw(backdrop_scene('leaves', 1))->toBytes())->not->toBe(Backdrop::draw(backdrop_scene('leaves', 2))->toBytes())
        ->and(md5(Backdrop::draw(backdrop_scene('leaves', 1))->toBytes()))->toBe(md5(Backdrop::draw(backdrop_scene('leaves', 1))->toBytes()));
});

it('puts a garment in the middle with room about it, at the scale that fits', function (string $slug, int $width, int $height): void {
    // Cloth of a colour that no ground has tells where the garment is.
    $scene = backdrop_scene($slug, 1, $width, $height);
    $picture = ListingPicture::of($scene, Image::empty(90, 120), Fixtures::artwork([])->sheet)->on(Srgb::of(255, 0, 255));
    $box = $picture->band(0)->linear(1.0)->minus($picture->band(1))->isMore(60.0)->settled()->inkBox() ?? [0, 0, 0, 0];
    // The collar stands less high than the room that it is given.
    expect($box[0] + $box[2] / 2)->toEqualWithDelta($width / 2, 1.5)->and($box[1] + $box[3] / 2)->toEqualWithDelta($height / 2, 0.03 * $height);
    $room = [$box[0] / $width, $box[1] / $height];
    expect(min($room))->toBeGreaterThan(0.005)->and(min($room))->toBeLessThan(0.12);
})->with([['plain', 1000, 840], ['plain', 600, 1000], ['folded', 1000, 840], ['folded', 700, 1000]]);

it('turns a garment that lies as far as its scene says, clockwise, about the middle of the picture', function (string $slug, int $seed): void {
    $scene = backdrop_scene($slug, $seed);
    // An area that is inked all over, in a colour that neither cloth nor ground has.
    $sheet = Fixtures::artwork([], ['sheet' => ['width' => 3600, 'height' => 4800, 'ppi' => 300]])->sheet;
    $ppi = ListingPicture::ppi($scene);
    $area = Image::flat(Srgb::of(255, 0, 255), Image::empty((int) round(12 * $ppi), (int) round(16 * $ppi), 1)->inverted());
    $ink = ($picture = ListingPicture::of($scene, $area, $sheet)->on(Srgb::of(90, 90, 90)))->band(2)->linear(1.0)->minus($picture->band(1))->isMore(60.0)->settled();
    [$left, $top, $width, $height] = $ink->inkBox() ?? [0, 0, 0, 0];
    // Where its left edge lies a quarter and three quarters down.
    $edge = fn (int $y): float => ($ink->crop(0, $y - 4, $scene->width, 9)->settled()->inkBox() ?? [0])[0];
    [$upper, $lower] = [$top + intdiv($height, 4), $top + intdiv(3 * $height, 4)];
    $turn = $scene->turn();
    expect(abs($turn))->toBeGreaterThan(1.0)->and(rad2deg(atan(($edge($upper) - $edge($lower)) / ($lower - $upper))))->toEqualWithDelta($turn, 1.2)
        ->and($left + $width / 2)->toEqualWithDelta($scene->width / 2, 0.04 * $scene->width);
})->with([['wood', 2], ['wood', 9], ['leaves', 9], ['shore', 7]]);

it('strews nothing that lies beyond its sides\' sixth, whatever the seed', function (int $seed): void {
    $scene = backdrop_scene('leaves', $seed, 800, 672);
    [$strewn] = $scene->sheet->strewn;
    $boxes = boxes_of(of_colours(Backdrop::draw($scene), ...$strewn->colours));
    // Places are squared shares of a sixth: most lie close to the side.
    $depths = array_map(fn (array $box): float => min(($box[0] + $box[2] / 2) / 800, 1 - ($box[0] + $box[2] / 2) / 800, ($box[1] + $box[3] / 2) / 672, 1 - ($box[1] + $box[3] / 2) / 672), $boxes);
    sort($depths);
    expect(max($depths))->toBeLessThan(0.16 + $strewn->most)->and($depths[intdiv(count($depths), 2)])->toBeLessThan(0.075);
})->with([1, 2, 3, 4]);

it('gives each thing a colour and a turn of its own', function (): void {
    $picture = Backdrop::draw($scene = backdrop_scene('leaves', 6));
    [$strewn] = $scene->sheet->strewn;
    $shown = array_filter($strewn->colours, fn (Srgb $colour): bool => of_colours($picture, $colour)->area() > 50);
    $shapes = array_map(fn (array $box): float => $box[2] / max(1, $box[3]), boxes_of(of_colours($picture, ...$strewn->colours)));
    // A leaf is about one and a half times as long as wide: upright ones and lying ones are both there.
    expect(count($shown))->toBe(count($strewn->colours))->and(min($shapes))->toBeLessThan(0.8)->and(max($shapes))->toBeGreaterThan(1.25);
});
