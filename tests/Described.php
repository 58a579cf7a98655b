<?php

declare(strict_types=1);

namespace Tests;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** Holds answers against the kept description of the API, by the schema library opis/json-schema. */
final class Described
{
    private static ?object $schema = null;

    /** @return list<string> what is wrong with an answer */
    public static function faults(string $json, string $definition): array
    {
        self::$schema ??= (object) json_decode((string) file_get_contents(base_path('docs/api.schema.json')));
        $schema = clone self::$schema;
        unset($schema->{'$id'});
        $schema->{'$ref'} = '#/$defs/'.$definition;
        $error = (new Validator)->validate(json_decode($json), $schema)->error();

        return $error === null ? [] : array_values((new ErrorFormatter)->formatFlat($error, fn ($e): string => implode('.', $e->data()->fullPath()).': '.(new ErrorFormatter)->formatErrorMessage($e)));
    }
}
