<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Paper\Catalogue as Papers;
use TallCrow\Paper\Colours;
use TallCrow\Raster\Image;
use TallCrow\Texture\Catalogue as Textures;

/*
 * What was sold worn is printed again next year: a texture and a paper look as they did when they were drawn for looks.json. Where one is meant to look
 * otherwise, LOOKS=write vendor/bin/pest core/tests/Texture/SameLookTest.php writes that file anew, and the change log says so.
 */

const LOOKS = __DIR__.'/../fixtures/looks.json';

/** Levels by which engines of other versions may round otherwise, in the mean and at most. */
const ROUNDED = [0.5, 24];

/** Means of a grid of 12 × 12 parts, and the pixels of a small part as they are. */
function looks_like(Image $field): string
{
    $side = $field->width();
    $means = $field->shrunk(intdiv($side, 12))->settled()->crop(0, 0, 12, 12);

    return base64_encode($means->linearByte(1)->toBytes().$field->crop(intdiv($side, 3), intdiv($side, 5), 20, 20)->toBytes());
}

/** @return array{float, int} mean and largest difference, in levels */
function looks_off(string $one, string $other): array
{
    [$a, $b] = [array_values((array) unpack('C*', (string) base64_decode($one, true))), array_values((array) unpack('C*', (string) base64_decode($other, true)))];
    expect(count($a))->toBe(count($b))->toBeGreaterThan(500);
    $off = array_map(fn (int $p, int $q): int => abs($p - $q), $a, $b);

    return [array_sum($off) / count($off), max($off)];
}

/** @return array<string, Closure(): Image> */
function looks(): array
{
    $looks = [];
    foreach (array_keys(Textures::classes()) as $kind) {
        $looks["texture $kind"] = fn (): Image => Textures::classes()[$kind]::field(5)->settled();
    }
    foreach (array_keys(Papers::classes()) as $kind) {
        $looks["paper $kind"] = fn (): Image => Papers::classes()[$kind]::tile(5, new Colours([Srgb::hex('#b04a2c'), Srgb::hex('#f3ead7'), Srgb::hex('#1f1d1a')]), 1)->settled();
    }

    return $looks;
}

it('looks as it did', function (string $name): void {
    $kept = json_decode((string) file_get_contents(LOOKS), true, flags: JSON_THROW_ON_ERROR);
    $now = looks_like(looks()[$name]());
    if (getenv('LOOKS') === 'write') {
        $kept[$name] = $now;
        file_put_contents(LOOKS, json_encode($kept, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n");
    }
    expect($kept)->toHaveKey($name);
    [$mean, $most] = looks_off($now, $kept[$name]);
    expect($mean)->toBeLessThan(ROUNDED[0])->and($most)->toBeLessThanOrEqual(ROUNDED[1]);
})->with(fn (): array => array_keys(looks()));
