<?php

declare(strict_types=1);

use TallCrow\Raster\Blending;
use TallCrow\Raster\BlendMode;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;
use TallCrow\Tests\Fixtures;

/**
 * The formulas of W3C Compositing and Blending Level 1, §10.1 and §10.2, pixel by pixel.
 *
 * @return Closure(list<float>, list<float>): list<float>
 */
function blend(BlendMode $mode): Closure
{
    $hard = fn (float $b, float $s): float => $s <= 0.5 ? $b * 2 * $s : $b + (2 * $s - 1) - $b * (2 * $s - 1);
    $each = fn (Closure $f): Closure => fn (array $b, array $s): array => array_map($f, $b, $s);
    $lum = fn (array $c): float => 0.3 * $c[0] + 0.59 * $c[1] + 0.11 * $c[2];
    $sat = fn (array $c): float => max($c) - min($c);
    $clip = function (array $c) use ($lum): array {
        [$l, $n, $x] = [$lum($c), min($c), max($c)];
        if ($n < 0) {
            $c = array_map(fn (float $v): float => $l + ($v - $l) * $l / ($l - $n), $c);
        }
        if ($x > 1) {
            $c = array_map(fn (float $v): float => $l + ($v - $l) * (1 - $l) / ($x - $l), $c);
        }

        return $c;
    };
    $setLum = fn (array $c, float $l): array => $clip(array_map(fn (float $v): float => $v + $l - $lum($c), $c));
    $setSat = function (array $c, float $s): array {
        [$least, $most] = [min($c), max($c)];

        return $most > $least ? array_map(fn (float $v): float => ($v - $least) * $s / ($most - $least), $c) : [0.0, 0.0, 0.0];
    };

    return match ($mode) {
        BlendMode::Normal => fn (array $b, array $s): array => $s,
        BlendMode::Multiply => $each(fn (float $b, float $s): float => $b * $s),
        BlendMode::Screen => $each(fn (float $b, float $s): float => $b + $s - $b * $s),
        BlendMode::Overlay => $each(fn (float $b, float $s): float => $hard($s, $b)),
        BlendMode::Darken => $each(fn (float $b, float $s): float => min($b, $s)),
        BlendMode::Lighten => $each(fn (float $b, float $s): float => max($b, $s)),
        BlendMode::ColourDodge => $each(fn (float $b, float $s): float => $b == 0.0 ? 0.0 : ($s == 1.0 ? 1.0 : min(1.0, $b / (1 - $s)))),
        BlendMode::ColourBurn => $each(fn (float $b, float $s): float => $b == 1.0 ? 1.0 : ($s == 0.0 ? 0.0 : 1 - min(1.0, (1 - $b) / $s))),
        BlendMode::HardLight => $each($hard),
        BlendMode::SoftLight => $each(function (float $b, float $s): float {
            $d = $b <= 0.25 ? ((16 * $b - 12) * $b + 4) * $b : sqrt($b);

            return $s <= 0.5 ? $b - (1 - 2 * $s) * $b * (1 - $b) : $b + (2 * $s - 1) * ($d - $b);
        }),
        BlendMode::Difference => $each(fn (float $b, float $s): float => abs($b - $s)),
        BlendMode::Exclusion => $each(fn (float $b, float $s): float => $b + $s - 2 * $b * $s),
        BlendMode::Hue => fn (array $b, array $s): array => $setLum($setSat($s, $sat($b)), $lum($b)),
        BlendMode::Saturation => fn (array $b, array $s): array => $setLum($setSat($b, $sat($s)), $lum($b)),
        BlendMode::Colour => fn (array $b, array $s): array => $setLum($s, $lum($b)),
        BlendMode::Luminosity => fn (array $b, array $s): array => $setLum($b, $lum($s)),
    };
}

/** A picture of many colours and alphas from a fixed seed. */
function colours(int $seed, bool $opaque = false): string
{
    mt_srand($seed);
    $bytes = '';
    for ($i = 0; $i < 24 * 24; $i++) {
        $bytes .= chr(mt_rand(0, 255)).chr(mt_rand(0, 255)).chr(mt_rand(0, 255)).chr($opaque ? 255 : [255, 255, 128, 40, 0][mt_rand(0, 4)]);
    }

    return $bytes;
}

