<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use TallCrow\Compose\Edge;

/** Several lines arranged at once. */
final class Arranging extends VersionedChange
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return parent::rules() + [
            'action' => ['required', Rule::in(['align', 'space', 'scale', 'flip', 'group'])],
            'ids' => ['required', 'array', 'min:1', 'max:200'],
            'ids.*' => ['string', 'max:40'],
            'edge' => ['required_if:action,align', Rule::enum(Edge::class)],
            'to' => ['sometimes', 'string', 'max:40'],
            'across' => ['sometimes', 'boolean'],
            'gap' => ['sometimes', 'nullable', 'numeric', 'between:-50,50'],
            'by' => ['required_if:action,scale', 'numeric', 'between:0.02,50'],
            'as' => ['required_if:action,group', 'string', 'regex:/^[A-Za-z0-9_-]{1,40}$/'],
        ];
    }

    /** @return list<string> */
    public function ids(): array
    {
        /** @var list<string> $ids */
        $ids = array_values((array) $this->input('ids'));

        return $ids;
    }
}
