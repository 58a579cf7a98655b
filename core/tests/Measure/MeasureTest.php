<?php

declare(strict_types=1);

use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Length;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Measure\Refit;
use TallCrow\Measure\Resolution;
use TallCrow\Measure\UnreadableLength;
use TallCrow\Measure\UnusableMeasure;

it('reads what sellers type as lengths', function (string $typed, float $inches): void {
    expect(Length::parse($typed, Ppi::of(300))->inches)->toEqualWithDelta($inches, 1e-9);
})->with([
    ['9.4in', 9.4], ['9.4 in', 9.4], ['9,4 in', 9.4], ['9.4"', 9.4], ['9.4', 9.4], ['240 mm', 240 / 25.4], ['24cm', 240 / 25.4],
    ['1200px', 4.0], ['72pt', 1.0], [' .5 inches ', 0.5], ['-0.25in', -0.25],
    ['3/4 in', 0.75], ['3/4', 0.75], ['9 3/8"', 9.375], ['1-1/2 in', 1.5], ['9½ in', 9.5], ['½', 0.5], ['-1 1/4in', -1.25], ['1 ⁄ 16 in', 0.0625], ['12 ⅞', 12.875], ['3.33333333333 in', 3.33333333333],
]);

it('refuses what is no length and says what to type', function (string $typed): void {
    Length::parse($typed, Ppi::of(300));
})->with(['', 'wide', '9.4 ft', '1e9in', '9..4', '9 4in', '<b>1</b>', '3/0 in', '3/', '1.5/2', '1 2 3/4', '½½', '/4'])->throws(UnreadableLength::class, 'Type a number with in, mm, cm, pt or px');

it('turns inches, millimetres and pixels into one another', function (): void {
    $length = Length::millimetres(254);
    expect($length->inches)->toEqualWithDelta(10.0, 1e-12)
        ->and($length->toPixels(Ppi::of(300)))->toEqualWithDelta(3000.0, 1e-9)
        ->and(Length::pixels(3000, Ppi::of(300))->inches * 25.4)->toEqualWithDelta(254.0, 1e-9);
});

// PNG Specification, Third Edition, §11.3.4.3: pHYs counts pixels per metre; 300 ppi is 11811.02.
it('counts pixels per metre as PNG does', function (): void {
    expect(Ppi::of(300)->perMetre())->toBe(11811)
        ->and(Ppi::of(72)->perMetre())->toBe(2835)
        ->and(round(Ppi::fromPerMetre(11811)->value, 2))->toBe(300.0);
});

it('refuses a ppi that no printer has', function (float $ppi): void {
    Ppi::of($ppi);
})->with([0, -300, INF, NAN, 99999])->throws(UnusableMeasure::class);

// Common practice: a worked case of a 12 × 16 in page laid out at 96 px per inch.
it('agrees with the resolutions a print house reported', function (): void {
    $narrow = (int) round(12 * 96 * 2);
    $wide = (int) round(12 * 96 * 3.125);
    expect($narrow)->toBe(2304)->and($wide)->toBe(3600);

    // The house reported 235 for 2304 px, so it places the page 2304 ÷ 235 in wide; of 3600 px it reported 368, where
    // the ratio gives 367: it rounds its width.
    $placed = Length::inches($narrow / 235);
    expect(Resolution::effective($narrow, $placed))->toEqualWithDelta(235.0, 1e-9)
        ->and(floor(Resolution::effective($wide, $placed)))->toBe(367.0)
        ->and(Resolution::effective($wide, Length::inches(round($placed->inches, 1) - 0.02)))->toEqualWithDelta(368.0, 0.5);
});

it('knows both schools of house rule', function (): void {
    expect(HouseRule::Strict300->least()->value)->toBe(300.0)->and(HouseRule::Accept200->least()->value)->toBe(200.0)
        ->and(Resolution::widest(1200, HouseRule::Strict300->least())->inches)->toBe(4.0)
        ->and(Resolution::widest(1200, HouseRule::Accept200->least())->inches)->toBe(6.0);
});

it('refuses to divide by no width', function (): void {
    Resolution::effective(1200, Length::inches(0));
})->throws(UnusableMeasure::class, 'placed width');

// Common practice: the sizes in use, in pixels and inches.
it('offers the sizes in common use', function (string $key, int $width, int $height, float $inchesWide, float $inchesHigh): void {
    $area = PrintArea::presets()[$key];
    expect([$area->width, $area->height])->toBe([$width, $height])
        ->and($area->widthInches())->toEqualWithDelta($inchesWide, 0.01)
        ->and($area->heightInches())->toEqualWithDelta($inchesHigh, 0.01);
})->with([
    ['marketplace-shirt', 4500, 5400, 15, 18], ['average-area', 3600, 4800, 12, 16], ['square-chest', 3600, 3600, 12, 12],
    ['large-square', 5000, 5000, 16.67, 16.67], ['oversized-back', 4500, 6000, 15, 20], ['house-tee', 4494, 5093, 14.98, 16.98],
    ['transfer-letter', 2550, 3300, 8.5, 11], ['transfer-large', 3900, 5700, 13, 19], ['transfer-large-wide', 5700, 3900, 19, 13],
    ['listing-picture', 2500, 2100, 8.33, 7],
]);

