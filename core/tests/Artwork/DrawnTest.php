<?php

declare(strict_types=1);

use TallCrow\Artwork\InkStroke;
use TallCrow\Artwork\Tip;
use TallCrow\Edit\DrawStroke;
use TallCrow\Edit\EditRefused;
use TallCrow\Mask\Symmetry;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/** @param  list<array{float, float}>  $points */
function drawing_of(InkStroke ...$strokes): Image
{
    $artwork = Fixtures::artwork([]);
    $id = '';
    foreach ($strokes as $stroke) {
        $artwork = Fixtures::edited($artwork, new DrawStroke($id, $stroke));
        $id = $artwork->layers[0]->id;
    }

    return Fixtures::render($artwork);
}

it('inks what a round brush covers: a line with round ends, where it was drawn', function (): void {
    $ink = drawing_of(new InkStroke([[0.8, 1.0], [2.0, 1.0]], 0.3))->alpha()->settled();
    // A stadium: its length × its width and a disc.
    expect($ink->area())->toEqualWithDelta(360 * 90 + M_PI * 45 ** 2, 120)->and($ink->isMore(127.0)->settled()->inkBox())->toEqualWithDelta([195, 255, 450, 90], 1);
});

it('adds strokes and leaves those that are there, turned and sized as the drawing is', function (): void {
    $artwork = Fixtures::edited(Fixtures::artwork([]), new DrawStroke('', new InkStroke([[0.8, 1.0], [2.0, 1.0]], 0.2)));
    $layer = $artwork->layers[0];
    $artwork = $artwork->withLayer($layer->id, $layer->withPlacement(($layer->placement ?? throw new LogicException)->scaled(0.8, 1.4, 1.0)->turned(25, 1.4, 1.0)));
    $before = Fixtures::render($artwork)->alpha();
    $after = Fixtures::render(Fixtures::edited($artwork, new DrawStroke($layer->id, new InkStroke([[0.7, 2.0], [1.2, 3.0], [2.3, 3.2]], 0.25))))->alpha();
    // What was there is still there; the new line goes where the pen went.
    expect($before->crop(0, 0, 900, 500)->minus($after->crop(0, 0, 900, 500))->linear(1.0)->raised(2.0)->mean())->toBeLessThan(6.0);
    foreach ([[0.7, 2.0], [1.2, 3.0], [2.3, 3.2]] as [$x, $y]) {
        expect($after->crop((int) ($x * 300) - 3, (int) ($y * 300) - 3, 6, 6)->mean())->toBeGreaterThan(254.0);
    }
});

it('draws a flat nib broad one way and thin the other', function (): void {
    $wide = drawing_of(new InkStroke([[1.0, 1.2], [1.8, 1.2 + 0.8 * tan(deg2rad(50))]], 0.3, Tip::Slash))->alpha()->area();
    $thin = drawing_of(new InkStroke([[1.0, 2.5], [1.8, 2.5 - 0.8 * tan(deg2rad(40))]], 0.3, Tip::Slash))->alpha()->area();
    $long = fn (float $degrees): float => 240 / cos(deg2rad($degrees));
    // Across its edge the nib covers its width (and its round corners); along it next to nothing.
    expect($wide)->toEqualWithDelta($long(50) * 90, 0.08 * $long(50) * 90)->and($thin)->toBeLessThan(0.5 * $long(40) * 90);
});

it('leaves bare streaks in a dry brush and dots of a spray, all hard ink', function (Tip $tip, float $least, float $most): void {
    $points = array_map(fn (int $i): array => [0.5 + $i * 0.1, 2.0], range(0, 20));
    $alpha = drawing_of(new InkStroke($points, 0.5, $tip, seed: 4))->alpha()->settled();
    $share = $alpha->crop(150, 525, 600, 150)->mean() / 255;
    expect($share)->toBeGreaterThan($least)->toBeLessThan($most);
    // Half-transparent pixels are edges alone: opening finds no area of them.
    $half = $alpha->isMore(30.0)->both($alpha->isLess(225.0))->settled();
    expect(TallCrow\Raster\Morphology::eroded($half)->mean())->toBeLessThan(0.2);
})->with([[Tip::Scribble, 0.35, 0.95], [Tip::Spray, 0.03, 0.5]]);

it('mirrors strokes about the middle of the sheet', function (Symmetry $symmetry, int $parts): void {
    $ink = drawing_of(new InkStroke([[0.6, 0.8], [1.0, 1.2]], 0.1, symmetry: $symmetry, count: 5));
    expect(TallCrow\Raster\Morphology::regions($ink->alpha()->isMore(127.0)->settled())[1])->toBe($parts);
    if ($symmetry === Symmetry::Mirror) {
        $mirrored = $ink->alpha()->operation('flip', [0])->settled();
        expect($mirrored->minus($ink->alpha())->linear(1.0)->raised(2.0)->mean())->toBeLessThan(1.0);
    }
})->with([[Symmetry::None, 2], [Symmetry::Mirror, 3], [Symmetry::Quadrants, 5], [Symmetry::Radial, 6]]);

it('refuses to draw on what is no drawing, and nothing at all', function (): void {
    $words = Fixtures::artwork([Fixtures::words('w', 'KITE', 2)]);
    expect(fn () => Fixtures::edited($words, new DrawStroke('w', new InkStroke([[1, 1]], 0.1))))->toThrow(EditRefused::class, 'not drawn by hand')
        ->and(fn () => Fixtures::edited($words, new DrawStroke('', new InkStroke([], 0.1))))->toThrow(EditRefused::class);
});
