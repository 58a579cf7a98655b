<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\KeptRecipe;

/** A recipe, with everything needed to apply it. */
final readonly class RecipeCard extends Answer
{
    /**
     * @param  list<array<string, mixed>>  $layers
     * @param  list<Cloth>  $swatches
     * @param  list<string>  $colours  that it has, as "#rrggbb" or "@Name"
     * @param  list<string>  $files  fonts and pictures that it names
     * @param  list<string>  $missing  fonts and pictures that the shelf does not have
     */
    public function __construct(
        public int $id,
        public string $name,
        #[DescribedAs('layer', isList: true)]
        public array $layers,
        public array $swatches,
        public array $colours,
        public array $files,
        public array $missing,
    ) {}

    /** @param  list<string>  $shelf */
    public static function of(KeptRecipe $kept, array $shelf): self
    {
        $recipe = $kept->read();

        return new self(
            $kept->id, $kept->name, $recipe->toArray()['layers'],
            array_map(fn (array $swatch): Cloth => new Cloth($swatch['name'], $swatch['colour']), $recipe->toArray()['swatches']),
            $recipe->colours(), $recipe->files(), array_values(array_diff($recipe->files(), $shelf)),
        );
    }
}
