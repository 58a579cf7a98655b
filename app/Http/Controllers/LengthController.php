<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\Length as Answer;
use Illuminate\Http\Request;
use TallCrow\Measure\Length;
use TallCrow\Measure\Ppi;

/** Parses a length as typed by a seller. */
final class LengthController
{
    public function __invoke(Request $request): Answer
    {
        return new Answer(Length::parse($request->string('text')->toString(), Ppi::of($request->float('ppi', 300)))->inches);
    }
}
