<?php

declare(strict_types=1);

namespace App\Sending;

use Illuminate\Http\Request;

/** Pressing instructions for a transfer, as stated by its maker. No value is made up: what the maker does not state stays empty. */
final readonly class PressCard
{
    /** @param  string  $unit  of the temperature: C or F */
    private function __construct(
        public ?float $temperature,
        public string $unit,
        public ?float $seconds,
        public string $pressure,
        public string $peel,
        public string $source,
    ) {}

    /** @return ?self null where nothing is filled in */
    public static function asked(Request $request): ?self
    {
        $request->validate([
            'card' => ['sometimes', 'nullable', 'array'], 'card.temperature' => ['nullable', 'numeric', 'between:20,500'], 'card.unit' => ['nullable', 'in:C,F'], 'card.seconds' => ['nullable', 'numeric', 'between:1,600'],
            'card.pressure' => ['nullable', 'string', 'max:60'], 'card.peel' => ['nullable', 'string', 'max:60'], 'card.source' => ['required_with:card.temperature,card.seconds,card.pressure,card.peel', 'nullable', 'string', 'max:300'],
        ], ['card.source.required_with' => 'Say which maker says so, and where: these figures are theirs.', 'card.temperature.between' => 'A press is between 20 and 500 degrees.']);

        return self::kept($request->input('card'));
    }

    /** @param  mixed  $card  as toArray() writes it */
    public static function kept(mixed $card): ?self
    {
        if (! is_array($card)) {
            return null;
        }
        $number = fn (string $key): ?float => is_numeric($card[$key] ?? null) ? (float) $card[$key] : null;
        $word = fn (string $key): string => is_string($card[$key] ?? null) ? trim($card[$key]) : '';
        $kept = new self($number('temperature'), $word('unit') === 'F' ? 'F' : 'C', $number('seconds'), $word('pressure'), $word('peel'), $word('source'));

        return $kept->temperature === null && $kept->seconds === null && $kept->pressure.$kept->peel.$kept->source === '' ? null : $kept;
    }

    /** @return array{temperature: ?float, unit: string, seconds: ?float, pressure: string, peel: string, source: string} */
    public function toArray(): array
    {
        return ['temperature' => $this->temperature, 'unit' => $this->unit, 'seconds' => $this->seconds, 'pressure' => $this->pressure, 'peel' => $this->peel, 'source' => $this->source];
    }
}
