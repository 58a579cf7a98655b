<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Cli\Materials;
use TallCrow\Raster\Image;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
use TallCrow\Render\NoPictures;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;
use TallCrow\Tests\WatchedStore;

it('keeps the wear of a proof that is set larger, until what is asked of it changes', function (float $scale): void {
    $plate = fn (string $colour, float $amount) => Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2.0, $colour)], ['distress' => [['texture' => 'speckle', 'amount' => $amount, 'scale' => $scale]]]);
    $folder = Fixtures::temporary('kept-wear');
    $draw = function (string $colour, float $amount, float $ppi) use ($plate, $folder): array {
        $store = new WatchedStore(new FolderPictures($folder));
        $artwork = $plate($colour, $amount);
        $picture = (new Renderer(Fixtures::shelf(), $store))->picture($artwork, Frame::sheet($artwork->sheet, $ppi))->settled();

        return [array_values(array_intersect($store->asked, ['taken', 'field'])), $picture->alpha()->toBytes()];
    };
    [$first, $shown] = $draw('#c04030', 0.2, 60);
    [$again, $other] = $draw('#306080', 0.2, 60);
    expect($first)->toContain('field')->and($again)->toBe(['taken'])->and($other)->toBe($shown)
        ->and($draw('#c04030', 0.3, 60)[1])->not->toBe($shown)
        // As it is drawn where nothing is kept.
        ->and(Fixtures::render($plate('#c04030', 0.2), 60)->alpha()->toBytes())->toBe($shown);
})->with([[1.2], [2.5]]);

dataset('wear that is laid', ['set larger' => [['scale' => 2.5, 'x' => 0.11], 'laid'], 'turned' => [['turn' => -34, 'y' => 0.07], 'field']]);

/** @param  array<string, mixed>  $wear */
function worn_ellipse(array $wear, float $x): Artwork
{
    return Fixtures::artwork([Fixtures::shape('plate', 'ellipse', 0.9, more: ['placement' => ['x' => $x, 'y' => 1.7 + $x / 7], 'distress' => [$wear + ['texture' => 'speckle', 'amount' => 0.3, 'seed' => 5]]])]);
}

it('lays the wear of a piece anew at few of the places that it is moved to', function (array $wear, string $word): void {
    $folder = Fixtures::temporary('laid-wear');
    $anew = 0;
    foreach ([1.05, 1.3371, 1.9114, 1.777] as $x) {
        $store = new WatchedStore(new FolderPictures($folder));
        $artwork = worn_ellipse($wear, $x);
        (new Renderer(Fixtures::shelf(), $store))->picture($artwork, Frame::sheet($artwork->sheet, 60))->settled();
        $anew += in_array($word, $store->asked, true) ? 1 : 0;
    }
    // A border of cells may fall between two places.
    expect($anew)->toBeBetween(1, 2);
})->with('wear that is laid');

it('keeps several wears of a piece as one, wherever it is moved to', function (): void {
    $folder = Fixtures::temporary('several-wears');
    $wears = [['texture' => 'speckle', 'amount' => 0.2, 'seed' => 5], ['texture' => 'cracks', 'amount' => 0.2, 'seed' => 2, 'x' => 0.15, 'turn' => 20]];
    $anew = 0;
    foreach ([1.05, 1.3371, 1.9114, 1.777] as $x) {
        $store = new WatchedStore(new FolderPictures($folder));
        $artwork = Fixtures::artwork([Fixtures::shape('plate', 'ellipse', 0.9, more: ['placement' => ['x' => $x, 'y' => 1.7 + $x / 7], 'distress' => $wears])]);
        (new Renderer(Fixtures::shelf(), $store))->picture($artwork, Frame::sheet($artwork->sheet, 60))->settled();
        expect($store->asked)->toContain('left');
        $anew += in_array('field', $store->asked, true) ? 1 : 0;
    }
    expect($anew)->toBeBetween(1, 2);
});

it('lays wear in a proof where the print has it', function (array $wear, string $word, float $ppi, float $most): void {
    $artwork = worn_ellipse($wear, 1.3371);
    $part = new Frame($ppi, (int) (1.3 * $ppi), (int) (1.7 * $ppi), (int) (0.4 * $ppi), (int) (0.31 * $ppi));
    $store = new WatchedStore(new NoPictures(Materials::kept()));
    $proof = (new Renderer(Fixtures::shelf(), $store))->picture($artwork, $part)->alpha();
    $print = Fixtures::renderer()->picture($artwork, $part->finer((int) (300 / $ppi)))->alpha()->settled()->shrunk((int) (300 / $ppi));
    expect($store->asked)->toContain($word)->and($proof->minus($print)->operation('abs')->settled()->mean())->toBeLessThan($most);
})->with('wear that is laid')->with([[50.0, 0.5], [60.0, 0.5], [75.0, 0.5], [100.0, 0.5], [150.0, 0.5]]);

