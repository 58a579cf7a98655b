<?php

declare(strict_types=1);

use TallCrow\Geometry\Box;
use TallCrow\Tests\Fixtures;
use TallCrow\Type\Alignment;
use TallCrow\Type\Font;
use TallCrow\Type\Letter;
use TallCrow\Type\LetterCase;
use TallCrow\Type\LineSetting;
use TallCrow\Type\Setting;
use TallCrow\Type\Stand;
use TallCrow\Type\Typesetter;

function plainSetting(): Setting
{
    return new Setting(Alignment::Left, 1);
}

function slab(): Font
{
    static $font = null;

    return $font ??= Fixtures::shelf()->font('alfa-slab-one.woff2');
}

/** @param  list<Letter>  $letters */
function lineBox(array $letters, int $line): Box
{
    return Letter::together(array_values(array_filter($letters, fn (Letter $letter): bool => $letter->line === $line)))->bounds();
}

it('kerns one pair and no other', function (): void {
    $plain = Typesetter::set('AVOVA', slab(), plainSetting());
    $kerned = Typesetter::set('AVOVA', slab(), plainSetting()->withKern('AV', -80)->withKern('AV', 20));
    $moved = array_map(fn (int $i): float => round($kerned[$i]->x - $plain[$i]->x, 9), range(0, 4));
    expect($moved)->toBe([0.0, -0.06, -0.06, -0.06, -0.06]);
});

it('sets capitals, small letters and first letters', function (LetterCase $case, string $says): void {
    expect($case->of('kite éCLAIR'))->toBe($says);
    $letters = Typesetter::set('kite', slab(), plainSetting()->withCase(LetterCase::Capitals));
    expect(implode('', array_map(fn (Letter $l): string => $l->characters, $letters)))->toBe('KITE');
})->with([[LetterCase::AsTyped, 'kite éCLAIR'], [LetterCase::Capitals, 'KITE ÉCLAIR'], [LetterCase::Small, 'kite éclair'], [LetterCase::Title, 'Kite Éclair']]);

it('makes the ends larger and keeps them in line where asked', function (Stand $stand): void {
    $plain = Typesetter::set("BELL\nTOWER", slab(), plainSetting());
    $large = Typesetter::set("BELL\nTOWER", slab(), plainSetting()->withEnds(1.5, $stand));
    foreach ([[0, 1.5], [1, 1.0], [3, 1.5], [4, 1.5], [8, 1.5]] as [$i, $by]) {
        $was = $plain[$i]->path->bounds();
        $is = $large[$i]->path->bounds();
        expect($is->height())->toEqualWithDelta($was->height() * $by, 1e-9);
        match ($stand) {
            Stand::Baseline => expect($is->bottom)->toEqualWithDelta($plain[$i]->line + ($was->bottom - $plain[$i]->line) * $by, 1e-9),
            Stand::Top => expect($is->top)->toEqualWithDelta($was->top, 1e-9),
            Stand::Middle => expect($is->top + 1e-9)->toBeLessThan($was->top + 1e-6)->and($is->bottom)->toBeGreaterThanOrEqual($was->bottom - 1e-9),
        };
    }
    expect($large[1]->x)->toBeGreaterThan($plain[1]->x);
})->with(Stand::cases());

it('gives a line its own font and size', function (): void {
    $named = fn (string $name): Font => Fixtures::shelf()->font($name);
    $letters = Typesetter::set("BELL\nBELL\nBELL", slab(), plainSetting()->withLine(1, new LineSetting('anton.woff2', 0.5)), $named);
    expect(lineBox($letters, 0)->width())->toEqualWithDelta(lineBox($letters, 2)->width(), 1e-9)
        ->and(lineBox($letters, 1)->width())->toEqualWithDelta(Letter::together(Typesetter::set('BELL', $named('anton.woff2'), plainSetting()))->bounds()->width() / 2, 1e-9)
        // The leading goes with the size of the line that it leads to.
        ->and(array_values(array_filter($letters, fn (Letter $l): bool => $l->line === 1))[0]->baseline)->toEqualWithDelta(0.5, 1e-9);
});

it('fits one line to the widest of the others', function (): void {
    $letters = Typesetter::set("QUARRY ROAD\nNO. 7", slab(), plainSetting()->withLine(1, new LineSetting(null, 1, true)));
    expect(lineBox($letters, 1)->width())->toEqualWithDelta(lineBox($letters, 0)->width(), 1e-9);
});

