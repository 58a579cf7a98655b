<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\DrawnSource;
use TallCrow\Edit\EditRefused;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/desk.php';

// Strokes of a pen go where it went on the sheet, however the drawing lies; what was drawn stays. Areas are those of a line with round ends.

/** @param  list<array{float, float}>  $points  inches on the sheet */
function pen(string $id, array $points, float $width = 0.2, array $more = []): array
{
    return ['op' => 'draw', 'id' => $id, 'stroke' => $more + ['points' => $points, 'width' => $width, 'tip' => 'round', 'symmetry' => 'none', 'count' => 6, 'seed' => 1]];
}

/** Square inches of ink on the sheet, and its picture at 200 ppi. @return array{float, Image} */
function inked_area(Artwork $artwork): array
{
    $alpha = Fixtures::render($artwork, 200)->alpha();

    return [$alpha->area() / 200 ** 2, $alpha];
}

/** A hook drawn on a bare sheet, then laid otherwise. */
function hook(array $placement): Artwork
{
    $layer = operated(Fixtures::artwork([]), pen('', [[1.0, 1.2], [1.6, 1.2], [1.6, 1.9]]))->artwork->toArray()['layers'][0];

    return Fixtures::artwork([array_replace_recursive($layer, ['id' => 'hook', 'placement' => $placement])]);
}

it('begins a drawing where the pen went, in ink that stands out, and chooses it', function (): void {
    $drawn = operated(Fixtures::artwork([Fixtures::shape('under', 'star', 0.4)]), pen('', [[1.0, 2.0], [2.2, 2.0]], 0.3));
    $layer = $drawn->artwork->layers[1];
    $box = ink_box($drawn->artwork, $layer->id);
    expect($drawn->chosen)->toBe([$layer->id])->and(ids($drawn->artwork))->toBe(['under', $layer->id])->and($layer->source)->toBeInstanceOf(DrawnSource::class)
        ->and([$box->left, $box->top, $box->right, $box->bottom])->toEqualWithDelta([0.85, 1.85, 2.35, 2.15], 2e-3)
        ->and($layer->effects[0]->kind)->toBe('fill')->and($layer->placement?->turn)->toBe(0.0);
    // A capsule: a rectangle and a circle.
    [$area] = inked_area($drawn->artwork->withLayers([$layer]));
    expect($area)->toEqualWithDelta(1.2 * 0.3 + M_PI * 0.15 ** 2, 0.004);
});

it('dabs where the pen was pressed once', function (): void {
    $drawn = operated(Fixtures::artwork([]), pen('', [[0.7, 3.1]], 0.5));
    $box = ink_box($drawn->artwork, $drawn->chosen[0]);
    expect([$box->centreX(), $box->centreY(), $box->width(), $box->height()])->toEqualWithDelta([0.7, 3.1, 0.5, 0.5], 3e-3);
});

it('adds a stroke where the pen went, and leaves what was drawn, however the drawing lies', function (array $placement): void {
    $before = hook($placement);
    $after = operated($before, pen('hook', [[0.5, 3.2], [2.5, 3.2]], 0.15));
    expect($after->chosen)->toBe(['hook'])->and(count($after->artwork->layers))->toBe(1);
    [$was, $then] = inked_area($before);
    [$is, $now] = inked_area($after->artwork);
    // All that was inked is inked as it was: no pixel above the new stroke differs by more than a rounded edge.
    $above = fn (Image $image): Image => $image->crop(0, 0, 600, 600)->linear(1.0);
    expect($above($then)->minus($above($now))->raised(2.0)->range()[1])->toBeLessThan(40.0 ** 2)
        ->and($above($then)->minus($above($now))->raised(2.0)->mean())->toBeLessThan(1.0)
        // And the stroke is as broad and as long on the sheet as the pen made it.
        ->and($is - $was)->toEqualWithDelta(2.0 * 0.15 + M_PI * 0.075 ** 2, 0.012);
    $line = $now->crop(0, 600, 600, 200)->isMore(127.0)->settled()->inkBox();
    expect(array_map(fn (int $pixels): float => $pixels / 200, $line ?? []))->toEqualWithDelta([0.425, 0.125, 2.15, 0.15], 0.016);
})->with([
    'as drawn' => [[]],
    'moved and twice as large' => [['x' => 1.4, 'y' => 1.3, 'width' => 1.6]],
    'smaller' => [['x' => 0.9, 'y' => 1.1, 'width' => 0.35]],
    'turned' => [['x' => 1.5, 'y' => 1.4, 'turn' => 37]],
    'mirrored' => [['x' => 1.5, 'y' => 1.4, 'flip' => 'across']],
    'mirrored and turned' => [['x' => 1.5, 'y' => 1.4, 'flip' => 'down', 'turn' => -70]],
]);

