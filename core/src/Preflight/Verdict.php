<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

enum Verdict: string
{
    case Pass = 'pass';
    case Warn = 'warn';
    case Fail = 'fail';

    /** For measures where less is better: above $warn a print house may object, above $fail it does. */
    public static function atMost(float $measured, float $warn, float $fail): self
    {
        return $measured > $fail ? self::Fail : ($measured > $warn ? self::Warn : self::Pass);
    }

    public function worst(self $other): self
    {
        $rank = fn (self $v): int => match ($v) {
            self::Pass => 0, self::Warn => 1, self::Fail => 2,
        };

        return $rank($this) >= $rank($other) ? $this : $other;
    }
}
