<?php

declare(strict_types=1);

use TallCrow\Gang\GangPiece;
use TallCrow\Gang\GangRefused;
use TallCrow\Gang\GangSheet;
use TallCrow\Gang\Laid;
use TallCrow\Gang\Layout;
use TallCrow\Gang\MaxRects;

/** Copies that come nearer to one another than the gap, or to an edge than the margin. */
function too_near(Layout $layout): int
{
    $film = $layout->film;
    $wrong = 0;
    foreach ($layout->laid as $i => $a) {
        $wrong += (int) ($a->left < $film->margin - 1e-6 || $a->top < $film->margin - 1e-6 || $a->left + $a->width > $film->width - $film->margin + 1e-6 || ($film->length !== null && $a->top + $a->height > $film->length - $film->margin + 1e-6));
        foreach (array_slice($layout->laid, $i + 1) as $b) {
            $apart = max($b->left - $a->left - $a->width, $a->left - $b->left - $b->width, $b->top - $a->top - $a->height, $a->top - $b->top - $b->height);
            $wrong += (int) ($a->sheet === $b->sheet && $apart < $film->gap - 1e-6);
        }
    }

    return $wrong;
}

it('fills a sheet to its last place where pieces fit exactly', function (): void {
    // Twelve of 2 × 3 in with gaps of 0.5 and margins of 0.5: four across and three down on 10.5 × 11 in.
    $layout = MaxRects::layout([new GangPiece('moth', 2, 3, 12, turns: false)], new GangSheet(10.5, 11, 0.5, 0.5));

    expect($layout->lengths)->toBe([11.0])->and($layout->laid)->toHaveCount(12)->and(too_near($layout))->toBe(0)->and($layout->bound())->toEqualWithDelta(72, 1e-9)->and($layout->waste())->toEqualWithDelta(1 - 72 / 115.5, 1e-9);
    $more = MaxRects::layout([new GangPiece('moth', 2, 3, 13, turns: false)], new GangSheet(10.5, 11, 0.5, 0.5));
    expect($more->lengths)->toBe([11.0, 11.0]);
});

it('turns pieces where that saves film, and only those that may be turned', function (): void {
    $may = MaxRects::layout([new GangPiece('banner', 9, 3, 3)], new GangSheet(10, null, 0.25, 0.25));
    $stays = MaxRects::layout([new GangPiece('banner', 3, 9, 3, turns: false)], new GangSheet(10, null, 0.25, 0.25));

    expect(array_sum($may->lengths))->toBeLessThanOrEqual(9.5 + 1e-6)->and(array_filter($stays->laid, fn (Laid $one): bool => $one->turned))->toBe([])->and(too_near($may))->toBe(0)->and(too_near($stays))->toBe(0);
});

it('keeps gaps and margins, and loses no piece, whatever comes', function (int $seed): void {
    mt_srand($seed);
    $pieces = array_map(fn (int $i): GangPiece => new GangPiece("piece $i", mt_rand(5, 90) / 10, mt_rand(5, 90) / 10, mt_rand(1, 6), mt_rand(0, 1) === 1), range(1, 10));
    $film = new GangSheet(22, $seed % 2 === 0 ? null : 24, mt_rand(0, 4) / 10, mt_rand(0, 5) / 10);
    $layout = MaxRects::layout($pieces, $film);
    $counts = array_count_values(array_map(fn (Laid $one): int => $one->piece, $layout->laid));

    expect(too_near($layout))->toBe(0)->and(array_map(fn (int $i): int => $counts[$i], array_keys($pieces)))->toBe(array_map(fn (GangPiece $piece): int => $piece->count, $pieces))
        ->and($layout->area())->toBeGreaterThanOrEqual($layout->bound())->and(MaxRects::layout($pieces, $film))->toEqual($layout);
    foreach ($layout->laid as $one) {
        $piece = $pieces[$one->piece];
        expect([$one->width, $one->height])->toBe($one->turned ? [$piece->height, $piece->width] : [$piece->width, $piece->height])->and(! $one->turned || $piece->turns)->toBeTrue();
    }
})->with(range(1, 12));

it('uses a roll little beyond the bound of the summed areas', function (): void {
    mt_srand(5);
    $pieces = array_map(fn (int $i): GangPiece => new GangPiece("piece $i", mt_rand(20, 90) / 10, mt_rand(20, 90) / 10, 4), range(1, 10));
    $layout = MaxRects::layout($pieces, new GangSheet(22, null, 0.0, 0.0));

    // Forty rectangles on a strip: heuristics of this kind stay within a fifth of the bound (Jylänki's own tables).
    expect($layout->waste())->toBeLessThan(0.2)->and(too_near($layout))->toBe(0);
});

it('refuses what cannot be laid', function (Closure $work, string $why): void {
    expect($work)->toThrow(GangRefused::class, $why);
})->with([
    [fn () => MaxRects::layout([new GangPiece('sail', 30, 40, 1)], new GangSheet(22, 24)), 'sail is 30.00 × 40.00 in and fits on no sheet'],
    [fn () => MaxRects::layout([new GangPiece('sail', 30, 2, 1, turns: false)], new GangSheet(22, null)), 'fits on no sheet'],
    [fn () => new GangPiece('moth', 0, 2, 1), 'moth needs a size'], [fn () => new GangSheet(0.4, 2, 0, 0.2), 'leave nothing'], [fn () => MaxRects::layout([new GangPiece('dot', 0.1, 0.1, 2001)], new GangSheet(22, null)), 'More than 2000'],
]);

it('lays nothing where nothing is asked', function (): void {
    expect(MaxRects::layout([], new GangSheet(22, null)))->laid->toBe([])->area()->toBe(0.0)->waste()->toBe(0.0);
});
