<?php

declare(strict_types=1);

use TallCrow\Tests\Fixtures;
use TallCrow\Type\Alignment;
use TallCrow\Type\Character;
use TallCrow\Type\Font;
use TallCrow\Type\FontFeature;
use TallCrow\Type\Letter;
use TallCrow\Type\LetterCase;
use TallCrow\Type\LetterForm;
use TallCrow\Type\LetterForms;
use TallCrow\Type\LineSetting;
use TallCrow\Type\Setting;
use TallCrow\Type\Typesetter;
use TallCrow\Type\WhichLetters;

function swashes(): Font
{
    static $font;

    return $font ??= Font::fromBytes((string) file_get_contents(Fixtures::assets().'/style-script.woff2'));
}

/**
 * The font with other tables in the place of its own, or besides them (OpenType 1.9, "Organization of an OpenType font").
 *
 * @param  array<string, string>  $tables  by tag
 */
function with_tables(array $tables): Font
{
    $file = (string) file_get_contents(Fixtures::unpackedFont('style-script'));
    $count = (unpack('n', $file, 4) ?: [])[1];
    [$entries, $bodies] = ['', ''];
    for ($i = 0; $i < $count; $i++) {
        $entry = unpack('a4tag/Nsum/Nat/Nlength', $file, 12 + 16 * $i) ?: [];
        $tables += [$entry['tag'] => substr($file, $entry['at'], $entry['length'])];
    }
    ksort($tables);
    foreach ($tables as $tag => $body) {
        $entries .= pack('a4NNN', $tag, 0, 12 + 16 * count($tables) + strlen($bodies), strlen($body));
        $bodies .= $body.str_repeat("\0", -strlen($body) & 3);
    }

    return Font::fromBytes(substr($file, 0, 4).pack('n', count($tables)).substr($file, 6, 6).$entries.$bodies);
}

/**
 * The glyphs of a line as HarfBuzz's own program sets it with each of these features.
 *
 * @param  list<string>  $features
 * @return list<list<int>>
 */
function shaped_by_program(string $line, array $features): array
{
    // It reads no WOFF2.
    static $file;
    $file ??= Fixtures::unpackedFont('style-script');
    $asked = array_map(fn (string $one): string => implode(';', [$file, '--output-format=json', '--no-glyph-names', '--utf8-clusters', "--features=$one", $line]), $features);
    file_put_contents("$file.asked", implode("\n", $asked)."\n");
    $told = Fixtures::run(['sh', '-c', 'hb-shape --batch < "$1"', 'sh', "$file.asked"]);

    return array_map(fn (string $glyphs): array => array_column((array) json_decode($glyphs, true), 'g'), explode("\n", trim($told)));
}

/** @return list<string> the outlines of the letters of a line */
function outlines_set(string $line, FontFeature ...$features): array
{
    $setting = array_reduce($features, fn (Setting $setting, FontFeature $one): Setting => $setting->withFeature($one), new Setting(Alignment::Left, 1.0));

    return array_map(fn (Letter $letter): string => $letter->path->toSvg(), Typesetter::set($line, swashes(), $setting));
}

/** @return list<string> such as "swsh 1" */
function forms_told(string $text, int $letter, ?Setting $setting = null, WhichLetters $told = WhichLetters::One): array
{
    return array_map(fn (LetterForm $form): string => trim("$form->tag $form->value".($form->isCurrent ? ' now' : '')), LetterForms::of($text, swashes(), $setting ?? new Setting(Alignment::Left, 1.0), null, $letter, $told));
}

it('uses a feature for the letters that it is set for, as HarfBuzz does for the same bytes', function (WhichLetters $letters, string $line, string $features): void {
    $font = swashes();
    $set = $font->shape($line, FontFeature::of('swsh', 1, $letters, 3)->forLine(Character::ofLines([$line])));
    expect(array_map(fn ($glyph): int => $glyph->id, $set))->toBe(shaped_by_program($line, [$features])[0])
        ->not->toBe(shaped_by_program($line, [''])[0]);
})->with([
    'all' => [WhichLetters::All, 'lady Quill', 'swsh=1'],
    'the first of the line' => [WhichLetters::FirstOfLines, 'lady Quill', 'swsh[0:1]=1'],
    'the last of the line' => [WhichLetters::LastOfLines, 'lady Quill', 'swsh[9:10]=1'],
    'the first of each word' => [WhichLetters::FirstOfWords, 'lady Quill', 'swsh[0:1]=1,swsh[5:6]=1'],
    'the last of each word' => [WhichLetters::LastOfWords, 'lady Quill', 'swsh[3:4]=1,swsh[9:10]=1'],
    'one' => [WhichLetters::One, 'lady Quill', 'swsh[2:3]=1'],
    'one behind letters of several bytes' => [WhichLetters::One, 'éß  d', 'swsh[6:7]=1'],
]);