it('fits every line to one width with one gap', function (): void {
    $letters = Typesetter::set("ROOKERY\nNO. 7\n\nSINCE 1931", slab(), plainSetting()->withBlock(0.04));
    $boxes = array_map(fn (int $line): Box => lineBox($letters, $line), [0, 1, 3]);
    foreach ($boxes as $i => $box) {
        expect($box->width())->toEqualWithDelta($boxes[0]->width(), 1e-9)->and($box->left)->toEqualWithDelta($boxes[0]->left, 1e-9);
        if ($i > 0) {
            expect($box->top - $boxes[$i - 1]->bottom)->toEqualWithDelta(0.04 * $boxes[0]->width(), 1e-9);
        }
    }
});

it('counts words across lines', function (): void {
    $letters = Typesetter::set("hold  the\nline", slab(), plainSetting());
    expect(array_values(array_unique(array_map(fn (Letter $l): int => $l->word, $letters))))->toBe([0, 1, 2])
        ->and($letters[7]->word)->toBe(2);
});

// HarfBuzz's own hb-shape is the reference for right-to-left text and combining marks.
it('sets right-to-left words and combining marks as hb-shape does', function (string $name, string $text): void {
    $font = Fixtures::shelf()->font("$name.woff2");
    $theirs = json_decode(Fixtures::run(['hb-shape', '--no-glyph-names', '--output-format=json', Fixtures::unpackedFont($name), $text]), true);
    $pen = 0;
    $lefts = [];
    foreach ($theirs as $glyph) {
        $outline = $font->outline($glyph['g']);
        if (! $outline->isEmpty()) {
            $lefts[] = round(($pen + $glyph['dx']) / $font->unitsPerEm + $outline->bounds()->left, 6);
        }
        $pen += $glyph['ax'];
    }
    $ours = array_map(fn (Letter $l): float => round($l->path->bounds()->left, 6), Typesetter::set($text, $font, plainSetting()));
    expect($ours)->toEqualWithDelta($lefts, 1e-5)->and(count($ours))->toBeGreaterThan(2);
})->with([
    'Hebrew' => ['suez-one-hebrew', 'עפיפון'], 'Hebrew with points' => ['suez-one-hebrew', 'יוֹם'],
    'acute and grave, composed' => ['alfa-slab-one', "cafe\u{301} a\u{300} la"],
]);

it('knows the features that a font has, and sets by them', function (): void {
    $font = Fixtures::shelf()->font('grenze-gotisch.woff2');
    expect($font->features())->toContain('kern')->and(preg_grep('/^....$/', $font->features()))->toHaveCount(count($font->features()));
    $numbers = fn (array $features): array => array_map(fn ($glyph): int => $glyph->id, $font->shape('0123456789 fi', $features));
    $with = array_filter($font->features(), fn (string $tag): bool => $numbers(["$tag=1"]) !== $numbers(["$tag=0"]));
    expect($with)->not->toBe([]);
});

it('sets 10,000 letters in time that grows no faster than they do', function (): void {
    $letters = Typesetter::set(implode("\n", array_fill(0, 100, str_repeat('kites ', 16).'kite')), slab(), plainSetting());
    expect(count($letters))->toBe(100 * 84);
});

/** The box of a line of words as it prints, in pixels. @param  list<array<string, mixed>>  $effects */
function printed_box(string $text, array $effects): array
{
    $words = Fixtures::words('w', $text, 2, ['effects' => [['kind' => 'fill', 'colour' => '#000000'], ...$effects]]);
    $words['placement'] = ['x' => 1.5, 'y' => 2, 'width' => null, 'height' => 0.5];

    return Fixtures::render(Fixtures::artwork([$words]))->alpha()->isMore(127.0)->inkBox() ?? [0, 0, 0, 0];
}

it('carries the lines of a sheet into the setting', function (): void {
    // Told in thousandths of an em: a pair set closer makes the word narrower, and one that is not there changes nothing.
    $plain = printed_box('AVAV', [])[2];
    expect(printed_box('AVAV', [['kind' => 'kerning', 'pair' => 'AV', 'by' => -200]])[2])->toBeLessThan($plain - 20)
        ->and(printed_box('AVAV', [['kind' => 'kerning', 'pair' => 'TO', 'by' => -200]])[2])->toBe($plain);
    // Kerning by the font itself, switched off by its feature's tag.
    expect(printed_box('AVAV', [['kind' => 'feature', 'tag' => 'kern', 'value' => 0]])[2])->not->toBe($plain);
    // Two lines of unlike length come out as wide as one another.
    $fit = Fixtures::words('w', "I\nKITES", 2, ['effects' => [['kind' => 'fill', 'colour' => '#000000'], ['kind' => 'fit-lines', 'gap' => 0.1]]]);
    $ink = Fixtures::render(Fixtures::artwork([$fit]))->alpha()->isMore(127.0)->settled();
    [$left, $top, $width, $height] = $ink->inkBox() ?? [0, 0, 0, 0];
    $upper = $ink->crop($left, $top, $width, intdiv($height, 2))->inkBox() ?? [0, 0, 0, 0];
    $lower = $ink->crop($left, $top + $height - 100, $width, 100)->inkBox() ?? [0, 0, 0, 0];
    expect($upper[2])->toEqualWithDelta($width, 1)->and($lower[2])->toEqualWithDelta($width, 1)->and($width)->toEqualWithDelta(600, 1);
});

