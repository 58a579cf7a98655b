<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\PasswordRule;
use App\People\SignIn;
use Illuminate\Foundation\Http\FormRequest;

/** Coming in by an invitation or by a code for a new password. */
final class Entering extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'pass' => ['required', 'string', 'max:100'],
            'name' => ['sometimes', 'string', 'min:1', 'max:80'],
            'login' => ['required', 'string', 'min:3', 'max:120', 'regex:/^\S+$/u'],
            'password' => ['required', 'string', new PasswordRule($this->login())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['login.regex' => 'A sign-in name has no blanks: a word or an e-mail address.', 'login.min' => 'A sign-in name has 3 characters at least.'];
    }

    public function pass(): string
    {
        return $this->string('pass')->toString();
    }

    public function name(): string
    {
        return $this->string('name', $this->login())->trim()->toString();
    }

    public function login(): string
    {
        return SignIn::login(is_string($this->input('login')) ? $this->input('login') : '');
    }

    public function password(): string
    {
        return $this->string('password')->toString();
    }
}
