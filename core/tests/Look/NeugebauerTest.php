<?php

declare(strict_types=1);

use TallCrow\Colour\Lab;
use TallCrow\Colour\Srgb;
use TallCrow\Look\Neugebauer;

/**
 * The light of dots laid side by side, by their areas (Neugebauer, 1937), as this test adds it up.
 *
 * @param  list<string>  $inks
 * @param  list<float>  $shares
 */
function lit(array $inks, array $shares): Lab
{
    $sum = [0.0, 0.0, 0.0];
    foreach ($inks as $i => $hex) {
        foreach (sscanf($hex, '#%02x%02x%02x') ?? [] as $band => $level) {
            // IEC 61966-2-1: from sRGB to light.
            $part = $level / 255;
            $sum[$band] += $shares[$i] * ($part <= 0.04045 ? $part / 12.92 : (($part + 0.055) / 1.055) ** 2.4);
        }
    }

    return Lab::ofLinear(...$sum);
}

it('finds the areas that a mixture was made of', function (array $inks, array $shares): void {
    $found = (new Neugebauer(array_map(Srgb::hex(...), $inks), null))->shares(lit($inks, $shares));
    foreach ($shares as $i => $share) {
        expect($found[$i])->toEqualWithDelta($share, 0.01, implode(' ', $inks));
    }
    expect(array_sum($found))->toEqualWithDelta(1.0, 1e-9);
})->with([
    [['#000000', '#ffffff'], [0.3, 0.7]], [['#000000', '#ffffff'], [0.985, 0.015]], [['#b04a2c', '#f3ead7', '#1f1d1a'], [0.2, 0.5, 0.3]], [['#b04a2c', '#2f6b8f', '#f3ead7', '#1f1d1a'], [0.35, 0.15, 0.4, 0.1]],
    [['#d9a441', '#17404a', '#f3ead7', '#1f1d1a'], [0.0, 0.6, 0.0, 0.4]], [['#ff0000', '#00ff00', '#0000ff'], [0.1, 0.1, 0.8]],
]);

// Murray (1936) and Davies: the share of one ink is how far its light has gone from the bare cloth's.
it('gives one ink on bare cloth the area that Murray and Davies give it', function (string $ink, string $cloth, float $share): void {
    $wanted = lit([$ink, $cloth], [$share, 1 - $share]);
    $found = (new Neugebauer([Srgb::hex($ink)], Srgb::hex($cloth)))->shares($wanted);
    $light = fn (string $hex): float => Srgb::hex($hex)->luminance();
    $seen = $share * $light($ink) + (1 - $share) * $light($cloth);
    expect($found[0])->toEqualWithDelta(($light($cloth) - $seen) / ($light($cloth) - $light($ink)), 0.005);
})->with([['#f3ead7', '#17181a', 0.25], ['#f3ead7', '#17181a', 0.75], ['#1f1d1a', '#e4d9c3', 0.5], ['#8c2f23', '#ffffff', 0.1]]);

// Shares are moved between two inks at a time, which may end half a unit of Lab from the very best: less than an eye sees.
it('comes as near to a colour that cannot be mixed as any mixture does', function (string $wanted): void {
    $inks = ['#b04a2c', '#17404a', '#f3ead7'];
    $lab = Srgb::hex($wanted)->toLab();
    $far = function (array $shares) use ($inks, $lab): float {
        $mixed = lit($inks, $shares);

        return sqrt(($mixed->l - $lab->l) ** 2 + ($mixed->a - $lab->a) ** 2 + ($mixed->b - $lab->b) ** 2);
    };
    $best = INF;
    for ($i = 0; $i <= 50; $i++) {
        for ($j = 0; $j <= 50 - $i; $j++) {
            $best = min($best, $far([$i / 50, $j / 50, 1 - $i / 50 - $j / 50]));
        }
    }
    expect($far((new Neugebauer(array_map(Srgb::hex(...), $inks), null))->shares($lab)))->toBeLessThanOrEqual($best + 0.5);
})->with(['#00ff00', '#ffcc00', '#000000', '#8a2be2', '#ffffff', '#b04a2c']);

it('begins from a colour much like it and comes to the same', function (): void {
    $model = new Neugebauer([Srgb::hex('#b04a2c'), Srgb::hex('#f3ead7')], Srgb::hex('#17181a'));
    $wanted = lit(['#b04a2c', '#f3ead7', '#17181a'], [0.4, 0.35, 0.25]);
    foreach ([[0.0, 0.0, 1.0], [1.0, 0.0, 0.0], [0.42, 0.33, 0.25]] as $from) {
        foreach ($model->shares($wanted, $from) as $i => $share) {
            expect($share)->toEqualWithDelta([0.4, 0.35, 0.25][$i], 0.01);
        }
    }
});

// Demichel (1924): dots that lie as by chance over one another. What is seen of an ink is what those above leave of it.
it('screens inks so that laid over one another each shows its share', function (array $shares): void {
    $screened = Neugebauer::screened($shares);
    foreach ($shares as $i => $share) {
        $seen = $screened[$i];
        for ($above = $i + 1; $above < count($shares); $above++) {
            $seen *= 1 - $screened[$above];
        }
        expect($seen)->toEqualWithDelta($share, 1e-9)->and($screened[$i])->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(1.0);
    }
})->with([[[0.2, 0.3, 0.5]], [[0.2, 0.3, 0.1]], [[1.0]], [[0.0, 1.0]], [[0.5, 0.5]], [[0.1, 0.0, 0.2, 0.3]]]);

it('screens nothing of an ink that is wholly covered', function (): void {
    expect(Neugebauer::screened([0.0, 1.0]))->toBe([0.0, 1.0]);
});
