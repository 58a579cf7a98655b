<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** A name, mark or phrase that a shop was warned about. */
final readonly class Watched
{
    public function __construct(
        public string $phrase,
        /** The seller's note: who warned, and of what. */
        public string $note = '',
        public ?\DateTimeImmutable $on = null,
    ) {}
}