it('counts letters through all lines, with the marks that they bear, and not spaces', function (): void {
    $of = fn (string $how): array => array_map(fn (Character $one): string => $one->$how ? $one->text : '', Character::ofLines([" ae\u{301} o", '', 'x', "\u{a0}yz"]));
    expect(array_map(fn (Character $one): array => [$one->text, $one->number, $one->line, $one->start, $one->end()], Character::ofLines([" ae\u{301} o", '', 'x', "\u{a0}yz"])))->toBe([
        ['a', 1, 0, 1, 2], ["e\u{301}", 2, 0, 2, 5], ['o', 3, 0, 6, 7], ['x', 4, 2, 0, 1], ['y', 5, 3, 2, 3], ['z', 6, 3, 3, 4],
    ]);
    expect($of('isFirstOfLine'))->toBe(['a', '', '', 'x', 'y', ''])->and($of('isLastOfLine'))->toBe(['', '', 'o', 'x', '', 'z'])
        ->and($of('isFirstOfWord'))->toBe(['a', '', 'o', 'x', 'y', ''])->and($of('isLastOfWord'))->toBe(['', "e\u{301}", 'o', 'x', '', 'z']);
});

it('draws one letter of several lines otherwise, and leaves the others', function (): void {
    $plain = outlines_set("lad\nlad");
    $with = outlines_set("lad\nlad", FontFeature::of('swsh', 1, WhichLetters::One, 4));
    expect(array_keys(array_diff_assoc($with, $plain)))->toContain(3)->not->toContain(0, 1, 2);
    // Letters in another case count as they are set.
    $setting = (new Setting(Alignment::Left, 1.0))->withCase(LetterCase::Capitals);
    expect($setting->rows("ß a\r\nb"))->toBe(['SS A', 'B']);
});

it('finds every form that the font\'s own tables give a letter, each once', function (): void {
    // Forms of d by the program: those of each of the font's substitution features, told by glyph.
    $tried = [''];
    foreach (swashes()->substitutions() as $tag) {
        array_push($tried, ...array_map(fn (int $value): string => "{$tag}[2:3]=$value", range(0, 40)));
    }
    $ends = array_map(fn (array $glyphs): string => implode(' ', array_slice($glyphs, 2)), shaped_by_program('rod', $tried));
    expect($ends)->toHaveCount(count($tried));
    $theirs = array_diff(array_unique($ends), [$ends[0]]);
    $ours = LetterForms::of('rod', swashes(), new Setting(Alignment::Left, 1.0), null, 3, WhichLetters::One);
    $outlines = array_map(fn (LetterForm $form): string => $form->outline->toSvg(), $ours);
    expect($ours[0]->tag)->toBe('')->and($ours[0]->isCurrent)->toBeTrue()
        ->and(count($ours) - 1)->toBe(count($theirs))->toBeGreaterThan(5)
        ->and(array_unique($outlines))->toHaveCount(count($outlines));
    // Each draws what it says, in its place.
    foreach (array_slice($ours, 1) as $form) {
        $set = $form->outline->bounds();
        $line = Typesetter::set('rod', swashes(), (new Setting(Alignment::Left, 1.0))->withFeature(FontFeature::of($form->tag, $form->value, WhichLetters::One, 3)));
        $drawn = $line[2]->path->bounds();
        expect([$drawn->width(), $drawn->height(), $drawn->top])->toEqualWithDelta([$set->width(), $set->height(), $set->top], 1e-9);
    }
});

it('tells which form stands, and what would replace it', function (): void {
    $setting = (new Setting(Alignment::Left, 1.0))->withFeature(FontFeature::of('swsh', 1, WhichLetters::LastOfWords));
    // Told in the same way it would be replaced: the usual form is that of the font.
    expect(forms_told('rod', 3, $setting, WhichLetters::LastOfWords))->toContain('swsh 1 now')->and(forms_told('rod', 3, $setting, WhichLetters::LastOfWords)[0])->toBe('0');
    // Told otherwise it would stay: what stands is the usual form.
    expect(forms_told('rod', 3, $setting)[0])->toBe('0 now');
    expect(forms_told('rod', 2, $setting, WhichLetters::One)[0])->toBe('0 now')->and(forms_told('rod', 4))->toBe([])->and(forms_told('', 1))->toBe([]);
});

it('tells a ligature for each of its letters, and the letters apart', function (): void {
    expect(forms_told('field', 1))->toContain('liga 0')->and(forms_told('field', 2))->toContain('liga 0');
    // Letter-spacing has parted them already.
    expect(forms_told('field', 1, (new Setting(Alignment::Left, 1.0))->withTracking(50)))->not->toContain('liga 0');
});

it('looks in the font of the letter\'s own line', function (): void {
    $setting = (new Setting(Alignment::Left, 1.0))->withLine(1, new LineSetting('plain', 1.0, false));
    $plain = Font::fromBytes((string) file_get_contents(Fixtures::assets().'/mr-dafoe.woff2'));
    $forms = fn (int $letter): array => LetterForms::of("rod\nrod", swashes(), $setting, fn (): Font => $plain, $letter, WhichLetters::One);
    expect(count($forms(3)))->toBeGreaterThan(5)->and($forms(6))->toHaveCount(1)
        ->and($forms(6)[0]->outline->toSvg())->toBe($plain->character('d')->toSvg());
});

