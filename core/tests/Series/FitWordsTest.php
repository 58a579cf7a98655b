<?php

declare(strict_types=1);

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\TextSource;
use TallCrow\Series\Filled;
use TallCrow\Series\Filling;
use TallCrow\Series\Pattern;
use TallCrow\Series\RowNote;
use TallCrow\Tests\Fixtures;

/**
 * A row of a name that is 2.4 in wide on its pattern.
 *
 * @param  array<string, mixed>  $fit
 * @param  array<string, mixed>  $more
 */
function fitted_row(string $name, array $fit, array $more = []): Filled
{
    $artwork = Fixtures::artwork([Fixtures::words('name', 'Wren', 2.4, $more)]);
    $pattern = Pattern::data(['format' => Pattern::FORMAT, 'title' => '', 'slots' => [['name' => 'Name', 'places' => ['name/source/text'], 'fit' => $fit]]]);

    return (new Filling($artwork, $pattern, Fixtures::renderer()->placer))->row(['Name' => $name]);
}

/** @return list<string> */
function lines_of(Filled $filled): array
{
    $source = $filled->artwork->layer('name')?->source;

    return $source instanceof TextSource ? explode("\n", $source->text) : [];
}

/** @return list<float> thousandths of an em by which its letters are spaced, line of the sheet by line */
function spacing_of(Filled $filled): array
{
    $lines = array_filter($filled->artwork->layer('name')->effects ?? [], fn (EffectLine $line): bool => $line->kind === 'letter-spacing');

    return array_values(array_map(fn (EffectLine $line): float => $line->values->number('by'), $lines));
}

function said_of_row(Filled $filled): string
{
    return implode(' ', array_map(fn (RowNote $note): string => $note->says, $filled->notes));
}

/**
 * The length of the longest line of the best break, by trying every break there is.
 *
 * @param  list<string>  $words
 */
function shortest_longest(array $words, int $lines): int
{
    $least = PHP_INT_MAX;
    for ($breaks = 0; $breaks < 1 << count($words) - 1; $breaks++) {
        $try = [$words[0]];
        for ($i = 1; $i < count($words); $i++) {
            if ($breaks >> $i - 1 & 1) {
                $try[] = $words[$i];
            } else {
                $try[count($try) - 1] .= ' '.$words[$i];
            }
        }
        $least = count($try) === $lines ? min($least, max(array_map(mb_strlen(...), $try))) : $least;
    }

    return $least;
}

it('breaks words into as many lines as it takes, the longest as short as any break makes it', function (string $name, int $lines): void {
    // So high a least that no fewer lines will do.
    $one = fitted_row($name, [])->letters['Name'];
    $many = array_map(fn (int $most): float => fitted_row($name, ['lines' => $most, 'least' => 9.0])->letters['Name'], range(1, $lines));
    $filled = fitted_row($name, ['lines' => $lines, 'least' => $many[$lines - 1] - 0.001]);
    $words = explode(' ', $name);
    expect(implode(' ', lines_of($filled)))->toBe($name)->and($many[0])->toEqualWithDelta($one, 1e-6);
    $longest = max(array_map(mb_strlen(...), lines_of($filled)));
    expect($longest)->toBe(shortest_longest($words, count(lines_of($filled))));
})->with([
    ['Anna Maria Featherstone', 2],
    ['the bell ringers of Quarry Road', 2],
    ['the bell ringers of Quarry Road', 3],
    ['moth night at the old lantern house', 4],
    ['a bb ccc dddd eeeee', 3],
    ['kites kites kites kites', 4],
]);

it('breaks only where there is a word for each line', function (): void {
    expect(lines_of(fitted_row('Featherstone', ['lines' => 3, 'least' => 9.0])))->toBe(['Featherstone'])
        ->and(lines_of(fitted_row('Jo Featherstonehaugh', ['lines' => 2, 'least' => 9.0])))->toBe(['Jo', 'Featherstonehaugh'])
        ->and(lines_of(fitted_row('Jo Featherstonehaugh', ['lines' => 1, 'least' => 9.0])))->toBe(['Jo Featherstonehaugh'])
        ->and(said_of_row(fitted_row('Jo Featherstonehaugh', ['lines' => 3, 'least' => 9.0])))->not->toContain('in 3 lines');
});

it('spaces letters tighter by half of what is allowed, then by all of it', function (): void {
    $plain = fitted_row('Featherstonehaugh', [])->letters['Name'];
    $half = fitted_row('Featherstonehaugh', ['tighter' => 80, 'least' => $plain + 0.001]);
    $all = fitted_row('Featherstonehaugh', ['tighter' => 80, 'least' => $half->letters['Name'] + 0.001]);
    expect(spacing_of(fitted_row('Featherstonehaugh', ['tighter' => 80, 'least' => $plain])))->toBe([])
        ->and(spacing_of($half))->toBe([-40.0])->and(said_of_row($half))->toContain('is set a little tighter to fit')
        ->and(spacing_of($all))->toBe([-80.0])->and(said_of_row($all))->toContain('is set tighter to fit')->not->toContain('little')
        ->and($all->letters['Name'])->toBeGreaterThan($half->letters['Name'])->and($half->letters['Name'])->toBeGreaterThan($plain)
        // No tighter than a face can bear, and none where none is allowed.
        ->and(spacing_of(fitted_row('Featherstonehaugh', ['tighter' => 0, 'least' => 9.0])))->toBe([]);
});

