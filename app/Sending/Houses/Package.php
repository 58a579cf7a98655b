<?php

declare(strict_types=1);

namespace App\Sending\Houses;

use TallCrow\Export\FileKind;

/** A file to be sent to a house. */
final readonly class Package
{
    /**
     * @param  string  $key  the same at each try, and of this parcel alone
     * @param  string  $path  of the file
     */
    public function __construct(
        public string $key,
        public string $path,
        public FileKind $kind,
        public string $product,
        public string $place,
    ) {}
}
