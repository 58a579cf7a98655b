<?php

declare(strict_types=1);

use TallCrow\Geometry\Box;
use TallCrow\Render\IdleLines;
use TallCrow\Render\Measures;
use TallCrow\Tests\Fixtures;
use TallCrow\Type\Alignment;
use TallCrow\Type\Axis;
use TallCrow\Type\Font;
use TallCrow\Type\Letter;
use TallCrow\Type\Setting;
use TallCrow\Type\Typesetter;

/** A font of two axes: weight 100 to 900, usually 100, and width 50 to 150, usually 100. */
function variable_font(): Font
{
    return Font::fromBytes((string) file_get_contents(Fixtures::assets().'/anybody.woff2'));
}

/** The box of some words in ems, at places on the font's axes. @param  array<string, float>  $at */
function varied_box(string $text, array $at): Box
{
    return Letter::together(Typesetter::set($text, variable_font()->varied($at), new Setting(Alignment::Left, 1)))->bounds();
}

/**
 * @param  list<array<string, mixed>>  $effects  besides a black fill
 * @return array<string, mixed>
 */
function variable_words(string $text, array $effects): array
{
    return Fixtures::words('w', $text, 2, ['source' => ['font' => 'anybody.woff2'], 'effects' => [['kind' => 'fill', 'colour' => '#000000'], ...$effects]]);
}

// Debian's hb-shape varies advances, offsets and outlines by code of its own; our outlines are FreeType's.
it('sets a variable font at a place on its axes as hb-shape does', function (array $at): void {
    $told = implode(',', array_map(fn (string $tag, float $value): string => "$tag=$value", array_keys($at), $at));
    $theirs = json_decode(Fixtures::run(['hb-shape', '--no-glyph-names', '--no-clusters', '--show-extents', '--output-format=json', "--variations=$told", Fixtures::unpackedFont('anybody'), 'AVATAR Kite 27, (No. 8)!?']), true);
    $font = variable_font()->varied($at);
    $em = $font->unitsPerEm;
    $shaped = $font->shape('AVATAR Kite 27, (No. 8)!?');
    expect(count($shaped))->toBe(count($theirs));
    foreach ($shaped as $i => $glyph) {
        expect([$glyph->id, $glyph->advance * $em, $glyph->shiftX * $em])->toEqualWithDelta([$theirs[$i]['g'], $theirs[$i]['ax'], $theirs[$i]['dx']], 0.01);
        if (! $font->outline($glyph->id)->isEmpty()) {
            $box = $font->outline($glyph->id)->bounds();
            // Extents are told in whole units, rounded outwards.
            expect([$box->left * $em, -$box->top * $em, $box->width() * $em, -$box->height() * $em])->toEqualWithDelta([$theirs[$i]['xb'], $theirs[$i]['yb'], $theirs[$i]['w'], $theirs[$i]['h']], 2.0);
        }
    }
})->with([[['wght' => 100.0]], [['wght' => 900.0]], [['wdth' => 50.0]], [['wght' => 650.0, 'wdth' => 137.5]], [['wght' => 123.0, 'wdth' => 61.0]], [['wght' => 5000.0, 'wdth' => -3.0]]]);

it('tells the axes of a font, and none of a font that does not vary', function (): void {
    expect(variable_font()->axes())->toEqual([new Axis('wdth', 'width', 50, 100, 150), new Axis('wght', 'weight', 100, 100, 900)])
        ->and(Fixtures::shelf()->font('anton.woff2')->axes())->toBe([])
        ->and(variable_font()->varied(['wght' => 900.0])->weight()->called())->toBe('black')
        ->and(variable_font()->weight()->called())->toBe('thin');
});

it('offers no axis whose tag is no text, and scrubs a name', function (): void {
    $bytes = (string) file_get_contents(Fixtures::unpackedFont('anybody'));
    $odd = Font::fromBytes(str_replace('wdth'.pack('N', 50 * 65536), "\xFF\xFE\0\1".pack('N', 50 * 65536), $bytes, $count));
    expect($count)->toBe(1)->and(array_map(fn (Axis $axis): string => $axis->tag, $odd->axes()))->toBe(['wght'])
        ->and($odd->varied(["\xFF\xFE\0\1" => 150.0]))->toBe($odd);
    // A tag that is not registered is called by the font's own table of names, or by itself.
    $named = Font::fromBytes(str_replace('wdth'.pack('N', 50 * 65536), 'GRAD'.pack('N', 50 * 65536), $bytes));
    expect(json_encode($named->axes()[0]))->toContain('"tag":"GRAD"')->and($named->axes()[0]->name)->not->toBe('');
});

it('stays as it is without an axis to vary', function (array $at): void {
    $font = variable_font();
    expect($font->varied($at))->toBe($font);
})->with([[[]], [['slnt' => -10.0]]]);

it('stays the same however many other places it was set at', function (): void {
    $font = variable_font();
    $box = fn (Font $one): array => (array) $one->outline($one->shape('R')[0]->id)->bounds();
    $first = $box($font->varied(['wght' => 150.0]));
    foreach (range(200, 880, 10) as $weight) {
        expect($box($font->varied(['wght' => (float) $weight])))->not->toBe($first);
    }
    expect($box($font->varied(['wght' => 150.0])))->toBe($first);
});

