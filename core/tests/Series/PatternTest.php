<?php

declare(strict_types=1);

use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Series\Evenness;
use TallCrow\Series\MadeList;
use TallCrow\Series\Pattern;
use TallCrow\Series\PatternInvalid;
use TallCrow\Series\Pointer;
use TallCrow\Series\RowNote;
use TallCrow\Series\RowTable;
use TallCrow\Tests\Fixtures;

it('reads and writes patterns, and finds what is wrong with one', function (): void {
    $data = ['format' => 'tallcrow.pattern/1', 'title' => '{name} reunion', 'slots' => [['name' => 'Name', 'places' => ['name/source/text'], 'fit' => ['keep' => 'box', 'least' => 0.4, 'most' => 2, 'tighter' => 30, 'lines' => 2]], ['name' => 'Year', 'places' => ['year/source/text', '/title'], 'fit' => null]]];
    $pattern = Pattern::data($data);
    expect(Pattern::data($pattern->toArray()))->toEqual($pattern)->and($pattern->called(['Name' => 'Rook', 'Year' => '1931'], 'Kites', 3))->toBe('Rook reunion')->and(Pattern::data(['title' => ''] + $data)->called(['Name' => 'Rook'], 'Kites', 3))->toBe('Kites Rook')
        ->and(fn () => Pattern::data(['title' => '{Town}'] + $data))->toThrow(PatternInvalid::class, '{Town}')
        ->and(fn () => Pattern::data(['slots' => [$data['slots'][0], ['name' => 'NAME'] + $data['slots'][1]]] + $data))->toThrow(PatternInvalid::class, 'same name')
        ->and(fn () => Pattern::data(['slots' => [['name' => 'x', 'places' => []]]] + $data))->toThrow(PatternInvalid::class, 'fills nothing')
        ->and(fn () => Pattern::data(['format' => 'x'] + $data))->toThrow(ArtworkInvalid::class)->and(fn () => Pointer::parse('name'))->toThrow(PatternInvalid::class);
});

it('finds places in groups, too', function (): void {
    $artwork = Fixtures::artwork([['id' => 'group', 'source' => ['kind' => 'group', 'layers' => [Fixtures::words('name', 'Wren', 1.0)]]]]);
    $data = $artwork->toArray();
    $data = Pointer::parse('name/source/text')->with($data, fn (): string => 'Rook');
    expect(Pointer::parse('name/source/text')->value($data))->toBe('Rook')->and(Pointer::parse('name/source/text')->value($artwork->toArray()))->toBe('Wren')->and(fn () => Pointer::parse('name/source/words')->value($data))->toThrow(PatternInvalid::class);
});

it('reads tables with commas, tabs or semicolons, matches columns by name, and leaves bad rows by row and column', function (string $mark): void {
    $slots = Pattern::data(['format' => 'tallcrow.pattern/1', 'slots' => [['name' => 'Name', 'places' => ['a/source/text']], ['name' => 'Colour', 'places' => ['a/effects/0/colour']]]])->slots;
    $table = strtr("\u{feff}colour,NAME,note\r\n#112233,\"Wren\nand Rook\",x\r\n,Moth,\r\n\r\n#445566,".str_repeat('x', 301).",\r\n#778899,Kite,y\r\n", [',' => $mark]);
    $read = RowTable::read(RowTable::cells($table), $slots);
    expect($read['rows'])->toBe([['Name' => "Wren\nand Rook", 'Colour' => '#112233'], ['Name' => 'Kite', 'Colour' => '#778899']])->and($read['numbers'])->toBe([2, 6])
        ->and($read['problems'])->toBe(['Row 3, column colour: is empty.', 'Row 5, column NAME: is longer than 300 letters.'])
        ->and(RowTable::read(RowTable::cells("who\nWren\n"), $slots, ['Name' => 'Who'])['rows'])->toBe([['Name' => 'Wren']])
        ->and(RowTable::read(RowTable::cells("who\nWren\n"), $slots)['problems'][0])->toContain('Slots are Name, Colour; the table has who');
})->with([',', "\t", ';']);

it('makes lists and crosses them', function (): void {
    $rows = MadeList::crossed(MadeList::crossed([], 'Name', ['Wren', 'Rook']), 'Colour', ['#111111', '#222222', '#333333']);
    expect($rows)->toHaveCount(6)->and($rows[1])->toBe(['Colour' => '#222222', 'Name' => 'Wren'])
        ->and(MadeList::Years->values(1998, 2001))->toBe(['1998', '1999', '2000', '2001'])->and(MadeList::Grades->values())->toContain('Kindergarten', '1st Grade', '2nd Grade', '3rd Grade', '11th Grade')->and(MadeList::Numbers->values(1, 9000))->toHaveCount(500)->and(MadeList::Relations->values())->toContain('Grandma');
});

it('tells a row whose letters are small beside the others', function (): void {
    $notes = Evenness::notes([1 => ['Name' => 1.0], 2 => ['Name' => 0.9], 3 => ['Name' => 0.5], 4 => ['Name' => 1.1], 5 => []]);
    expect(array_keys($notes))->toBe([3])->and($notes[3][0])->toBeInstanceOf(RowNote::class)->says->toContain('0.50 in beside 1.00 in')->and(Evenness::notes([1 => ['Name' => 1.0], 2 => ['Name' => 0.1]]))->toBe([]);
});
