<?php

declare(strict_types=1);

use TallCrow\Artwork\Layer;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Tests\Fixtures;

/** @param  array<string, mixed>  $repeat */
function repeated(array $repeat, array $more = []): Image
{
    return Fixtures::render(Fixtures::artwork([['repeat' => $repeat + ['x' => 1.5, 'y' => 2]] + Fixtures::shape('bar', 'rectangle', 0.4, '#ff0000', array_replace_recursive(['placement' => ['x' => 0.8, 'y' => 1.2, 'height' => 0.2, 'turn' => 20]], $more))]));
}

/** Share of pixels in which two pictures differ by more than cairo's steps of coverage, 17 levels. */
function apartBy(Image $one, Image $other): float
{
    [$a, $b] = [$one->alpha()->toBytes(), $other->alpha()->toBytes()];
    $far = 0;
    for ($i = 0, $n = strlen($a); $i < $n; $i++) {
        $far += abs(ord($a[$i]) - ord($b[$i])) > 18 ? 1 : 0;
    }

    return $far / $n;
}

/** ImageMagick's own flip and flop of our picture. */
function turnedOver(Image $image, string $way): Image
{
    $folder = Fixtures::temporary('over');
    ImageFile::writePng($image, "$folder/a.png", 1);
    Fixtures::run(['convert', "$folder/a.png", $way, '-depth', '8', "png32:$folder/b.png"]);

    return ImageFile::read(TallCrow\Raster\PictureType::Png, "$folder/b.png")->asInk()->settled();
}

it('mirrors so that the picture is its own mirror image', function (string $kind, array $ways): void {
    $picture = repeated(['kind' => $kind]);
    foreach ($ways as $way) {
        expect(apartBy($picture, turnedOver($picture, $way)))->toBeLessThan(0.0002);
    }
    expect($picture->alpha()->area())->toEqualWithDelta((count($ways) === 2 ? 4 : 2) * 0.08 * 90000, 60);
})->with([['mirror-across', ['-flop']], ['mirror-down', ['-flip']], ['quadrants', ['-flop', '-flip']]]);

it('turns copies about a centre', function (string $facing): void {
    $layer = Fixtures::artwork([['repeat' => ['kind' => 'radial', 'x' => 1.5, 'y' => 2, 'count' => 6, 'facing' => $facing]] + Fixtures::shape('bar', 'rectangle', 0.4, more: ['placement' => ['x' => 1.5, 'y' => 0.8, 'turn' => 10]])])->layers[0];
    $copies = $layer->drawn()->children();
    expect($copies)->toHaveCount(6);
    foreach ($copies as $i => $copy) {
        $p = $copy->placement;
        expect(hypot($p->x - 1.5, $p->y - 2))->toEqualWithDelta(1.2, 1e-9)
            ->and(fmod(rad2deg(atan2($p->x - 1.5, 2 - $p->y)) + 360 - 60 * $i + 1e-7, 360))->toEqualWithDelta(0, 1e-5)
            ->and(fmod($p->turn + 720, 360))->toEqualWithDelta(match ($facing) {
                'turned' => fmod(10 + 60 * $i, 360), 'upright' => 10.0,
                default => $i % 2 === 1 ? fmod(350 + 60 * $i, 360) : fmod(10 + 60 * $i, 360),
            }, 1e-6)
            ->and($p->flip->value)->toBe($facing === 'every-second-mirrored' && $i % 2 === 1 ? 'across' : 'none');
    }
})->with(['turned', 'every-second-mirrored', 'upright']);

it('stacks copies and changes one of them', function (string $as): void {
    $layer = Fixtures::artwork([['repeat' => ['kind' => 'stack', 'x' => 0, 'y' => 0, 'count' => 4, 'stepX' => 0.1, 'stepY' => 0.5, 'size' => 0.9, 'changed' => 3, 'as' => $as, 'colour' => '#102030']] + Fixtures::shape('bar', 'rectangle', 1)])->layers[0];
    $copies = $layer->drawn()->children();
    expect(array_map(fn (Layer $l): float => round($l->placement->y ?? 0, 6), $copies))->toBe([2.0, 2.5, 3.0, 3.5])
        ->and($copies[2]->placement?->width)->toEqualWithDelta(0.81, 1e-9)
        ->and($copies[2]->role->takesAway())->toBe($as === 'knocked-out')
        ->and(count($copies[2]->effects) - count($copies[1]->effects))->toBe(in_array($as, ['hollow', 'another-colour'], true) ? 1 : 0);
})->with(['same', 'another-colour', 'hollow', 'knocked-out']);

it('does not mirror the wear', function (): void {
    $more = ['placement' => ['width' => 1.2, 'height' => 3, 'x' => 0.75, 'y' => 2, 'turn' => 0]];
    $clean = repeated(['kind' => 'mirror-across'], $more);
    $worn = repeated(['kind' => 'mirror-across'], $more + ['distress' => [['texture' => 'speckle', 'amount' => 0.3, 'seed' => 3]]]);
    expect(apartBy($clean, turnedOver($clean, '-flop')))->toBeLessThan(0.0002)
        ->and(apartBy($worn, turnedOver($worn, '-flop')))->toBeGreaterThan(0.1)
        ->and(1 - $worn->alpha()->area() / $clean->alpha()->area())->toEqualWithDelta(0.3, 0.05);
});

it('keeps copies where they are when the whole is turned, moved or sized', function (): void {
    $layer = Fixtures::artwork([['repeat' => ['kind' => 'quadrants', 'x' => 1.5, 'y' => 2]] + Fixtures::shape('bar', 'rectangle', 0.4, more: ['placement' => ['x' => 0.8, 'y' => 1.2]])])->layers[0];
    $places = fn (Layer $l): array => array_map(fn (Layer $c): array => [round($c->placement->x ?? 0, 6), round($c->placement->y ?? 0, 6)], $l->drawn()->children());
    expect($places($layer->moved(0.5, 0.25)))->toBe([[1.3, 1.45], [2.7, 1.45], [1.3, 3.05], [2.7, 3.05]])
        ->and($places($layer->scaled(2, 1.5, 2)))->toBe([[0.1, 0.4], [2.9, 0.4], [0.1, 3.6], [2.9, 3.6]])
        ->and($places($layer->turned(180, 1.5, 2)))->toBe([[2.2, 2.8], [0.8, 2.8], [2.2, 1.2], [0.8, 1.2]]);
});

it('leaves exact gaps between the frames of a grid', function (): void {
    $picture = Fixtures::render(Fixtures::artwork([[
        'id' => 'grid', 'source' => ['kind' => 'grid', 'columns' => 3, 'rows' => 2, 'gap' => 0.1],
        'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.6, 'height' => null], 'effects' => [['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'only', 'part' => 'one-letter', 'number' => 2], ['kind' => 'fill', 'colour' => '#0000ff']],
    ]]));
    // Frames of 0.8 in, 240 px, with 30 px between.
    expect($picture->alpha()->isMore(127.0)->inkBox())->toBe([60, 345, 780, 510])
        ->and(Fixtures::pixel($picture, 299, 400))->toBe([255, 0, 0, 255])->and(Fixtures::pixel($picture, 301, 400)[3])->toBe(0)
        ->and(Fixtures::pixel($picture, 329, 400)[3])->toBe(0)->and(Fixtures::pixel($picture, 331, 400))->toBe([0, 0, 255, 255])
        ->and(Fixtures::pixel($picture, 450, 600)[3])->toBe(0);
});
