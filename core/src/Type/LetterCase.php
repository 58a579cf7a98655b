<?php

declare(strict_types=1);

namespace TallCrow\Type;

enum LetterCase: string
{
    case AsTyped = 'as-typed';
    case Capitals = 'capitals';
    case Small = 'small-letters';
    case Title = 'first-letters';

    public function of(string $line): string
    {
        return match ($this) {
            self::AsTyped => $line,
            self::Capitals => mb_strtoupper($line, 'UTF-8'),
            self::Small => mb_strtolower($line, 'UTF-8'),
            self::Title => mb_convert_case($line, MB_CASE_TITLE, 'UTF-8'),
        };
    }
}
