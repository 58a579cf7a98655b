<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** All kinds of effects with their parameters and bounds: the interface builds its controls from this alone. */
final readonly class Catalogue extends Answer
{
    /**
     * @param  list<EffectKind>  $effects
     * @param  list<string>  $textures
     * @param  list<string>  $masks
     * @param  list<string>  $shapes
     * @param  list<string>  $blends
     * @param  list<string>  $edges
     * @param  list<string>  $products
     * @param  list<string>  $sides
     * @param  list<string>  $methods
     * @param  list<string>  $groups  of findings
     * @param  list<Rule>  $rules
     * @param  list<Area>  $areas
     * @param  list<Cloth>  $cloths
     */
    public function __construct(
        public array $effects,
        public array $textures,
        public WearBounds $wear,
        public Repeats $repeats,
        public array $masks,
        public array $shapes,
        public array $blends,
        public array $edges,
        public array $products,
        public array $sides,
        public array $methods,
        public array $groups,
        public array $rules,
        public array $areas,
        public array $cloths,
        /** Placeholder for new words. */
        public string $newWords,
    ) {}
}
