<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Noise\Patchwork;
use TallCrow\Paper\Catalogue;
use TallCrow\Paper\Colours;
use TallCrow\Paper\Paper;
use TallCrow\Raster\Image;

function tile(string $kind, int $seed = 3): Image
{
    return Catalogue::classes()[$kind]::tile($seed, new Colours([Srgb::hex('#b04a2c'), Srgb::hex('#f3ead7'), Srgb::hex('#1f1d1a')]), 1)->settled();
}

/** Mean step from one column of pixels to the next, about a place. */
function step(Image $tile, int $x): float
{
    $pair = $tile->tiled(-$x, 0, 2, 600)->band(0)->linear(1)->settled();
    [$one, $other] = [$pair->crop(0, 0, 1, 600)->toBytes(), $pair->crop(1, 0, 1, 600)->toBytes()];
    [$a, $b] = [array_values((array) unpack('g*', $one)), array_values((array) unpack('g*', $other))];

    return array_sum(array_map(fn (float $p, float $q): float => abs($p - $q), $a, $b)) / 600;
}

it('makes a dozen papers and more', fn () => expect(count(Catalogue::kinds()))->toBeGreaterThanOrEqual(12));

it('makes tiles of one size in the colours that were chosen, that meet themselves at the edge as smoothly as they run elsewhere', function (string $kind): void {
    $tile = tile($kind);
    expect($tile->width())->toBeIn([Paper::TILE, Patchwork::PATCH])->and([$tile->height(), $tile->bands()])->toBe([$tile->width(), 3]);
    foreach ([0, 1, 2] as $band) {
        [$least, $most] = $tile->band($band)->range();
        // The three colours chosen run from 26 to 243 in every band; no paper leaves them.
        expect($least)->toBeGreaterThanOrEqual(26 - 1)->and($most)->toBeLessThanOrEqual(243 + 1)->and($most)->toBeGreaterThan($least);
    }
    $inside = max(array_map(fn (int $x): float => step($tile, $x), [99, 199, 299, 400, 601, 777, 1199, 1500, 1799, 2100]));
    expect(step($tile, $tile->width() - 1))->toBeLessThan($inside * 1.6 + 3);

    // By chance, but the same for the same number and another for another.
    if (in_array($kind, ['plaid', 'watercolour', 'glitter', 'marbling', 'linen', 'kraft', 'clouds', 'animal-spots', 'retro-flowers', 'meadow', 'brush-slashes'], true)) {
        $print = md5($tile->toBytes());
        expect(md5(tile($kind)->toBytes()))->toBe($print)->and(md5(tile($kind, 9)->toBytes()))->not->toBe($print);
    }
})->with(Catalogue::kinds());