it('takes what its letters are spaced by already into account', function (): void {
    $spaced = fn (array $line): array => ['effects' => [['kind' => 'fill', 'colour' => '#b04a2c'], ['kind' => 'letter-spacing'] + $line]];
    $plain = fitted_row('Featherstonehaugh', [], $spaced(['by' => 100]))->letters['Name'];
    $filled = fitted_row('Featherstonehaugh', ['tighter' => 80, 'least' => $plain + 0.001], $spaced(['by' => 100]));
    expect(spacing_of($filled))->toBe([60.0])
        // A line that is off spaces nothing: another comes before it.
        ->and(spacing_of(fitted_row('Featherstonehaugh', ['tighter' => 80, 'least' => fitted_row('Featherstonehaugh', [])->letters['Name'] + 0.001], $spaced(['by' => 100, 'on' => false]))))->toBe([-40.0, 100.0]);
});

it('goes no further than it has to, and takes what makes letters highest where nothing is enough', function (): void {
    $name = 'Anna Maria Featherstone';
    $plain = fitted_row($name, [])->letters['Name'];
    $rule = ['tighter' => 60, 'lines' => 3, 'long' => 'bebas-neue.woff2'];
    // Just enough is enough.
    expect(said_of_row(fitted_row($name, $rule + ['least' => $plain])))->toBe('')
        ->and(lines_of(fitted_row($name, $rule + ['least' => $plain])))->toBe([$name]);
    $most = fitted_row($name, $rule + ['least' => 9.0]);
    foreach ([['tighter' => 60], ['lines' => 2], ['lines' => 3], ['lines' => 3, 'tighter' => 60], ['long' => 'bebas-neue.woff2']] as $less) {
        expect(fitted_row($name, $less + ['least' => 9.0])->letters['Name'])->toBeLessThanOrEqual($most->letters['Name'] + 1e-6);
    }
    expect($most->notes)->toHaveCount(2)->and($most->notes[0]->grave)->toBeFalse()->and($most->notes[1]->grave)->toBeTrue()
        ->and($most->notes[1]->says)->toContain(sprintf('letters of %.2f in, and 9.00 in is the least', $most->letters['Name']));
});

it('sets long words in their own font, in lines where one is not enough', function (): void {
    $name = 'Anna Maria Featherstone';
    $long = fitted_row($name, ['long' => 'bebas-neue.woff2', 'least' => 9.0]);
    $broken = fitted_row($name, ['long' => 'bebas-neue.woff2', 'lines' => 2, 'least' => 9.0]);
    $source = $long->artwork->layer('name')?->source;
    expect($source instanceof TextSource ? $source->font : '')->toBe('bebas-neue.woff2')->and(said_of_row($long))->toContain('in the font for long words to fit')
        ->and(lines_of($broken))->toBe(['Anna Maria', 'Featherstone']);
});

it('keeps letters below what is the most, at any width', function (): void {
    $high = fitted_row('Al', ['most' => 0.5]);
    expect($high->letters['Name'])->toEqualWithDelta(0.5, 0.001)->and(fitted_row('Featherstonehaugh', ['most' => 0.5])->letters['Name'])->toBeLessThan(0.5)
        ->and($high->notes)->toBe([]);
});

it('leaves words alone that are the pattern\'s own', function (): void {
    $own = fitted_row('Wren', ['least' => 9.0, 'tighter' => 60]);
    expect($own->notes)->toBe([])->and(spacing_of($own))->toBe([])->and($own->letters['Name'])->toBeGreaterThan(0.3);
});

it('keeps words around a circle on it, with the place of their pattern, and sizes them by their letters', function (string $keep, string $name, float $least, float $most): void {
    $seal = ['placement' => ['width' => null, 'height' => null, 'capitals' => 0.3], 'effects' => [1 => ['kind' => 'around', 'diameter' => 1.6, 'side' => 'under']]];
    $filled = fitted_row($name, ['keep' => $keep, 'least' => 0.05, 'tighter' => 0, 'lines' => 1], $seal);
    $layer = $filled->artwork->layer('name');
    expect([$layer->placement->x, $layer->placement->y, $layer->placement->width])->toBe([1.5, 2.0, null])->and($layer->placement->letterSize)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
    // Its letters are read with their heads to the centre, and their middles stand 0.8 in from it.
    foreach (Fixtures::renderer()->placer->place($layer)->letters ?? [] as $letter) {
        expect(hypot($letter->x - 1.5, $letter->baseline - 2.0))->toEqualWithDelta(0.8 + $layer->placement->letterSize / 2, 1e-3);
    }
})->with([['letters', 'Wren of Tor', 0.3, 0.3], ['box', 'Wren of the Tor', 0.1, 0.2], ['box', 'Wr', 0.29, 0.3], ['width', 'Wren of the Tor', 0.1, 0.2]]);