it('keeps a stretched drawing stretched, and finds the pen\'s place in it', function (): void {
    $before = hook(['x' => 1.4, 'y' => 1.2, 'width' => 1.2, 'height' => 0.6]);
    $after = operated($before, pen('hook', [[1.4, 2.6]], 0.2))->artwork;
    [$old, $new] = [ink_box($before, 'hook'), ink_box($after, 'hook')];
    expect($new->left)->toEqualWithDelta($old->left, 5e-3)->and($new->top)->toEqualWithDelta($old->top, 5e-3)->and($new->right)->toEqualWithDelta($old->right, 5e-3)
        ->and($new->bottom)->toBeGreaterThan(2.6)->toBeLessThan(2.75)->and($after->layer('hook')?->placement?->height)->not->toBeNull();
});

it('reads the tip, symmetry and seed of a stroke into the drawing', function (): void {
    $drawn = operated(Fixtures::artwork([]), pen('', [[1.0, 2.0], [1.3, 2.2]], 0.2, ['tip' => 'spray', 'symmetry' => 'radial', 'count' => 5, 'seed' => 9]))->artwork;
    $again = operated($drawn, pen($drawn->layers[0]->id, [[2.0, 2.0]], 0.1, ['tip' => 'slash', 'seed' => 4]))->artwork;
    $strokes = $again->layers[0]->toArray()['source']['ink'];
    expect([$strokes[0]['tip'], $strokes[0]['symmetry'], $strokes[0]['count'], $strokes[0]['seed']])->toBe(['spray', 'radial', 5, 9])
        ->and([$strokes[1]['tip'], $strokes[1]['symmetry'], $strokes[1]['seed']])->toBe(['slash', 'none', 4]);
});

it('refuses a stroke of nothing, on what is no drawing, and one too many', function (): void {
    $full = hook([])->toArray();
    $full['layers'][0]['source']['ink'] = array_fill(0, DrawnSource::MOST_STROKES, $full['layers'][0]['source']['ink'][0]);
    $full = Fixtures::artwork($full['layers']);
    $nearly = $full->toArray();
    array_pop($nearly['layers'][0]['source']['ink']);
    expect(fn () => operated(Fixtures::artwork([]), pen('', [])))->toThrow(EditRefused::class, 'Nothing was drawn')
        ->and(fn () => operated(desk(), pen('plate', [[1.0, 1.0]])))->toThrow(EditRefused::class, 'is not drawn by hand')
        ->and(fn () => operated($full, pen('hook', [[1.0, 1.0]])))->toThrow(EditRefused::class, 'more than 200 strokes in one drawing')
        ->and(count(operated(Fixtures::artwork($nearly['layers']), pen('hook', [[1.0, 1.0]]))->artwork->layers[0]->toArray()['source']['ink']))->toBe(200);
});

/** Inches from the baseline to the top of the capitals that a piece of type stands at. */
function capital_height(Artwork $artwork, string $id): float
{
    return ink_box($artwork, $id)->height();
}

