<?php

declare(strict_types=1);

namespace TallCrow\Artwork\Upgrade;

/** One step of the file format: rewrites a decoded file of one version as the next version has it. */
interface Upgrade
{
    /** The value of `format` that it takes, such as "tallcrow.artwork/1". */
    public static function from(): string;

    /**
     * The file is not checked yet: whatever has not the expected shape is left as it is, for the reader to refuse.
     *
     * @param  array<array-key, mixed>  $file
     * @return array<array-key, mixed> with the `format` of the next version
     */
    public static function upgraded(array $file): array;
}
