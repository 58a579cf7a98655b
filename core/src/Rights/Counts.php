<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** Numbers of shirts sold so far that count towards a licence's limit. */
final readonly class Counts
{
    public function __construct(
        /** Shirts with this font or picture, over all designs. */
        public int $ofAsset = 0,
        /** Shirts with this design. */
        public int $ofDesign = 0,
        /** Shirts with any file under the same licence. */
        public int $ofLicence = 0,
    ) {}

    public function against(Fact $limit): int
    {
        return match ($limit->value) {
            'each-asset' => $this->ofAsset,
            'each-design' => $this->ofDesign,
            default => $this->ofLicence,
        };
    }
}
