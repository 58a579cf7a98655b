<?php

declare(strict_types=1);

use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
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
