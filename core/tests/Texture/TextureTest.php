<?php

declare(strict_types=1);

use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;
use TallCrow\Tests\Fixtures;
use TallCrow\Texture\Catalogue;
use TallCrow\Texture\Texture;
use TallCrow\Texture\Wear;
use TallCrow\Texture\WearTile;

dataset('textures', fn (): array => array_keys(Catalogue::classes()));

function field_of(string $texture, int $seed): Image
{
    static $kept = [];

    return $kept["$texture $seed"] ??= Catalogue::classes()[$texture]::field($seed)->settled();
}

function wear(string $texture, float $amount, float $scale = 1.0, bool $inverted = false): Wear
{
    return Wear::of($texture, $amount)->seeded(7)->lying(0.0, 0.0, 0.0, $scale, $inverted);
}

function worn_tile(Image $field, Wear $wear, float $ppi): Image
{
    $sized = WearTile::sized($field, $wear);

    return WearTile::make(Morphology::crisp(Lookup::bytes($sized, WearTile::cut(Histogram::of($sized), $wear->amount))->settled()), $ppi);
}

/** Mean step from one column to the next: across the seam it must be as inside. */
function step_between(Image $field, int $one, int $other): float
{
    $column = fn (int $x): array => array_values((array) unpack('C*', $field->crop($x, 0, 1, $field->height())->toBytes()));
    $sum = 0;
    foreach (array_map(null, $column($one), $column($other)) as [$a, $b]) {
        $sum += abs((int) $a - (int) $b);
    }

    return $sum / $field->height();
}

it('draws a field of one band and the tile\'s size', function (string $texture): void {
    $field = field_of($texture, 7);
    expect([$field->width(), $field->height(), $field->bands()])->toBe([Texture::TILE, Texture::TILE, 1]);
    [$least, $most] = $field->range();
    expect($most - $least)->toBeGreaterThan(180.0);
})->with('textures');

it('draws the same field for the same seed and another for another', function (string $texture): void {
    $again = Catalogue::classes()[$texture]::field(7)->toBytes();
    expect(md5($again))->toBe(md5(field_of($texture, 7)->toBytes()))
        ->and(md5($again))->not->toBe(md5(field_of($texture, 8)->toBytes()));
})->with('textures');

it('meets itself at its edges', function (string $texture): void {
    $field = field_of($texture, 7);
    $inside = max(step_between($field, 1199, 1200), step_between($field, 700, 701));
    expect(step_between($field, Texture::TILE - 1, 0))->toBeLessThan($inside * 1.6 + 2);
})->with('textures');

it('takes the share that was asked, at print and at proof', function (string $texture, float $amount, float $ppi): void {
    $tile = worn_tile(field_of($texture, 7), wear($texture, $amount), $ppi);
    expect($tile->mean() / 255)->toEqualWithDelta($amount, 0.01);
})->with('textures')->with([0.0, 0.15, 0.5])->with([300.0, 60.0]);

it('takes the other end of the field when inverted', function (string $texture): void {
    $field = field_of($texture, 7);
    $plain = worn_tile($field, wear($texture, 0.2), 300)->settled();
    $inverted = worn_tile($field, wear($texture, 0.2, inverted: true), 300)->settled();
    expect($inverted->mean() / 255)->toEqualWithDelta(0.2, 0.01)
        ->and($plain->times($inverted)->mean() / 255)->toBeLessThan(0.002);
})->with('textures');

it('takes more where it took before: amounts are nested', function (string $texture): void {
    $field = field_of($texture, 7);
    $less = worn_tile($field, wear($texture, 0.1), 300)->settled();
    $more = worn_tile($field, wear($texture, 0.25), 300)->settled();
    expect($less->times($more->inverted())->mean() / 255)->toBeLessThan(0.002);
})->with('textures');

it('has a side of 8 in × scale at any ppi', function (float $scale, float $ppi, int $side): void {
    $tile = worn_tile(field_of('speckle', 7), wear('speckle', 0.15, $scale), $ppi);
    expect([$tile->width(), $tile->height()])->toBe([$side, $side])->and($tile->mean() / 255)->toEqualWithDelta(0.15, 0.01);
})->with([[1.0, 300.0, 2400], [1.0, 150.0, 1200], [1.0, 40.0, 320], [0.5, 300.0, 1200], [2.0, 60.0, 960], [1.25, 60.0, 600]]);

it('is the same picture at proof and print', function (string $texture): void {
    $field = field_of($texture, 7);
    $print = worn_tile($field, wear($texture, 0.2), 300)->shrunk(5)->toBytes();
    $proof = worn_tile($field, wear($texture, 0.2), 60)->toBytes();
    expect($proof)->toBe($print);
})->with('textures');

it('cuts the marks of a picture of two levels, grown or shrunk to the share that is asked, and thins nothing', function (float $amount): void {
    $folder = Fixtures::temporary('pack');
    copy(Fixtures::assets().'/anton.woff2', "$folder/anton.woff2");
    // A pack of blots, and the same in black on clear.
    Fixtures::run(['convert', '-size', '800x600', 'xc:black', '-seed', '5', '+noise', 'Random', '-colorspace', 'Gray', '-blur', '0x5', '-normalize', '-threshold', '56%', "PNG24:$folder/pack.png"]);
    Fixtures::run(['convert', "$folder/pack.png", '-alpha', 'copy', '-fill', 'black', '-colorize', '100', "PNG32:$folder/clear.png"]);
    $worn = fn (array $wear): Image => Fixtures::render(Fixtures::artwork([['distress' => $wear === [] ? [] : [$wear + ['texture' => 'picture', 'amount' => $amount]]] + Fixtures::shape('p', 'rectangle', 2.8, more: ['placement' => ['height' => 3.8]])]), 300, $folder)->alpha();
    $full = $worn([])->area();
    $left = $worn(['file' => 'pack.png']);
    expect(1 - $left->area() / $full)->toEqualWithDelta($amount, 0.02)
        ->and($left->isMore(12.0)->both($left->isLess(243.0))->area() / $full)->toBeLessThan(0.1)
        ->and(1 - $worn(['file' => 'clear.png'])->area() / $full)->toEqualWithDelta($amount, 0.02);
    // As it is it takes what its marks take, whatever share is written beside.
    $same = fn (string $file): Image => $worn(['file' => $file, 'asItIs' => true]);
    $own = (float) Fixtures::run(['convert', "$folder/pack.png", '-format', '%[fx:mean]', 'info:']);
    expect(1 - $same('pack.png')->area() / $full)->toEqualWithDelta($own, 0.04)->and($same('clear.png')->toBytes())->toBe($same('pack.png')->toBytes());
})->with([0.1, 0.44, 0.7]);

it('chips edges and leaves the middle of a solid, however much is asked for', function (): void {
    $plate = Fixtures::render(Fixtures::artwork([['distress' => [['texture' => 'chipped-edges', 'amount' => 0.4]]] + Fixtures::shape('p', 'rectangle', 2.8, more: ['placement' => ['height' => 3.8]])]))->alpha();
    // Half an inch and more from any edge nothing is taken; a tenth of an inch along the edges much is.
    expect($plate->crop(180, 180, 540, 840)->range()[0])->toBe(255.0)->and($plate->crop(30, 30, 840, 30)->mean() / 255)->toBeLessThan(0.8);
});
