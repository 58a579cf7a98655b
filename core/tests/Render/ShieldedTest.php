<?php

declare(strict_types=1);

use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/**
 * Small words over a plate or on bare cloth, worn by two lines that spare what is named.
 *
 * @param  list<string>  $shielded
 */
function worn_words(array $shielded, bool $onPlate, float $ppi, float $amount = 0.6): Image
{
    $words = Fixtures::words('words', 'Ring for the hill', 1.6);
    $wear = fn (string $texture): array => ['texture' => $texture, 'amount' => $amount, 'shielded' => $shielded];
    $layers = $onPlate ? [Fixtures::shape('plate', 'rectangle', 2.4, '#b04a2c'), $words] : [$words];

    return Fixtures::render(Fixtures::artwork($layers, ['distress' => $amount > 0 ? [$wear('photocopy'), $wear('cracks')] : []]), $ppi)->alpha()->settled();
}

it('takes no level of the edges of shielded words, on bare cloth and on ink that is worn', function (float $ppi, bool $onPlate): void {
    $own = worn_words([], false, $ppi, 0.0);
    $spared = worn_words(['words'], $onPlate, $ppi);
    // The plate may show beside an edge, and never less than the words themselves.
    [$least, $most] = $spared->linear(1.0)->minus($own->linear(1.0))->range();
    expect($least)->toBeGreaterThanOrEqual(-2.0)->and($onPlate ? $most > 200.0 : $most <= 0.0)->toBeTrue()
        // Not spared, they are worn.
        ->and(worn_words([], $onPlate, $ppi)->linear(1.0)->minus($own->linear(1.0))->range()[0])->toBeLessThan(-200.0);
})->with([300.0, 60.0])->with(['on cloth' => [false], 'on a plate' => [true]]);

it('takes of the ink beside a shielded edge what it takes of that ink anywhere', function (): void {
    $plate = Fixtures::shape('plate', 'rectangle', 2.4, '#b04a2c');
    $disc = Fixtures::shape('disc', 'ellipse', 0.7);
    $alone = Fixtures::render(Fixtures::artwork([$disc]))->alpha()->settled();
    $worn = Fixtures::render(Fixtures::artwork([$plate, $disc], ['distress' => [['texture' => 'speckle', 'amount' => 0.5, 'shielded' => ['disc']]]]))->alpha()->settled();
    // Its soft edge: all of the disc's own coverage, and of the rest some that the wear left.
    $edge = $alone->isMore(100.0)->both($alone->isLess(156.0))->settled();
    $gone = $worn->linear(1.0)->minus($alone->linear(1.0))->isLess(3.0)->both($edge)->settled();
    $full = $worn->isMore(252.0)->both($edge)->settled();
    expect($edge->area())->toBeGreaterThan(100.0)
        ->and($gone->area() / $edge->area())->toBeGreaterThan(0.3)
        ->and($full->area() / $edge->area())->toBeGreaterThan(0.3);
});