it('refits a design by one factor about the middle', function (): void {
    $from = PrintArea::inches('', 15, 18, Ppi::of(300));
    $to = PrintArea::inches('', 12, 16, Ppi::of(300));
    $refit = Refit::contain($from, $to);
    expect($refit->scale)->toEqualWithDelta(0.8, 1e-9)
        ->and($refit->x(7.5))->toEqualWithDelta(6.0, 1e-9)
        ->and($refit->y(9))->toEqualWithDelta(8.0, 1e-9)
        ->and($refit->x(0))->toEqualWithDelta(0.0, 1e-9)
        ->and($refit->y(0))->toEqualWithDelta(0.8, 1e-9);

    $keep = Refit::sameSize($from, $to);
    expect($keep->scale)->toBe(1.0)->and($keep->x(7.5))->toEqualWithDelta(6.0, 1e-9);
});

it('refuses areas that cannot be made', function (int $width, int $height): void {
    PrintArea::pixels('', $width, $height, Ppi::of(300));
})->with([[0, 10], [10, -1], [20000, 10]])->throws(UnusableMeasure::class);

it('takes the least and the most, and nothing beyond', function (): void {
    expect(Ppi::of(1)->value)->toBe(1.0)->and(Ppi::of(2400)->value)->toBe(2400.0)->and(fn () => Ppi::of(2400.5))->toThrow(UnusableMeasure::class)->and(fn () => Ppi::of(0.9))->toThrow(UnusableMeasure::class);
    $ppi = Ppi::of(300);
    expect(PrintArea::pixels('', 1, 1, $ppi)->width)->toBe(1)->and(PrintArea::pixels('', 12000, 12000, $ppi)->height)->toBe(12000);
    foreach ([[0, 5], [5, 0], [12001, 5], [5, 12001]] as [$width, $height]) {
        expect(fn () => PrintArea::pixels('', $width, $height, $ppi))->toThrow(UnusableMeasure::class);
    }
    expect(Resolution::effective(1, Length::inches(1)))->toBe(1.0);
});

it('rounds an area in inches to whole pixels', function (): void {
    $area = PrintArea::inches('', 8.499, 11.0012, Ppi::of(300));
    expect([$area->width, $area->height])->toBe([2550, 3300])->and($area->widthInches())->toBe(8.5)->and($area->heightInches())->toBe(11.0);
    expect(PrintArea::inches('', 1.0049, 1.0009, Ppi::of(100))->width)->toBe(100)->and(PrintArea::inches('', 1.0051, 1.0051, Ppi::of(100))->height)->toBe(101);
});

it('knows a usual area again by its size', function (): void {
    $like = fn (int $width, int $height, float $ppi): string => PrintArea::like(PrintArea::pixels('mine', $width, $height, Ppi::of($ppi)))->name;
    expect($like(4500, 5400, 300))->toBe('Marketplace shirt, 15 × 18 in')->and($like(3600, 3600, 300))->toBe('Square chest, 12 × 12 in')
        ->and($like(4500, 5401, 300))->toBe('mine')->and($like(4501, 5400, 300))->toBe('mine')->and($like(4500, 5400, 200))->toBe('mine');
});

it('moves a design to another area about its middle', function (): void {
    // 15 × 18 in to 12 × 16: the factor is 12 ÷ 15, for 16 ÷ 18 is larger; 18 · 0.8 = 14.4 leaves 0.8 above and below.
    $shirt = PrintArea::inches('', 15, 18, Ppi::of(300));
    $fit = Refit::contain($shirt, PrintArea::inches('', 12, 16, Ppi::of(300)));
    expect($fit->scale)->toEqualWithDelta(0.8, 1e-12)->and($fit->x(15))->toEqualWithDelta(12.0, 1e-9)->and($fit->y(0))->toEqualWithDelta(0.8, 1e-9)->and($fit->y(18))->toEqualWithDelta(15.2, 1e-9);
    // 12 × 3 in is bound by its height.
    $low = Refit::contain($shirt, PrintArea::inches('', 12, 3, Ppi::of(300)));
    expect($low->scale)->toEqualWithDelta(3 / 18, 1e-12)->and($low->x(0))->toEqualWithDelta((12 - 15 / 6) / 2, 1e-9);
    $same = Refit::sameSize($shirt, PrintArea::inches('', 12, 20, Ppi::of(300)));
    expect([$same->scale, $same->x(3), $same->y(3)])->toBe([1.0, 1.5, 4.0]);
});

it('says the house\'s rule', function (): void {
    expect(HouseRule::Strict300->says())->toBe('strict 300')->and(HouseRule::Accept200->says())->toBe('accept 200');
});
