<?php

declare(strict_types=1);

namespace App\Rights;

use App\Models\PrintJob;
use App\Models\Shop;
use TallCrow\Artwork\PrintMethod;
use TallCrow\Rights\Usage;

/** The intended usage of designs: the shop's default, and the job's own if it differs. */
final class Usages
{
    /** @return array<string, list<mixed>> rules of what is sent */
    public static function rules(): array
    {
        return [
            'where' => ['present', 'nullable', 'string', 'max:200'],
            'units' => ['required', 'integer', 'between:0,10000000'],
            'territories' => ['present', 'array', 'max:60'],
            'territories.*' => ['string', 'max:60'],
            'seats' => ['required', 'integer', 'between:1,10000'],
            'asMark' => ['required', 'boolean'],
        ];
    }

    public static function ofShop(Shop $shop): Usage
    {
        return self::from($shop->usage ?? [], PrintMethod::DirectToGarment);
    }

    public static function of(PrintJob $job, PrintMethod $method): Usage
    {
        return self::from($job->usage ?? $job->shop->usage ?? [], $method);
    }

    /** @param  array<string, mixed>  $kept  as rules() let it in */
    private static function from(array $kept, PrintMethod $method): Usage
    {
        $usual = new Usage;

        return new Usage(
            is_string($kept['where'] ?? null) ? $kept['where'] : $usual->where,
            $method,
            is_int($kept['units'] ?? null) ? $kept['units'] : $usual->units,
            array_values(array_filter(is_array($kept['territories'] ?? null) ? $kept['territories'] : [], fn (mixed $one): bool => is_string($one) && trim($one) !== '')),
            is_int($kept['seats'] ?? null) ? $kept['seats'] : $usual->seats,
            ($kept['asMark'] ?? false) === true,
        );
    }
}
