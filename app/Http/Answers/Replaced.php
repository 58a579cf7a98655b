<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The result of replacing an asset by another, with each changed design. */
final readonly class Replaced extends Answer
{
    /** @param  list<ReplacedIn>  $jobs */
    public function __construct(
        public AssetCard $asset,
        public array $jobs,
    ) {}
}