function over(string $below, string $above, BlendMode $mode): string
{
    [$below, $above] = [Image::raw($below, 24, 24, 4), Image::raw($above, 24, 24, 4)];
    $over = $mode === BlendMode::Normal ? Composition::stacked(24, 24, [Laid::over($below, 0, 0), Laid::over($above, 0, 0)]) : Blending::over($below, $above, $mode);

    return Composition::withoutHiddenColour($over)->toBytes();
}

it('blends as the W3C formulas say', function (BlendMode $mode): void {
    [$below, $above] = [colours(3), colours(8)];
    $ours = over($below, $above, $mode);
    $blend = blend($mode);
    $worst = 0.0;
    for ($i = 0; $i < 24 * 24; $i++) {
        [$ab, $as] = [ord($below[$i * 4 + 3]) / 255, ord($above[$i * 4 + 3]) / 255];
        $alpha = $as + $ab * (1 - $as);
        expect(ord($ours[$i * 4 + 3]))->toEqualWithDelta($alpha * 255, 1.0);
        $cb = array_map(fn (int $c): float => ord($below[$i * 4 + $c]) / 255, [0, 1, 2]);
        $cs = array_map(fn (int $c): float => ord($above[$i * 4 + $c]) / 255, [0, 1, 2]);
        $mixed = $blend($cb, $cs);
        for ($c = 0; $c < 3 && $alpha > 0; $c++) {
            $want = $as * (1 - $ab) * $cs[$c] + $as * $ab * $mixed[$c] + (1 - $as) * $ab * $cb[$c];
            // Weighed by alpha: the colour of what is nearly clear is known only to a few steps.
            $worst = max($worst, abs(ord($ours[$i * 4 + $c]) / 255 * $alpha - $want) * 255);
        }
    }
    expect($worst)->toBeLessThan(1.6);
})->with(BlendMode::cases());

// ImageMagick composes the same two opaque pictures.
it('agrees with ImageMagick', function (BlendMode $mode, string $theirs): void {
    $folder = Fixtures::temporary('blend');
    [$below, $above] = [colours(5, true), colours(6, true)];
    file_put_contents("$folder/below.rgba", $below);
    file_put_contents("$folder/above.rgba", $above);
    Fixtures::run(['convert', '-size', '24x24', '-depth', '8', "rgba:$folder/below.rgba", "rgba:$folder/above.rgba", '-compose', $theirs, '-composite', "rgba:$folder/out.rgba"]);
    $reference = (string) file_get_contents("$folder/out.rgba");
    $ours = over($below, $above, $mode);
    $off = 0;
    for ($i = 0, $n = strlen($ours); $i < $n; $i++) {
        $off += abs(ord($ours[$i]) - ord($reference[$i])) > 1 ? 1 : 0;
    }
    expect(strlen($reference))->toBe(strlen($ours))->and($off / strlen($ours))->toBeLessThan(0.001);
})->with([
    [BlendMode::Normal, 'Over'], [BlendMode::Multiply, 'Multiply'], [BlendMode::Screen, 'Screen'], [BlendMode::Overlay, 'Overlay'],
    [BlendMode::Darken, 'Darken'], [BlendMode::Lighten, 'Lighten'], [BlendMode::HardLight, 'Hard_Light'],
    [BlendMode::Difference, 'Difference'], [BlendMode::Exclusion, 'Exclusion'], [BlendMode::ColourDodge, 'Color_Dodge'], [BlendMode::ColourBurn, 'Color_Burn'],
    [BlendMode::SoftLight, 'Soft_Light'],
]);

it('repeats a tile from any corner', function (): void {
    $tile = Image::raw("\1\2\3\4", 2, 2, 1);
    expect($tile->tiled(0, 0, 3, 2)->toBytes())->toBe("\1\2\1\3\4\3")
        ->and($tile->tiled(1, 0, 3, 1)->toBytes())->toBe("\2\1\2")
        ->and($tile->tiled(-3, 5, 3, 1)->toBytes())->toBe("\4\3\4");
});

it('finds the box about ink to the pixel', function (): void {
    $dot = Image::raw("\xff", 1, 1, 1)->embed(7, 3, 20, 10);
    expect($dot->inkBox())->toBe([7, 3, 1, 1])->and(Image::empty(5, 5, 1)->inkBox())->toBeNull();
});
