<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A change that states the version it started from. */
class VersionedChange extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['version' => ['required', 'integer']];
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
