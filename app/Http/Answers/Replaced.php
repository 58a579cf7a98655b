<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A piece that took another's place, and each design before and after. */
final readonly class Replaced extends Answer
{
    /** @param  list<ReplacedIn>  $jobs */
    public function __construct(
        public AssetCard $asset,
        public array $jobs,
    ) {}
}
