<?php

declare(strict_types=1);

use TallCrow\Rights\Counts;
use TallCrow\Rights\Credits;
use TallCrow\Rights\Facts;
use TallCrow\Rights\Judge;
use TallCrow\Rights\Judgement;
use TallCrow\Rights\KnownLicences;
use TallCrow\Rights\Licence;
use TallCrow\Rights\LicenceRefused;
use TallCrow\Rights\PrintedAs;
use TallCrow\Rights\PrintedFile;
use TallCrow\Rights\Reason;
use TallCrow\Rights\Ruling;
use TallCrow\Rights\Usage;

/** Terms of a bought pack that allow all, but for what is stated otherwise. */
function pack_facts(array $facts = []): Facts
{
    return Facts::read($facts + [
        'commercial' => ['value' => 'yes'], 'print-on-demand' => ['value' => 'yes'], 'unaltered' => ['value' => 'yes'], 'changed' => ['value' => 'yes'], 'sales' => ['value' => 'unlimited'],
        'territory' => ['value' => 'worldwide'], 'credit' => ['value' => 'no'], 'share-alike' => ['value' => 'no'],
    ]);
}

function ruled(array $facts = [], ?Usage $usage = null, bool $alone = false, ?Counts $counts = null, ?string $until = null, ?int $seats = null, bool $font = false, int $proofs = 1): Judgement
{
    $licence = new Licence('Kite pack', seats: $seats, until: $until === null ? null : new DateTimeImmutable($until), stated: pack_facts($facts), proofs: $proofs);
    $file = new PrintedFile($font ? 'kite.otf' : 'kite.svg', [$font ? PrintedAs::Font : PrintedAs::Picture], ['Kite'], $alone);

    return Judge::rule($usage ?? new Usage, $file, $licence, $counts ?? new Counts, new DateTimeImmutable('2031-03-01 15:00'));
}

it('rules by each fact alone', function (array $facts, Ruling $ruling, string $says, array $more = []): void {
    $judged = ruled($facts, ...$more);

    expect($judged->ruling)->toBe($ruling)->and(implode(' ', array_map(fn (Reason $reason): string => $reason->says, $judged->reasons)))->toContain($says);
})->with([
    'all allowed' => [[], Ruling::Allowed, ''],
    'private only' => [['commercial' => ['value' => 'no']], Ruling::NotAllowed, 'not be used to earn money'],
    'money unknown' => [['commercial' => ['value' => 'unknown']], Ruling::Look, 'is not known'],
    'no print on demand' => [['print-on-demand' => ['value' => 'no']], Ruling::NotAllowed, 'not be printed on demand'],
    'extended only' => [['print-on-demand' => ['value' => 'extended-only']], Ruling::NotAllowed, 'extended licence'],
    'alone though it must be part' => [['unaltered' => ['value' => 'no']], Ruling::NotAllowed, 'only as part of a new design', ['alone' => true]],
    'part as it must be' => [['unaltered' => ['value' => 'no']], Ruling::Allowed, '', ['alone' => false]],
    'changed though it may not' => [['changed' => ['value' => 'no']], Ruling::NotAllowed, 'may not be changed'],
    'unchanged as it must be' => [['changed' => ['value' => 'no']], Ruling::Allowed, '', ['alone' => true]],
    'words are set, not changed' => [['changed' => ['value' => 'no'], 'unaltered' => ['value' => 'no']], Ruling::Allowed, '', ['font' => true]],
    'credit' => [['credit' => ['value' => 'required', 'text' => 'Moth Press']], Ruling::Duties, 'Credit is due: Moth Press.'],
    'share alike' => [['share-alike' => ['value' => 'yes']], Ruling::Duties, 'under the same licence'],
    'a duty does not outweigh a ban' => [['credit' => ['value' => 'required'], 'commercial' => ['value' => 'no']], Ruling::NotAllowed, 'Credit is due'],
    'generated' => [['generated' => ['value' => 'yes']], Ruling::Look, 'made by a generator'],
    'a person' => [['person' => ['value' => 'yes']], Ruling::Look, 'no written consent'],
    'a person without consent' => [['person' => ['value' => 'yes'], 'release' => ['value' => 'no']], Ruling::NotAllowed, 'no written consent'],
    'a person with consent' => [['person' => ['value' => 'yes'], 'release' => ['value' => 'yes']], Ruling::Allowed, ''],
    'no proof' => [[], Ruling::Look, 'No proof', ['proofs' => 0]],
    'too few seats' => [[], Ruling::NotAllowed, '1 person may work with it; the brief names 3', ['seats' => 1, 'usage' => new Usage(seats: 3)]],
    'enough seats' => [[], Ruling::Allowed, '', ['seats' => 3, 'usage' => new Usage(seats: 3)]],
    'as a mark, unknown' => [[], Ruling::Look, 'logo or trade mark is not known', ['usage' => new Usage(asMark: true)]],
    'as a mark, no' => [['trade-mark' => ['value' => 'no']], Ruling::NotAllowed, 'part of a logo', ['usage' => new Usage(asMark: true)]],
    'no mark asked' => [['trade-mark' => ['value' => 'no']], Ruling::Allowed, ''],
    'at home only, sold everywhere' => [['territory' => ['value' => 'named', 'text' => 'Norway']], Ruling::NotAllowed, 'that is everywhere'],
    'within the countries' => [['territory' => ['value' => 'named', 'text' => 'Norway, Iceland']], Ruling::Allowed, '', ['usage' => new Usage(territories: ['iceland '])]],
    'beyond the countries' => [['territory' => ['value' => 'named', 'text' => 'Norway']], Ruling::NotAllowed, 'not in Iceland', ['usage' => new Usage(territories: ['Norway', 'Iceland'])]],
    'ended yesterday' => [['after-end' => ['value' => 'stay']], Ruling::NotAllowed, 'listed before may stay', ['until' => '2031-02-28']],
    'ends today' => [['after-end' => ['value' => 'taken-down']], Ruling::Look, 'in 0 days. Listed designs must come down', ['until' => '2031-03-01']],
    'ends in 30 days' => [[], Ruling::Look, 'in 30 days', ['until' => '2031-03-31']],
    'ends in 31 days' => [[], Ruling::Allowed, '', ['until' => '2031-04-01']],
]);

