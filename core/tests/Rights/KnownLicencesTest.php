<?php

declare(strict_types=1);

use TallCrow\Rights\Fact;
use TallCrow\Rights\FactName;
use TallCrow\Rights\Facts;
use TallCrow\Rights\KnownLicences;
use TallCrow\Rights\LicenceRefused;
use TallCrow\Rights\Spdx;

/** The published text, as the package spdx-license-list has it; for what the font exception stands on, Debian's copy of the GPL. */
function published_text(string $spdx): string
{
    $text = (string) file_get_contents(dirname(__DIR__)."/fixtures/licences/$spdx.txt");
    if ($spdx === 'GPL-2.0-with-font-exception') {
        $text .= (string) file_get_contents('/usr/share/common-licenses/GPL-2');
    }

    return letters_only($text);
}

function letters_only(string $text): string
{
    return trim((string) preg_replace('/[^a-z0-9]+/', ' ', strtolower($text)));
}

it('takes every fact of a known licence from a clause of its published text', function (string $spdx): void {
    $facts = KnownLicences::facts($spdx) ?? Facts::none();
    $stated = array_filter($facts->all(), fn (Fact $fact): bool => ! $fact->isUnknown());

    expect($stated)->not->toBeEmpty()->and(Spdx::has($spdx))->toBeTrue();
    foreach ($stated as $fact) {
        expect($fact->clause)->not->toBe('')->and(strlen(letters_only($fact->quote)))->toBeGreaterThan(5)->and(published_text($spdx))->toContain(letters_only($fact->quote));
    }
})->with(fn (): array => KnownLicences::ids());

// The clauses by which these licences are told apart: their published texts and the pages of those who publish them.
it('reads the known licences as their publishers sum them up', function (string $spdx, array $answers): void {
    foreach ($answers as $name => $answer) {
        expect(KnownLicences::facts($spdx)?->fact(FactName::from($name))->value)->toBe($answer, "$spdx, $name");
    }
})->with([
    ['OFL-1.1', ['commercial' => 'yes', 'credit' => 'no', 'share-alike' => 'no', 'sales' => 'unlimited', 'trade-mark' => 'unknown']],
    ['CC0-1.0', ['commercial' => 'yes', 'credit' => 'no', 'changed' => 'yes', 'trade-mark' => 'no']],
    ['CC-BY-4.0', ['commercial' => 'yes', 'credit' => 'required', 'share-alike' => 'no', 'changed' => 'yes']],
    ['CC-BY-SA-4.0', ['commercial' => 'yes', 'credit' => 'required', 'share-alike' => 'yes']],
    ['CC-BY-NC-4.0', ['commercial' => 'no', 'print-on-demand' => 'no', 'credit' => 'required']],
    ['CC-BY-ND-4.0', ['commercial' => 'yes', 'changed' => 'no', 'unaltered' => 'yes']],
    ['MIT', ['commercial' => 'yes', 'credit' => 'required', 'after-end' => 'unknown']],
    ['Apache-2.0', ['commercial' => 'yes', 'trade-mark' => 'no', 'after-end' => 'stay']],
    ['GPL-2.0-with-font-exception', ['commercial' => 'yes', 'share-alike' => 'no']],
]);

it('recognises a licence by its text, and none in other words', function (string $spdx): void {
    expect(KnownLicences::recognised("Copyright 2031 Quarry Road\r\n\r\n".file_get_contents(dirname(__DIR__)."/fixtures/licences/$spdx.txt")))->toBe($spdx);
})->with(fn (): array => KnownLicences::ids());

it('does not take a letter for a licence', function (): void {
    expect(KnownLicences::recognised('Thank you for your order of the moth pack. Open the folder first.'))->toBeNull()->and(KnownLicences::recognised(''))->toBeNull();
});

it('knows the names that people write', function (string $written, ?string $spdx): void {
    expect(KnownLicences::like($written))->toBe($spdx);
})->with([
    ['OFL', 'OFL-1.1'], ['SIL Open Font License, Version 1.1', 'OFL-1.1'], ['CC0 1.0', 'CC0-1.0'], ['CC0-1.0', 'CC0-1.0'], ['CC BY 4.0', 'CC-BY-4.0'], ['cc-by-sa-4.0', 'CC-BY-SA-4.0'],
    ['Creative Commons Attribution-NonCommercial 4.0 International', 'CC-BY-NC-4.0'], ['Apache License, Version 2.0', 'Apache-2.0'], ['the MIT License', 'MIT'], ['BSD-3-Clause', 'BSD-3-Clause'],
    ['Lantern pack, commercial', null], ['', null], ['our own', null],
]);

it('keeps what is stated and nothing else, and unknown is not a yes', function (): void {
    $facts = Facts::read(['sales' => ['value' => 'each-design', 'number' => 500], 'credit' => ['value' => 'unknown'], 'territory' => ['value' => 'named', 'text' => ' Norway, Iceland ']]);

    expect($facts->fact(FactName::Sales)->number)->toBe(500)->and($facts->fact(FactName::Commercial)->value)->toBe('unknown')->and(array_keys($facts->toArray()))->toBe(['sales', 'territory'])
        ->and($facts->fact(FactName::Territory)->text)->toBe('Norway, Iceland')->and(Facts::read($facts->toArray()))->toEqual($facts);
});

it('refuses answers that are none', function (array $facts, string $why): void {
    expect(fn () => Facts::read($facts))->toThrow(LicenceRefused::class, $why);
})->with([
    [['colour' => ['value' => 'yes']], 'is no fact of a licence'], [['commercial' => ['value' => 'maybe']], 'Choose one of: yes, no, unknown'],
    [['sales' => ['value' => 'in-all']], 'Say how many'], [['sales' => ['value' => 'in-all', 'number' => 0]], 'Say how many'], [['territory' => ['value' => 'named', 'text' => '  ']], 'Name the countries'],
]);

it('asks every fact as a question with an example and an answer for those who do not know', function (FactName $name): void {
    expect($name->question())->toEndWith('?')->and($name->example())->not->toBe('')->and(array_key_last($name->answers()))->toBe('unknown')->and(count($name->answers()))->toBeGreaterThan(2);
})->with(FactName::cases());
