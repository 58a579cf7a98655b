<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Listing;

/** The texts of a listing, the faults a marketplace would reject, and the required credits. */
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
        /** Greatest length of the title; null if no limit is stated. */
        public ?int $titleMost,
        public ?int $descriptionMost,
        /** Greatest number of tags. */
        public ?int $tagsMost,
        /** Greatest length of one tag. */
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
