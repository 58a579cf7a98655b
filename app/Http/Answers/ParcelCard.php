<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Parcel;
use App\Models\ParcelState;
use TallCrow\House\Agreement;
use TallCrow\House\FileFigures;

/** A file sent to a house, with both sides' figures once the house has measured it. */
final readonly class ParcelCard extends Answer
{
    /**
     * @param  list<string>  $reasons  why the house refuses it
     * @param  list<FigurePair>  $figures
     */
    public function __construct(
        public int $id,
        public int $export,
        public string $file,
        public string $house,
        public ParcelState $state,
        public int $tries,
        public string $trouble,
        public array $reasons,
        public array $figures,
        public ?string $nextAt,
    ) {}

    public static function of(Parcel $parcel): self
    {
        return new self(
            $parcel->id, $parcel->export_id, $parcel->export->file, $parcel->house->name ?? 'a house that is gone', $parcel->state, $parcel->tries, $parcel->trouble, $parcel->reasons ?? [],
            $parcel->measured === null ? [] : array_map(FigurePair::of(...), Agreement::between(self::ours($parcel), FileFigures::read($parcel->measured))), $parcel->due_at?->toIso8601String(),
        );
    }

    /** Figures of the file as written; all kinds have alpha and are in sRGB. */
    private static function ours(Parcel $parcel): FileFigures
    {
        $read = FileFigures::read(($parcel->export->figures ?? []) + ['transparent' => true, 'colours' => 'sRGB']);
        $place = $parcel->house?->house()->at($parcel->export->destination['place'] ?? '');

        return new FileFigures($read->width, $read->height, $place === null ? 0.0 : $read->width / $place->area->widthInches(), $read->transparent, $read->colours, $read->bytes, $read->sha256);
    }
}
