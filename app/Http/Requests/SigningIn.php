<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\SignIn;
use Illuminate\Foundation\Http\FormRequest;

final class SigningIn extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['login' => ['required', 'string', 'max:120'], 'password' => ['required', 'string', 'max:200'], 'code' => ['sometimes', 'nullable', 'string', 'max:12']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['login.required' => 'Type your sign-in name.', 'password.required' => 'Type your password.'];
    }

    public function login(): string
    {
        return SignIn::login($this->string('login')->toString());
    }
}