it('names a set as the font does, and nothing that it does not name', function (): void {
    // A script and a language list of one entry each, three features without lookups, of which ss01 points to its name's number 256.
    $features = ['salt' => 0, 'ss01' => 24, 'ss02' => 0];
    $records = implode('', array_map(fn (string $tag, int $i): string => $tag.pack('n', 20 + 4 * $i), array_keys($features), [0, 1, 2]));
    $list = pack('n', 3).$records.implode('', array_map(fn (int $to): string => pack('nn', $to === 0 ? 0 : 12 - 4, 0), $features)).pack('nn', 0, 256);
    $scripts = pack('n', 1).'DFLT'.pack('n', 8).pack('nn', 4, 0).pack('nnnnnn', 0, 0xFFFF, 3, 0, 1, 2);
    $gsub = pack('nnnnn', 1, 0, 10, 10 + strlen($scripts), 10 + strlen($scripts) + strlen($list)).$scripts.$list.pack('n', 0);
    $said = (string) mb_convert_encoding('Tails at the foot', 'UTF-16BE');
    $name = pack('nnn', 0, 1, 18).pack('nnnnnn', 3, 1, 0x409, 256, strlen($said), 0).$said;
    $font = with_tables(['GSUB' => $gsub, 'name' => $name]);
    expect($font->substitutions())->toBe(['salt', 'ss01', 'ss02'])->and($font->named('ss01'))->toBe('Tails at the foot')
        ->and([$font->named('ss02'), $font->named('salt'), $font->named('zzzz'), swashes()->named('ss01')])->toBe([null, null, null, null]);
});

it('leaves features alone whose tags are no text, which no file could name', function (): void {
    $scripts = pack('n', 1).'DFLT'.pack('n', 8).pack('nn', 4, 0).pack('nnnnn', 0, 0xFFFF, 2, 0, 1);
    $list = pack('n', 2).'salt'.pack('n', 14)."\xff\x00\x01\xfe".pack('n', 14).pack('nn', 0, 0);
    $gsub = pack('nnnnn', 1, 0, 10, 10 + strlen($scripts), 10 + strlen($scripts) + strlen($list)).$scripts.$list.pack('n', 0);
    $font = with_tables(['GSUB' => $gsub]);
    expect($font->substitutions())->toBe(['salt'])->and(json_encode($font->features()))->toBeString()
        ->and(LetterForms::of('rod', $font, new Setting(Alignment::Left, 1.0), null, 3, WhichLetters::One))->toHaveCount(1);
});

it('knows whether letters have colours of their own', function (): void {
    // COLR: one glyph of one layer (OpenType 1.9, "COLR version 0 header"); SVG: a list of no documents.
    $layers = pack('nnNNn', 0, 1, 14, 20, 1).pack('nnn', 1, 0, 1).pack('nn', 2, 0);
    expect(swashes()->hasColours())->toBeFalse()->and(with_tables([])->hasColours())->toBeFalse()
        ->and(with_tables(['COLR' => $layers])->hasColours())->toBeTrue()->and(with_tables(['SVG ' => pack('nNNn', 0, 10, 0, 0)])->hasColours())->toBeTrue();
});

it('lists the characters of a font as its table of them does', function (): void {
    $font = swashes();
    expect($font->characters())->toContain('A', 'é', '&')->not->toContain("\n")->and($font->characters())->toBe(array_values(array_filter($font->characters(), $font->has(...))))
        ->and($font->character('A')->toSvg())->toBe($font->outline($font->shape('A')[0]->id)->toSvg());
});

// As fonts of tiles and blocks: here the glyph of the space is that of H, so a line with spaces looks like one with H in their place.
it('draws a space that has an outline, and begins a new word behind it', function (): void {
    $glyph = fn (string $letter): int => swashes()->shape($letter)[0]->id;
    $groups = pack('N3', 0x20, 0x20, $glyph('H')).pack('N3', 0x41, 0x41, $glyph('A')).pack('N3', 0x48, 0x48, $glyph('H'));
    // OpenType 1.9, cmap: one encoding record (Windows, full repertoire), subtable of format 12.
    $font = with_tables(['cmap' => pack('n4N', 0, 1, 3, 10, 12).pack('n2N3', 12, 0, 16 + strlen($groups), 0, 3).$groups]);
    $set = fn (string $line): array => Typesetter::set($line, $font, new Setting(Alignment::Left, 1.0));
    expect(array_map(fn (Letter $letter): string => $letter->path->toSvg(), $set(' A A')))->toBe(array_map(fn (Letter $letter): string => $letter->path->toSvg(), $set('HAHA')))
        ->and(array_map(fn (Letter $letter): int => $letter->word, $set(' A A')))->toBe([0, 0, 0, 1])
        ->and(array_map(fn (Letter $letter): string => $letter->characters, $set('A A')))->toBe(['A', ' ', 'A']);
});
