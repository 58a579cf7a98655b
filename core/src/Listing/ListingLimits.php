<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/** The most that a market takes, as the seller states it; null where there is no limit. */
final readonly class ListingLimits
{
    public function __construct(
        /** Characters of the title. */
        public ?int $title = null,
        /** Characters of the description. */
        public ?int $description = null,
        /** How many tags. */
        public ?int $tags = null,
        /** Characters of one tag. */
        public ?int $tag = null,
    ) {}
}
