<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\LogEntry;

/** A print file that was made. */
final readonly class LogLine extends Answer
{
    public function __construct(
        public int $id,
        public string $title,
        public ?int $job,
        public ?int $revision,
        public string $file,
        public string $sha256,
        public string $house,
        public string $place,
        public int $width,
        public int $height,
        public float $ppi,
        public int $bytes,
        public int $failed,
        public int $warned,
        public int $held,
        public string $why,
        public string $who,
        public string $at,
    ) {}

    public static function of(LogEntry $one): self
    {
        return new self(
            $one->id, $one->title, $one->job_id, $one->revision_id, $one->file, $one->sha256, $one->house, $one->place, $one->width, $one->height, $one->ppi, $one->bytes,
            $one->checks['fail'], $one->checks['warn'], $one->checks['pass'], $one->why, $one->who, $one->at->toIso8601String(),
        );
    }
}
