<?php

declare(strict_types=1);

namespace App\Sending\Houses;

/**
 * A print house that takes files. A house of another kind is added by implementing this and naming the class in config/houses.php;
 * tests/Http/PrintHousesTest.php says what each must do.
 */
interface PrintHouse
{
    /**
     * Brings a file. The same parcel may be brought again after a failure: the house must print it once.
     *
     * @throws HouseAway when it cannot take files now, or its answer did not come
     * @throws HouseDeclined when another try would meet the same trouble
     */
    public function bring(Package $package): HouseAnswer;

    /**
     * What became of a file, by the house's own number for it.
     *
     * @throws HouseAway
     * @throws HouseDeclined
     */
    public function ask(string $number): HouseAnswer;
}
