<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** The link of a copy to the layer that it follows. */
final readonly class Follows
{
    /** @param  list<FollowedPart>  $parts */
    public function __construct(
        /** Id of a layer that is not a group and does not follow another itself. */
        public string $layer,
        public array $parts,
    ) {}

    /** A link in all parts; only the ink is the copy's own. */
    public static function all(string $layer): self
    {
        return new self($layer, array_values(array_filter(FollowedPart::cases(), fn (FollowedPart $part): bool => $part->isUsual())));
    }

    /** A link in words, shape and placement, with a font of its own. */
    public static function worded(string $layer): self
    {
        return new self($layer, [FollowedPart::Words, FollowedPart::Shape, FollowedPart::Placement]);
    }

    public function takes(FollowedPart $part): bool
    {
        return in_array($part, $this->parts, true);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $taken = [];
        foreach (FollowedPart::cases() as $part) {
            $taken[$part->value] = $this->takes($part);
        }

        return ['layer' => $this->layer, ...$taken];
    }
}
