<?php

declare(strict_types=1);

use TallCrow\Artwork\EffectLine;
use TallCrow\Edit\Operations;
use TallCrow\Tests\Fixtures;

it('begins lines of a small piece with lengths that suit it, and leaves those that were set', function (float $wide, float $ring, float $shadow): void {
    $sheet = Fixtures::artwork([Fixtures::words('w', 'KITE', $wide)], ['sheet' => ['width' => 3600, 'height' => 3600, 'ppi' => 300]]);
    $tall = Fixtures::renderer()->placer->box($sheet->layers[0])?->height();
    $added = fn (array $line): EffectLine => Fixtures::edited($sheet, ...Operations::read([['op' => 'add-effect', 'id' => 'w', 'line' => $line, 'standsOut' => true]]))->layers[0]->effects[1];
    expect($added(['kind' => 'outline'])->values->number('width'))->toEqualWithDelta($ring, 1e-6)
        ->and($added(['kind' => 'shadow'])->values->number('distance'))->toEqualWithDelta($shadow, 1e-6)
        ->and($ring)->toEqualWithDelta(0.1 * max(0.2, min(1.0, $tall)), 0.0026)
        ->and($added(['kind' => 'outline', 'width' => 0.21])->values->number('width'))->toBe(0.21)
        ->and($added(['kind' => 'shadow'])->values->number('angle'))->toBe(45.0);
})->with([[9.0, 0.1, 0.15], [1.3, 0.035, 0.055], [0.2, 0.02, 0.03]]);

it('photocopies of a picture what is lighter than dark cloth, and of one for pale cloth what is darker', function (string $cloth, string $parts): void {
    $sheet = Fixtures::artwork([['id' => 'p', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2]]], ['garments' => [['name' => 'Cloth', 'colour' => $cloth]]]);
    $copied = Fixtures::edited($sheet, ...Operations::read([['op' => 'add-effect', 'id' => 'p', 'line' => ['kind' => 'photocopied'], 'standsOut' => true]]));
    expect($copied->layers[0]->effects[0]->values->word('parts'))->toBe($parts)
        ->and(Fixtures::render($copied, 60)->alpha()->isMore(127.0)->area())->toBeGreaterThan(0.15 * Fixtures::render($sheet, 60)->alpha()->isMore(127.0)->area());
})->with([['#17181a', 'light'], ['#fdfdfb', 'dark']]);