it('shakes letters within bounds, the same for one number, and leaves the words as they were', function (): void {
    $placed = fn (array $values): array => (new TallCrow\Render\Renderer(Fixtures::shelf()))->placer->place(Fixtures::artwork([['effects' => $values === [] ? [] : [$values + ['kind' => 'jitter']]] + Fixtures::words('w', 'BELLS', 2.4, ['placement' => ['width' => null, 'height' => 0.5]])])->layers[0])->letters;
    $turned = fn (array $letters): array => array_map(fn ($letter): float => rad2deg(atan2($letter->right[1], $letter->right[0])), $letters);
    $shaken = $turned($placed(['shift' => 0, 'turn' => 8, 'size' => 0, 'seed' => 3]));
    expect(max(array_map(abs(...), $shaken)))->toBeGreaterThan(2.0)->toBeLessThan(8.0)->and($turned($placed([])))->toEqualWithDelta([0, 0, 0, 0, 0], 1e-9)
        ->and($turned($placed(['shift' => 0, 'turn' => 8, 'size' => 0, 'seed' => 3])))->toBe($shaken)->and($turned($placed(['shift' => 0, 'turn' => 8, 'size' => 0, 'seed' => 4])))->not->toBe($shaken);
});

it('frames the room of a letter that is missing, as tall as usual capitals, and hollow', function (): void {
    // Armenian is in no letter of the slab: set with gaps, each is an empty frame.
    $letters = Typesetter::set('HՓH', slab(), plainSetting(), gaps: true);
    expect(array_map(fn (Letter $letter): bool => $letter->isGap, $letters))->toBe([false, true, false]);
    $box = $letters[1]->path->bounds();
    // Seven tenths of an em high; its sides stand in from the room by 8 % each, and are 0.03 em thick.
    $room = $box->width() / 0.84;
    expect($box->height())->toEqualWithDelta(0.7, 1e-9)->and($box->bottom)->toEqualWithDelta(0.0, 1e-9)->and($room)->toBeGreaterThanOrEqual(0.3)
        ->and(TallCrow\Geometry\Region::filledBy($letters[1]->path)->area())->toEqualWithDelta($box->width() * 0.7 - ($box->width() - 0.06) * 0.64, 1e-6)
        // The room of the frame is what it moves the next letter on by.
        ->and($letters[2]->path->bounds()->left)->toBeGreaterThan($box->right);
    expect(fn () => Typesetter::set('HՓH', slab(), plainSetting()))->toThrow(TallCrow\Type\MissingGlyphs::class, 'Փ (U+0553)');
});

it('tells the middle of each letter\'s room, and of larger ends of theirs', function (): void {
    $advance = slab()->shape('H')[0]->advance;
    $middles = fn (Setting $setting): array => array_map(fn (Letter $letter): float => $letter->x, Typesetter::set('HHH', slab(), $setting));
    expect($middles(plainSetting()))->toEqualWithDelta([0.5 * $advance, 1.5 * $advance, 2.5 * $advance], 1e-9)
        ->and($middles(plainSetting()->withEnds(1.5, Stand::from('baseline'))))->toEqualWithDelta([0.75 * $advance, 2.0 * $advance, 3.25 * $advance], 1e-9);
});

it('leaves a blank line out of a block and sets what comes after it', function (): void {
    $letters = Typesetter::set("H\n \nHH", slab(), plainSetting()->withBlock(0.1));
    expect(array_map(fn (Letter $letter): int => $letter->line, $letters))->toBe([0, 2, 2]);
    // Both lines are as wide as the widest, and stand a tenth of that apart.
    expect(lineBox($letters, 0)->width())->toEqualWithDelta(lineBox($letters, 2)->width(), 1e-6)
        ->and(lineBox($letters, 2)->top - lineBox($letters, 0)->bottom)->toEqualWithDelta(0.1 * lineBox($letters, 0)->width(), 1e-6);
});
