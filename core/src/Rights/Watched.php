<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** Something that a shop was warned about: a name, a mark, a phrase. */
final readonly class Watched
{
    public function __construct(
        public string $phrase,
        /** Who warned, of what, as the seller notes it. */
        public string $note = '',
        public ?\DateTimeImmutable $on = null,
    ) {}
}
