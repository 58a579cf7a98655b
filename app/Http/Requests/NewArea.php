<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use TallCrow\Measure\PrintArea;

final class NewArea extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $side = ['required', 'integer', 'min:100', 'max:'.PrintArea::MAX_SIDE];

        return ['name' => ['required', 'string', 'max:120'], 'width' => $side, 'height' => $side, 'ppi' => ['required', 'numeric', 'min:50', 'max:1200']];
    }
}
