<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;

/** Finds the values of a sheet that can become slots. */
final class Places
{
    private const LINES = ['effects' => 'line', 'distress' => 'wear', 'masks' => 'mask'];

    /** @return list<array{place: string, says: string, value: string}> with the current value */
    public static function of(Artwork $artwork): array
    {
        $data = $artwork->toArray();
        $places = [['place' => '/title', 'says' => 'title of the design'], ['place' => '/garments', 'says' => 'cloths on offer']];
        foreach ($artwork->everyLayer() as $layer) {
            array_push($places, ...self::layer($layer));
        }

        $told = [];
        foreach ($places as $one) {
            $slot = new Slot('x', [Pointer::parse($one['place'])]);
            $value = $slot->places[0]->value($data);
            if ($value !== null && ($one['place'] === '/garments' || is_scalar($value))) {
                $told[] = $one + ['value' => mb_strimwidth(str_replace("\n", ' / ', Pattern::example($slot, $artwork)), 0, 60, '…')];
            }
        }

        return $told;
    }

    /** @return list<array{place: string, says: string}> */
    private static function layer(Layer $layer): array
    {
        $data = $layer->toArray();
        $named = $layer->called();
        $place = fn (string $keys, string $says): array => ['place' => "$layer->id/$keys", 'says' => "$named: $says"];
        $places = [];
        foreach (['text' => 'words', 'font' => 'font', 'file' => 'picture'] as $key => $says) {
            if (is_array($data['source'] ?? null) && is_string($data['source'][$key] ?? null)) {
                $places[] = $place("source/$key", $says);
            }
        }
        foreach (['width' => 'width, in', 'height' => 'height, in', 'x' => 'middle across, in', 'y' => 'middle down, in', 'turn' => 'turn, degrees'] as $key => $says) {
            if (is_array($data['placement'] ?? null) && is_numeric($data['placement'][$key] ?? null)) {
                $places[] = $place("placement/$key", $says);
            }
        }
        if (is_array($data['repeat'] ?? null) && is_int($data['repeat']['count'] ?? null)) {
            $places[] = $place('repeat/count', 'number of copies');
        }
        if (array_key_exists('on', $data)) {
            $places[] = $place('on', 'on or off');
        }
        foreach (self::LINES as $list => $word) {
            foreach (is_array($data[$list] ?? null) ? array_values($data[$list]) : [] as $i => $line) {
                if (! is_array($line)) {
                    continue;
                }
                foreach ($line as $key => $value) {
                    $kind = is_string($line['kind'] ?? null) ? $line['kind'] : (is_string($line['texture'] ?? null) ? $line['texture'] : $word);
                    if ($key !== 'kind' && $key !== 'texture' && is_scalar($value)) {
                        $places[] = $place("$list/$i/$key", $key === 'on' ? "$word $kind, on or off" : "$word $kind, $key");
                    }
                }
            }
        }

        return $places;
    }
}
