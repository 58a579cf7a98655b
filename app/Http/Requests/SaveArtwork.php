<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;

final class SaveArtwork extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['version' => ['required', 'integer']];
    }

    public function version(): int
    {
        return $this->integer('version');
    }

    public function artwork(): Artwork
    {
        /** @var array{artwork?: mixed} $body the unmodified body: spaces at the ends of words are kept */
        $body = json_decode($this->getContent(), true) ?? [];

        return ArtworkReader::data($body['artwork'] ?? null);
    }
}
