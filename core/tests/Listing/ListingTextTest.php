<?php

declare(strict_types=1);

use TallCrow\Listing\ListingLimits;
use TallCrow\Listing\ListingText;

it('counts characters as a reader does', function (string $text, int $length): void {
    expect(ListingText::length($text))->toBe($length);
})->with([
    'plain' => ['Moth night', 10],
    'an accent as a sign of its own (UAX #29, GB9)' => ["re\u{301}sume\u{301}", 6],
    'Hangul of three parts (UAX #29, GB6 to GB8)' => ["\u{1112}\u{1161}\u{11AB}", 1],
    'a joined emoji (UAX #29, GB11)' => ["\u{1F469}\u{200D}\u{1F52C}", 1],
    'a flag of two letters (UAX #29, GB12)' => ["\u{1F1EE}\u{1F1F8}", 1],
    'nothing' => ['', 0],
]);

it('says what is over which limit, and nothing where none is stated', function (): void {
    $tags = ['moth', 'night', 'Moth ', 'lantern evening'];
    expect((new ListingText('Moth night tee', str_repeat('a', 600), $tags, new ListingLimits(10, 500, 3, 10)))->faults())->toBe([
        'Title: 14 characters, 10 at most.', 'Description: 600 characters, 500 at most.', 'Tags: 4 tags, 3 at most.', 'Tag "Moth " is there twice.', 'Tag "lantern evening": 15 characters, 10 at most.',
    ])->and((new ListingText('Moth night tee', str_repeat('a', 600), ['moth'], new ListingLimits))->faults())->toBe([])
        ->and((new ListingText(' ', '', [], new ListingLimits(10)))->faults())->toBe(['There is no title yet.'])
        ->and((new ListingText('Moth night', '', [], new ListingLimits(10)))->faults())->toBe([]);
});
