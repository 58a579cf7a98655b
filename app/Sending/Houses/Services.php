<?php

declare(strict_types=1);

namespace App\Sending\Houses;

use App\Models\HouseRecord;

/** The print house services configured by the operator in config/houses.php; sellers choose among them. */
final class Services
{
    /** @return array<string, string> what each is called, by its key */
    public static function named(): array
    {
        return array_map(fn (array $one): string => $one['name'], self::all());
    }

    /** @throws HouseDeclined if the house has no service, or one that is no longer configured */
    public static function of(HouseRecord $house): PrintHouse
    {
        $service = self::all()[$house->service] ?? throw new HouseDeclined('This house takes no files from here: choose a service for it under Houses.');
        $class = $service['class'];

        return new $class($service['address'], $house->account, $house->token ?? '');
    }

    /** @return array<string, array{name: string, class: class-string<HttpHouse>, address: string}> */
    private static function all(): array
    {
        /** @var array<string, array{name: string, class: class-string<HttpHouse>, address: string}> $all */
        $all = config('houses.services', []);

        return array_filter($all, fn (array $one): bool => $one['address'] !== '');
    }
}
