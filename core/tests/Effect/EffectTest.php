<?php

declare(strict_types=1);

use TallCrow\Effect\Arch;
use TallCrow\Effect\Catalogue;
use TallCrow\Effect\Effect;
use TallCrow\Effect\Fill;
use TallCrow\Effect\Inking;
use TallCrow\Effect\Join;
use TallCrow\Effect\LetterSpacing;
use TallCrow\Effect\Outline;
use TallCrow\Effect\ParameterKind;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Outline as Figure;
use TallCrow\Type\Alignment;
use TallCrow\Type\Setting;

// Geometry of the circular segment: a chord of 2h and a sagitta of s lie on a circle of radius (s² + h²) ÷ 2s.
it('arches along one circle', function (float $bend): void {
    $bar = Figure::rectangle(8, 1);
    $arched = Arch::from(new Values(['bend' => $bend]))->bend($bar, 0.0005);
    $rise = abs($bend) * 4;
    $radius = ($rise ** 2 + 16) / (2 * $rise);
    expect(Arch::radius($rise, 4))->toEqualWithDelta($radius, 1e-9);

    // The bottom edge was y = 0.5; its middle rises by the sagitta and its ends stay.
    $centreY = $bend > 0 ? 0.5 - $rise + $radius : 0.5 + $rise - $radius;
    $onBottom = array_filter($arched->segments, function (array $s) use ($centreY, $radius): bool {
        return $s[0] === 'L' && abs(hypot($s[1], $s[2] - $centreY) - $radius) < 1e-9;
    });
    expect(count($onBottom))->toBeGreaterThan(8);
    $box = $arched->bounds();
    expect($box->width())->toEqualWithDelta(8.0, 1e-9)
        ->and($box->height())->toEqualWithDelta(1 + $rise, 0.001);
})->with([0.35, 1.0, 0.05, -0.4]);

it('keeps letters upright: what was above stays above', function (): void {
    $arched = Arch::from(new Values(['bend' => 0.35]))->bend(Figure::rectangle(8, 1), 0.0005);
    foreach ($arched->segments as $segment) {
        if ($segment[0] !== 'Z') {
            expect(abs($segment[1]))->toBeLessThanOrEqual(4.0 + 1e-9);
        }
    }
    $sides = array_filter($arched->segments, fn (array $s): bool => $s[0] !== 'Z' && abs($s[1] - 4) < 1e-9);
    expect(count($sides))->toBeGreaterThan(1);
});

it('does nothing when the bend is none', function (): void {
    $bar = Figure::rectangle(8, 1);
    expect(Arch::from(new Values(['bend' => 0.0]))->bend($bar, 0.0005))->toBe($bar);
});

it('lays rings outside one another and fills inside', function (): void {
    $ring = fn (float $width, string $colour, string $join): Effect => Outline::from(new Values(['width' => $width, 'colour' => $colour, 'join' => $join, 'mitreLimit' => 3.0]));
    $inking = Inking::plain(null);
    foreach ([$ring(0.1, '#111111', 'round'), Fill::from(new Values(['colour' => '#ffffff'])), $ring(0.05, '#222222', 'mitre')] as $effect) {
        $inking = $effect->ink($inking);
    }
    expect($inking->fill?->toHex())->toBe('#ffffff')
        ->and(array_map(fn ($r): string => $r->colour->toHex(), $inking->rings))->toBe(['#111111', '#222222'])
        ->and($inking->reach())->toEqualWithDelta(0.15, 1e-12)
        ->and($inking->longestReach())->toEqualWithDelta(0.45, 1e-12)
        ->and($inking->rings[1]->join)->toBe(Join::Mitre);
});

it('spaces letters on top of what was set', function (): void {
    expect(LetterSpacing::from(new Values(['by' => 60.0]))->set(new Setting(Alignment::Left, 1, 20))->tracking)->toBe(80.0);
});

it('lists every effect with defaults that hold its own bounds', function (): void {
    expect(array_keys(Catalogue::classes()))->toContain('fill', 'outline', 'arch', 'letter-spacing');
    foreach (Catalogue::classes() as $kind => $class) {
        $values = [];
        foreach ($class::parameters() as $parameter) {
            $values[$parameter->name] = $parameter->default;
            if (! in_array($parameter->kind, [ParameterKind::Colour, ParameterKind::Choice], true)) {
                expect($parameter->default)->toBeGreaterThanOrEqual($parameter->least)->toBeLessThanOrEqual($parameter->most);
            }
        }
        expect($class::from(new Values($values)))->toBeInstanceOf($class)->and($class::kind())->toBe($kind);
    }
});
