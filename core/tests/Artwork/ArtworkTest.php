<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Fault;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Tests\Fixtures;

/** @return array<string, string> reasons by path */
function faults(mixed $data): array
{
    try {
        ArtworkReader::data($data);
    } catch (ArtworkInvalid $invalid) {
        return array_column(array_map(fn (Fault $f): array => [$f->path, $f->reason], $invalid->faults), 1, 0);
    }

    return [];
}

it('reads what it writes', function (string $name): void {
    $artwork = Fixtures::demo($name);
    $again = ArtworkReader::json((string) json_encode($artwork->toArray()));
    expect($again)->toEqual($artwork)->and($again->toArray())->toBe($artwork->toArray());
})->with(['kite-day', 'moth-night', 'rangers-badge']);

it('reads every example of the format\'s page', function (): void {
    $page = (string) file_get_contents(dirname(__DIR__, 3).'/docs/artwork-format.md');
    expect(preg_match('/<!-- whole -->\s*```json\n(.*?)```/s', $page, $whole))->toBe(1);
    $artwork = ArtworkReader::json($whole[1]);
    preg_match_all('/<!-- layer -->\s*```json\n(.*?)```/s', $page, $layers);
    expect(count($layers[1]))->toBeGreaterThan(5);
    foreach ($layers[1] as $i => $json) {
        $layer = ['id' => "example-$i"] + (array) json_decode($json, true, flags: JSON_THROW_ON_ERROR);
        $read = ArtworkReader::data(['layers' => [$layer]] + $artwork->toArray());
        expect($read->layers)->toHaveCount(1);
    }
});

it('names each fault by path and reason, all in one reading', function (): void {
    $found = faults(Fixtures::sheet([
        ['id' => 'a b', 'source' => ['kind' => 'text', 'text' => 7, 'font' => '../secret.woff2'], 'placement' => ['x' => 'left', 'y' => 1, 'width' => -3, 'height' => null], 'glow' => true],
        ['id' => 'ring', 'source' => ['kind' => 'shape', 'shape' => 'blob'], 'placement' => ['x' => 1, 'y' => 1, 'width' => 1, 'height' => null],
            'effects' => [['kind' => 'outline', 'width' => 9], ['kind' => 'sparkle'], ['kind' => 'arch', 'bend' => 0.2, 'colour' => '#fff']], 'opacity' => 1.2, 'blend' => 'burnish'],
    ], ['product' => 'mug', 'garments' => [['name' => 'Slate', 'colour' => 'slate']]]));
    expect($found)->toHaveKeys([
        'product', 'garments[0].colour', 'layers[0].id', 'layers[0].source.text', 'layers[0].source.font', 'layers[0].placement.x', 'layers[0].placement.width', 'layers[0].glow',
        'layers[1].source.shape', 'layers[1].effects[0].width', 'layers[1].effects[1].kind', 'layers[1].effects[2].colour', 'layers[1].opacity', 'layers[1].blend',
    ])
        ->and($found['layers[1].effects[0].width'])->toBe('is 9; it must be 0.005 to 2')
        ->and($found['product'])->toBe('must be one of tee, hoodie, sweatshirt, tote');
});

it('refuses what is not an artwork at all', function (string $json, string $says): void {
    expect(fn () => ArtworkReader::json($json))->toThrow(ArtworkInvalid::class, $says);
})->with([
    ['', 'is not JSON'], ['[]', 'format: is missing'], ['[1,2]', 'must be an object'], ['null', 'must be an object'], ['"kite"', 'must be an object'],
    ['{"format":"tallcrow.artwork/9"}', 'must be one of tallcrow.artwork/3'],
    [fn () => str_repeat('[', 200), 'is not JSON'], [fn () => str_repeat(' ', 4_000_001), '4000000 is the most'],
]);

it('refuses doubled ids, unknown shields, and sheets beyond bounds', function (): void {
    $layer = Fixtures::shape('one', 'ellipse', 1);
    expect(faults(Fixtures::sheet([$layer, $layer]))['layers'])->toContain('used 2 times')
        ->and(faults(Fixtures::sheet([$layer], ['distress' => [['texture' => 'speckle', 'shielded' => ['gone']]]]))['distress'])->toContain('"gone", which is not there')
        ->and(faults(Fixtures::sheet([], ['sheet' => ['width' => 50000, 'height' => 1200, 'ppi' => 300]])))->toHaveKey('sheet.width')
        ->and(faults(Fixtures::sheet([['placement' => ['x' => 1, 'y' => 1, 'width' => 1, 'height' => null], 'id' => 'g', 'source' => ['kind' => 'group', 'layers' => []]]])))->toHaveKey('layers[0].placement');
});

it('refuses groups in groups without end', function (): void {
    $layer = Fixtures::shape('leaf', 'ellipse', 1);
    for ($i = 0; $i < 12; $i++) {
        $layer = ['id' => "group-$i", 'source' => ['kind' => 'group', 'layers' => [$layer]]];
    }
    expect(implode(' ', faults(Fixtures::sheet([$layer]))))->toContain('too deep');
});

it('sizes every measure alike when it is refitted', function (): void {
    $artwork = Fixtures::artwork([Fixtures::words('name', 'BELLS', 2, [
        'role' => ['kind' => 'knockout', 'gap' => 0.1],
        'effects' => [1 => ['kind' => 'outline', 'width' => 0.1, 'colour' => '#000000']],
        'masks' => [['kind' => 'ellipse', 'feather' => 0.3]],
        'distress' => [['texture' => 'speckle', 'scale' => 1]],
    ])]);
    $fitted = $artwork->refitted(PrintArea::inches('', 1.5, 2, Ppi::of(300)));
    $layer = $fitted->layers[0];
    expect($fitted->sheet->width)->toBe(450)
        ->and($layer->placement?->width)->toEqualWithDelta(1.0, 1e-9)
        ->and($layer->placement?->x)->toEqualWithDelta(0.75, 1e-9)
        ->and($layer->role->gap)->toEqualWithDelta(0.05, 1e-9)
        ->and($layer->effects[1]->values->number('width'))->toEqualWithDelta(0.05, 1e-9)
        ->and($layer->masks[0]->feather)->toEqualWithDelta(0.15, 1e-9)
        ->and($layer->distress[0]->scale)->toEqualWithDelta(0.5, 1e-9);
});

it('knows its assets and its layers at any depth', function (): void {
    $artwork = Fixtures::demo('rangers-badge');
    expect($artwork->files())->toBe(['rock-pool.png', 'crab.svg', 'graduate.woff2'])
        ->and($artwork->layer('crab')?->called())->toBe('crab')
        ->and($artwork->withoutLayer('crab')->layer('crab'))->toBeNull()
        ->and(Artwork::FORMAT)->toBe($artwork->toArray()['format']);
});

it('lists every effect and each of its values in the page on the format', function (): void {
    $page = (string) file_get_contents(dirname(__DIR__, 3).'/docs/artwork-format.md');
    foreach (TallCrow\Effect\Catalogue::classes() as $kind => $class) {
        expect(preg_match("/^\\| `$kind` \\| (.*) \\|.*\\|$/m", $page, $row))->toBe(1, $kind);
        foreach ($class::parameters() as $parameter) {
            expect($row[1])->toContain("`{$parameter->name}`");
        }
    }
});
