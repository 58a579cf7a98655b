<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * At least 12 characters and not one that many people use (NIST SP 800-63B, 5.1.1.2; OWASP ASVS 4.0, 2.1.1 and 2.1.7): nothing of
 * the list of commonly used passwords that a registry package carries, also with digits or marks added at its end, nothing of
 * fewer than four different characters, nothing that repeats the sign-in name.
 */
final class PasswordRule implements ValidationRule
{
    public const LEAST = 12;

    public const MOST = 200;

    public function __construct(private readonly string $login = '') {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $password = is_string($value) ? $value : '';
        if (mb_strlen($password) < self::LEAST || mb_strlen($password) > self::MOST) {
            $fail(sprintf('A password has %d to %d characters. Four or five words in a row are easy to keep in mind.', self::LEAST, self::MOST));
        } elseif ($this->isCommon(mb_strtolower($password))) {
            $fail('This password is one of those that are tried first. Choose one that nobody else would.');
        }
    }

    private function isCommon(string $password): bool
    {
        $login = mb_strtolower($this->login);
        $stem = (string) preg_replace('/[\d\W_]+$/u', '', $password);

        return count(array_unique(mb_str_split($password))) < 4
            || ($login !== '' && str_replace($login, '', $password) !== $password && mb_strlen(str_replace($login, '', $password)) < self::LEAST / 2)
            || isset(self::common()[$password])
            || isset(self::common()[$stem]);
    }

    /** @return array<string, int> */
    private static function common(): array
    {
        static $common = null;
        if ($common === null) {
            $file = config('crow.common_passwords');
            $list = is_string($file) && is_file($file) ? file($file, FILE_IGNORE_NEW_LINES) : [];
            $common = array_flip($list === false ? [] : $list);
        }

        /** @var array<string, int> $common */
        return $common;
    }
}
