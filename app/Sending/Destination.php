<?php

declare(strict_types=1);

namespace App\Sending;

use App\Models\HouseRecord;
use App\Models\PrintJob;
use TallCrow\Artwork\Artwork;
use TallCrow\Export\PrintForm;
use TallCrow\House\Fit;
use TallCrow\House\Fitting;
use TallCrow\House\House;
use TallCrow\House\HousePlace;
use TallCrow\Render\Renderer;

/** A print place to which a job is sent, and how its design is fitted to it. */
final readonly class Destination
{
    public const MOST = 40;

    private function __construct(
        public int $record,
        public House $house,
        public HousePlace $place,
        public Fitting $fitting,
    ) {}

    /** @return list<self> of a job, as its brief names them; what a house no longer has is left out */
    public static function of(PrintJob $job): array
    {
        $houses = HouseRecord::query()->where('shop_id', $job->shop_id)->get()->keyBy('id');
        $all = [];
        foreach ($job->destinations ?? [] as $one) {
            $record = $houses->get((int) $one['house']);
            $found = $record === null ? null : self::at($record, $one['place'], Fitting::told($one));
            if ($found !== null) {
                $all[] = $found;
            }
        }

        return $all;
    }

    /** @return list<self> those that the gauges judge by: the one that was chosen, else all of them */
    public static function judging(PrintJob $job): array
    {
        $all = self::of($job);
        $chosen = array_values(array_filter($all, fn (self $to): bool => $to->key() === $job->judged_by));

        return $chosen === [] ? $all : $chosen;
    }

    /** Identifies it among the destinations of a job. */
    public function key(): string
    {
        return $this->record.' '.$this->place->key();
    }

    public static function at(HouseRecord $record, string $place, Fitting $fitting): ?self
    {
        $house = $record->house();
        $at = $house->at($place);

        return $at === null ? null : new self($record->id, $house, $at, $fitting);
    }

    public function fit(Artwork $artwork, Renderer $renderer): Fit
    {
        return Fit::of($artwork, $this->place, $this->fitting, $renderer);
    }

    public function form(): PrintForm
    {
        return new PrintForm($this->place->kind, $this->place->mirrored, $this->place->mostMegabytes === null ? null : (int) ($this->place->mostMegabytes * 1_000_000));
    }

    public function file(string $title): string
    {
        return $this->house->names->name($title, $this->house->name, $this->place->product, $this->place->place, $this->place->area, now()->toDateTimeImmutable()).'.'.$this->place->kind->ending();
    }

    /** @return array{house: int, place: string, mode: string, keep: list<string>} */
    public function toArray(): array
    {
        return ['house' => $this->record, 'place' => $this->place->key(), ...$this->fitting->toArray()];
    }
}
