<?php

declare(strict_types=1);

use TallCrow\Rights\Caution;
use TallCrow\Rights\Watched;
use TallCrow\Rights\WatchList;

it('finds a watched phrase in any dress', function (string $words, ?string $found): void {
    $hit = WatchList::found($words, [new Watched('Brindle Bros', 'a letter of theirs')]);
    expect($hit[0][1] ?? null)->toBe($found);
})->with([
    'as it is' => ['the Brindle Bros circus', 'Brindle Bros'], 'case and spaces' => ["B R I N D L E\nB R O S", 'B R I N D L E B R O S'], 'run together' => ['brindlebros', 'brindlebros'],
    'accents' => ['Brîndlé Brøs', 'Brîndlé Brøs'], 'digits for letters' => ['Br1ndl3 Br0s', 'Br1ndl3 Br0s'], 'letters of another script' => ['Вrindle Вrоs', 'Вrindle Вrоs'],
    'one letter too few' => ['Brinde Bros', 'Brinde Bros'], 'one too many' => ['Brindlle Bros', 'Brindlle Bros'], 'another one' => ['Brandle Bros', 'Brandle Bros'], 'two changed places' => ['Birndle Bros', 'Birndle Bros'],
    'signs between' => ['Brindle-Bros.', 'Brindle Bros'], 'two slips' => ['Brandle Bras', null], 'within another word' => ['Unbrindle brosser', null], 'half of it' => ['Brindle', null], 'nothing' => ['', null],
]);

it('takes short phrases as they are only', function (): void {
    expect(WatchList::found('the KIT of kites', [new Watched('kite')]))->toBe([])->and(WatchList::found('one K.I.T.E. flies', [new Watched('kite')]))->toHaveCount(1);
});

it('forgives one slip from five letters on', function (string $phrase, string $words, bool $found): void {
    expect(WatchList::found($words, [new Watched($phrase)]) !== [])->toBe($found);
})->with([['skiff', 'the skift', true], ['skiff', 'the skif', true], ['skiff', 'the skiffs', true], ['skiff', 'the ksiff', true], ['skif', 'the skip', false], ['skif', 'the skiff', false], ['skiff', 'the skipt', false]]);

it('cautions in neutral words, by kind', function (string $words, array $kinds): void {
    expect(Caution::of($words))->toBe($kinds);
})->with([
    ['Quarry Road College, est. 1931', [Caution::School]], ['Tide Pool F.C.', [Caution::Team]], ['The Quarry Road Gazette', [Caution::Newspaper]], ['Moth™', [Caution::Mark]],
    ['In memory of Ada', [Caution::Person]], ['In the style of Limpet', [Caution::Artist]], ['Moth night', []],
]);

it('points every caution to a register and never says that all is well', function (Caution $caution): void {
    expect($caution->register())->not->toBe('')->and($caution->says())->not->toContain('safe');
})->with(Caution::cases());
