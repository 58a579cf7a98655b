<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Measure\Ppi;
use TallCrow\Preflight\Report;

/** A finished file and its figures. */
final readonly class Exported
{
    public function __construct(
        public int $width,
        public int $height,
        public Ppi $ppi,
        public int $bytes,
        public string $sha256,
        public Report $report,
        /** What was done to keep it small enough, in words; empty where nothing was. */
        public string $packing = '',
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'width' => $this->width,
            'height' => $this->height,
            'ppi' => $this->ppi->value,
            'inches' => [$this->width / $this->ppi->value, $this->height / $this->ppi->value],
            'bytes' => $this->bytes,
            'sha256' => $this->sha256,
            'packing' => $this->packing,
            'report' => $this->report->toArray(),
        ];
    }
}
