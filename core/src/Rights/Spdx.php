<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** The SPDX licence list, from the package spdx-license-list; bin/licences.mjs updates it. */
final class Spdx
{
    /** @return array<string, string> names by identifier */
    public static function names(): array
    {
        static $names = null;

        return $names ??= array_filter((array) json_decode((string) file_get_contents(__DIR__.'/spdx.json'), true, 4, JSON_THROW_ON_ERROR), is_string(...));
    }

    public static function has(string $id): bool
    {
        return isset(self::names()[$id]);
    }
}
