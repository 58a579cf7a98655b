<?php

declare(strict_types=1);

namespace App\People;

/** Time-based one-time codes (RFC 6238, RFC 4226) with HMAC-SHA-1, six digits and steps of 30 seconds, as authenticator apps use by default. */
final class Totp
{
    private const STEP = 30;

    private const DIGITS = 6;

    /** Allowed clock difference in steps, either way. */
    private const DRIFT = 1;

    private const BASE32 = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** 160 random bits (RFC 4226, requirement 6), in base 32. */
    public static function secret(): string
    {
        $bits = '';
        foreach (str_split(random_bytes(20)) as $byte) {
            $bits .= sprintf('%08b', ord($byte));
        }

        return implode('', array_map(fn (string $five): string => self::BASE32[(int) bindec($five)], str_split($bits, 5)));
    }

    /** The content of the QR code: a key URI. */
    public static function uri(string $secret, string $login): string
    {
        return 'otpauth://totp/'.rawurlencode("Tall Crow:$login").'?'.http_build_query(['secret' => $secret, 'issuer' => 'Tall Crow', 'digits' => self::DIGITS, 'period' => self::STEP]);
    }

    /**
     * The time step near the current one to which the code belongs; null if there is none, or if it is not later than
     * the last one used.
     */
    public static function step(string $secret, string $code, int $now, int $last = 0): ?int
    {
        $at = intdiv($now, self::STEP);
        for ($step = $at - self::DRIFT; $step <= $at + self::DRIFT; $step++) {
            if ($step > $last && hash_equals(self::code($secret, $step), $code)) {
                return $step;
            }
        }

        return null;
    }

    public static function code(string $secret, int $step): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), self::decode($secret), true);
        $offset = ord($hash[19]) & 0x0F;
        /** @var array{1: int} $word */
        $word = unpack('N', substr($hash, $offset, 4));

        return str_pad((string) (($word[1] & 0x7FFFFFFF) % 10 ** self::DIGITS), self::DIGITS, '0', STR_PAD_LEFT);
    }

    private static function decode(string $secret): string
    {
        $bits = '';
        foreach (str_split($secret) as $letter) {
            $bits .= sprintf('%05b', (int) strpos(self::BASE32, $letter));
        }
        $bytes = '';
        for ($at = 0; $at + 8 <= strlen($bits); $at += 8) {
            $bytes .= chr((int) bindec(substr($bits, $at, 8)));
        }

        return $bytes;
    }
}
