<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Sending\Destination;
use TallCrow\House\Fit;
use TallCrow\House\FitNote;

/** A design refitted to a house's print place. */
final readonly class FitCard extends Answer
{
    /**
     * @param  list<string>  $keep  measures that stay as they are
     * @param  list<FitTold>  $notes
     */
    public function __construct(
        public int $house,
        public string $houseName,
        public string $place,
        public string $product,
        public string $placeName,
        public string $mode,
        public array $keep,
        public HouseArea $area,
        public float $scale,
        public ?Box $ink,
        public bool $mirrored,
        public string $kind,
        public string $file,
        public array $notes,
        /** Whether the gauges use only this place's requirements. */
        public bool $judges,
    ) {}

    public static function of(Destination $to, Fit $fit, string $title, string $judgedBy): self
    {
        $ink = $fit->ink;

        return new self(
            $to->record, $to->house->name, $to->place->key(), $to->place->product, $to->place->place, $to->fitting->mode->value, $to->fitting->toArray()['keep'], new HouseArea($to->place->area->width, $to->place->area->height, $to->place->area->ppi->value),
            round($fit->scale, 4), $ink === null ? null : new Box($ink->left, $ink->top, $ink->width(), $ink->height()), $to->place->mirrored, $to->place->kind->value, $to->file($title),
            array_map(fn (FitNote $note): FitTold => new FitTold($note->grave, $note->says, $note->mend), $fit->notes()), $to->key() === $judgedBy,
        );
    }
}
