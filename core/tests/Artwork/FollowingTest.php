<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Following;
use TallCrow\Artwork\Layer;
use TallCrow\Edit\Edited;
use TallCrow\Edit\EditRefused;
use TallCrow\Edit\Operations;
use TallCrow\Tests\Fixtures;

/** @param  array<string, bool>  $parts */
function moth_sheet(array $parts = [], string $copied = 'OWL NIGHT'): Artwork
{
    return ArtworkReader::data(Fixtures::sheet([
        Fixtures::words('glow', $copied, 1.5, ['placement' => ['x' => 2.5, 'turn' => 9], 'effects' => [['kind' => 'fill', 'colour' => '#d8b04a']], 'follows' => ['layer' => 'title', ...$parts]]),
        Fixtures::words('title', 'MOTH NIGHT', 1.5, ['placement' => ['turn' => 0], 'effects' => [1 => ['kind' => 'arch', 'bend' => 0.3]], 'repeat' => ['kind' => 'stack', 'x' => 1, 'y' => 1, 'count' => 2]]),
        Fixtures::shape('plate', 'rectangle', 2),
    ]));
}

function edited_sheet(Artwork $artwork, array ...$operations): Edited
{
    return Operations::apply(Operations::read(array_values($operations)), $artwork, Fixtures::renderer()->placer);
}

function piece_of(Artwork $artwork, string $id): Layer
{
    return $artwork->layer($id) ?? throw new LogicException("No layer $id.");
}

/** @return list<string> */
function kinds_of(Layer $layer): array
{
    return array_map(fn (array $line): string => $line['kind'], $layer->toArray()['effects']);
}

it('takes what it follows when a sheet is read, and keeps ink of its own', function (): void {
    $glow = piece_of(moth_sheet(), 'glow');

    expect($glow->words()?->text)->toBe('MOTH NIGHT')
        ->and($glow->placement)->toEqual(piece_of(moth_sheet(), 'title')->placement)
        ->and($glow->repeat)->toEqual(piece_of(moth_sheet(), 'title')->repeat)
        ->and(kinds_of($glow))->toBe(['arch', 'fill'])
        ->and($glow->toArray()['effects'][1]['colour'])->toBe('#d8b04a');
});

it('keeps to itself what it does not follow', function (): void {
    $glow = piece_of(moth_sheet(['source' => false, 'shape' => false, 'placement' => false]), 'glow');

    expect($glow->words()?->text)->toBe('OWL NIGHT')->and($glow->placement?->turn)->toBe(9.0)->and($glow->repeat)->toBeNull()->and(kinds_of($glow))->toBe(['fill'])
        ->and(ArtworkReader::data(moth_sheet(['shape' => false])->toArray()))->toEqual(moth_sheet(['shape' => false]));
});

it('is edited from either end', function (): void {
    $fromCopy = edited_sheet(moth_sheet(), ['op' => 'set-words', 'id' => 'glow', 'text' => 'TIDE NIGHT'], ['op' => 'move', 'ids' => ['glow'], 'dx' => 1, 'dy' => 0])->artwork;
    $fromTitle = edited_sheet(moth_sheet(), ['op' => 'set-words', 'id' => 'title', 'text' => 'TIDE NIGHT'], ['op' => 'move', 'ids' => ['title'], 'dx' => 1, 'dy' => 0])->artwork;

    expect($fromCopy)->toEqual($fromTitle)->and(piece_of($fromCopy, 'title')->words()?->text)->toBe('TIDE NIGHT');
});

it('moves once when both are moved', function (): void {
    $moved = edited_sheet(moth_sheet(), ['op' => 'move', 'ids' => ['glow', 'title'], 'dx' => 1, 'dy' => 0.5])->artwork;

    expect(piece_of($moved, 'title')->placement?->x)->toEqual(piece_of(moth_sheet(), 'title')->placement?->x + 1)->and(piece_of($moved, 'glow')->placement)->toEqual(piece_of($moved, 'title')->placement);
});

