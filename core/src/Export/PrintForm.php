<?php

declare(strict_types=1);

namespace TallCrow\Export;

/** The form in which a house takes a print: which kind of file, mirrored or not, how large at most. */
final readonly class PrintForm
{
    /** @param  ?int  $mostBytes  a file that is larger is packed harder; null for no limit */
    public function __construct(
        public FileKind $kind = FileKind::Png,
        public bool $mirrored = false,
        public ?int $mostBytes = null,
    ) {}
}
