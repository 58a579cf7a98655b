<?php

declare(strict_types=1);

namespace App\Sending\Houses;

/**
 * A print house that takes files. To add another kind, implement this interface and name the class in config/houses.php;
 * tests/Http/PrintHousesTest.php tests what each must do.
 */
interface PrintHouse
{
    /**
     * Sends a file. The same parcel may be sent again after a failure: the house must print it only once.
     *
     * @throws HouseAway if it cannot take files now, or did not reply
     * @throws HouseDeclined if retrying would fail in the same way
     */
    public function bring(Package $package): HouseAnswer;

    /**
     * The state of a file, by the house's own number for it.
     *
     * @throws HouseAway
     * @throws HouseDeclined
     */
    public function ask(string $number): HouseAnswer;
}
