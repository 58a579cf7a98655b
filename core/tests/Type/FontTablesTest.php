<?php

declare(strict_types=1);

use TallCrow\Tests\Fixtures;
use TallCrow\Type\Axis;
use TallCrow\Type\MissingGlyphs;
use TallCrow\Type\Weight;

/** The bytes of a table of an OpenType file, by its directory (OpenType 1.9, "Organization of an OpenType Font"). */
function font_table(string $bytes, string $tag): string
{
    $count = unpack('n', $bytes, 4)[1];
    for ($i = 0; $i < $count; $i++) {
        $entry = substr($bytes, 12 + 16 * $i, 16);
        if (substr($entry, 0, 4) === $tag) {
            [, $offset, $length] = unpack('N2', $entry, 8);

            return substr($bytes, $offset, $length);
        }
    }

    return '';
}

/** @return list<string> tags of the feature list of GSUB or GPOS */
function feature_tags(string $table): array
{
    if ($table === '') {
        return [];
    }
    $list = unpack('n', $table, 6)[1];
    $count = unpack('n', $table, $list)[1];

    return array_map(fn (int $i): string => substr($table, $list + 2 + 6 * $i, 4), $count > 0 ? range(0, $count - 1) : []);
}

/** @return ?array{float, float, float} least, usual and most of the axis of weight */
function weight_axis(string $fvar): ?array
{
    if ($fvar === '') {
        return null;
    }
    [, $start, , $count, $size] = unpack('n4', $fvar, 4);
    for ($i = 0; $i < $count; $i++) {
        $axis = substr($fvar, $start + $size * $i, $size);
        if (substr($axis, 0, 4) === 'wght') {
            return array_map(fn (int $fixed): float => $fixed / 65536, array_values(unpack('N3', $axis, 4)));
        }
    }

    return null;
}

dataset('fonts', fn (): array => array_map(fn (string $file): string => basename($file, '.woff2'), glob(Fixtures::assets().'/*.woff2') ?: []));

it('reads features and weight as they stand in the tables of the file, and measures capitals as HarfBuzz does', function (string $name): void {
    $bytes = (string) file_get_contents(Fixtures::unpackedFont($name));
    $font = Fixtures::shelf()->font("$name.woff2");
    $tags = array_values(array_unique([...feature_tags(font_table($bytes, 'GSUB')), ...feature_tags(font_table($bytes, 'GPOS'))]));
    expect($font->features())->toEqualCanonicalizing($tags);

    $os2 = font_table($bytes, 'OS/2');
    [$class, $axis] = [unpack('n', $os2, 4)[1], weight_axis(font_table($bytes, 'fvar'))];
    $weights = array_map(fn (Axis $one): array => [$one->least, $one->usual, $one->most], array_values(array_filter($font->axes(), fn (Axis $one): bool => $one->tag === 'wght')));
    expect($weights)->toBe($axis === null ? [] : [$axis])->and($font->weight()->value)->toBe($axis === null ? $class : (int) round($axis[1]));

    // HarfBuzz's own tool tells the box of a glyph: how far left, how far up, how wide, how far down.
    $file = Fixtures::temporary('font').'/font.ttf';
    file_put_contents($file, $bytes);
    if (preg_match('/^\[(\d+)=.*<-?\d+,(-?\d+),\d+,-?\d+>\]/', Fixtures::run(['hb-shape', '--show-extents', '--no-glyph-names', $file, 'H']), $found) === 1 && $found[1] !== '0') {
        expect($font->capHeight())->toEqualWithDelta((int) $found[2] / $font->unitsPerEm, 1.5 / $font->unitsPerEm);
    }
})->with('fonts');

it('calls a weight by the class that is nearest', function (int $value, string $called): void {
    expect((new Weight($value))->called())->toBe($called);
})->with([[240, 'extra-light'], [260, 'light'], [400, 'regular'], [649, 'semi-bold'], [651, 'bold'], [1, 'thin'], [1000, 'black']]);

it('names eight letters that are missing, and counts the rest', function (): void {
    $of = fn (int $count): string => MissingGlyphs::of(array_slice(['α', 'β', 'γ', 'δ', 'ε', 'ζ', 'η', 'θ', 'ι', 'κ'], 0, $count), 'Alfa')->getMessage();
    expect($of(8))->toContain('α (U+03B1)', 'θ (U+03B8)')->not->toContain('more')->and($of(9))->toContain('θ (U+03B8) and 1 more')->not->toContain('ι')->and($of(10))->toContain('and 2 more');
});
