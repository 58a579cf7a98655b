<?php

declare(strict_types=1);

use TallCrow\Series\Filling;
use TallCrow\Series\Pattern;
use TallCrow\Series\PatternInvalid;
use TallCrow\Series\RowTable;
use TallCrow\Tests\Fixtures;

function slots_of(string ...$places): Pattern
{
    return Pattern::data(['format' => Pattern::FORMAT, 'title' => '', 'slots' => array_map(fn (string $place, int $i): array => ['name' => "It$i", 'places' => [$place]], array_values($places), array_keys(array_values($places)))]);
}

it('reads yes and no as people write them', function (string $written, bool $is): void {
    $artwork = Fixtures::artwork([Fixtures::shape('bar', 'rectangle', 2)]);
    $filled = (new Filling($artwork, slots_of('bar/on'), Fixtures::renderer()->placer))->row(['It0' => $written])->artwork;
    expect($filled->layer('bar')?->on)->toBe($is);
})->with([['yes', true], ['On', true], ['TRUE', true], ['1', true], ['x', true], [' Yes ', true], ['no', false], ['Off', false], ['false', false], ['0', false], ['', false]]);

it('keeps whole numbers whole where they stood so, and takes a fraction where it is one', function (): void {
    $slot = slots_of('s/repeat/count', 's/placement/x', 's/placement/turn');
    $data = ['layers' => [['id' => 's', 'repeat' => ['count' => 3], 'placement' => ['x' => 1.5, 'turn' => 10]]]];
    foreach (['7' => 7, '-7' => -7, '7.5' => 7.5] as $written => $is) {
        expect($slot->slots[0]->fill($data, (string) $written)['layers'][0]['repeat']['count'])->toBe($is);
    }
    expect($slot->slots[1]->fill($data, '2')['layers'][0]['placement']['x'])->toBe(2.0)->and($slot->slots[2]->fill($data, ' 12 ')['layers'][0]['placement']['turn'])->toBe(12);
});

it('takes colours with and without their sign and swatches by name, and words that look like colours as words', function (): void {
    $data = ['layers' => [['id' => 'w', 'source' => ['kind' => 'text', 'text' => '#ff8000'], 'effects' => [['kind' => 'fill', 'colour' => '@ink']]]]];
    $slots = slots_of('w/effects/0/colour', 'w/source/text')->slots;
    $colour = fn (string $value): mixed => $slots[0]->fill($data, $value)['layers'][0]['effects'][0]['colour'];
    expect($colour('B33A1F'))->toBe('#b33a1f')->and($colour('#b33a1f'))->toBe('#b33a1f')->and($colour('@paper'))->toBe('@paper')->and(fn () => $colour('teal'))->toThrow(PatternInvalid::class, 'no colour')
        ->and($slots[1]->fill($data, 'Rook')['layers'][0]['source']['text'])->toBe('Rook');
});

it('names cloths in any case, in the order in which they are named', function (): void {
    $data = ['garments' => [['name' => 'Oat', 'colour' => '#eeeecc'], ['name' => 'Coal'], ['colour' => '#000000']], 'layers' => []];
    [$slot] = slots_of('/garments')->slots;
    expect(array_column($slot->fill($data, 'coal + OAT')['garments'], 'name'))->toBe(['Coal', 'Oat'])->and(fn () => $slot->fill($data, 'oat + velvet'))->toThrow(PatternInvalid::class, 'cloth of this pattern');
});

it('shows what stands in a slot as its list would have it', function (): void {
    $artwork = Fixtures::artwork([Fixtures::shape('bar', 'rectangle', 2), Fixtures::shape('off', 'rectangle', 2, more: ['on' => false])], ['garments' => [['name' => 'Oat', 'colour' => '#eeeecc'], ['name' => 'Coal', 'colour' => '#202020']]]);
    $shown = fn (string $place): string => Pattern::example(slots_of($place)->slots[0], $artwork);
    expect($shown('bar/on'))->toBe('yes')->and($shown('off/on'))->toBe('no')->and($shown('/garments'))->toBe('Oat + Coal')->and($shown('bar/placement/width'))->toBe('2')->and($shown('bar/effects'))->not->toContain('Oat')->and(fn () => $shown('gone/on'))->toThrow(PatternInvalid::class, 'has no "gone/on"');
});

it('refuses a slot without a name, with braces in it, or without a place', function (array $slot, string $says): void {
    expect(fn () => Pattern::data(['format' => Pattern::FORMAT, 'title' => '', 'slots' => [$slot]]))->toThrow(PatternInvalid::class, $says);
})->with([
    [['name' => '  ', 'places' => ['a/on']], 'needs a name'],
    [['name' => 'a{b', 'places' => ['a/on']], 'without braces'],
    [['name' => 'It', 'places' => []], 'fills nothing'],
]);

it('leaves rows out that have nothing, too much or what cannot be printed, and goes on after them', function (): void {
    $slots = slots_of('a/source/text', 'b/source/text')->slots;
    $longest = str_repeat('m', 300);
    $read = RowTable::read([['it0', ' IT1 '], ['Rook', 'one'], ['', ''], ['', 'two'], [$longest, 'three'], [$longest.'m', 'four'], ["a\x07", 'five'], ['Wren', 'six']], $slots);
    expect($read['numbers'])->toBe([2, 5, 8])->and($read['rows'][2])->toBe(['It0' => 'Wren', 'It1' => 'six'])->and($read['problems'])->toBe([
        'Row 4, column it0: is empty.', 'Row 6, column it0: is longer than 300 letters.', 'Row 7, column it0: has characters that nothing can print.',
    ]);
});

it('reads tables by the mark that their first row has most of, with a byte order mark or in the old letters of Windows', function (): void {
    expect(RowTable::cells("\xEF\xBB\xBFa;b,c;d\n1;2;3"))->toBe([['a', 'b,c', 'd'], ['1', '2', '3']])
        ->and(RowTable::cells("name\nZo\xEB"))->toBe([['name'], ['Zoë']])
        ->and(RowTable::cells("name\nZoë"))->toBe([['name'], ['Zoë']]);
});
