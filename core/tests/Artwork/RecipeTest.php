<?php

declare(strict_types=1);

use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\Recipe;
use TallCrow\Tests\Fixtures;

/** @return array<string, mixed> */
function recipe_data(array $more = []): array
{
    $artwork = Fixtures::artwork([Fixtures::words('w', 'KITE', 2.0, ['effects' => [['kind' => 'fill', 'colour' => '@Rust']]])], ['swatches' => [['name' => 'Rust', 'colour' => '#b04a2c']]])->toArray();

    return $more + ['format' => Recipe::FORMAT, 'name' => 'Plain', 'layers' => $artwork['layers'], 'swatches' => $artwork['swatches']];
}

it('writes a recipe as it reads it, and names its files once', function (): void {
    $recipe = Recipe::data(recipe_data());
    expect(Recipe::json((string) json_encode($recipe->toArray()))->toArray())->toEqual($recipe->toArray())
        ->and($recipe->files())->toBe(['alfa-slab-one.woff2'])->and($recipe->name)->toBe('Plain');
});

it('says what of a recipe is wrong, and where', function (array $change, string $says): void {
    expect(fn () => Recipe::data($change + recipe_data()))->toThrow(ArtworkInvalid::class, $says);
})->with([
    'another form' => [['format' => 'tallcrow.artwork/3'], 'format: is not "tallcrow.recipe/1"'],
    'no layers' => [['layers' => []], 'layers: holds none'],
    'a colour without a name' => [['swatches' => []], 'layers[0].effects[0].colour'],
    'a key of elsewhere' => [['run' => 'now'], 'run: is not known here'],
]);

it('reads the recipes of the demo', function (string $file): void {
    $recipe = Recipe::json((string) file_get_contents($file));
    foreach ($recipe->files() as $name) {
        expect(dirname($file, 2).'/shelf/'.$name)->toBeFile();
    }
    expect($recipe->name)->not->toBe('');
})->with(fn (): array => array_map(fn (string $file): array => [$file], glob(dirname(__DIR__, 3).'/demo/recipes/*.json') ?: []));
