<?php

declare(strict_types=1);

// The stand-in for print houses: php -S 127.0.0.1:8322 print-house/serve.php. README.md beside it says how it behaves.

use PrintHouse\Asked;
use PrintHouse\Desk;
use PrintHouse\Ledger;

foreach (['Answer', 'Asked', 'Desk', 'Ledger', 'Measured', 'Moods', 'Place', 'Unreadable'] as $class) {
    require_once __DIR__."/src/$class.php";
}

$folder = getenv('PRINT_HOUSE_FOLDER') ?: sys_get_temp_dir().'/print-house';
is_dir($folder) || mkdir($folder, 0o700, true);
$houses = getenv('PRINT_HOUSE_HOUSES') ?: dirname(__DIR__).'/demo/houses';
$desk = new Desk(new Ledger("$folder/ledger.sqlite"), $houses, getenv('PRINT_HOUSE_MOODY') === 'yes', getenv('PRINT_HOUSE_CONTROL') === 'yes', is_numeric(getenv('PRINT_HOUSE_SECONDS')) ? (int) getenv('PRINT_HOUSE_SECONDS') : 20);
$desk->answer(Asked::now())?->send();