it('counts sales against the limit that is stated, and warns from four fifths of it', function (string $limit, int $sold, int $expected, Ruling $ruling, string $says): void {
    $counts = new Counts(ofAsset: $limit === 'each-asset' ? $sold : 9999, ofDesign: $limit === 'each-design' ? $sold : 9999, ofLicence: $limit === 'in-all' ? $sold : 9999);
    $judged = ruled(['sales' => ['value' => $limit, 'number' => 500]], new Usage(units: $expected), counts: $counts);

    expect($judged->ruling)->toBe($ruling)->and($judged->reasons[0]->says ?? '')->toContain($says);
})->with([
    ['each-asset', 399, 10, Ruling::Allowed, ''], ['each-asset', 400, 10, Ruling::Look, '400 of 500 sales are used: the limit is near'], ['each-asset', 499, 1, Ruling::Look, 'near'],
    ['each-asset', 500, 0, Ruling::NotAllowed, 'the limit is reached'], ['each-design', 390, 200, Ruling::Look, '200 more are expected'], ['each-design', 300, 200, Ruling::Allowed, ''], ['in-all', 700, 1, Ruling::NotAllowed, 'reached'],
]);

it('asks for a licence where none is recorded', function (): void {
    $judged = Judge::rule(new Usage, new PrintedFile('moth.svg', [PrintedAs::Picture], []), null, new Counts, new DateTimeImmutable('2031-03-01'));
    expect($judged->ruling)->toBe(Ruling::Look)->and($judged->reasons[0]->says)->toContain('No licence is recorded');
});

it('names clause and words of a known licence', function (): void {
    $licence = new Licence('Creative Commons', 'CC-BY-NC-4.0', stated: KnownLicences::facts('CC-BY-NC-4.0'), proofs: 1);
    $judged = Judge::rule(new Usage, new PrintedFile('moth.svg', [PrintedAs::Picture], [], true), $licence, new Counts, new DateTimeImmutable('2031-03-01'));

    expect($judged->ruling)->toBe(Ruling::NotAllowed)->and($judged->reasons[0]->clause)->toBe('section 2(a)(1)(A)')->and($judged->reasons[0]->quote)->toContain('for NonCommercial purposes only');
});

it('refuses what is no licence', function (): void {
    expect(fn () => new Licence('Pack', 'NOT-A-LICENCE'))->toThrow(LicenceRefused::class, 'not on the SPDX list')
        ->and(fn () => new Licence('Pack', from: new DateTimeImmutable('2031-03-02'), until: new DateTimeImmutable('2031-03-01')))->toThrow(LicenceRefused::class, 'ends before it begins')
        ->and(ruled(until: null)->licence?->until)->toBeNull();
    $later = new Licence('Later', from: new DateTimeImmutable('2031-03-02'), stated: pack_facts(), proofs: 1);
    expect(Judge::rule(new Usage, new PrintedFile('kite.svg', [PrintedAs::Picture], []), $later, new Counts, new DateTimeImmutable('2031-03-01'))->reasons[0]->says)->toContain('begins on 2 March 2031');
});

// Author, title, source, licence and the note of a change: what CC BY 4.0 asks for in section 3(a)(1).
it('writes the credits that are due, each once', function (): void {
    $licence = new Licence('CC BY 4.0', 'CC-BY-4.0', source: 'licences.example/by', stated: KnownLicences::facts('CC-BY-4.0'), proofs: 1);
    $of = fn (bool $alone): Judgement => Judge::rule(new Usage, new PrintedFile('moth.svg', [PrintedAs::Picture], [], $alone), $licence, new Counts, new DateTimeImmutable('2031-03-01'));
    $piece = ['title' => 'Luna moth', 'author' => 'A. Quarry', 'url' => 'art.example/moth'];

    expect(Credits::text([$piece + ['judgement' => $of(false)], $piece + ['judgement' => $of(false)], ['title' => 'Kite', 'author' => 'X', 'url' => '', 'judgement' => ruled()]]))
        ->toBe('"Luna moth" by A. Quarry (art.example/moth), CC BY 4.0 (licences.example/by); changed.')
        ->and(Credits::text([$piece + ['judgement' => $of(true)]]))->not->toContain('changed')
        ->and(Credits::text([['title' => 'Rye', 'author' => 'Copyright (c) 2031 Quarry Type.', 'url' => '', 'judgement' => $of(true)]]))->toStartWith('"Rye", Copyright (c) 2031 Quarry Type, CC BY 4.0');
});
