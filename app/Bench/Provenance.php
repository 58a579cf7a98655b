<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\LicenceRecord;
use App\Rights\LicenceWanted;

/** Author, licence and title of an asset. */
final readonly class Provenance
{
    public function __construct(
        public string $licence,
        public string $author = '',
        public string $url = '',
        public string $genre = '',
        /** Empty to keep the asset's own title. */
        public string $title = '',
        /** The shop's licence record; null if the licence is only given by name. */
        public ?int $record = null,
    ) {}

    /** @throws LicenceWanted if no licence is stated */
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
