<?php

declare(strict_types=1);

use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\DrawnSource;
use TallCrow\Artwork\InkStroke;
use TallCrow\Artwork\Recipe;
use TallCrow\Artwork\Tip;
use TallCrow\Geometry\Path;
use TallCrow\Geometry\Region;
use TallCrow\Rights\Fact;
use TallCrow\Rights\FactName;
use TallCrow\Tests\Fixtures;

// A sheet may be as large as its bounds say and no larger; one more is refused with its path.

/** @param  list<array<string, mixed>>  $layers */
function is_read(array $layers, array $more = []): bool|string
{
    try {
        ArtworkReader::data(Fixtures::sheet($layers, $more));

        return true;
    } catch (ArtworkInvalid $invalid) {
        return $invalid->getMessage();
    }
}

/** @return list<array<string, mixed>> so many stars */
function stars(int $count): array
{
    return array_map(fn (int $i): array => Fixtures::shape("s$i", 'star', 0.5), range(1, $count));
}

it('holds two hundred layers, groups and all', function (): void {
    expect(is_read(stars(200)))->toBeTrue()->and(is_read(stars(201)))->toContain('layers')
        ->and(is_read([['id' => 'g', 'source' => ['kind' => 'group', 'layers' => stars(199)]]]))->toBeTrue()->and(is_read([['id' => 'g', 'source' => ['kind' => 'group', 'layers' => stars(200)]]]))->toContain('layers');
});

it('holds groups within groups, eight deep', function (): void {
    $deep = function (int $depth): array {
        $layer = Fixtures::shape('star', 'star', 0.5);
        foreach (range(1, $depth) as $i) {
            $layer = ['id' => "g$i", 'source' => ['kind' => 'group', 'layers' => [$layer]]];
        }

        return [$layer];
    };
    expect(is_read($deep(8)))->toBeTrue()->and(is_read($deep(9)))->not->toBeTrue();
});

it('holds ten thousand letters of one piece', function (): void {
    expect(is_read([Fixtures::words('w', str_repeat('a', 10_000), 2)]))->toBeTrue()->and(is_read([Fixtures::words('w', str_repeat('a', 10_001), 2)]))->toContain('layers[0].source.text');
});

it('repeats a piece a hundred and twenty times', function (): void {
    $repeat = fn (int $count): array => [Fixtures::shape('s', 'star', 0.2, more: ['repeat' => ['kind' => 'radial', 'x' => 1.5, 'y' => 2, 'count' => $count]])];
    expect(is_read($repeat(120)))->toBeTrue()->and(is_read($repeat(121)))->toContain('count');
});

it('sets wear from a quarter to two and a half times its size', function (float $scale, bool $isRead): void {
    expect(is_read(stars(1), ['distress' => [['texture' => 'cracks', 'amount' => 0.1, 'scale' => $scale]]]) === true)->toBe($isRead);
})->with([[0.25, true], [0.24, false], [2.5, true], [2.51, false]]);

it('reads sheets of four million bytes, and recipes of one', function (): void {
    $json = json_encode(Fixtures::sheet(stars(1)), JSON_THROW_ON_ERROR);
    expect(ArtworkReader::json(str_pad($json, 4_000_000))->layers)->toHaveCount(1)->and(fn () => ArtworkReader::json(str_pad($json, 4_000_001)))->toThrow(ArtworkInvalid::class);
    $recipe = json_encode(['format' => Recipe::FORMAT, 'name' => 'Stars', 'layers' => Fixtures::artwork(stars(1))->toArray()['layers'], 'swatches' => []], JSON_THROW_ON_ERROR);
    expect(Recipe::json(str_pad($recipe, 1_000_000))->layers)->toHaveCount(1)->and(fn () => Recipe::json(str_pad($recipe, 1_000_001)))->toThrow(ArtworkInvalid::class);
});

it('keeps forty layers as a recipe', function (): void {
    $recipe = fn (int $count): array => ['format' => Recipe::FORMAT, 'name' => 'Stars', 'layers' => Fixtures::artwork(stars($count))->toArray()['layers'], 'swatches' => []];
    expect(Recipe::data($recipe(40))->layers)->toHaveCount(40)->and(fn () => Recipe::data($recipe(41)))->toThrow(ArtworkInvalid::class, 'layers');
});

it('lists a hundred faults of a sheet at most', function (): void {
    $layers = array_map(fn (int $i): array => ['opacity' => 7] + Fixtures::shape("s$i", 'star', -1), range(1, 150));
    try {
        ArtworkReader::data(Fixtures::sheet($layers));
        $faults = [];
    } catch (ArtworkInvalid $invalid) {
        $faults = $invalid->faults;
    }
    expect($faults)->toHaveCount(100);
});

