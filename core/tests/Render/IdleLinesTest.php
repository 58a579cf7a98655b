<?php

declare(strict_types=1);

use TallCrow\Edit\AsHalftone;
use TallCrow\Render\IdleLines;
use TallCrow\Tests\Fixtures;

/**
 * @param  array<string, mixed>  $piece
 * @param  list<array<string, mixed>>  $effects
 * @return array<int, string>
 */
function idle_lines(array $piece, array $effects): array
{
    return (new IdleLines(Fixtures::renderer()->placer))->of(Fixtures::artwork([['effects' => $effects] + $piece])->layers[0]);
}

it('says of a line that it can do nothing where it stands', function (array $effect, string $why): void {
    expect(idle_lines(Fixtures::words('w', 'KITE', 2), [['kind' => 'fill', 'colour' => '#b04a2c'], $effect])[1] ?? '')->toContain($why);
})->with([[['kind' => 'saturation', 'by' => 2], 'photo or scan'], [['kind' => 'tidy'], 'photo or scan'], [['kind' => 'levels'], 'photo or scan']]);

it('says so of type set on a shape, of pixels of a drawing, and of a fill that another covers', function (): void {
    expect(idle_lines(Fixtures::shape('s', 'ellipse', 1), [['kind' => 'letter-spacing', 'by' => 80]])[0] ?? '')->toContain('no words')
        ->and(idle_lines(['id' => 'crab', 'source' => ['kind' => 'art', 'file' => 'crab.svg'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]], [['kind' => 'tidy']])[0] ?? '')->toContain('photo or scan')
        ->and(idle_lines(Fixtures::words('w', 'KITE', 2), [['kind' => 'fill', 'colour' => '#b04a2c'], ['kind' => 'fill', 'colour' => '#f3ead7']]))->toHaveKey(0)->not->toHaveKey(1);
});

it('says so of room between letters that join', function (string $text, bool $isIdle): void {
    $said = idle_lines(Fixtures::words('w', $text, 2), [['kind' => 'letter-spacing', 'by' => 80]]);
    expect(str_contains($said[0] ?? '', 'tear them apart'))->toBe($isIdle);
})->with([["\u{0633}\u{0648}\u{0642}\u{064F}", true], ["\u{0633}\u{0648}\n\u{0642}\u{0645}", true], ["\u{0633}\u{0648} \u{0642}", false], ['KITE', false], ["\u{0633}\u{0648} 26", false]]);

it('is silent about lines that work and lines that are off', function (): void {
    expect(idle_lines(Fixtures::words('w', 'KITE', 2), [['kind' => 'letter-spacing', 'by' => 80], ['kind' => 'fill', 'colour' => '#b04a2c'], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#1f1d1a'], ['kind' => 'arch', 'bend' => 0.3], ['kind' => 'tidy', 'on' => false]]))->toBe([])
        ->and(idle_lines(['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]], [['kind' => 'saturation', 'by' => 2], ['kind' => 'tidy']]))->toBe([]);
});

it('ends fades in dots of solid ink, weak ink and all', function (array $more): void {
    $artwork = Fixtures::artwork([$more + Fixtures::shape('s', 'ellipse', 2, '#b04a2c')]);
    $half = fn ($image): float => $image->alpha()->isMore(24.0)->both($image->alpha()->isLess(231.0))->area() / max(1.0, $image->alpha()->isMore(8.0)->area());
    $before = Fixtures::render($artwork);
    $edited = Fixtures::edited($artwork, new AsHalftone(['s']));
    $after = Fixtures::render($edited);
    expect($artwork->layers[0]->fades())->toBeTrue()->and($edited->layers[0]->fades())->toBeFalse()
        ->and($half($before))->toBeGreaterThan(0.1)->and($half($after))->toBeLessThan($half($before) / 2)
        // As much ink as before: the tone is kept.
        ->and($after->alpha()->mean())->toEqualWithDelta($before->alpha()->mean(), 0.03 * $before->alpha()->mean());
})->with([[['opacity' => 0.5]], [['masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.8, 'height' => 0.8, 'feather' => 0.4]]]]]);
