<?php

declare(strict_types=1);

use TallCrow\Tests\Fixtures;

it('tells the letters of words and the forms that the font has of one', function (): void {
    $this->shelve('style-script.woff2');
    $job = $this->job([Fixtures::words('word', "lad of\nroad", 2.0, ['source' => ['font' => 'style-script.woff2']]), Fixtures::shape('plate', 'rectangle', 1)]);
    $at = "/api/revisions/{$job->head_id}/layers/word/forms";
    $told = $this->getJson("$at?letter=9&told=one-letter")->assertOk()->json();
    expect(implode('', array_column($told['letters'], 'text')))->toBe('ladofroad')->and(array_column($told['letters'], 'line'))->toBe([0, 0, 0, 0, 0, 1, 1, 1, 1])
        ->and(array_column($told['letters'], 'told', 'number')[9])->toBe(['last-of-lines', 'last-of-words', 'one-letter'])
        ->and(array_column($told['letters'], 'told', 'number')[3])->toBe(['last-of-words', 'one-letter']);
    $forms = array_column($told['forms'], null, 'tag');
    expect($told['forms'][0]['tag'])->toBe('')->and($told['forms'][0]['isCurrent'])->toBeTrue()->and($forms['swsh']['isCurrent'])->toBeFalse()
        // The swash goes higher and is wider than the plain letter; its picture begins with a move.
        ->and($forms['swsh']['drawing']['width'])->toBeGreaterThan($told['forms'][0]['drawing']['width'])
        ->and($forms['swsh']['drawing']['path'])->toMatch('/^M-?\d+ -?\d+ [-MLQCZ0-9 ]+Z$/');

    foreach (['letter=0&told=one-letter' => 'letter', 'told=one-letter' => 'letter', 'letter=x&told=one-letter' => 'letter', 'letter=1&told=all-letters' => 'told', 'letter=1' => 'told'] as $bad => $field) {
        $this->getJson("$at?$bad")->assertJsonValidationErrorFor($field);
    }
    expect($this->getJson("$at?letter=99&told=one-letter")->assertOk()->json('forms'))->toBe([]);
    $this->getJson("/api/revisions/{$job->head_id}/layers/plate/forms?letter=1&told=one-letter")->assertNotFound();
    $this->getJson("/api/revisions/{$job->head_id}/layers/none/forms?letter=1&told=one-letter")->assertNotFound();
});

it('lists the characters of a font some at a time, and finds them by name', function (): void {
    $this->shelve('style-script.woff2', 'moth.svg');
    [$font, $art] = array_map(fn (string $file): mixed => $this->shop->assets()->where('file', $file)->value('id'), ['style-script.woff2', 'moth.svg']);
    $first = $this->getJson("/api/assets/$font/characters")->assertOk()->json();
    $second = $this->getJson("/api/assets/$font/characters?from=120")->assertOk()->json();
    $all = array_filter(Fixtures::shelf()->font('style-script.woff2')->characters(), fn (string $one): bool => trim($one, " \u{a0}") !== '');
    expect($first['characters'])->toHaveCount(120)->and($first['characters'][0]['character'])->toBe('!')
        ->and(array_intersect(array_column($first['characters'], 'character'), array_column($second['characters'], 'character')))->toBe([])
        ->and($first['all'])->toBeGreaterThan(300)->toBeLessThanOrEqual(count($all));
    $found = fn (string $words): array => array_column($this->getJson("/api/assets/$font/characters?find=".urlencode($words))->assertOk()->json('characters'), 'name', 'character');
    expect($found('&'))->toBe(['&' => 'ampersand'])->and($found('small Letter e  acute'))->toHaveKey('é')->not->toHaveKey('e')->and($found('no such thing'))->toBe([]);
    expect($this->getJson("/api/assets/$font/characters?from=9999")->assertOk()->json('characters'))->toBe([]);
    $this->getJson("/api/assets/$art/characters")->assertNotFound();
    $this->getJson("/api/assets/$font/characters?from=-1")->assertJsonValidationErrorFor('from');
});
