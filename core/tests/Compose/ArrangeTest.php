<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Compose\Arrange;
use TallCrow\Compose\ArrangeRefused;
use TallCrow\Compose\Edge;
use TallCrow\Compose\Weight;
use TallCrow\Edit\Flip;
use TallCrow\Edit\Scale;
use TallCrow\Edit\Way;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Outline;
use TallCrow\Preflight\Preflight;
use TallCrow\Render\Placer;
use TallCrow\Tests\Fixtures;

function three(): Artwork
{
    return Fixtures::artwork([
        Fixtures::shape('a', 'rectangle', 0.4, more: ['placement' => ['x' => 0.5, 'y' => 0.5]]),
        Fixtures::shape('b', 'ellipse', 0.6, more: ['placement' => ['x' => 1.1, 'y' => 1.7]]),
        Fixtures::words('c', 'BELL', 1.0, ['placement' => ['x' => 2.3, 'y' => 3.1]]),
    ]);
}

function placer(): Placer
{
    return new Placer(Fixtures::shelf());
}

function boxOf(Artwork $artwork, string $id): Box
{
    $layer = $artwork->layer($id);
    $box = $layer === null ? null : placer()->box($layer);
    assert($box !== null);

    return $box;
}

it('aligns among the selection, to the sheet, or to one piece', function (Edge $edge): void {
    $arrange = new Arrange(placer());
    $all = boxOf(three(), 'a')->union(boxOf(three(), 'b'));
    $among = $arrange->align(three(), ['a', 'b'], $edge, Arrange::SELECTION);
    $sheet = $arrange->align(three(), ['a', 'b'], $edge, Arrange::SHEET);
    $piece = $arrange->align(three(), ['a', 'b', 'c'], $edge, 'c');
    foreach (['a', 'b'] as $id) {
        expect($edge->of(boxOf($among, $id)))->toEqualWithDelta($edge->of($all), 1e-9)
            ->and($edge->of(boxOf($sheet, $id)))->toEqualWithDelta($edge->of(new Box(0, 0, 3, 4)), 1e-9)
            ->and($edge->of(boxOf($piece, $id)))->toEqualWithDelta($edge->of(boxOf(three(), 'c')), 1e-9);
    }
    // The other way stays as it was, and what is aligned to stays where it is.
    expect($edge->isAcross() ? boxOf($among, 'a')->top : boxOf($among, 'a')->left)->toEqualWithDelta($edge->isAcross() ? boxOf(three(), 'a')->top : boxOf(three(), 'a')->left, 1e-9)
        ->and(boxOf($piece, 'c'))->toEqual(boxOf(three(), 'c'));
})->with(array_filter(Edge::cases(), fn (Edge $edge): bool => $edge !== Edge::Baseline));

it('leaves equal gaps between the first and the last, or gaps of a length', function (): void {
    $arrange = new Arrange(placer());
    $even = $arrange->spaced(three(), ['c', 'a', 'b'], false);
    $gaps = fn (Artwork $a): array => [boxOf($a, 'b')->top - boxOf($a, 'a')->bottom, boxOf($a, 'c')->top - boxOf($a, 'b')->bottom];
    expect($gaps($even)[0])->toEqualWithDelta($gaps($even)[1], 1e-9)
        ->and(boxOf($even, 'a'))->toEqual(boxOf(three(), 'a'))
        ->and(boxOf($even, 'c')->bottom)->toEqualWithDelta(boxOf(three(), 'c')->bottom, 1e-9);
    [$one, $two] = $gaps($arrange->spaced(three(), ['a', 'b', 'c'], false, 0.125));
    expect($one)->toEqualWithDelta(0.125, 1e-9)->and($two)->toEqualWithDelta(0.125, 1e-9);
});

it('sizes and flips several as one', function (): void {
    $all = boxOf(three(), 'a')->union(boxOf(three(), 'b'));
    $half = Fixtures::edited(three(), new Scale(['a', 'b'], 0.5));
    expect(boxOf($half, 'a')->union(boxOf($half, 'b')))->toEqualWithDelta(Box::centred($all->centreX(), $all->centreY(), $all->width() / 2, $all->height() / 2), 1e-9);
    $flipped = Fixtures::edited(three(), new Flip(['a', 'b'], Way::Across));
    expect(boxOf($flipped, 'a')->right)->toEqualWithDelta($all->right, 1e-9)
        ->and($flipped->layer('a')?->placement?->flip->value)->toBe('across')
        ->and(Fixtures::edited($flipped, new Flip(['a', 'b'], Way::Across))->toArray()['layers'][0]['placement']['flip'])->toBe('none');
});

it('keeps lines together where the topmost stood, also within a group', function (): void {
    $arrange = new Arrange(placer());
    $grouped = $arrange->grouped(three(), ['a', 'c'], 'pair');
    expect(array_map(fn ($l): string => $l->id, $grouped->layers))->toBe(['b', 'pair'])
        ->and(array_map(fn ($l): string => $l->id, $grouped->layers[1]->children()))->toBe(['a', 'c']);
    $deeper = $arrange->grouped($grouped, ['a', 'c'], 'inner');
    expect($deeper->layers[1]->children()[0]->id)->toBe('inner')
        ->and(fn () => $arrange->grouped($grouped, ['a', 'b'], 'x'))->toThrow(ArrangeRefused::class, 'same group');
});

