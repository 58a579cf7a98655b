<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/** A marketplace's limits on listing texts, as stated by the seller; null means no limit. */
final readonly class ListingLimits
{
    public function __construct(
        /** Characters of the title. */
        public ?int $title = null,
        /** Characters of the description. */
        public ?int $description = null,
        /** Number of tags. */
        public ?int $tags = null,
        /** Characters of one tag. */
        public ?int $tag = null,
    ) {}
}
