<?php

declare(strict_types=1);

namespace App\People;

final class SignInRefused extends \RuntimeException
{
    private function __construct(string $message, public readonly int $status, public readonly int $wait = 0, public readonly bool $codeWanted = false)
    {
        parent::__construct($message);
    }

    public static function wrong(): self
    {
        return new self('Name or password is wrong. An owner of the shop can give you a code to set a new password.', 422);
    }

    public static function codeWanted(): self
    {
        return new self('Type the code that your phone shows.', 422, codeWanted: true);
    }

    public static function wrongCode(): self
    {
        return new self('The code is wrong or was used. Wait for the next one.', 422, codeWanted: true);
    }

    public static function wait(int $seconds): self
    {
        return new self(sprintf('Too many tries. Wait %d s and try again.', max(1, $seconds)), 429, max(1, $seconds));
    }

    public static function spent(): self
    {
        return new self('This link or code was used, or is too old. Ask for a new one.', 422);
    }
}
