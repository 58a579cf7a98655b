<?php

declare(strict_types=1);

namespace TallCrow\Artwork\Upgrade;

/** One upgrade of the file format: converts a decoded file of one version to the next. */
interface Upgrade
{
    /** The value of `format` that it converts, such as "tallcrow.artwork/1". */
    public static function from(): string;

    /**
     * The file is not validated yet: parts of an unexpected shape are left unchanged for the reader to refuse.
     *
     * @param  array<array-key, mixed>  $file
     * @return array<array-key, mixed> with the `format` of the next version
     */
    public static function upgraded(array $file): array;
}
