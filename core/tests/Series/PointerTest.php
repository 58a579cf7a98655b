<?php

declare(strict_types=1);

use TallCrow\Series\PatternInvalid;
use TallCrow\Series\Pointer;
use TallCrow\Tests\Fixtures;

/** A sheet with a group, a drawing beside it, and something that is no layer. */
function pointed_sheet(): array
{
    return ['title' => 'Kite day', 'layers' => [
        'no layer',
        ['id' => 'plate', 'on' => true, 'effects' => [['kind' => 'fill', 'colour' => '#111111'], ['kind' => 'outline', 'width' => 0.05]]],
        ['id' => 'group', 'source' => ['kind' => 'group', 'layers' => [['id' => 'inner', 'source' => ['kind' => 'group', 'layers' => [['id' => 'deep', 'on' => null]]]]]]],
        ['id' => 'last', 'on' => false],
    ]];
}

it('reads what stands at a place, in groups and beside them, whatever lies before it', function (string $place, mixed $stands): void {
    expect(Pointer::parse($place)->value(pointed_sheet()))->toBe($stands)->and(Pointer::parse($place)->toString())->toBe($place);
})->with([
    ['/title', 'Kite day'], ['plate/on', true], ['plate/effects/1/width', 0.05], ['inner/source/kind', 'group'], ['last/on', false],
    // What stands there may be nothing.
    ['deep/on', null],
]);

it('puts another value in its place and leaves all else as it was', function (): void {
    $sheet = pointed_sheet();
    $changed = Pointer::parse('deep/on')->with($sheet, fn (mixed $old): string => json_encode($old).' before');
    expect($changed['layers'][2]['source']['layers'][0]['source']['layers'][0])->toBe(['id' => 'deep', 'on' => 'null before'])
        ->and($changed['layers'][2]['source']['kind'])->toBe('group')->and($changed['layers'][1])->toBe($sheet['layers'][1])->and($changed['layers'][0])->toBe('no layer')->and($changed['title'])->toBe('Kite day')
        ->and($sheet)->toBe(pointed_sheet())
        ->and(Pointer::parse('/title')->with($sheet, fn (): string => 'Moth night')['title'])->toBe('Moth night')
        ->and(Pointer::parse('plate/effects/0/colour')->with($sheet, fn (): string => '#222222')['layers'][1]['effects'])->toBe([['kind' => 'fill', 'colour' => '#222222'], ['kind' => 'outline', 'width' => 0.05]]);
});

it('says what the sheet has no more, and what is no place', function (): void {
    foreach (['gone/on', 'plate/off', 'plate/effects/2/width', 'plate/on/more', '/garments'] as $place) {
        expect(fn () => Pointer::parse($place)->value(pointed_sheet()))->toThrow(PatternInvalid::class, "has no \"$place\"");
    }
    foreach (['plate', '', 'plate/', '/', 'plate//on', 'plate/a/b/c/d/e/f/g/h/i'] as $text) {
        expect(fn () => Pointer::parse($text))->toThrow(PatternInvalid::class);
    }
    expect(Pointer::parse('plate/a/b/c/d/e/f/g/h')->keys)->toHaveCount(8);
});

it('knows words from all else', function (string $place, bool $words): void {
    expect(Pointer::parse($place)->isWords())->toBe($words);
})->with([['name/source/text', true], ['/source/text', false], ['name/source/font', false], ['name/text', false]]);

it('refuses a place that a sheet lacks', function (string $place): void {
    Pointer::parse($place)->value(Fixtures::artwork([Fixtures::words('name', 'Wren', 2)])->toArray());
})->with([['name/source/file'], ['nobody/on'], ['no place']])->throws(PatternInvalid::class);
