<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Catalogue;
use App\Http\Answers\Catalogue as Answer;

/** All kinds of effects with their parameters and bounds. */
final class CatalogueController
{
    public function __invoke(): Answer
    {
        return Catalogue::answer();
    }
}
