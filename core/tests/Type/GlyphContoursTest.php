<?php

declare(strict_types=1);

use TallCrow\Type\GlyphContours;

const ON = 1;
const CONIC = 0;
const CUBIC = 2;

// The meaning of points and tags is FreeType's: "FreeType Glyph Conventions", §VI.1.
it('reads straight sides', function (): void {
    expect(GlyphContours::toPath([[[0, 0, ON], [1, 0, ON], [1, 1, ON]]])->segments)
        ->toBe([['M', 0, 0], ['L', 1, 0], ['L', 1, 1], ['Z']]);
});

it('finds the point that two conic handles leave out', function (): void {
    expect(GlyphContours::toPath([[[0, 0, ON], [1, 0, CONIC], [2, 1, CONIC], [2, 2, ON]]])->segments)
        ->toBe([['M', 0, 0], ['Q', 1, 0, 1.5, 0.5], ['Q', 2, 1, 2, 2], ['Z']]);
});

it('closes with a curve when the last handle says so', function (): void {
    expect(GlyphContours::toPath([[[0, 0, ON], [2, 0, ON], [1, 3, CONIC]]])->segments)
        ->toBe([['M', 0, 0], ['L', 2, 0], ['Q', 1, 3, 0, 0], ['Z']]);
});

it('starts from an on point, or between two handles when there is none', function (): void {
    expect(GlyphContours::toPath([[[1, 3, CONIC], [0, 0, ON], [2, 0, ON]]])->segments)
        ->toBe([['M', 0, 0], ['L', 2, 0], ['Q', 1, 3, 0, 0], ['Z']]);
    $round = GlyphContours::toPath([[[1, 1, CONIC], [-1, 1, CONIC], [-1, -1, CONIC], [1, -1, CONIC]]]);
    expect($round->segments[0])->toBe(['M', 1, 0])
        ->and(array_column($round->segments, 0))->toBe(['M', 'Q', 'Q', 'Q', 'Q', 'Z'])
        ->and($round->bounds()->width())->toEqualWithDelta(2.0, 1e-9);
});

it('reads cubic pairs', function (): void {
    expect(GlyphContours::toPath([[[0, 0, ON], [0, 1, CUBIC], [1, 2, CUBIC], [2, 2, ON], [2, 1, CUBIC], [1, 0, CUBIC]]])->segments)
        ->toBe([['M', 0, 0], ['C', 0, 1, 1, 2, 2, 2], ['C', 2, 1, 1, 0, 0, 0], ['Z']]);
});

it('leaves out contours that enclose nothing', function (): void {
    expect(GlyphContours::toPath([[[5, 5, ON]], []])->isEmpty())->toBeTrue();
});
