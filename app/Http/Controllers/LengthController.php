<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\Request;
use TallCrow\Measure\Length;
use TallCrow\Measure\Ppi;

/** Reads a length as a seller types it. */
final class LengthController
{
    /** @return array{inches: float} */
    public function __invoke(Request $request): array
    {
        return ['inches' => Length::parse($request->string('text')->toString(), Ppi::of($request->float('ppi', 300)))->inches];
    }
}
