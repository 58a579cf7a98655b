<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\NothingThere;
use TallCrow\Preflight\Verdict;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

/**
 * Words in two colours letter by letter, under lines of which looks come last.
 *
 * @param  list<array<string, mixed>>  $looks
 */
function letters_under(array $looks, string $text = 'KITE DAY', string $other = '#f3ead7', array $before = []): Artwork
{
    $words = Fixtures::words('w', $text, 2.2);
    $words['effects'] = [...$before, ['kind' => 'letter-colours', 'colours' => ['#1f1d1a', $other], 'way' => 'in-turn'], ...$looks];

    return Fixtures::artwork([$words]);
}

function nothing_there(Artwork $artwork): Finding
{
    $subject = subject_of($artwork);

    return (new NothingThere)->onSheet((new NothingThere)->picture($subject->picture)[0], $subject);
}

it('counts the letters of which a look leaves nothing, and takes the look out', function (): void {
    $sheet = letters_under([['kind' => 'photocopied', 'grain' => 0]]);
    $found = nothing_there($sheet);
    // Of seven letters every second one is pale, and a copy of the dark parts leaves nothing of it.
    expect($found->verdict)->toBe(Verdict::Fail)->and($found->says)->toBe('A look leaves nothing of 3 letters of KITE DAY.')
        ->and($found->layers)->toBe(['w'])->and($found->mends[0]->says)->toBe('Take out the line that clears KITE DAY');
    $mended = Fixtures::edited($sheet, ...$found->mends[0]->operations);
    expect(nothing_there($mended)->verdict)->toBe(Verdict::Pass)->and(count($mended->layers[0]->effects))->toBe(count($sheet->layers[0]->effects) - 1);
});

it('tells of one letter, and of none that is there', function (array $looks, string $text, string $other, ?string $says): void {
    $found = nothing_there(letters_under($looks, $text, $other));
    expect($found->verdict)->toBe($says === null ? Verdict::Pass : Verdict::Fail)->and($says === null || $found->says === $says)->toBeTrue();
})->with([
    'one of two' => [[['kind' => 'photocopied', 'grain' => 0]], 'HI', '#f3ead7', 'A look leaves nothing of one letter of HI.'],
    'both are dark' => [[['kind' => 'photocopied', 'grain' => 0]], 'HI', '#332a26', null],
    'dots' => [[['kind' => 'halftone', 'lpi' => 20]], 'HI', '#f3ead7', null],
    'no look' => [[], 'HI THERE', '#f3ead7', null],
]);

it('looks at each letter where it stands, bent and turned', function (): void {
    $sheet = letters_under([['kind' => 'photocopied', 'grain' => 0]], 'MOTHS', before: [['kind' => 'arch', 'bend' => 0.5]]);
    $turned = $sheet->withLayer('w', $sheet->layers[0]->turned(70, 1.5, 2.0));
    expect([nothing_there($sheet)->says, nothing_there($turned)->says])->toBe(['A look leaves nothing of 2 letters of MOTHS.', 'A look leaves nothing of 2 letters of MOTHS.']);
});

it('takes a full stop that is cleared for no loss', function (): void {
    // The same design twice, one six times as large as the other.
    $sheet = fn (float $by): Artwork => Fixtures::artwork([array_replace(Fixtures::words('w', 'HI.', 0.9 * $by), ['effects' => [['kind' => 'fill', 'colour' => '#1f1d1a'], ['kind' => 'tidied', 'specks' => 0.2 * $by, 'pinholes' => 0]]])]);
    expect(nothing_there($sheet(1.0))->says)->toStartWith('A look leaves nothing of one letter of HI.')->and(nothing_there($sheet(1 / 6))->verdict)->toBe(Verdict::Pass);
});

it('leaves to others what a mask takes', function (): void {
    $sheet = letters_under([['kind' => 'halftone', 'lpi' => 20]], 'HI', '#332a26');
    $masked = Fixtures::artwork([['masks' => [['kind' => 'rectangle', 'x' => 0.2, 'y' => 0.5, 'width' => 0.4, 'height' => 1.2]]] + $sheet->layers[0]->toArray()]);
    expect(nothing_there($masked)->verdict)->toBe(Verdict::Pass);
});
