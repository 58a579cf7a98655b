<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\LicenceRecord;
use App\Rights\LicenceWanted;

/** Whose a piece of the shelf is and under what it is held, with what the shelf calls it. */
final readonly class Provenance
{
    public function __construct(
        public string $licence,
        public string $author = '',
        public string $url = '',
        public string $genre = '',
        /** Nothing leaves the piece its own title. */
        public string $title = '',
        /** The licence of the shop that it is held under; null where its name tells. */
        public ?int $record = null,
    ) {}

    /** @throws LicenceWanted when no licence is stated */
    public function stated(): self
    {
        return $this->licence === '' && $this->record === null ? throw LicenceWanted::forAFile() : $this;
    }

    public function under(LicenceRecord $licence): self
    {
        return new self($licence->name, $this->author, $this->url, $this->genre, $this->title, $licence->id);
    }

    /** @return array<string, string> columns of an asset */
    public function columns(): array
    {
        return ['licence_name' => $this->licence, 'licence_author' => $this->author, 'licence_url' => $this->url, 'genre' => $this->genre]
            + ($this->title === '' ? [] : ['title' => $this->title]);
    }
}