it('gives one line a place of its own, and the last word to that line', function (): void {
    $setting = (new Setting(Alignment::Left, 1))->withAxis(null, 'wght', 300.0)->withAxis(1, 'wght', 900.0)->withAxis(null, 'wdth', 80.0);
    $letters = Typesetter::set("KITE\nKITE", variable_font(), $setting);
    $box = fn (int $line): Box => Letter::together(array_values(array_filter($letters, fn (Letter $letter): bool => $letter->line === $line)))->bounds();
    expect($box(0)->width())->toEqualWithDelta(varied_box('KITE', ['wght' => 300.0, 'wdth' => 80.0])->width(), 1e-9)
        ->and($box(1)->width())->toEqualWithDelta(varied_box('KITE', ['wght' => 900.0, 'wdth' => 80.0])->width(), 1e-9)
        ->and($box(1)->width())->toBeGreaterThan(1.05 * $box(0)->width());
});

it('prints words at the weight and width of their line of the sheet', function (): void {
    $ink = function (array $effects): array {
        $words = variable_words('KITE', $effects);
        $words['placement'] = ['x' => 1.5, 'y' => 2, 'width' => null, 'height' => 0.5];
        $alpha = Fixtures::render(Fixtures::artwork([$words]))->alpha();

        return [$alpha->isMore(127.0)->inkBox()[2] ?? 0, $alpha->area()];
    };
    $ratio = fn (array $at): float => varied_box('KITE', $at)->width() / varied_box('KITE', $at)->height();
    [$wide, $heavy] = [$ink([['kind' => 'variation', 'axis' => 'wdth', 'value' => 150]]), $ink([['kind' => 'variation', 'axis' => 'wght', 'value' => 900]])];
    expect($wide[0])->toEqualWithDelta(150 * $ratio(['wdth' => 150.0]), 1.5)
        ->and($heavy[0])->toEqualWithDelta(150 * $ratio(['wght' => 900.0]), 1.5)
        ->and($heavy[1])->toBeGreaterThan(1.5 * $ink([])[1]);
});

it('sizes by capitals of the letters as they are varied', function (): void {
    $words = variable_words('KITE', [['kind' => 'variation', 'axis' => 'wght', 'value' => 900]]);
    $words['placement'] = ['x' => 1.5, 'y' => 2, 'width' => null, 'height' => null, 'capitals' => 0.5];
    $renderer = Fixtures::renderer();
    $layer = Fixtures::artwork([$words])->layers[0];
    $flat = array_values(array_filter($renderer->placer->place($layer)->letters ?? [], fn (Letter $letter): bool => in_array($letter->characters, ['K', 'I', 'T', 'E'], true)));
    expect($flat[1]->path->bounds()->height())->toEqualWithDelta(0.5, 0.004);
});

it('measures the axes that a line of the sheet may go along', function (): void {
    $tags = fn (array $words): array => array_map(fn (Axis $axis): string => $axis->tag, Measures::of(Fixtures::artwork([$words]), Fixtures::renderer()->placer)[0]->axes);
    expect($tags(variable_words('KITE', [])))->toBe(['wdth', 'wght'])
        ->and($tags(Fixtures::words('w', 'KITE', 2)))->toBe([])
        ->and($tags(Fixtures::words('w', "A\nB", 2, ['effects' => [['kind' => 'fill', 'colour' => '#000000'], ['kind' => 'line', 'number' => 2, 'font' => 'anybody.woff2']]])))->toBe(['wdth', 'wght'])
        ->and($tags(Fixtures::shape('s', 'ellipse', 1)))->toBe([]);
});

it('says that a line changes nothing', function (array $words, bool $isIdle): void {
    $said = (new IdleLines(Fixtures::renderer()->placer))->of(Fixtures::artwork([$words])->layers[0]);
    expect(str_contains($said[1] ?? '', 'Does nothing here'))->toBe($isIdle);
})->with([
    'another font' => [fn (): array => Fixtures::words('w', 'KITE', 2, ['effects' => [['kind' => 'fill', 'colour' => '#000000'], ['kind' => 'variation', 'axis' => 'wght', 'value' => 900]]]), true],
    'no such axis' => [fn (): array => variable_words('KITE', [['kind' => 'variation', 'axis' => 'slnt', 'value' => -9]]), true],
    'the usual place' => [fn (): array => variable_words('KITE', [['kind' => 'variation', 'axis' => 'wght', 'value' => 100]]), true],
    'a line that is not there' => [fn (): array => variable_words('KITE', [['kind' => 'variation', 'axis' => 'wght', 'value' => 900, 'line' => 2]]), true],
    'an axis of the font' => [fn (): array => variable_words('KITE', [['kind' => 'variation', 'axis' => 'wght', 'value' => 900]]), false],
    'a feature that the font lacks' => [fn (): array => Fixtures::words('w', 'KITE', 2, ['effects' => [['kind' => 'fill', 'colour' => '#000000'], ['kind' => 'feature', 'tag' => 'ss19']]]), true],
    'kerning switched off' => [fn (): array => Fixtures::words('w', 'AVAV', 2, ['effects' => [['kind' => 'fill', 'colour' => '#000000'], ['kind' => 'feature', 'tag' => 'kern', 'value' => 0]]]), false],
]);

it('varies the line that a line of the sheet names', function (): void {
    $letters = Fixtures::renderer()->placer->place(Fixtures::artwork([variable_words("KITE\nKITE", [['kind' => 'variation', 'axis' => 'wdth', 'value' => 150, 'line' => 2]])])->layers[0])->letters ?? [];
    $wide = fn (int $line): float => Letter::together(array_values(array_filter($letters, fn (Letter $letter): bool => $letter->line === $line)))->bounds()->width();
    expect($wide(1) / $wide(0))->toEqualWithDelta(varied_box('KITE', ['wdth' => 150.0])->width() / varied_box('KITE', [])->width(), 1e-6)->toBeGreaterThan(1.2);
});