// A nib that is swept along a line covers the Minkowski sum of both: |v × n| + r · 2 (|v| + |n|) + π r².
it('draws with a flat nib at 40 degrees, a twelfth as thick as it is broad', function (float $dx, float $dy, float $width): void {
    $path = (new DrawnSource([new InkStroke([[0.0, 0.0], [$dx, $dy]], $width, Tip::Slash)]))->path();
    $thin = 0.09 * $width;
    $nib = $width - $thin;
    $across = abs($dx * -sin(deg2rad(40)) * $nib - $dy * cos(deg2rad(40)) * $nib);
    $area = $across + $thin / 2 * 2 * (hypot($dx, $dy) + $nib) + M_PI * ($thin / 2) ** 2;
    expect(Region::filledBy($path)->area())->toEqualWithDelta($area, 0.006 * $area);
})->with([[1.0, 0.0, 0.2], [0.0, 1.0, 0.2], [0.8, -0.6, 0.3], [0.5, 0.5, 0.1]]);

it('draws round strokes as capsules, and a dab as a circle', function (float $dx, float $width): void {
    $path = (new DrawnSource([new InkStroke($dx > 0 ? [[0.0, 0.0], [$dx, 0.0]] : [[0.0, 0.0]], $width)]))->path();
    expect(Region::filledBy($path)->area())->toEqualWithDelta($dx * $width + M_PI * ($width / 2) ** 2, 2e-3 * ($dx * $width + $width ** 2));
})->with([[1.0, 0.2], [0.3, 0.5], [0.0, 0.4]]);

it('keeps five hundred letters of what a licence says, and of its clause a hundred and twenty', function (): void {
    $fact = Fact::of(FactName::Territory, 'named', null, str_repeat('a', 501), str_repeat('b', 121), str_repeat('c', 501));
    expect([mb_strlen($fact->text), mb_strlen($fact->clause), mb_strlen($fact->quote)])->toBe([500, 120, 500])->and(Fact::of(FactName::Territory, 'named', null, ' here ')->text)->toBe('here');
});

it('sprays as many dots as the line is long, about it as a bell', function (float $long, float $width, int $dots): void {
    $stroke = fn (int $seed): InkStroke => new InkStroke([[0.0, 0.0], [$long, 0.0]], $width, Tip::Spray, seed: $seed);
    $contours = (new DrawnSource([$stroke(4)]))->path()->contours(0.001);
    expect($contours)->toHaveCount($dots);
    // A dot's middle is the mean of its corners; a bell of a quarter of the width has two thirds of them within that.
    $off = array_map(fn (array $contour): float => abs(array_sum(array_column(array_slice($contour, 0, 12), 1)) / 12), $contours);
    sort($off);
    expect($off[(int) (0.6827 * count($off))])->toEqualWithDelta($width / 4, 0.06 * $width)
        ->and((new DrawnSource([$stroke(4)]))->path()->bounds())->toEqual((new DrawnSource([$stroke(4)]))->path()->bounds())->not->toEqual((new DrawnSource([$stroke(5)]))->path()->bounds());
})->with([[1.0, 0.2, 330], [0.5, 0.5, 110], [20.0, 0.1, 3000]]);

it('scribbles with nine bristles, the further along the drier', function (): void {
    $points = array_map(fn (int $i): array => [$i / 20, 0.0], range(0, 60));
    // Square inches to the inch: all of it, less what lies outside the window.
    $area = function (float $from, float $to, int $seed) use ($points): float {
        $all = Region::filledBy((new DrawnSource([new InkStroke($points, 0.4, Tip::Scribble, seed: $seed)]))->path());
        $window = Region::filledBy(Path::polygon([[$from, -1.0], [$to, -1.0], [$to, 1.0], [$from, 1.0]]));

        return ($all->area() - $all->minus($window)->area()) / ($to - $from);
    };
    [$begin, $end] = [0.0, 0.0];
    foreach (range(1, 8) as $seed) {
        $bounds = (new DrawnSource([new InkStroke($points, 0.4, Tip::Scribble, seed: $seed)]))->path()->bounds();
        $begin += $area(0.1, 0.8, $seed);
        $end += $area(2.2, 2.9, $seed);
        expect($bounds->height())->toBeLessThan(0.5);
    }
    expect($begin / 8)->toBeGreaterThan(0.25)->toBeLessThan(0.45)->and($end)->toBeLessThan(0.93 * $begin);
});
