<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Render\Placer;

/** Makes the sheets of a series: fills the slots of the pattern's sheet with the values of each row and fits the words. */
final readonly class Filling
{
    /** @var array<string, mixed> */
    private array $data;

    private FitWords $words;

    public function __construct(
        private Artwork $artwork,
        private Pattern $pattern,
        private Placer $placer,
    ) {
        $this->data = $artwork->toArray();
        $this->words = new FitWords($placer);
    }

    /**
     * @param  array<string, string>  $values  by slot; a slot without a value keeps the sheet's own
     * @param  array<string, string>  $changes  corrections for this row only, by place, applied last
     *
     * @throws PatternInvalid
     */
    public function row(array $values, array $changes = [], string $title = ''): Filled
    {
        $data = $this->data;
        if ($title !== '') {
            $data['title'] = $title;
        }
        foreach ($this->pattern->slots as $slot) {
            if (array_key_exists($slot->name, $values)) {
                $data = $slot->fill($data, $values[$slot->name]);
            }
        }
        $artwork = self::read($data);
        [$notes, $letters] = [[], []];
        foreach ($this->pattern->slots as $slot) {
            foreach ($slot->places as $place) {
                $was = $place->isWords() ? $this->artwork->layer($place->layer) : null;
                $is = $was === null ? null : $artwork->layer($place->layer);
                if ($was === null || $is === null) {
                    continue;
                }
                $within = $slot->fit === null || $slot->fit->within === '' ? null : $artwork->layer($slot->fit->within);
                $fitted = $this->words->fit($was, $is, $slot, $within === null ? null : $this->placer->box($within)?->width());
                $artwork = $artwork->withLayer($place->layer, $fitted->layer);
                array_push($notes, ...$fitted->notes);
                $letters[$slot->name] = min($letters[$slot->name] ?? INF, $fitted->letters);
            }
        }
        if ($changes !== []) {
            $data = $artwork->toArray();
            foreach ($changes as $place => $value) {
                $data = (new Slot('this row', [Pointer::parse($place)]))->fill($data, $value);
            }
            $artwork = self::read($data);
        }

        return new Filled($artwork, $notes, $letters);
    }

    /** @param  array<string, mixed>  $data */
    private static function read(array $data): Artwork
    {
        try {
            return ArtworkReader::data($data);
        } catch (ArtworkInvalid $invalid) {
            throw PatternInvalid::slot('A value of this row does not go there: '.$invalid->getMessage());
        }
    }
}
