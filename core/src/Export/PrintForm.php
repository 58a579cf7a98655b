<?php

declare(strict_types=1);

namespace TallCrow\Export;

/** The form in which a print is handed out: which kind of file, mirrored or not, how large at most. */
final readonly class PrintForm
{
    /**
     * @param  ?int  $mostBytes  a file that is larger is packed harder; null for no limit
     * @param  bool  $fewerColours  whether a PNG that is still larger may lose colours
     * @param  ?float  $cut  inches from the ink at which a cut line runs, in SVG alone; null for none
     */
    public function __construct(
        public FileKind $kind = FileKind::Png,
        public bool $mirrored = false,
        public ?int $mostBytes = null,
        public bool $fewerColours = false,
        public ?float $cut = null,
    ) {}
}