it('says what is missing', function (): void {
    $arrange = new Arrange(placer());
    expect(fn () => $arrange->align(three(), ['a'], Edge::Left, Arrange::SELECTION))->toThrow(ArrangeRefused::class, '2 or more')
        ->and(fn () => $arrange->align(three(), ['a'], Edge::Left, 'gone'))->toThrow(ArrangeRefused::class, 'Choose another')
        ->and(fn () => $arrange->spaced(three(), ['a', 'b'], true))->toThrow(ArrangeRefused::class, '3 or more');
});

// A bar of thickness t and length l: 2 l t ÷ (2 l + 2 t); a ring of thickness t: exactly t.
it('measures how thick strokes are', function (): void {
    expect(Weight::of(Outline::rectangle(20, 0.1)))->toEqualWithDelta(2 * 20 * 0.1 / 40.2, 1e-6)
        ->and(Weight::of(Outline::ring(0.1, 4, 4)))->toEqualWithDelta(0.2, 0.002);
});

it('tells what is nearly in line, and moves it there', function (): void {
    $near = Fixtures::artwork([
        Fixtures::shape('a', 'rectangle', 1, more: ['placement' => ['x' => 0.9, 'y' => 1]]),
        Fixtures::shape('b', 'rectangle', 0.8, more: ['placement' => ['x' => 0.93, 'y' => 2]]),
        Fixtures::shape('c', 'rectangle', 0.6, more: ['placement' => ['x' => 0.9, 'y' => 3]]),
        Fixtures::shape('d', 'rectangle', 0.5, more: ['placement' => ['x' => 2.2, 'y' => 3.7]]),
    ]);
    $report = fn (Artwork $a) => Preflight::artwork($a, Fixtures::renderer(), Fixtures::shelf());
    $finding = $report($near)->finding('line:b');
    expect($finding?->says)->toContain('0.030 in right of the middle of Rectangle')
        ->and($report($near)->finding('line:a'))->toBeNull()->and($report($near)->finding('line:c'))->toBeNull()->and($report($near)->finding('line:d'))->toBeNull();
    $mended = Fixtures::edited($near, ...$finding->mends[0]->operations);
    expect($mended->layer('b')?->placement?->x)->toEqualWithDelta(0.9, 1e-9)->and($report($mended)->finding('line:b'))->toBeNull();
});

it('points out a warp after a ring, which bends it, and puts them in order', function (array $effects, string $figure, array $order): void {
    $artwork = Fixtures::artwork([['effects' => $effects] + Fixtures::words('w', 'BELLS', 2.4)]);
    $report = fn (Artwork $a) => Preflight::artwork($a, Fixtures::renderer(), Fixtures::shelf());
    $finding = $report($artwork)->finding('order:w');
    expect($finding?->figure)->toBe($figure);
    $mended = Fixtures::edited($artwork, ...$finding->mends[0]->operations);
    expect(array_map(fn ($line): string => $line->kind, $mended->layer('w')->effects ?? []))->toBe($order)
        ->and($report($mended)->finding('order:w'))->toBeNull();
})->with([
    [[['kind' => 'outline'], ['kind' => 'arch'], ['kind' => 'case']], 'warp after ring', ['arch', 'case', 'outline']],
]);

it('is silent on an order that makes no difference to the print', function (array $effects): void {
    $report = Preflight::artwork(Fixtures::artwork([['effects' => $effects] + Fixtures::words('w', 'BELLS', 2.4)]), Fixtures::renderer(), Fixtures::shelf());
    expect($report->finding('order:w'))->toBeNull();
})->with([
    [[['kind' => 'fill'], ['kind' => 'gradient'], ['kind' => 'outline']]],
    [[['kind' => 'gradient'], ['kind' => 'only'], ['kind' => 'fill'], ['kind' => 'gap']]],
]);

it('says when a line looks weak beside another, and mends it without closing a letter', function (): void {
    $artwork = Fixtures::artwork([
        Fixtures::words('heavy', 'BELLS', 2.6, ['placement' => ['y' => 1], 'source' => ['font' => 'ultra.woff2']]),
        Fixtures::words('thin', 'lit', 0.8, ['placement' => ['y' => 3], 'source' => ['font' => 'homemade-apple.woff2']]),
    ]);
    $report = fn (Artwork $a) => Preflight::artwork($a, Fixtures::renderer(), Fixtures::shelf());
    $finding = $report($artwork)->finding('weight:thin');
    expect($finding)->not->toBeNull()->and($report($artwork)->finding('weight:heavy'))->toBeNull();
    $mended = Fixtures::edited($artwork, ...$finding->mends[0]->operations);
    expect($report($mended)->finding('weight:thin'))->toBeNull();
});