it('lays the wear of a large piece in a proof of any size where the print has it', function (array $wear, float $most): void {
    // Half a pixel of most proofs off their grids.
    $plate = Fixtures::shape('plate', 'rectangle', 8.0, more: ['placement' => ['x' => 4.55, 'y' => 4.6], 'distress' => [$wear + ['amount' => 0.3, 'seed' => 5]]]);
    $artwork = Fixtures::artwork([$plate], ['sheet' => ['width' => 2700, 'height' => 2700, 'ppi' => 300]]);
    $print = Fixtures::renderer()->picture($artwork, new Frame(300, 600, 900, 300, 300))->alpha()->settled();
    expect($print->mean())->toBeBetween(20.0, 240.0);
    foreach ([12, 15, 30, 50, 60] as $ppi) {
        $proof = Fixtures::renderer()->picture($artwork, Frame::sheet($artwork->sheet, $ppi))->alpha()->crop(2 * $ppi, 3 * $ppi, $ppi, $ppi);
        expect($proof->minus($print->shrunk(intdiv(300, $ppi)))->operation('abs')->settled()->mean())->toBeLessThan($ppi < 25 && isset($wear['turn']) ? 3.0 : $most, "$ppi ppi");
    }
})->with([
    'dots' => [['texture' => 'halftone-wear'], 0.5], 'set smaller' => [['texture' => 'speckle', 'scale' => 0.6], 0.5],
    'turned' => [['texture' => 'cracks', 'scale' => 1.3, 'turn' => -40], 1.0], 'a picture as it is' => [['texture' => 'picture', 'file' => 'kite.svg', 'asItIs' => true], 0.5],
]);

it('lays wear on sheets of other resolutions where their proofs have it', function (int $ppi, int $by): void {
    $plate = Fixtures::shape('plate', 'rectangle', 2.6, more: ['distress' => [['texture' => 'photocopy', 'amount' => 0.3, 'seed' => 5]]]);
    $artwork = Fixtures::artwork([$plate], ['sheet' => ['width' => 3 * $ppi, 'height' => 4 * $ppi, 'ppi' => $ppi]]);
    $in = fn (int $ppi): Image => Fixtures::renderer()->picture($artwork, new Frame($ppi, $ppi, $ppi, $ppi, 2 * $ppi))->alpha()->settled();
    $off = $in(intdiv($ppi, $by))->minus($in($ppi)->shrunk($by))->operation('abs')->settled();
    expect($off->mean())->toBeLessThan(1.0);
})->with([[150, 3], [200, 2], [200, 4], [240, 4], [250, 5]]);

it('multiplies several wears in a proof as the print does', function (bool $own): void {
    $wears = ['distress' => [['texture' => 'cracks', 'amount' => 0.3, 'seed' => 7], ['texture' => 'speckle', 'amount' => 0.15, 'seed' => 3]]];
    $artwork = Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2.6, more: $own ? $wears : [])], $own ? [] : $wears);
    $print = Fixtures::renderer()->picture($artwork, new Frame(300, 300, 450, 300, 300))->alpha()->settled();
    foreach ([30, 50, 60, 100] as $ppi) {
        $proof = Fixtures::renderer()->picture($artwork, new Frame($ppi, $ppi, intdiv(3 * $ppi, 2), $ppi, $ppi))->alpha();
        // Below 60 ppi they are multiplied at half the print's resolution.
        expect($proof->minus($print->shrunk(intdiv(300, $ppi)))->operation('abs')->settled()->mean())->toBeLessThan($ppi < 60 ? 2.0 : 0.5, "$ppi ppi");
    }
})->with(['of the piece' => [true], 'of the sheet' => [false]]);

it('weighs the wear and counts the colours of a piece once, wherever it is moved to', function (array $piece, string $word): void {
    $folder = Fixtures::temporary('moved-wear');
    $made = function (float $x) use ($piece, $word, $folder): array {
        $store = new WatchedStore(new FolderPictures($folder));
        $artwork = Fixtures::artwork([['placement' => ['x' => $x, 'y' => 1.7, 'width' => 1.37, 'height' => null]] + $piece]);
        (new Renderer(Fixtures::shelf(), $store))->picture($artwork, Frame::sheet($artwork->sheet, 60))->settled();

        return array_values(array_intersect($store->made, [$word]));
    };
    // At 1.333 its middle and its place differ by 2e-16 in, where at 1 they do not.
    expect($made(1.0))->toBe([$word]);
    foreach ([1.05, 1.1, 1.333, 0.7, 2.123456] as $x) {
        expect($made($x))->toBe([]);
    }
})->with([
    'wear' => [['id' => 'plate', 'source' => ['kind' => 'shape', 'shape' => 'ellipse'], 'distress' => [['texture' => 'chipped-edges', 'amount' => 0.2]]], 'cut'],
    'colours' => [['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'effects' => [['kind' => 'posterised', 'count' => 4]]], 'buckets'],
]);
