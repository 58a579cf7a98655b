<?php

declare(strict_types=1);

use TallCrow\Artwork\EffectLine;
use TallCrow\Edit\EditRefused;
use TallCrow\Edit\Operations;
use TallCrow\Render\IdleLines;
use TallCrow\Tests\Fixtures;

/** @return array<string, mixed> words without lines in a font of many forms */
function script(string $text): array
{
    return ['effects' => []] + Fixtures::words('w', $text, 3, ['source' => ['font' => 'style-script.woff2']]);
}

/**
 * The lines of words after letters were set in other forms.
 *
 * @param  list<array<string, mixed>>  $effects
 * @param  list<array<string, mixed>>  $forms
 * @return list<string> the kinds, of features with what they tell
 */
function formed(array $effects, array ...$forms): array
{
    $words = ['effects' => $effects] + script('lad road');
    $operations = array_map(fn (array $form): array => $form + ['op' => 'set-form', 'id' => 'w', 'letter' => 1, 'value' => 1], $forms);
    $layer = Fixtures::edited(Fixtures::artwork([$words]), ...Operations::read($operations))->layer('w');

    return array_map(fn (EffectLine $line): string => implode(' ', [$line->kind, ...($line->kind === 'feature' ? array_map(fn (string $name): string => (string) $line->values->word($name), ['tag', 'value', 'letters', 'letter']) : [])]), $layer->effects ?? []);
}

it('sets letters in another form, and in their usual one again', function (): void {
    $ink = [['kind' => 'letter-spacing', 'by' => 20], ['kind' => 'fill', 'colour' => '#000000']];
    $swash = ['letters' => 'last-of-words', 'tag' => 'swsh'];
    expect(formed($ink, $swash))->toBe(['letter-spacing', 'feature swsh 1 last-of-words 1', 'fill'])
        ->and(formed($ink, $swash, ['tag' => 'ss03', 'value' => 2] + $swash))->toBe(['letter-spacing', 'feature ss03 2 last-of-words 1', 'fill'])
        ->and(formed($ink, $swash, ['tag' => ''] + $swash))->toBe(['letter-spacing', 'fill']);
});

it('replaces what was set for the same letters alone', function (): void {
    $one = fn (int $letter, string $tag): array => ['letters' => 'one-letter', 'letter' => $letter, 'tag' => $tag];
    $all = ['kind' => 'feature', 'tag' => 'ss01', 'value' => 1];
    expect(formed([$all, ['kind' => 'fill', 'colour' => '#000000']], $one(3, 'swsh'), $one(7, 'swsh'), $one(3, 'ss02'), ['letters' => 'first-of-words', 'tag' => 'ss04']))->toBe([
        'feature ss01 1 all-letters 1', 'feature swsh 1 one-letter 7', 'feature ss02 1 one-letter 3', 'feature ss04 1 first-of-words 1', 'fill',
    ])->and(formed([$all], $one(3, '')))->toBe(['feature ss01 1 all-letters 1']);
});

it('keeps a rule when the words change, and says where a letter is gone', function (): void {
    $lines = [['kind' => 'feature', 'tag' => 'swsh', 'value' => 1, 'letters' => 'last-of-words'], ['kind' => 'feature', 'tag' => 'swsh', 'value' => 1, 'letters' => 'one-letter', 'letter' => 7]];
    $ink = fn (string $text, int ...$kept): string => serialize(Fixtures::renderer()->placer->place(
        Fixtures::artwork([['effects' => array_map(fn (int $i): array => $lines[$i], $kept)] + script($text)])->layers[0],
    ));
    expect($ink('mad', 0))->not->toBe($ink('mad'))->and($ink('mad', 1))->toBe($ink('mad'))->and($ink('lad road', 0))->toBe($ink('lad road', 0, 1))
        ->and($ink('lad road', 1))->not->toBe($ink('lad road'));
    $layer = Fixtures::artwork([['effects' => $lines] + script('mad')])->layers[0];
    expect((new IdleLines(Fixtures::renderer()->placer))->of($layer))->toHaveCount(1)->toHaveKey(1);
});

it('refuses what is no text', function (): void {
    Fixtures::edited(Fixtures::artwork([Fixtures::shape('plate', 'ellipse', 2)]), ...Operations::read([['op' => 'set-form', 'id' => 'plate', 'letters' => 'one-letter', 'letter' => 1, 'tag' => 'swsh', 'value' => 1]]));
})->throws(EditRefused::class, 'is no text');