it('takes its shape along when a line of shape is added to the copy', function (): void {
    $bent = edited_sheet(moth_sheet(), ['op' => 'add-effect', 'id' => 'glow', 'line' => ['kind' => 'letter-spacing', 'by' => 40], 'first' => true])->artwork;

    expect(kinds_of(piece_of($bent, 'title')))->toBe(['letter-spacing', 'arch', 'fill']);
});

it('makes linked copies, of a copy too, and not of a group', function (): void {
    $made = edited_sheet(moth_sheet(), ['op' => 'copy', 'ids' => ['glow', 'title'], 'linked' => true]);
    $grouped = edited_sheet(moth_sheet(), ['op' => 'group', 'ids' => ['plate', 'title']]);

    expect(array_map(fn (string $id): ?string => piece_of($made->artwork, $id)->follows?->layer, $made->chosen))->toBe(['title', 'title'])
        ->and(piece_of($grouped->artwork, 'glow')->follows?->layer)->toBe('title')
        ->and(fn () => edited_sheet($grouped->artwork, ['op' => 'copy', 'ids' => $grouped->chosen, 'linked' => true]))->toThrow(EditRefused::class, 'which nothing can follow');
});

it('stands on its own when what it follows is taken out, and follows the copy when both are pasted', function (): void {
    $alone = piece_of(edited_sheet(moth_sheet(), ['op' => 'remove', 'ids' => ['title']])->artwork, 'glow');
    $layers = moth_sheet()->toArray()['layers'];
    $pasted = edited_sheet(ArtworkReader::data(Fixtures::sheet([])), ['op' => 'paste', 'layers' => [$layers[0], $layers[1]], 'swatches' => []]);
    $parted = edited_sheet(ArtworkReader::data(Fixtures::sheet([])), ['op' => 'paste', 'layers' => [$layers[0]], 'swatches' => []]);

    expect($alone->follows)->toBeNull()->and($alone->words()?->text)->toBe('MOTH NIGHT')
        ->and(piece_of($pasted->artwork, $pasted->chosen[0])->follows?->layer)->toBe($pasted->chosen[1])
        ->and(piece_of($parted->artwork, $parted->chosen[0])->follows)->toBeNull();
});

it('follows words alone, in a font of its own', function (): void {
    $cut = edited_sheet(moth_sheet(), ['op' => 'lay-cut', 'id' => 'title', 'font' => 'rye.woff2', 'behind' => true]);
    $said = edited_sheet($cut->artwork, ['op' => 'set-words', 'id' => $cut->chosen[0], 'text' => 'TIDE NIGHT'])->artwork;
    $own = piece_of($said, $cut->chosen[0]);

    expect([$own->words()?->text, $own->words()?->font])->toBe(['TIDE NIGHT', 'rye.woff2'])->and(piece_of($said, 'title')->words()?->text)->toBe('TIDE NIGHT')->and(piece_of($said, 'title')->words()?->font)->toBe(piece_of(moth_sheet(), 'title')->words()?->font);
});

it('refuses links that lead nowhere', function (array $more, string $why): void {
    expect(fn () => ArtworkReader::data(Fixtures::sheet([
        Fixtures::shape('a', 'rectangle', 1.0, more: ['follows' => ['layer' => 'b']]), ...$more,
    ])))->toThrow(ArtworkInvalid::class, $why);
})->with([
    'to what is gone' => [[], 'is not there'],
    'to a copy' => [[Fixtures::shape('b', 'rectangle', 1.0, more: ['follows' => ['layer' => 'c']]), Fixtures::shape('c', 'rectangle', 1.0)], 'follows another itself'],
    'to a group' => [[['id' => 'b', 'source' => ['kind' => 'group', 'layers' => []]]], 'is a group'],
]);

it('lets a change of the whole sheet reach the layer that is followed', function (): void {
    $before = moth_sheet();
    $glow = piece_of($before, 'glow');
    $after = $before->withLayer('glow', $glow->withPlacement($glow->placement?->moved(0, 2) ?? throw new LogicException));

    expect(piece_of(Following::led($before, $after), 'title')->placement?->y)->toEqual($glow->placement?->y + 2);
});
