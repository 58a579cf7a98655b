<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Role;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The role that somebody is to have. */
final class Invitation extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['role' => ['required', Rule::enum(Role::class)]];
    }

    public function role(): Role
    {
        return Role::from($this->string('role')->toString());
    }
}