it('sizes words by their capitals or by one em, each or all alike', function (): void {
    // Flat capitals alone, so that the ink is as high as they are.
    $desk = Fixtures::artwork([Fixtures::words('a', 'KITE', 1.5), Fixtures::words('b', 'HEM', 0.8, ['placement' => ['y' => 3]]), Fixtures::shape('star', 'star', 1.0)]);
    $sized = operated($desk, ['op' => 'size-by', 'ids' => ['a', 'b', 'star'], 'by' => 'capitals', 'size' => 0.5])->artwork;
    expect(capital_height($sized, 'a'))->toEqualWithDelta(0.5, 2e-3)->and(capital_height($sized, 'b'))->toEqualWithDelta(0.5, 2e-3)->and($sized->layer('star'))->toEqual($desk->layer('star'));
    $em = operated($desk, ['op' => 'size-by', 'ids' => ['a'], 'by' => 'em', 'size' => 1.0])->artwork;
    // By hb-view, whose extents are those of the outlines, at 1000 to the em.
    $extents = Fixtures::run(['hb-shape', '--show-extents', '--no-glyph-names', '--no-positions', '--font-size=1000', Fixtures::unpackedFont('alfa-slab-one'), 'I']);
    expect(preg_match('/<(-?\d+),(-?\d+),(-?\d+),(-?\d+)>/', $extents, $found))->toBe(1)
        ->and(capital_height($em, 'a'))->toEqualWithDelta(-(int) $found[4] / 1000, 0.012);
    // As large as each is now: nothing moves, in either way of telling it.
    foreach (['em', 'capitals'] as $by) {
        $same = operated($desk, ['op' => 'size-by', 'ids' => ['a', 'b'], 'by' => $by, 'size' => null])->artwork;
        foreach (['a', 'b'] as $id) {
            expect([ink_box($same, $id)->left, ink_box($same, $id)->height()])->toEqualWithDelta([ink_box($desk, $id)->left, ink_box($desk, $id)->height()], 2e-3);
        }
    }
    expect(fn () => operated($desk, ['op' => 'size-by', 'ids' => ['star'], 'by' => 'em', 'size' => 1.0]))->toThrow(EditRefused::class, 'is no text')
        ->and(fn () => operated($desk, ['op' => 'size-by', 'ids' => [], 'by' => 'em', 'size' => 1.0]))->toThrow(EditRefused::class, 'is no text');
});

it('gives a piece of type other words and keeps all else of it', function (): void {
    $desk = desk();
    $set = operated($desk, ['op' => 'set-words', 'id' => 'word', 'text' => "MOTH\nNIGHT"])->artwork->layer('word')?->toArray() ?? [];
    $was = $desk->layer('word')?->toArray() ?? [];
    expect($set['source']['text'])->toBe("MOTH\nNIGHT")->and(array_replace($set['source'], ['text' => $was['source']['text']]))->toBe($was['source'])
        ->and([$set['placement'], $set['effects']])->toBe([$was['placement'], $was['effects']])
        ->and(fn () => operated($desk, ['op' => 'set-words', 'id' => 'plate', 'text' => 'A']))->toThrow(EditRefused::class, 'is no text');
});

it('notes what is meant so, once each, takes it back without a word, and has room for sixty', function (): void {
    $mean = fn (string $key, string $why): array => ['op' => 'mean-so', 'key' => $key, 'why' => $why];
    $noted = operated(desk(), $mean('edge', ' it bleeds '), $mean('haze', 'smoke'), $mean('edge', 'the neck hides it'))->artwork;
    expect(array_map(fn ($meant): array => [$meant->key, $meant->why], $noted->meant))->toBe([['haze', 'smoke'], ['edge', 'the neck hides it']]);
    $back = operated($noted, $mean('haze', '  '))->artwork;
    expect(array_column($back->meant, 'key'))->toBe(['edge']);
    $full = operated(desk(), ...array_map(fn (int $i): array => $mean("k$i", 'so'), range(1, 60)))->artwork;
    expect($full->meant)->toHaveCount(60)->and(operated($full, $mean('k7', 'yes'))->artwork->meant)->toHaveCount(60)->and(operated($full, $mean('k7', ''))->artwork->meant)->toHaveCount(59)
        ->and(fn () => operated($full, $mean('k61', 'so')))->toThrow(EditRefused::class, 'more than 60 findings');
});
