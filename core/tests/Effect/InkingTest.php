<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Effect\Catalogue;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\LetterColours;
use TallCrow\Effect\Inking\Part;
use TallCrow\Effect\Inking\PatternPaint;
use TallCrow\Effect\Inking\Solid;
use TallCrow\Effect\Inks;
use TallCrow\Effect\ParameterKind;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Join;
use TallCrow\Tests\Fixtures;

/** @param  list<array{string, array<string, mixed>}>  $lines */
function inked(array $lines): Inking
{
    $inking = Inking::plain(Srgb::hex('#1f1d1a'));
    foreach ($lines as [$kind, $values]) {
        $effect = Fixtures::effect($kind, $values);
        assert($effect instanceof Inks);
        $inking = $effect->ink($inking);
    }

    return $inking;
}

it('lays rings outside one another and fills inside', function (): void {
    $inking = inked([
        ['outline', ['width' => 0.1, 'colour' => '#111111']], ['fill', ['colour' => '#ffffff']],
        ['outline', ['width' => 0.05, 'colour' => '#222222', 'join' => 'mitre', 'mitreLimit' => 3.0]],
    ]);
    expect($inking->fills)->toHaveCount(1)
        ->and($inking->fills[0]->paint)->toEqual(new Solid(Srgb::hex('#ffffff')))
        ->and(array_map(fn ($r): ?string => $r->colour?->toHex(), $inking->rings))->toBe(['#111111', '#222222'])
        ->and($inking->reach())->toEqualWithDelta(0.15, 1e-12)
        ->and($inking->longestReach())->toEqualWithDelta(0.45, 1e-12)
        ->and($inking->rings[1]->join)->toBe(Join::Mitre);
});

it('keeps rings inside apart, and gaps on either side', function (): void {
    $inking = inked([['gap', ['width' => 0.04]], ['outline', ['width' => 0.1]], ['gap', ['width' => 0.03, 'side' => 'inside']], ['outline', ['width' => 0.02, 'side' => 'inside']]]);
    expect(array_map(fn ($r): array => [$r->width, $r->colour === null], $inking->rings))->toBe([[0.04, true], [0.1, false]])
        ->and(array_map(fn ($r): array => [$r->width, $r->colour === null], $inking->inlines))->toBe([[0.03, true], [0.02, false]])
        ->and($inking->reach())->toEqualWithDelta(0.14, 1e-12)
        ->and($inking->isBare())->toBeFalse();
});

it('reaches as far as its shadows are cast', function (): void {
    $inking = inked([['embolden', ['by' => 0.05]], ['outline', ['width' => 0.1]], ['shadow', ['distance' => 1.0, 'angle' => 0.0]]]);
    expect(array_map(fn (float $v): float => round($v, 9), array_values(get_object_vars($inking->about(new Box(0, 0, 4, 2))))))->toBe([-0.15, -0.15, 5.15, 2.15])
        ->and(inked([['embolden', ['by' => -0.05]]])->reach())->toBe(0.0);
});

it('adds a fill for a part and lets one for all take the place of those before', function (): void {
    $inking = inked([['gradient', []], ['only', ['part' => 'one-letter', 'number' => 3.0]], ['letter-colours', ['way' => 'ramp']]]);
    expect($inking->fills)->toHaveCount(2)
        ->and($inking->fills[1]->aim->part)->toBe(Part::Letter)
        ->and($inking->fills[1]->aim->number)->toBe(3)
        ->and(inked([['gradient', []], ['fill', []]])->fills)->toHaveCount(1);
});

it('runs from letter to letter, or takes colours in turn', function (): void {
    $ramp = new LetterColours([Srgb::hex('#000000'), Srgb::hex('#ff0000'), Srgb::hex('#ffffff')], true);
    expect($ramp->colour(0, 5)->toHex())->toBe('#000000')
        ->and($ramp->colour(1, 5)->toHex())->toBe('#800000')
        ->and($ramp->colour(2, 5)->toHex())->toBe('#ff0000')
        ->and($ramp->colour(4, 5)->toHex())->toBe('#ffffff')
        ->and($ramp->colour(0, 1)->toHex())->toBe('#000000');
    $turns = new LetterColours([Srgb::hex('#000000'), Srgb::hex('#ff0000')], false);
    expect([$turns->colour(2, 9)->toHex(), $turns->colour(3, 9)->toHex()])->toBe(['#000000', '#ff0000']);
});

it('leaves a picture fill alone until a picture is chosen', function (): void {
    expect(inked([['picture', []]])->fills[0]->paint)->toBeInstanceOf(Solid::class)
        ->and(inked([['picture', ['file' => 'rock-pool.png']]])->fills[0]->paint)->toBeInstanceOf(PatternPaint::class);
});

