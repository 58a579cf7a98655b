<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Render\Frame;
use TallCrow\Series\Differing;
use TallCrow\Series\Pattern;
use TallCrow\Series\PatternInvalid;
use TallCrow\Series\Pointer;
use TallCrow\Series\RowTable;
use TallCrow\Tests\Fixtures;

it('holds thirty slots of sixty places, and no more', function (): void {
    $slots = fn (int $count, int $places): array => ['format' => Pattern::FORMAT, 'title' => '', 'slots' => array_map(fn (int $i): array => ['name' => "s$i", 'places' => array_fill(0, $places, "p$i/source/text")], range(1, $count))];
    expect(Pattern::data($slots(30, 1))->slots)->toHaveCount(30)->and(fn () => Pattern::data($slots(31, 1)))->toThrow(ArtworkInvalid::class, 'slots')
        ->and(Pattern::data($slots(1, 60))->slots[0]->places)->toHaveCount(60)->and(fn () => Pattern::data($slots(1, 61)))->toThrow(ArtworkInvalid::class, 'places');
});

it('points eight keys deep', function (): void {
    expect(Pointer::parse('a/'.implode('/', range(1, 8)))->keys)->toBe(range(1, 8))->and(fn () => Pointer::parse('a/'.implode('/', range(1, 9))))->toThrow(PatternInvalid::class)
        ->and(fn () => Pointer::parse('a/b//c'))->toThrow(PatternInvalid::class)->and(Pointer::parse('a/b/0/c')->toString())->toBe('a/b/0/c');
});

it('reads two thousand rows and says which are left out', function (): void {
    $slots = Pattern::data(['format' => Pattern::FORMAT, 'title' => '', 'slots' => [['name' => 'Name', 'places' => ['a/source/text']]]])->slots;
    $table = fn (int $rows): array => [['Name'], ...array_map(fn (int $i): array => ["n$i"], range(1, $rows))];
    $just = RowTable::read($table(2000), $slots);
    $over = RowTable::read($table(2001), $slots);
    expect($just['rows'])->toHaveCount(2000)->and($just['problems'])->toBe([])->and($over['rows'])->toHaveCount(2000)->and($over['problems'])->toHaveCount(1)->and($over['problems'][0])->toContain('2000 rows are the most')->toContain('Row 2002');
});

/** Rows of pixels, in inches from the top, in which a row of a series differs from its pattern. @return list<array{float, float}> */
function differing(Artwork $pattern, Artwork ...$rows): array
{
    $differing = new Differing($pattern, Fixtures::renderer()->placer);
    foreach ($rows as $row) {
        $differing->add($row);
    }

    return array_map(fn (Frame $frame): array => [$frame->top / 300, ($frame->top + $frame->height) / 300], $differing->windows(Frame::sheet($pattern->sheet, 300)));
}

/** A plate that stays and a name that changes. */
function shirt_of(string $name, array $more = [], float $y = 2.5): Artwork
{
    return Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2, more: ['placement' => ['y' => 0.4, 'height' => 0.4]]), Fixtures::words('name', $name, 1.5, ['placement' => ['y' => $y]])], $more);
}

it('draws anew a twentieth of an inch about what changes, and a third of one where wear follows edges', function (array $more, float $reach): void {
    $placer = Fixtures::renderer()->placer;
    foreach (range(0, 12) as $i) {
        $y = 1.4 + 0.13 * $i;
        $boxes = array_map(fn (string $name) => $placer->reach(shirt_of($name, y: $y)->layers[1]), ['KITE', 'MOTH']);
        $top = min(array_map(fn ($box): float => $box?->top ?? 0.0, $boxes)) - $reach;
        $bottom = max(array_map(fn ($box): float => $box?->bottom ?? 0.0, $boxes)) + $reach;
        // Windows begin and end at whole bands of the file, 96 rows each.
        expect(differing(shirt_of('KITE', $more, $y), shirt_of('MOTH', $more, $y)))->toEqualWithDelta([[max(0.0, 0.32 * floor($top / 0.32)), min(4.0, 0.32 * ceil($bottom / 0.32))]], 1e-6);
    }
})->with([
    'plain' => [[], 0.05], 'worn' => [['distress' => [['texture' => 'speckle', 'amount' => 0.1]]], 0.05], 'chipped' => [['distress' => [['texture' => 'chipped-edges', 'amount' => 0.1]]], 0.35],
]);

it('draws all anew where what no layer holds changes, and nothing where nothing does', function (): void {
    $pattern = shirt_of('KITE');
    expect(differing($pattern, $pattern))->toBe([])->and(differing($pattern))->toBe([])
        ->and(differing($pattern, shirt_of('KITE', ['distress' => [['texture' => 'cracks', 'amount' => 0.2]]])))->toEqual([[0, 4]])
        ->and(differing($pattern, $pattern->withLayers([$pattern->layers[0]])))->toEqual([[0, 4]]);
});

it('draws two places anew that are apart as two, and as one where they meet', function (): void {
    $sheet = fn (float $a, float $b, string $colour): Artwork => Fixtures::artwork([Fixtures::shape('a', 'rectangle', 0.4, $colour, ['placement' => ['y' => $a, 'height' => 0.3]]), Fixtures::shape('b', 'rectangle', 0.4, $colour, ['placement' => ['y' => $b, 'height' => 0.3]])]);
    expect(differing($sheet(0.5, 3.4, '#b04a2c'), $sheet(0.5, 3.4, '#f3ead7')))->toHaveCount(2)->and(differing($sheet(1.5, 1.8, '#b04a2c'), $sheet(1.5, 1.8, '#f3ead7')))->toHaveCount(1);
});
