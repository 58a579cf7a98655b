<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\LogEntry;
use App\Models\LogEvent;

/** A log entry for a print file. */
final readonly class LogLine extends Answer
{
    /** @param  list<string>  $said  of the event, such as why a house refuses it */
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
        public LogEvent $event,
        public array $said,
    ) {}

    public static function of(LogEntry $one): self
    {
        return new self(
            $one->id, $one->title, $one->job_id, $one->revision_id, $one->file, $one->sha256, $one->house, $one->place, $one->width, $one->height, $one->ppi, $one->bytes,
            $one->checks['fail'], $one->checks['warn'], $one->checks['pass'], $one->why, $one->who, $one->at->toIso8601String(), $one->event, self::said($one),
        );
    }

    /** @return list<string> */
    private static function said(LogEntry $one): array
    {
        $details = $one->details ?? [];
        $word = fn (string $key): string => is_scalar($details[$key] ?? null) ? (string) $details[$key] : '';

        return array_values(array_filter([
            ...array_filter(is_array($details['reasons'] ?? null) ? $details['reasons'] : [], is_string(...)),
            $word('address'), $word('price'), $word('reason'), $word('number') === '' ? '' : 'No. '.$word('number').' there',
        ], fn (string $said): bool => $said !== ''));
    }
}