it('resolves a named swatch', function (): void {
    $values = new Values(['colour' => '@Bone', 'colours' => ['@Bone', '#101010']], ['Bone' => '#f3ead7']);
    expect($values->colour('colour')->toHex())->toBe('#f3ead7')
        ->and(array_map(fn (Srgb $c): string => $c->toHex(), $values->colours('colours')))->toBe(['#f3ead7', '#101010'])
        ->and($values->toArray()['colour'])->toBe('@Bone');
});

it('lists every effect with defaults that hold its own bounds', function (): void {
    expect(count(Catalogue::classes()))->toBeGreaterThan(25);
    foreach (Catalogue::classes() as $kind => $class) {
        $values = [];
        foreach ($class::parameters() as $parameter) {
            $values[$parameter->name] = $parameter->default;
            match ($parameter->kind) {
                ParameterKind::Colours => expect(count((array) $parameter->default))->toBeGreaterThanOrEqual((int) $parameter->least),
                ParameterKind::Scribbles => expect($parameter->default)->toBe([]),
                ParameterKind::Choice => expect($parameter->choices)->toContain($parameter->default),
                ParameterKind::Words => expect(mb_strlen((string) $parameter->default))->toBeLessThanOrEqual((int) $parameter->most),
                ParameterKind::Colour, ParameterKind::Font, ParameterKind::Picture => expect($parameter->default)->toBeString(),
                default => expect($parameter->default)->toBeGreaterThanOrEqual($parameter->least)->toBeLessThanOrEqual($parameter->most),
            };
        }
        expect($class::from(new Values($values)))->toBeInstanceOf($class)->and($class::kind())->toBe($kind);
    }
});

it('casts a shadow by its distance along its angle, as a copy or swept', function (float $angle, float $x, float $y): void {
    $shadow = inked([['shadow', ['distance' => 0.4, 'angle' => $angle, 'colour' => '#112233']]])->shadows[0];
    expect([$shadow->x, $shadow->y])->toEqualWithDelta([$x, $y], 1e-9)->and($shadow->colour->toHex())->toBe('#112233')->and($shadow->solid)->toBeFalse()
        ->and(inked([['shadow', ['as' => 'solid']]])->shadows[0]->solid)->toBeTrue();
})->with([[0.0, 0.4, 0.0], [90.0, 0.0, 0.4], [180.0, -0.4, 0.0], [30.0, 0.4 * sqrt(3) / 2, 0.2], [-90.0, 0.0, -0.4]]);

it('says of a ring what is asked, and nothing more', function (): void {
    $ring = inked([['outline', ['width' => 0.07, 'join' => 'bevel', 'mitreLimit' => 5.0, 'crumbs' => 0.02]]]);
    expect($ring->rings[0]->silhouette)->toBeFalse()->and([$ring->rings[0]->width, $ring->rings[0]->mitreLimit, $ring->rings[0]->crumbs])->toBe([0.07, 5.0, 0.02])->and($ring->rings[0]->join)->toBe(Join::Bevel)->and($ring->inlines)->toBe([]);
    $inside = inked([['outline', ['side' => 'inside', 'about' => 'silhouette']]]);
    expect($inside->rings)->toBe([])->and($inside->inlines)->toHaveCount(1)->and($inside->inlines[0]->silhouette)->toBeTrue();
});

it('hatches in ink of its own or as a cut', function (): void {
    $ink = inked([['hatch', ['spacing' => 0.05, 'width' => 0.01, 'angle' => 15.0, 'inset' => 0.02, 'colour' => '#b04a2c']]])->hatchings[0];
    expect([$ink->spacing, $ink->width, $ink->angle, $ink->inset, $ink->colour?->toHex()])->toBe([0.05, 0.01, 15.0, 0.02, '#b04a2c'])
        ->and(inked([['hatch', ['as' => 'cut']]])->hatchings[0]->colour)->toBeNull();
});

it('lays a pattern over the whole piece or anew in each letter', function (string $kind, array $values): void {
    $whole = inked([[$kind, $values + ['scale' => 2.0, 'x' => 0.5, 'y' => -0.25]]])->fills[0]->paint;
    $each = inked([[$kind, $values + ['each' => 'each-letter']]])->fills[0]->paint;
    assert($whole instanceof PatternPaint && $each instanceof PatternPaint);
    expect($whole->each)->toBeFalse()->and($each->each)->toBeTrue()->and([$whole->scale, $whole->x, $whole->y])->toBe([2.0, 0.5, -0.25])->and($whole->isPaper)->toBe($kind === 'paper');
})->with([['paper', ['paper' => 'kraft', 'seed' => 3.0]], ['picture', ['file' => 'moth.svg']]]);

it('colours letters in turn unless a ramp is asked', function (): void {
    [$turn, $ramp] = array_map(fn (array $values): object => inked([['letter-colours', $values]])->fills[0]->paint, [[], ['way' => 'ramp']]);
    assert($turn instanceof LetterColours && $ramp instanceof LetterColours);
    expect($turn->blended)->toBeFalse()->and($ramp->blended)->toBeTrue();
});
