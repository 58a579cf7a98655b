<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Listing;

/** The words of a listing, what of them a market would refuse, and what must be credited with them. */
final readonly class ListingCard extends Answer
{
    /**
     * @param  list<string>  $tags
     * @param  list<string>  $faults
     * @param  list<string>  $watched  phrases of the shop's watch list that were found in the words
     */
    public function __construct(
        public string $title,
        public string $description,
        public array $tags,
        /** The most characters of the title; null where no limit is stated. */
        public ?int $titleMost,
        public ?int $descriptionMost,
        /** How many tags at most. */
        public ?int $tagsMost,
        /** The most characters of one tag. */
        public ?int $tagMost,
        public string $credits,
        public array $faults,
        public array $watched,
    ) {}

    /** @param  list<string>  $watched */
    public static function of(Listing $listing, string $credits, array $watched): self
    {
        $text = $listing->text();

        return new self($text->title, $text->description, $text->tags, $text->limits->title, $text->limits->description, $text->limits->tags, $text->limits->tag, $credits, $text->faults(), $watched);
    }
}
