<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** Shirts sold so far that count against a limit. */
final readonly class Counts
{
    public function __construct(
        /** With this font or picture on them, in all designs. */
        public int $ofAsset = 0,
        /** Of this design. */
        public int $ofDesign = 0,
        /** With anything on them that is held under the same licence. */
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
