<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use TallCrow\Rights\Facts;
use TallCrow\Rights\Licence;

/** A licence as the seller states it. */
final class LicenceTerms extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $day = ['sometimes', 'nullable', 'date_format:Y-m-d'];

        return [
            'name' => ['required', 'string', 'max:160'],
            'spdx' => ['sometimes', 'nullable', 'string', 'max:60'],
            'licensor' => ['sometimes', 'nullable', 'string', 'max:200'],
            'source' => ['sometimes', 'nullable', 'string', 'max:500'],
            'orderNumber' => ['sometimes', 'nullable', 'string', 'max:120'],
            'seats' => ['sometimes', 'nullable', 'integer', 'between:1,100000'],
            'boughtOn' => $day, 'beginsOn' => $day, 'endsOn' => $day,
            'facts' => ['sometimes', 'array', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Give the licence a name, such as that of the pack or the subscription.', '*.date_format' => 'Write the day as 2031-04-30.'];
    }

    /**
     * @return array<string, mixed> columns of a licence
     *
     * @throws \TallCrow\Rights\LicenceRefused
     */
    public function columns(): array
    {
        $facts = Facts::read((array) $this->input('facts', []));
        [$begins, $ends] = [$this->day('beginsOn'), $this->day('endsOn')];
        $word = fn (string $name): string => $this->string($name)->trim()->toString();
        // Stated terms that the core would not judge by are refused here.
        new Licence($word('name'), $word('spdx'), from: $begins?->toDateTimeImmutable(), until: $ends?->toDateTimeImmutable(), stated: $facts);

        return [
            'name' => $word('name'), 'spdx' => $word('spdx'), 'licensor' => $word('licensor'), 'source' => $word('source'), 'order_number' => $word('orderNumber'),
            'seats' => $this->filled('seats') ? $this->integer('seats') : null, 'bought_on' => $this->day('boughtOn'), 'begins_on' => $begins, 'ends_on' => $ends, 'facts' => $facts->toArray(),
        ];
    }

    private function day(string $name): ?Carbon
    {
        return $this->filled($name) ? Carbon::parse($this->string($name)->toString())->startOfDay() : null;
    }
}
