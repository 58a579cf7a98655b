<?php

declare(strict_types=1);

namespace App\Schema;

use TallCrow\Artwork\Schema\ArtworkSchema;
use TallCrow\Edit\Operations;

/** The JSON Schema of the API: responses, the artwork as written, and the operations that can be sent. */
final class ApiSchema
{
    /** @return array<string, mixed> */
    public static function file(): array
    {
        $artwork = ArtworkSchema::file(complete: true);
        unset($artwork['$schema'], $artwork['$id'], $artwork['$defs']);

        return [
            '$schema' => ArtworkSchema::DRAFT,
            '$id' => 'urn:tallcrow:api',
            'title' => 'Api',
            '$defs' => ['artwork' => $artwork] + ArtworkSchema::definitions(complete: true) + ['operation' => Operations::schema()] + AnswerSchema::all(),
        ];
    }

    public static function json(): string
    {
        return json_encode(self::file(), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
    }
}
