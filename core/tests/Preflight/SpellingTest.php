<?php

declare(strict_types=1);

use TallCrow\Preflight\Dictionary;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Spelling;
use TallCrow\Preflight\Verdict;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

/** @return list<Finding> */
function spelling_of(string ...$texts): array
{
    $layers = array_map(fn (string $text, int $i): array => Fixtures::words("w$i", $text, 2, ['placement' => ['y' => 0.6 + $i * 0.8], 'source' => ['font' => 'courier-prime.woff2']]), $texts, array_keys($texts));
    $report = Preflight::artwork(Fixtures::artwork($layers), Fixtures::renderer(), Fixtures::shelf());

    return array_values(array_filter($report->findings, fn (Finding $finding): bool => str_starts_with($finding->key, 'spelling')));
}

it('agrees with hunspell on the command line', function (): void {
    $words = ['moth', 'mothh', 'kite', 'kyte', 'ringers', 'rngers', 'Tuesday', 'tuesdy', 'well-kept', 'colour', 'color'];
    $listed = preg_split('/\s+/', trim(Fixtures::run(['bash', '-c', 'printf "%s\n" '.implode(' ', array_map(escapeshellarg(...), $words)).' | hunspell -d en_US -i UTF-8 -l']))) ?: [];
    expect(array_map(strval(...), array_keys(Dictionary::unknown($words, 'en_US'))))->toEqual($listed)->and($listed)->toContain('kyte');
});

it('tells a word that no dictionary has, where it stands, and writes it right by one press', function (): void {
    [$finding] = spelling_of('MOTH NIGTH', 'bell ringers');
    expect($finding->key)->toBe('spelling:nigth')->and($finding->verdict)->toBe(Verdict::Warn)->and($finding->layers)->toBe(['w0'])->and($finding->says)->toContain('"NIGTH" is not in the English dictionary');
    $artwork = Fixtures::artwork([Fixtures::words('w0', 'MOTH NIGTH', 2)]);
    $texts = array_map(fn ($mend): string => Fixtures::edited($artwork, ...$mend->operations)->layers[0]->words()->text ?? '', $finding->mends);
    expect($texts)->toContain('MOTH NIGHT');
});

it('reads words that are knocked out, and mends a word wherever it stands, as it is written there', function (): void {
    $artwork = Fixtures::artwork([
        Fixtures::words('a', 'MOTH NIGTH', 2, ['placement' => ['y' => 1]]), Fixtures::words('b', 'the nigth of the moth', 2, ['placement' => ['y' => 2]]),
        ink_slab('plate', 0.3, 2.6, 2.7, 3.6), Fixtures::words('c', 'Nigth', 2, ['placement' => ['y' => 3.1], 'role' => ['kind' => 'knockout', 'gap' => 0]]),
        Fixtures::words('d', 'Kyte', 1, ['placement' => ['y' => 3.8], 'role' => ['kind' => 'knockout', 'gap' => 0]]),
    ]);
    $found = gauged(new Spelling, $artwork);
    $texts = fn (string $key, int $mend): array => array_map(fn ($layer): ?string => $layer->words()?->text, Fixtures::edited($artwork, ...$found[$key]->mends[$mend]->operations)->layers);
    expect(array_keys($found))->toBe(['spelling:nigth', 'spelling:kyte'])->and($found['spelling:nigth']->layers)->toBe(['a', 'b', 'c'])->and($found['spelling:nigth']->where)->toHaveCount(3)
        ->and($texts('spelling:nigth', (int) array_search('Write NIGHT', array_map(fn ($mend): string => $mend->says, $found['spelling:nigth']->mends), true)))->toBe(['MOTH NIGHT', 'the night of the moth', null, 'Night', 'Kyte'])->and($texts('spelling:kyte', 0)[4])->not->toBe('Kyte');
});

it('goes by the language that knows most of the words', function (): void {
    expect(spelling_of('Drachen über', 'den grünen Hügeln')[0]->verdict)->toBe(Verdict::Pass)
        ->and(spelling_of('la nuit des', 'papillons')[0]->says)->toContain('French')
        ->and(spelling_of('Drachen über den', 'grühnen Hügeln')[0]->key)->toBe('spelling:grühnen');
});

it('asks nothing about numbers, letters alone and other scripts', function (): void {
    expect(spelling_of('1931 K9', 'A & B'))->toBe([]);
});

it('counts the words that are known', function (string $text, string $figure): void {
    expect(spelling_of($text)[0]->figure)->toBe($figure);
})->with([['moth', '1 word'], ['moth night', '2 words'], ['moth moth', '1 word']]);

it('stays with the first language that knows most of the words', function (): void {
    // Three of five are English as well as French.
    expect(array_map(fn (Finding $finding): string => $finding->key, spelling_of('table nation machine', 'chouettes oiseaux')))->toBe(['spelling:chouettes', 'spelling:oiseaux']);
});
